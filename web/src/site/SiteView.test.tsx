/** @jest-environment jsdom */
import { STARTING_SHAPES } from '@keen-gauge/core/tree/shapes';
import { onShape } from '@keen-gauge/core/tree/edit';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { atSurvey, press, region, settled, type } from '../testing/at-survey';
import { countsWords } from './BaysPanel';
import { poundsWords, weeksWords } from './site-words';

/** A landlord beside six flats, with a row of bays. */
function court(survey: Survey): void {
  const shape = STARTING_SHAPES.find(({ id }) => id === 'landlord-and-flats');
  Object.assign(survey, onShape(survey, shape?.nodes ?? [], 3));
  for (const node of survey.supply.nodes) {
    node.ratingA = node.kind === 'cut-out' || node.kind === 'split-block' ? 400 : 100;
    if (node.kind === 'cut-out' || node.kind === 'switch-fuse') node.evidence = 'record';
  }
  survey.loads = survey.supply.nodes
    .filter(({ kind }) => kind === 'board')
    .map(({ id }) => ({ id: `load-${id}`, class: 'heating-and-power', currentA: 20, nodeId: id }));
  survey.proposals = [];
  survey.pool = {
    outlets: [
      { id: 'a', mostA: 32, ownRouteM: 15 },
      { id: 'b', mostA: 32 },
    ],
    failSafeA: 0,
  };
}

describe('supplies and bays', () => {
  it('lists every supply with what it carries of its fuse, and takes whose each is', async () => {
    const { survey } = await atSurvey('site', { changes: [court] });
    await settled();
    const supplies = region('Supplies');
    expect(within(supplies).getAllByRole('listitem')).toHaveLength(7);
    expect(supplies.textContent).toContain('Flat 1 switch-fuse L1');
    const landlord = within(supplies).getByRole('radiogroup', { name: 'Whose supply is Landlord switch-fuse?' });
    fireEvent.click(within(landlord).getByRole('radio', { name: 'The landlord’s' }));
    expect(survey().site?.supplies).toMatchObject([{ nodeId: 'landlord-switch-fuse', whose: 'landlord' }]);
    // Six dwellings are left: 6 × 2 + 12.
    expect(region('The whole building').textContent).toContain('24 kW');
  });

  it('gives each dwelling a bay, in order', async () => {
    const { survey } = await atSurvey('site', { changes: [court] });
    await settled();
    press('Give each dwelling one bay');
    expect(survey().pool?.outlets.map(({ ownNodeId }) => ownNodeId)).toEqual([
      'landlord-switch-fuse',
      'flat-1-switch-fuse',
    ]);
  });

  it('takes the operator’s own figures for the formula', async () => {
    await atSurvey('site', { changes: [court] });
    await settled();
    type('A, each dwelling (2 kW if left empty)', '1.5', region('The whole building'));
    // Seven supplies, none said to be the landlord’s: 7 × 1.5 + 12.
    await waitFor(() => {
      expect(region('The whole building').textContent).toContain('22.5 kW');
    });
  });

  it('sends a home with one supply to the line-up', async () => {
    await atSurvey('site');
    await settled();
    expect(region('Supplies').textContent).toContain('One supply recorded.');
    expect(screen.queryByRole('region', { name: 'The whole building' })).toBeNull();
    expect(region('Which supply feeds which bay').textContent).toContain('No bays recorded.');
  });
});

describe('which supply feeds which bay', () => {
  /** Two flats’ bays, priced: own supplies 900 + 10 a metre each, the landlord’s 3000 once. */
  function priced(survey: Survey): void {
    court(survey);
    survey.generation = [];
    survey.place.premises = 'household';
    survey.loads.push(
      ...survey.supply.nodes
        .filter(({ kind }) => kind === 'board')
        .map(({ id }) => ({ id: `ring-${id}`, class: 'socket-circuit' as const, currentA: 0, nodeId: id })),
    );
    // The landlord’s board is on three lines: what hangs there says on which.
    for (const load of survey.loads) if (load.nodeId === 'board') load.phase = 'L3';
    survey.pool = {
      outlets: [1, 2].map((bay) => ({
        id: `bay-${bay}`,
        label: `Bay ${bay}`,
        mostA: 32,
        phases: 1,
        ownNodeId: `flat-${bay}-switch-fuse`,
        ownRouteM: 15,
        crosses: 'common',
      })),
      failSafeA: 0,
      otherEveningA: 10,
      otherElseA: 5,
    };
    survey.site = {
      supplies: [{ id: 'landlord', nodeId: 'landlord-switch-fuse', whose: 'landlord' }],
      own: { eachPounds: 900, metrePounds: 10 },
      landlord: { oncePounds: 3000, eachPounds: 700 },
    };
  }
  const compared = async (): Promise<HTMLElement> => {
    const bays = region('Which supply feeds which bay');
    await waitFor(() => within(bays).getByRole('list', { name: 'Bays' }), { timeout: 20_000 });
    return bays;
  };

  it('recommends the cheapest that holds, says who has to be asked, and settles it', async () => {
    const { survey } = await atSurvey('site', { changes: [priced] });
    const bays = await compared();
    // 2 × (900 + 150) against 3000 + 1400.
    expect(bays.textContent).toContain('2 on their own supplies');
    expect(bays.textContent).toContain('£2,100');
    expect(bays.textContent).toContain('Ask first: Freeholder, for the common parts.');
    press('Use this plan', bays);
    expect(survey().pool?.outlets.map(({ pinned }) => pinned)).toEqual(['own', 'own']);
  }, 30_000);

  it('compares each bay: full rate and its cable on its own, how many the landlord’s carries, and why a new one is not known', async () => {
    await atSurvey('site', { changes: [priced] });
    const bays = await compared();
    const ways = within(bays).getByRole('list', { name: 'Ways to feed Bay 1', hidden: true });
    expect(ways.textContent).toContain('Full rate, 32 A.');
    expect(ways.textContent).toMatch(/15 m of \d+(\.\d+)? mm² armoured/);
    expect(ways.textContent).toContain('Energy through the dwelling’s meter.');
    expect(ways.textContent).toMatch(/Enough for 2 cars/);
    expect(ways.textContent).toContain('New supply fuse not recorded.');
  }, 30_000);

  it('says Check and not OK of a way that somebody still has to agree to, and Fails once they refuse', async () => {
    await atSurvey('site', { changes: [priced] });
    const bays = await compared();
    const list = within(bays).getByRole('list', { name: 'Bays' });
    expect(within(list).getAllByText('Own: Check')).toHaveLength(2);
    expect(within(list).getAllByText('Landlord’s: Check')).toHaveLength(2);
    expect(within(list).getAllByText('New: Not known yet')).toHaveLength(2);
    const prices = region('Prices and a new supply');
    const manager = within(prices).getByRole('radiogroup', { name: 'Does the building manager agree?', hidden: true });
    fireEvent.click(within(manager).getByRole('radio', { name: 'Yes', hidden: true }));
    await waitFor(() => within(list).getAllByText('Landlord’s: OK'), { timeout: 20_000 });
    fireEvent.click(within(manager).getByRole('radio', { name: 'No', hidden: true }));
    await waitFor(() => within(list).getAllByText('Landlord’s: Fails'), { timeout: 20_000 });
  }, 60_000);

  it('takes the loads of the first dwelling for those that have none, and says how a dwelling differs', async () => {
    const { survey } = await atSurvey('site', {
      changes: [
        court,
        (it) => {
          it.site = { supplies: [{ id: 'landlord', nodeId: 'landlord-switch-fuse', whose: 'landlord' }] };
          it.loads = it.loads.filter(({ nodeId = '' }) => !/^flat-[3-6]/.test(nodeId));
          it.loads.push({
            id: 'sauna',
            class: 'heating-and-power',
            label: 'Sauna',
            powerW: 6000,
            nodeId: 'flat-2-board',
          });
        },
      ],
    });
    await settled();
    const supplies = region('Supplies');
    expect(supplies.textContent).toContain('also Sauna 6000 W');
    press('Copy the loads of Flat 1 switch-fuse to the other 4 dwellings', supplies);
    expect(survey().loads.filter(({ assumed }) => assumed)).toHaveLength(4);
    expect(within(supplies).queryByRole('button', { name: /^Copy the loads/ })).toBeNull();
  });
});

describe('words of a site', () => {
  it('say money, weeks and how many bays each supply feeds', () => {
    expect(poundsWords(12_400.4)).toBe('£12,400');
    expect(weeksWords([0, 0])).toBe('at once');
    expect(weeksWords([2, 12])).toBe('2 to 12 weeks');
    expect(countsWords({ counts: { own: 1, landlord: 5, new: 0 } })).toBe(
      '1 on its own supply, 5 on the landlord’s supply',
    );
  });
});
