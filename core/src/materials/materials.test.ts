import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import type { Survey } from '../survey/survey';
import { nodeOf, settledSurvey, WELL_PUT_ON, type Change } from '../testing/settled-survey';
import { standingLines } from './edited';
import { quantityWords, type Line } from './line';
import { surveyLines } from './survey-lines';

const TERMS = { wastePercent: 10, endM: 0.5 };
const linesOf = (survey: Survey): Line[] => surveyLines(survey, assess(survey, gbDefault), TERMS);
const lines = (...changes: Change[]): Line[] => linesOf(settledSurvey(chosen, ...changes));

/** The settled home with everything chosen that a price needs. */
const chosen: Change = (survey) => {
  survey.works = { travelMin: 20 };
  for (const each of survey.proposals) {
    Object.assign(each, { profileId: 'usual-dial', profile: 'Wall charger' });
    for (const segment of each.circuit?.segments ?? []) segment.fixedTo = 'brick';
  }
};
const charger = (survey: Survey): Survey['proposals'][number] => {
  const [first] = survey.proposals;
  if (!first) throw new Error('no charger');
  return first;
};

/** What is bought and done, item or task by quantity: what a hand-written list would say. */
function told(all: readonly Line[]): Record<string, number | null> {
  const found: Record<string, number | null> = {};
  for (const line of all) {
    const name = line.kind === 'work' ? line.task : (line.item ?? `? ${line.text}`);
    const had = found[name];
    found[name] = line.quantity === null || had === null ? null : Math.round(((had ?? 0) + line.quantity) * 100) / 100;
  }
  return found;
}

describe('materials and work, six jobs by hand', () => {
  it('1. a charger on 10 m of 6 mm² flat twin, clipped', () => {
    // Cable: 10 m + 10 % = 11 m, and 0.5 m inside at each end. Clips every 0.3 m: 10 ÷ 0.3 = 33.3, so 33 and one at the start.
    expect(told(lines())).toEqual({
      'equipment-usual-dial': 1,
      'fixings-set': 1,
      'fit-equipment': 1,
      'mcb-b-40': 1,
      'fit-device': 1,
      'cable-flat-6': 12,
      'clip-6': 34,
      'run-cable': 10,
      terminate: 2,
      test: 1,
      'labels-set': 1,
      travel: 1,
    });
  });

  it('2. armoured cable: 12 m clipped, then 15 m in a duct we dig for, with a clamp, a small board and surge protection', () => {
    const found = told(
      lines((survey) => {
        const car = charger(survey);
        Object.assign(car.circuit ?? {}, {
          cableType: 'armoured',
          cpc: 'core',
          segments: [
            {
              id: 'wall',
              lengthM: 12,
              laid: 'clipped',
              fixedTo: 'brick',
              circuitsTogether: 1,
              ambientC: 30,
              insulationMm: 0,
            },
            {
              id: 'lawn',
              lengthM: 15,
              laid: 'buried',
              containment: 'duct',
              ground: 'soil',
              dug: 'us',
              circuitsTogether: 1,
            },
          ],
        });
        car.surge = { decision: 'fit', leadsM: 0.4 };
        car.limiter = { kind: 'clamp', setPointA: 90, failSafeA: 6, clampNodeId: 'isolator', fit: { ...WELL_PUT_ON } };
        car.dataLink = { clamp: 'wired', lengthM: 28 };
        survey.supply.nodes.push({
          id: 'new',
          kind: 'board',
          fedFrom: 'isolator',
          planned: true,
          ratingA: 63,
          cable: { lengthM: 1 },
        });
        car.nodeId = 'new';
      }),
    );
    // 12 × 1.1 = 13.2, 15 × 1.1 = 16.5, and 1 m at the ends: 30.7 m of three-core, since a core protects. Cleats every 0.35 m: 34 and one.
    expect(found).toMatchObject({
      'cable-armoured-3c-6': 30.7,
      'cleat-6': 35,
      'gland-20': 2,
      'duct-50': 15,
      'warning-tape': 15,
      dig: 15,
      'lay-in-duct': 15,
      'run-cable': 12,
      transition: 1,
      'surge-device': 1,
      'fit-surge': 1,
      'clamp-ct': 1,
      'data-cable': 28,
      'run-data': 28,
      'fit-clamp': 1,
      commission: 1,
      'board-small': 1,
      'tails-25': 2,
      'fit-board': 1,
    });
  });

  it('3. a feeder laid anew to a garage: 40 m of 6 mm² in the ground behind 32 A', () => {
    const found = told(
      lines((survey) => {
        survey.supply.nodes.push({
          id: 'garage',
          kind: 'feeder',
          fedFrom: 'board',
          ratingA: 32,
          curve: 'B',
          label: 'Garage feeder',
          cable: {
            type: 'armoured',
            sizeMm2: 6,
            lengthM: 40,
            laid: 'buried',
            cpc: 'core',
            planned: true,
            dug: 'us',
            ground: 'paving',
          },
        });
        charger(survey).nodeId = 'garage';
      }),
    );
    // 40 × 1.1 + 1 = 45 m; both its device and the charger's; its own test beside the charger's.
    expect(found).toMatchObject({
      'cable-armoured-3c-6': 45,
      'gland-20': 2,
      'warning-tape': 40,
      dig: 40,
      'lay-in-duct': 40,
      'mcb-b-32': 1,
      'mcb-b-40': 1,
      test: 2,
      terminate: 4,
    });
    expect(found).not.toHaveProperty('duct-50');
  });

  it('4. a row of five bays, two of them only prepared: 24 m of trunk and a tap for every bay', () => {
    const found = told(
      lines((survey) => {
        survey.pool = {
          setPointA: 60,
          trunk: { sizeMm2: 16, laid: 'clipped' },
          outlets: [4, 9, 14, 19, 24].map((alongM, at) => ({
            id: `bay-${at}`,
            alongM,
            ...(at > 2 ? { prepared: true } : {}),
          })),
        };
      }),
    );
    // 24 × 1.1 + 1 = 27.4 m of five-core; cleats every 0.45 m above 6 mm²: 53 and one. Ends: both of the trunk, both of the charger's cable, two a tap.
    expect(found).toMatchObject({
      'cable-armoured-5c-16': 27.4,
      'cleat-16': 54,
      'gland-32': 2,
      'tap-box': 5,
      'equipment-usual-dial': 4,
      terminate: 14,
    });
  });

  it('5. an electrode, bonding that is missing, and two walls drilled', () => {
    const found = told(
      lines((survey) => {
        Object.assign(survey.earthing, {
          arrangement: 'tn-c-s',
          services: [
            { id: 'gas', incoming: 'metal', bonded: 'no' },
            { id: 'water', incoming: 'plastic' },
          ],
        });
        Object.assign(charger(survey), {
          openPen: 'tt-island',
          pen: { electrodeOhm: 60, islandDistanceM: 3, islandClear: 'yes' },
        });
        survey.works = {
          travelMin: 20,
          drillings: [
            { id: 'd1', through: 'stone', thicknessMm: 450 },
            { id: 'd2', through: 'brick', thicknessMm: 100 },
          ],
          rooms: [{ id: 'r1', room: 'Hall', disrupts: ['furniture', 'floor'] }],
        };
      }),
    );
    // 3 m to the electrode and 5 m of bonding are taken, and said to be. 450 mm and 100 mm are 5.5 hundreds.
    expect(found).toMatchObject({
      'electrode-rod': 1,
      electrode: 1,
      'earth-conductor-10': 8,
      'bonding-clamp': 1,
      bonding: 1,
      drill: 5.5,
      'wall-seal': 2,
      furniture: 1,
      floor: 1,
    });
  });

  it('6. an old three-phase charger taken out, a new one on its cable: nothing is laid, the old end is terminated anew', () => {
    const found = told(
      lines((survey) => {
        survey.supply.nodes.push({
          id: 'old',
          kind: 'device',
          fedFrom: 'board',
          ratingA: 32,
          curve: 'B',
          poles: 1,
          cable: { type: 'flat-twin', sizeMm2: 6, lengthM: 14, laid: 'clipped' },
        });
        survey.loads.push({
          id: 'old-car',
          class: 'ev-charging',
          currentA: 32,
          nodeId: 'old',
          label: 'old charger',
          fate: 'replaced',
          notified: 'yes',
        });
        const car = charger(survey);
        Object.assign(car, { nodeId: 'old', reuse: { used: true, look: 'sound', cores: 3, insulationMOhm: 200 } });
        delete car.circuit;
      }),
    );
    expect(found).toMatchObject({ remove: 1, terminate: 1, test: 1, 'fit-equipment': 1 });
    expect(Object.keys(found).some((name) => name.startsWith('cable-') || name.startsWith('mcb-'))).toBe(false);
  });
});

describe('a line', () => {
  it('says which part of the survey it comes from', () => {
    for (const { from, id } of lines()) {
      expect(from.says).not.toBe('');
      expect(id).toMatch(/^[A-Za-z0-9_-]{1,64}$/);
    }
    expect(new Set(lines().map(({ id }) => id)).size).toBe(lines().length);
  });

  it.each<[string, Change, RegExp]>([
    ['no profile', (s) => void delete charger(s).profileId, /which equipment is fitted/],
    [
      'no route',
      (s) => void (charger(s).circuit = { ...charger(s).circuit, segments: [] }),
      /route of .* is not recorded/,
    ],
    ['no length', (s) => void delete charger(s).circuit?.segments?.[0]?.lengthM, /length of section 1/],
    ['no cable', (s) => void delete charger(s).circuit?.cableType, /the cable of .* is not chosen/],
    ['no way to the site', (s) => void (s.works = {}), /how long the way to the site/],
    [
      'a wall of no thickness',
      (s) => void (s.works = { travelMin: 1, drillings: [{ id: 'w' }] }),
      /how thick wall 1 is/,
    ],
    ['no RCD', (s) => void delete charger(s).rcd, /where the RCD of/],
    ['more phases with no board for them', (s) => void (s.request = { newPhases: true }), /for three phases/],
  ])('%s is a line that says so, and never a silent gap', (_what, change, gap) => {
    expect(
      lines(change)
        .map((line) => line.gap ?? '')
        .filter((each) => gap.test(each)),
    ).not.toEqual([]);
  });

  it('a size that nobody chose is the smallest that passes, and said to be assumed', () => {
    const found = lines((survey) => void delete charger(survey).circuit?.sizeMm2);
    const cable = found.find(({ id }) => id === 'wall-cable');
    expect(cable).toMatchObject({ item: 'cable-flat-6' });
    expect(cable?.assumes).toMatch(/6 mm², the smallest that passes/);
  });

  it('new equipment on a device that is there asks whether its circuit is used again', () => {
    const found = lines((survey) => {
      survey.supply.nodes.push({ id: 'old', kind: 'device', fedFrom: 'board', ratingA: 32, curve: 'B' });
      const car = charger(survey);
      car.nodeId = 'old';
      delete car.circuit;
    });
    expect(found.some(({ gap }) => gap?.includes('used again or laid anew'))).toBe(true);
  });

  it('of a wireless clamp has a sender and no lead', () => {
    const found = told(
      lines((survey) => {
        const car = charger(survey);
        car.limiter = { kind: 'clamp', setPointA: 90, failSafeA: 6, clampNodeId: 'isolator', fit: { ...WELL_PUT_ON } };
        car.dataLink = { clamp: 'wireless', signalDbm: -50 };
      }),
    );
    expect(found).toMatchObject({ 'clamp-ct': 1, 'clamp-wireless': 1 });
    expect(found).not.toHaveProperty('data-cable');
  });

  it('of an RCD at the board is an RCBO', () => {
    const found = told(
      lines(
        (survey) =>
          void (charger(survey).rcd = {
            place: 'at-board',
            rcdType: 'B',
            residualMa: 30,
            dcDetection: 'no',
            breaksNeutral: 'yes',
          }),
      ),
    );
    expect(found).toMatchObject({ 'rcbo-b-b-40': 1 });
  });

  it('a survey with nothing to connect has none', () => {
    expect(
      linesOf(
        settledSurvey((survey) => {
          survey.proposals = [];
          survey.request = { upgradeOnly: true };
        }),
      ),
    ).toEqual([]);
  });

  it('law: a longer route never takes less of anything', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 0, max: 100 }), (tenths, more) => {
        const at = (lengthM: number): Record<string, number | null> =>
          told(
            lines((survey) => {
              const [segment] = charger(survey).circuit?.segments ?? [];
              if (segment) segment.lengthM = lengthM;
            }),
          );
        const [short, long] = [at(tenths / 10), at((tenths + more) / 10)];
        for (const [name, quantity] of Object.entries(short))
          expect(long[name] ?? 0).toBeGreaterThanOrEqual(quantity ?? 0);
      }),
      { numRuns: lawRuns(40) },
    );
  });
});

describe('lines that somebody changed', () => {
  const made = lines();
  it('stand with what the survey would say beside them', () => {
    const [found] = standingLines(made, [{ id: 'wall-cable', quantity: 15 }]).filter(
      ({ line }) => line.id === 'wall-cable',
    );
    expect(found).toMatchObject({ line: { quantity: 15 }, surveySays: { quantity: 11 }, isStruck: false });
  });
  it('struck ones stay to be seen, added ones come last', () => {
    const found = standingLines(made, [
      { id: 'site-labels', struck: true },
      { id: 'own-1', item: 'post', quantity: 2, by: 'M. O.' },
      { id: 'own-2', text: 'Scaffold for a day' },
    ]);
    expect(found.find(({ line }) => line.id === 'site-labels')?.isStruck).toBe(true);
    expect(found.slice(-2)).toMatchObject([
      { line: { item: 'post', quantity: 2, from: { says: 'Added by M. O.' } }, surveySays: null },
      { line: { item: null, gap: '“Scaffold for a day” has no item in the list' } },
    ]);
  });
  it('a change of a line that the survey asks for no more stands as a line of its own; struck, it is gone', () => {
    expect(standingLines([], [{ id: 'wall-cable', quantity: 15, item: 'cable-flat-6' }])).toMatchObject([
      { line: { id: 'wall-cable', quantity: 15 }, surveySays: null },
    ]);
    expect(standingLines([], [{ id: 'wall-cable', struck: true }])).toEqual([]);
  });
  it('an item or a quantity typed in place of one that is missing closes the gap', () => {
    const open = lines((survey) => void delete charger(survey).profileId);
    const id = 'car-equipment';
    expect(
      standingLines(open, [{ id, item: 'equipment-usual-dial' }]).find(({ line }) => line.id === id)?.line.gap,
    ).toBeUndefined();
    expect(standingLines(open, [{ id, quantity: 2 }]).find(({ line }) => line.id === id)?.line.gap).toBeDefined();
  });
});

it('a device that this work takes out leaves its way to the new one', () => {
  const full: Change = (survey) => {
    nodeOf(survey, 'board').spareWays = 0;
    survey.supply.nodes.push({ id: 'old', kind: 'device', fedFrom: 'board', ratingA: 16 });
  };
  const found = (...changes: Change[]): string[] =>
    assess(settledSurvey(full, ...changes), gbDefault).findings.map(({ id }) => id);
  expect(found()).toContain('check-spare-way');
  expect(found((survey) => void (nodeOf(survey, 'old').goes = true))).not.toContain('check-spare-way');
});

it('says how much of a line there is, to the tenth, and never guesses', () => {
  const cable = (quantity: number | null): Line => ({
    id: 'a',
    kind: 'material',
    item: 'cable-flat-6',
    text: 'Cable',
    unit: 'm',
    quantity,
    from: { station: 'circuit', says: 'Section 1' },
  });
  expect([12, 30.900000000000002, null].map((each) => quantityWords(cable(each)))).toEqual(['12 m', '30.9 m', '?']);
  const travel: Line = { id: 't', kind: 'work', task: 'travel', text: 'Travel', quantity: 1, from: cable(1).from };
  expect(quantityWords(travel)).toBe('1 ×');
});
