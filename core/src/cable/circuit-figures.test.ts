import { fc } from '../testing/laws';
import { gbDefault } from '../rules/gb-default';
import type { CableForm } from '../rules/circuit-rules';
import { CURVES, LAID, type CableType, type Curve } from '../survey/words/words';
import { given } from '../worked';
import { cableForm, cableRow } from './cable-forms';
import { capacityOf, stretchCapacity, type Stretch } from './capacity';
import { largestLoopForDevice, runImpedance } from './fault-loop';
import { found } from './lookup';
import { protectiveConductor } from './protective-conductor';
import { judgeSize, type Run } from './size';
import { searchSizes } from './size-search';
import { singlePhase, threePhase, voltDrop } from './volt-drop';

const rules = gbDefault.circuit;

function form(type: CableType, phases: 1 | 3 = 1): CableForm {
  const looked = cableForm(rules, type, phases, 'yes');
  if (!looked.ok) throw new Error(looked.says);
  return looked.value;
}

function row(of: CableForm, sizeMm2: number) {
  const looked = cableRow(of, sizeMm2);
  if (!looked.ok) throw new Error(looked.says);
  return looked.value;
}

describe('volt drop, by hand', () => {
  it.each<[string, CableType, number, number, number, number]>([
    ['19 × 16 × 40 ÷ 1000 = 12.16 V = 5.29 %', 'armoured', 2.5, 16, 40, 5.287],
    ['7.9 × 16 × 40 ÷ 1000 = 5.056 V = 2.20 %', 'armoured', 6, 16, 40, 2.198],
    ['7.9 × 32 × 40 ÷ 1000 = 10.11 V = 4.40 %', 'armoured', 6, 32, 40, 4.397],
    ['7.3 × 32 × 20 ÷ 1000 = 4.672 V = 2.03 %', 'flat-twin', 6, 32, 20, 2.031],
    ['1.35 × 63 × 100 ÷ 1000 = 8.505 V = 3.70 %', 'armoured', 35, 63, 100, 3.698],
  ])('single-phase: %s', (_working, type, sizeMm2, amperes, lengthM, percent) => {
    const cable = form(type);
    const drop = voltDrop(rules, 230, cable, row(cable, sizeMm2), lengthM, singlePhase(amperes));
    expect(drop.value).toBeCloseTo(percent, 3);
  });

  it('three-phase, alike: 6.8 × 32 × 50 ÷ 1000 = 10.88 V of 400 = 2.72 %', () => {
    const cable = form('armoured', 3);
    const drop = voltDrop(rules, 230, cable, row(cable, 6), 50, threePhase([32, 32, 32]));
    expect(drop.value).toBeCloseTo(2.72, 3);
  });

  it('one line of three alone carries the neutral too: 6.8 × (32 + 32) × 50 ÷ 1000 = 21.76 V of 400 = 5.44 %', () => {
    const cable = form('armoured', 3);
    const drop = voltDrop(rules, 230, cable, row(cable, 6), 50, threePhase([32, 0, 0]));
    expect(drop.value).toBeCloseTo(5.44, 3);
  });

  it('neutral of 30, 20 and 10 A: √(900 + 400 + 100 − 600 − 200 − 300) = 17.32 A', () => {
    expect(threePhase([30, 20, 10])).toEqual({ lineA: 30, neutralA: Math.sqrt(300) });
  });
});

describe('capacity, by hand', () => {
  it.each<[string, CableType, number, Stretch, number]>([
    ['clipped, 47 A', 'flat-twin', 6, { laid: 'clipped' }, 47],
    ['in an insulated wall, 32 A', 'flat-twin', 6, { laid: 'insulated-wall' }, 32],
    ['in the ground, 53 A', 'armoured', 6, { laid: 'buried' }, 53],
    ['47 × 0.94 at 35 °C = 44.18 A', 'flat-twin', 6, { laid: 'clipped', ambientC: 35 }, 44.18],
    ['47 × 0.85 for two clipped = 39.95 A', 'flat-twin', 6, { laid: 'clipped', circuitsTogether: 2 }, 39.95],
    ['32 × 0.80 for two bunched = 25.6 A', 'flat-twin', 6, { laid: 'insulated-wall', circuitsTogether: 2 }, 25.6],
    ['47 × 0.78 with 100 mm surrounded = 36.66 A', 'flat-twin', 6, { laid: 'clipped', insulationMm: 100 }, 36.66],
    ['64 × 0.5 surrounded for a metre = 32 A', 'flat-twin', 10, { laid: 'clipped', insulationMm: 1000 }, 32],
    [
      '53 × 0.96 × 0.75 in warm ground beside one = 38.16 A',
      'armoured',
      6,
      { laid: 'buried', ambientC: 25, circuitsTogether: 2 },
      38.16,
    ],
    [
      '64 × 0.87 × 0.79 × 0.88 = 38.71 A',
      'flat-twin',
      10,
      { laid: 'clipped', ambientC: 40, circuitsTogether: 3, insulationMm: 50 },
      38.707,
    ],
  ])('%s', (_working, type, sizeMm2, stretch, amperes) => {
    const cable = form(type);
    const capacity = stretchCapacity(rules, cable, row(cable, sizeMm2), stretch);
    expect(capacity.ok && capacity.value.value).toBeCloseTo(amperes, 2);
  });

  it('the worst stretch decides: 16 mm² carries 85 A clipped and 57 A in a wall, so 57 A', () => {
    const cable = form('flat-twin');
    const capacity = capacityOf(rules, cable, row(cable, 16), [{ laid: 'clipped' }, { laid: 'insulated-wall' }]);
    expect(capacity.ok && capacity.value.value).toBe(57);
  });

  it.each<[string, CableType, number, Stretch]>([
    ['33 °C lies between two tabulated temperatures', 'flat-twin', 6, { laid: 'clipped', ambientC: 33 }],
    ['ten circuits together', 'flat-twin', 6, { laid: 'clipped', circuitsTogether: 10 }],
    ['flat twin in the ground', 'flat-twin', 6, { laid: 'buried' }],
    ['150 mm of insulation', 'flat-twin', 6, { laid: 'clipped', insulationMm: 150 }],
  ])('not in the table, and nothing put in its place: %s', (_name, type, sizeMm2, stretch) => {
    const cable = form(type);
    expect(stretchCapacity(rules, cable, row(cable, sizeMm2), stretch)).toMatchObject({
      ok: false,
      gap: 'not-in-table',
    });
  });

  it('sizes between or beyond, and cables of other kinds, are not in the table', () => {
    expect(cableRow(form('flat-twin'), 25)).toMatchObject({ ok: false, gap: 'not-in-table' });
    expect(cableRow(form('armoured'), 5)).toMatchObject({ ok: false, gap: 'not-in-table' });
    expect(cableForm(rules, 'split-concentric', 1)).toMatchObject({ ok: false, gap: 'not-in-table' });
    expect(cableForm(rules, 'flat-twin', 3)).toMatchObject({ ok: false, gap: 'not-in-table' });
    expect(cableForm(rules, undefined, 1)).toMatchObject({ ok: false, gap: 'not-known' });
  });
});

describe('fault protection, by hand', () => {
  it.each<[string, Curve, number, number]>([
    ['218.5 ÷ (5 × 32) = 1.366 Ω', 'B', 32, 1.366],
    ['218.5 ÷ (5 × 40) = 1.093 Ω', 'B', 40, 1.093],
    ['218.5 ÷ (10 × 40) = 0.546 Ω', 'C', 40, 0.546],
    ['218.5 ÷ (10 × 32) = 0.683 Ω', 'C', 32, 0.683],
    ['218.5 ÷ (20 × 32) = 0.341 Ω', 'D', 32, 0.341],
    ['218.5 ÷ (5 × 16) = 2.731 Ω', 'B', 16, 2.731],
  ])('%s', (_working, curve, ratingA, ohm) => {
    expect(largestLoopForDevice(rules, 230, curve, ratingA).value).toBeCloseTo(ohm, 3);
  });

  it('R1 + R2 of 20 m of 6 and 2.5 mm²: 1.2 × (3.08 + 7.41) × 20 ÷ 1000 = 0.252 Ω', () => {
    expect(runImpedance(rules, 'thermoplastic-70', 'R1 + R2', 3.08, 7.41, 20).value).toBeCloseTo(0.2518, 4);
  });

  it.each<[string, CableType, number, Parameters<typeof protectiveConductor>[3], unknown]>([
    ['flat twin has the one of its make', 'flat-twin', 6, {}, { sizeMm2: 2.5, mOhmPerM: 7.41, k: 115 }],
    [
      'a core of an armoured cable is as large as the others',
      'armoured',
      6,
      { cpc: 'core' },
      { sizeMm2: 6, mOhmPerM: 3.08, k: 143 },
    ],
    ['separate, as recorded', 'armoured', 6, { cpc: 'separate', cpcMm2: 10 }, { sizeMm2: 10, mOhmPerM: 1.83, k: 143 }],
    [
      'armour by its maker’s figure',
      'armoured',
      6,
      { cpc: 'armour', cpcMOhmPerM: 7 },
      { sizeMm2: undefined, mOhmPerM: 7, k: 46 },
    ],
  ])('protective conductor: %s', (_name, type, sizeMm2, recorded, expected) => {
    const cable = form(type);
    expect(protectiveConductor(rules, cable, row(cable, sizeMm2), recorded)).toEqual({ ok: true, value: expected });
  });

  it('an armour of unknown resistance, and an armoured cable with nothing said, are not known', () => {
    const cable = form('armoured');
    expect(protectiveConductor(rules, cable, row(cable, 6), { cpc: 'armour' }).ok).toBe(false);
    expect(protectiveConductor(rules, cable, row(cable, 6), {}).ok).toBe(false);
  });
});

/** A run of one cable laid in one way: TN with Ze 0.35 Ω, nothing lost before it. */
function run(of: {
  type: CableType;
  stretch: Stretch;
  amperes: number;
  deviceA: number;
  curve?: Curve;
  ze?: number;
  before?: number;
  cpc?: Run['cpc'];
  phases?: 1 | 3;
}): Run {
  const { type, stretch, amperes, deviceA, curve = 'B', ze = 0.35, before = 0, cpc = {}, phases = 1 } = of;
  return {
    rules,
    nominalV: 230,
    form: form(type, phases),
    stretches: [stretch],
    current: phases === 3 ? threePhase([amperes, amperes, amperes]) : singlePhase(amperes),
    deviceA: found(given('Device', deviceA, 'A')),
    dropBefore: found(given('Before', before, '%')),
    loopBefore: found(given('Ze', ze, 'Ω')),
    loopLimit: found(largestLoopForDevice(rules, 230, curve, deviceA)),
    clearsS: 0.1,
    cpc,
  };
}

describe('the smallest size that passes, by hand', () => {
  it.each<[string, Run, number | null, readonly string[]]>([
    [
      '20 m clipped, B40: 4 mm² carries 37 A, 6 mm² 47 A',
      run({ type: 'flat-twin', stretch: { laid: 'clipped', lengthM: 20 }, amperes: 32, deviceA: 40 }),
      6,
      ['capacity'],
    ],
    [
      '20 m clipped, B32: 4 mm² carries 37 A; 2.5 mm² 27 A, and drops 11.52 V = 5.01 %',
      run({ type: 'flat-twin', stretch: { laid: 'clipped', lengthM: 20 }, amperes: 32, deviceA: 32 }),
      4,
      ['capacity', 'volt-drop'],
    ],
    [
      '60 m in the ground, B32: 6 mm² drops 6.6 %, 10 mm² 3.92 %',
      run({
        type: 'armoured',
        stretch: { laid: 'buried', lengthM: 60 },
        amperes: 32,
        deviceA: 32,
        cpc: { cpc: 'core' },
      }),
      10,
      ['volt-drop'],
    ],
    [
      'the same with 1.2 % lost before it: 10 mm² comes to 5.12 %',
      run({
        type: 'armoured',
        stretch: { laid: 'buried', lengthM: 60 },
        amperes: 32,
        deviceA: 32,
        cpc: { cpc: 'core' },
        before: 1.2,
      }),
      16,
      ['volt-drop'],
    ],
    [
      // 10 mm²: 0.35 + 1.2 × 6.44 × 0.04 = 0.659 Ω; 16 mm²: 0.35 + 1.2 × 4.23 × 0.04 = 0.553 Ω; C40 allows 0.546 Ω
      '40 m clipped behind C40: even 16 mm² has 0.553 Ω where 0.546 Ω is allowed',
      run({ type: 'flat-twin', stretch: { laid: 'clipped', lengthM: 40 }, amperes: 32, deviceA: 40, curve: 'C' }),
      null,
      ['loop-impedance'],
    ],
    [
      'the same behind C32 (0.683 Ω): 10 mm² has 0.659 Ω, 6 mm² 0.853 Ω',
      run({ type: 'flat-twin', stretch: { laid: 'clipped', lengthM: 40 }, amperes: 32, deviceA: 32, curve: 'C' }),
      10,
      ['loop-impedance'],
    ],
    [
      // 4 mm², cpc 1.5: 0.02 + 1.2 × 16.71 × 0.001 = 0.040 Ω; 5750 A for 0.1 s need 15.8 mm²; 16 mm² has 6
      'a metre from a stiff supply: no protective conductor of flat twin stands the fault',
      run({ type: 'flat-twin', stretch: { laid: 'clipped', lengthM: 1 }, amperes: 32, deviceA: 32, ze: 0.02 }),
      null,
      ['protective-conductor'],
    ],
    [
      'three-phase, 50 m in the ground, B32: 4 mm² carries 36 A and drops 4 %; 2.5 mm² 28 A and 6.4 %',
      run({
        type: 'armoured',
        phases: 3,
        stretch: { laid: 'buried', lengthM: 50 },
        amperes: 32,
        deviceA: 32,
        cpc: { cpc: 'core' },
      }),
      4,
      ['capacity', 'volt-drop'],
    ],
  ])('%s', (_working, on, smallest, limitedBy) => {
    const search = searchSizes(on, undefined);
    expect(search.smallestMm2).toBe(smallest);
    expect(search.limitedBy).toEqual(limitedBy);
  });

  it('20 m of 6 mm² behind B40: Zs = 0.35 + 0.252 = 0.602 Ω; 230 ÷ 0.602 = 382 A; √(382² × 0.1) ÷ 115 = 1.05 mm² of 2.5', () => {
    const on = run({ type: 'flat-twin', stretch: { laid: 'clipped', lengthM: 20 }, amperes: 32, deviceA: 40 });
    const verdict = judgeSize(on, row(on.form, 6));
    expect(verdict.state).toBe('passes');
    expect(verdict.loop.value).toBeCloseTo(0.6018, 4);
    expect(verdict.leastCpc.value).toBeCloseTo(1.051, 3);
    expect(verdict.cpcMm2).toBe(2.5);
    expect(verdict.loop.working.map(({ substituted }) => substituted).join(' ')).toContain('1.2 × (3.08 + 7.41) × 20');
  });

  it('what is not known rules nothing in: a length not measured names no size, and says so', () => {
    const search = searchSizes(
      run({ type: 'flat-twin', stretch: { laid: 'clipped' }, amperes: 32, deviceA: 40 }),
      undefined,
    );
    expect(search.smallestMm2).toBeNull();
    expect(search.smallestOpenMm2).toBe(6);
    expect(search.sizes.find(({ sizeMm2 }) => sizeMm2 === 6)?.notKnown.join(' ')).toContain('length is not known');
  });

  it('a cpc recorded for one size says nothing of the others, unless it is separate', () => {
    const stretch = { laid: 'clipped', lengthM: 20 } as const;
    const own = searchSizes(
      run({ type: 'flat-twin', stretch, amperes: 32, deviceA: 40, cpc: { cpc: 'core', cpcMm2: 1 } }),
      6,
    );
    expect(own.sizes.map(({ cpcMm2 }) => cpcMm2)).toEqual([1, 1, 1.5, 1.5, 1, 4, 6]);
    const apart = searchSizes(
      run({ type: 'flat-twin', stretch, amperes: 32, deviceA: 40, cpc: { cpc: 'separate', cpcMm2: 4 } }),
      6,
    );
    expect(new Set(apart.sizes.map(({ cpcMm2 }) => cpcMm2))).toEqual(new Set([4]));
  });
});

describe('laws of cables', () => {
  const cables = [form('flat-twin'), form('armoured'), form('armoured', 3)];
  const cable = fc.constantFrom(...cables);
  const lengthM = fc.double({ min: 0, max: 300, noNaN: true });
  const amperes = fc.double({ min: 1, max: 200, noNaN: true });

  it('a longer cable or a larger current never lowers volt drop; a thicker one never raises it', () => {
    fc.assert(
      fc.property(cable, lengthM, lengthM, amperes, amperes, (of, a, b, i, j) => {
        const [short, long] = [Math.min(a, b), Math.max(a, b)];
        const [small, large] = [Math.min(i, j), Math.max(i, j)];
        let last = Infinity;
        for (const size of of.rows) {
          const drop = (length: number, current: number): number =>
            voltDrop(rules, 230, of, size, length, singlePhase(current)).value;
          expect(drop(long, small)).toBeGreaterThanOrEqual(drop(short, small));
          expect(drop(short, large)).toBeGreaterThanOrEqual(drop(short, small));
          expect(drop(long, large)).toBeLessThanOrEqual(last);
          last = drop(long, large);
        }
      }),
    );
  });

  it('more circuits together, more heat or more insulation never raise capacity; more copper never lowers it', () => {
    const laid = fc.constantFrom(...LAID);
    const tabulated = (of: Readonly<Record<number, number>>): number[] => Object.keys(of).map(Number);
    fc.assert(
      fc.property(cable, laid, (of, how) => {
        const capacities = of.rows.flatMap((size) => {
          const plain = stretchCapacity(rules, of, size, { laid: how });
          if (!plain.ok) return [];
          const never = (stretch: Stretch): void => {
            const worse = stretchCapacity(rules, of, size, { laid: how, ...stretch });
            expect(worse.ok && worse.value.value).toBeLessThanOrEqual(plain.value.value);
          };
          for (const circuitsTogether of tabulated(rules.grouping.value[how])) never({ circuitsTogether });
          for (const insulationMm of [...tabulated(rules.surrounded.value), 900]) never({ insulationMm });
          const ambient = how === 'buried' ? rules.ambientInGround : rules.ambientInAir;
          const reference = how === 'buried' ? 20 : 30;
          for (const ambientC of tabulated(ambient.value[of.insulation]))
            if (ambientC >= reference) never({ ambientC });
          return [plain.value.value];
        });
        expect(capacities).toEqual([...capacities].sort((a, b) => a - b));
      }),
    );
  });

  it('the smallest size never shrinks when the way gets longer, the supply worse, or more is lost before it', () => {
    const inputs = fc.record({
      lengthM,
      more: fc.double({ min: 0, max: 100, noNaN: true }),
      before: fc.double({ min: 0, max: 3, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.constantFrom<CableType>('flat-twin', 'armoured'),
        inputs,
        (type, { lengthM: length, more, before }) => {
          const least = (of: Partial<Parameters<typeof run>[0]> & { length: number }): number =>
            // The size by volt drop and capacity alone; a thicker cable's stiffer fault is its own matter.
            searchSizes(
              run({
                type,
                stretch: { laid: 'clipped', lengthM: of.length },
                amperes: 32,
                deviceA: 40,
                cpc: { cpc: 'core' },
                ...of,
              }),
              undefined,
            ).sizes.find(({ failsBy }) => !failsBy.includes('volt-drop') && !failsBy.includes('capacity'))?.sizeMm2 ??
            Infinity;
          expect(least({ length: length + more })).toBeGreaterThanOrEqual(least({ length }));
          expect(least({ length, before })).toBeGreaterThanOrEqual(least({ length }));
        },
      ),
    );
  });

  it('a larger device, or a slower curve, never allows a larger loop', () => {
    const rating = fc.constantFrom(...rules.deviceRatingsA.value);
    fc.assert(
      fc.property(rating, rating, fc.constantFrom(...CURVES), (a, b, curve) => {
        const limit = (ratingA: number): number => largestLoopForDevice(rules, 230, curve, ratingA).value;
        expect(limit(Math.max(a, b))).toBeLessThanOrEqual(limit(Math.min(a, b)));
      }),
    );
  });

  it('a protective conductor that passes goes on passing when the supply’s loop grows within the limit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        (ze, more) => {
          const at = (ohm: number) =>
            judgeSize(
              run({ type: 'flat-twin', stretch: { laid: 'clipped', lengthM: 10 }, amperes: 32, deviceA: 40, ze: ohm }),
              row(form('flat-twin'), 6),
            );
          const [near, far] = [at(ze), at(ze + more)];
          if (!near.failsBy.includes('protective-conductor') && !far.failsBy.includes('loop-impedance'))
            expect(far.failsBy).not.toContain('protective-conductor');
        },
      ),
    );
  });
});
