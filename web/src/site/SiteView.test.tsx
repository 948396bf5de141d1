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
    const landlord = within(supplies).getByRole('radiogroup', { name: 'Whose is Landlord switch-fuse?' });
    fireEvent.click(within(landlord).getByRole('radio', { name: 'The landlord’s' }));
    expect(survey().site?.supplies).toMatchObject([{ nodeId: 'landlord-switch-fuse', whose: 'landlord' }]);
    // Six dwellings are left: 6 × 2 + 12.
    expect(region('The whole building').textContent).toContain('24 kW');
  });

  it('gives each dwelling a bay, in order', async () => {
    const { survey } = await atSurvey('site', { changes: [court] });
    await settled();
    press('Give each dwelling a bay, in order');
    expect(survey().pool?.outlets.map(({ ownNodeId }) => ownNodeId)).toEqual([
      'landlord-switch-fuse',
      'flat-1-switch-fuse',
    ]);
  });

  it('takes the operator’s own figures for the formula', async () => {
    await atSurvey('site', { changes: [court] });
    await settled();
    type('Each dwelling (left out, 2 kW)', '1.5', region('The whole building'));
    // Seven supplies, none said to be the landlord’s: 7 × 1.5 + 12.
    await waitFor(() => {
      expect(region('The whole building').textContent).toContain('22.5 kW');
    });
  });

  it('sends a home with one supply to the line-up', async () => {
    await atSurvey('site');
    await settled();
    expect(region('Supplies').textContent).toContain('One supply is recorded.');
    expect(screen.queryByRole('region', { name: 'The whole building' })).toBeNull();
    expect(region('Which supply feeds which bay').textContent).toContain('The bays are not laid out yet.');
  });
});

describe('words of a site', () => {
  it('say money, weeks and how many bays each supply feeds', () => {
    expect(poundsWords(12_400.4)).toBe('£12\u2009400');
    expect(weeksWords([0, 0])).toBe('at once');
    expect(weeksWords([2, 12])).toBe('2 to 12 weeks');
    expect(countsWords({ counts: { own: 1, landlord: 5, new: 0 } })).toBe('1 on its own supply, 5 on the landlord’s');
  });
});
