import { assess } from '../assess';
import type { Assessment } from '../assessment';
import { gbDefault } from '../rules/gb-default';
import { settledSurvey, type Change } from '../testing/settled-survey';
import { composePackFacts } from '../testing/pack-facts';

/** An old three-phase charger of 32 A on a three-phase supply, and a single-phase one of 32 A in its place, on its cable. */
const replaced: Change = (survey) => {
  survey.supply.phases = 3;
  survey.supply.nodes.push({
    id: 'old',
    kind: 'device',
    label: 'Old charger’s device',
    fedFrom: 'board',
    ratingA: 40,
    curve: 'B',
    poles: 3,
    cable: {
      type: 'flat-twin',
      sizeMm2: 6,
      lengthM: 14,
      laid: 'clipped',
      circuitsTogether: 1,
      ambientC: 30,
      insulationMm: 0,
    },
  });
  survey.loads = [
    { id: 'ring', class: 'socket-circuit', currentA: 20, phase: 'L1' },
    { id: 'old-car', class: 'ev-charging', label: 'Old charger', currentA: 32, phase: 'all', nodeId: 'old' },
  ];
  for (const car of survey.proposals) {
    Object.assign(car, {
      nodeId: 'old',
      phase: 'L2',
      reuse: { used: true, look: 'sound', cores: 5, insulationMOhm: 200 },
    });
    delete car.circuit;
  }
};
const goes: Change = (survey) => {
  for (const load of survey.loads)
    if (load.id === 'old-car') Object.assign(load, { fate: 'replaced', notified: 'yes' });
};
const made = (...changes: Change[]): Assessment => assess(settledSurvey(...changes), gbDefault);
const on = (figures: Assessment['demand']['before']): (number | null)[] =>
  Object.values(figures).map(({ value }) => value);
const found = (assessment: Assessment): string[] => assessment.findings.map(({ id }) => id);

describe('what the work takes away', () => {
  it('counts before and not after: the old 3 × 32 A go, 32 A on L2 come', () => {
    const { demand, nodes } = made(replaced, goes);
    // The ring alone is 20 A at its whole, the charger at 100 %.
    expect(on(demand.before)).toEqual([52, 32, 32]);
    expect(on(demand.afterUnmanaged)).toEqual([20, 32, 0]);
    const board = nodes.find(({ id }) => id === 'board');
    expect([on(board?.before ?? {}), on(board?.after ?? {})]).toEqual([
      [52, 32, 32],
      [20, 32, 0],
    ]);
  });
  it('stays counted while nobody has said that it goes', () => {
    expect(on(made(replaced).demand.afterUnmanaged)).toEqual([52, 64, 32]);
  });
  it('is not taken off a measurement, and that is said', () => {
    const measured: Change = (survey) => {
      survey.supply.phases = 1;
      for (const each of survey.proposals) delete each.phase;
      survey.measurements = [
        {
          id: 'log',
          kind: 'logger',
          days: 21,
          winterDays: 21,
          coveragePercent: 100,
          phases: [{ id: 'L1', mean30A: 45, peakA: 50, onceAYearA: 48 }],
        },
      ] as never;
      survey.declaration = { basis: 'measurement', reason: 'Logged in winter.' };
    };
    const { demand, findings } = made(replaced, goes, measured);
    expect(on(demand.afterUnmanaged)[0]).toBe((on(demand.before)[0] ?? 0) + 32);
    expect(findings.map(({ id }) => id)).toContain('measured-includes-going');
  });
  it('a load that stays on a circuit that goes is found, and counts until its place is known', () => {
    const out = made((survey) => {
      survey.supply.nodes.push({ id: 'shed', kind: 'device', fedFrom: 'board', ratingA: 16, goes: true });
      survey.loads.push({ id: 'saw', class: 'motor', currentA: 8, nodeId: 'shed', label: 'Saw' });
    });
    expect(found(out)).toContain('load-loses-circuit');
    const quiet = made((survey) => {
      survey.supply.nodes.push({ id: 'shed', kind: 'device', fedFrom: 'board', ratingA: 16, goes: true });
      survey.loads.push({ id: 'saw', class: 'motor', currentA: 8, nodeId: 'shed', label: 'Saw', fate: 'removed' });
    });
    expect(found(quiet)).not.toContain('load-loses-circuit');
  });
  it('new equipment may not hang from what goes', () => {
    expect(
      found(
        made((survey) => {
          survey.supply.nodes.push({ id: 'shed', kind: 'board', fedFrom: 'board', ratingA: 63, goes: true });
          for (const each of survey.proposals) each.nodeId = 'shed';
        }),
      ),
    ).toContain('equipment-on-going-part');
  });
});

describe('an old circuit that is used again', () => {
  const seen =
    (values: object): Change =>
    (survey) => {
      for (const each of survey.proposals) each.reuse = { used: true, ...each.reuse, ...values };
    };
  it('is believed when everything of it was seen, and judged like a new one', () => {
    const { findings, circuits } = made(replaced, goes);
    expect(findings.filter(({ id }) => id.startsWith('reused-'))).toEqual([]);
    expect(circuits[0]).toMatchObject({ recordedMm2: 6, lengthM: 14, device: { ratingA: 40 } });
  });
  it.each<[string, object, string]>([
    ['chafed', { look: 'damaged', damage: 'chafed where it leaves the wall' }, 'reused-cable-damaged'],
    ['not looked at', { look: undefined }, 'reused-cable-not-looked'],
    ['not seen all the way', { look: 'could-not-see' }, 'reused-cable-not-looked'],
    ['of two conductors', { cores: 2 }, 'reused-cores-too-few'],
    ['of nobody knows how many', { cores: undefined }, 'reused-cores-not-known'],
    ['with 0.4 MΩ of insulation', { insulationMOhm: 0.4 }, 'reused-insulation-low'],
    ['never measured', { insulationMOhm: undefined }, 'reused-insulation-not-measured'],
  ])('its cable %s: no verdict of the circuit holds', (_what, values, id) => {
    const made1 = made(replaced, goes, seen(values));
    expect(found(made1)).toContain(id);
    expect(made1.verdicts.find((each) => each.id === 'circuit')?.answer).not.toBe(true);
  });
  it('three-phase equipment needs five conductors and three poles', () => {
    const three: Change = (survey) => {
      for (const each of survey.proposals) Object.assign(each, { phases: 3, reuse: { ...each.reuse, cores: 3 } });
      for (const node of survey.supply.nodes) if (node.id === 'old') node.poles = 1;
    };
    const all = found(made(replaced, goes, three));
    expect(all).toEqual(expect.arrayContaining(['reused-cores-too-few', 'reused-device-poles']));
  });
});

describe('a replacement on its way to the operator', () => {
  it('says what goes and what comes, and that it is no more', () => {
    const { route } = made(replaced, goes);
    expect(route.replaces).toEqual([
      {
        proposalId: 'car',
        loadId: 'old-car',
        goes: 'Old charger, 32 A on each of three phases',
        notified: true,
        isMore: false,
      },
    ]);
  });
  it('more current or more lines than before is an addition', () => {
    const small: Change = (survey) => {
      for (const load of survey.loads) if (load.id === 'old-car') Object.assign(load, { currentA: 16, phase: 'L2' });
    };
    expect(made(replaced, goes, small).route.replaces[0]).toMatchObject({ isMore: true });
    const unknown: Change = (survey) => {
      for (const load of survey.loads) if (load.id === 'old-car') delete load.currentA;
    };
    expect(made(replaced, goes, unknown).route.replaces[0]).toMatchObject({ isMore: null });
  });
  it('asks whether the operator knows of what goes, and says so where it does not', () => {
    const told =
      (notified: 'no' | undefined): Change =>
      (survey) => {
        for (const load of survey.loads) if (load.id === 'old-car') Object.assign(load, { notified });
      };
    expect(found(made(replaced, goes, told(undefined)))).toContain('replaced-notified-not-known');
    expect(found(made(replaced, goes, told('no')))).toContain('replaced-not-notified');
  });
  it('stands in the pack with its own words', () => {
    const words = composePackFacts(settledSurvey(replaced, goes));
    expect(words).toContain('Replaces Old charger, 32 A on each of three phases. It draws no more than what goes.');
    expect(words).toContain('Goes with this work');
    expect(words).toContain('The old circuit is used again');
  });
});
