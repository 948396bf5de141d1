import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import { RULE_SETS } from '../rules/catalogue';
import { blankSurvey } from '../survey/blank';
import type { Survey } from '../survey/survey';
import { settledSurvey } from '../testing/settled-survey';
import { elsewhereYear } from './elsewhere';
import { plannedPool } from './plan';
import { poolOnSupply } from './on-supply';
import { playSeed, worstNight } from './play';
import { POLICIES } from './policies';

const [rules] = RULE_SETS;
if (!rules) throw new Error('no rules');

const outlets = (count: number) => Array.from({ length: count }, (_each, at) => ({ id: `o${at + 1}`, alongM: at * 3 }));
const withPool = (survey: Survey, pool: Survey['pool']): Survey => ({ ...survey, ...(pool ? { pool } : {}) });
const planned = (survey: Survey) => plannedPool(survey, assess(survey, rules), rules);

describe('a pool in a survey', () => {
  it('says what it still needs, one thing after another', () => {
    const blank = blankSurvey();
    expect(planned(blank)).toEqual({ needs: 'The bays of the row.' });
    expect(planned(withPool(blank, { outlets: outlets(3) }))).toEqual({ needs: 'The set-point.' });
    expect(planned(withPool(blank, { outlets: outlets(3), setPointA: 60 }))).toEqual({
      needs: 'The loads of the supply, or what everything else draws in the evening and otherwise.',
    });
    expect(
      planned(withPool(blank, { outlets: outlets(3), setPointA: 60, otherEveningA: 20, otherElseA: 5 })),
    ).toMatchObject({
      setPointA: 60,
      elsewhere: { from: 'said', eveningA: 20, elseA: 5 },
      terms: { policy: 'equal', leastA: 6, turnMin: 15 },
    });
  });

  it('takes everything else from the loads of the survey, and stands on the line of a single-phase supply', () => {
    const survey = withPool(settledSurvey(), { outlets: outlets(3), setPointA: 60 });
    const found = planned(survey);
    expect(found).toMatchObject({
      elsewhere: { from: 'loads' },
      outlets: [{ lines: ['L1'] }, { lines: ['L1'] }, { lines: ['L1'] }],
    });
    if ('needs' in found) throw new Error(found.needs);
    const [line = new Float32Array(), two = new Float32Array()] = elsewhereYear(found, 1);
    expect(line.some((amperes) => amperes > 0)).toBe(true);
    expect(two.every((amperes) => amperes === 0)).toBe(true);
  });

  it('shares every part up to the supply’s own fuse, each with its rating and what else it carries', () => {
    const survey = withPool(settledSurvey(), { outlets: outlets(2), setPointA: 60 });
    const { parts } = poolOnSupply(survey, assess(survey, rules), rules);
    expect(parts.length).toBeGreaterThan(0);
    for (const { ratingA, otherA } of parts) {
      expect(ratingA).toBeGreaterThan(0);
      expect(otherA.L1).toBeGreaterThan(0);
    }
    // With loads that nobody has counted nothing is guaranteed.
    const uncounted = { ...survey, loads: [{ id: 'x', class: 'cooker' as const }] } as unknown as Survey;
    expect(poolOnSupply(uncounted, assess(uncounted, rules), rules).parts[0]?.otherA.L1).toBeNull();
  });

  it('counts other new equipment past the clamps at its limit all the time, an outlet of the row not', () => {
    const survey = withPool(settledSurvey(), { outlets: outlets(2), setPointA: 60, otherEveningA: 10, otherElseA: 4 });
    const car = survey.proposals.find(({ kind }) => kind === 'vehicle-charger');
    if (car) Object.assign(car, { ratedA: 32, limiter: { kind: 'fixed', fixedA: 16 } });
    const found = planned(survey);
    if ('needs' in found) throw new Error(found.needs);
    expect(found.besideA[0]).toBe(16);
    expect(elsewhereYear(found, 1)[0]?.[0]).toBe(20);
    // The charger is the row’s first outlet: it is not beside itself.
    const isOutlet = withPool(survey, {
      ...(survey.pool as NonNullable<typeof survey.pool>),
      outlets: [{ id: car?.id ?? '' }],
    });
    expect(planned(isOutlet)).toMatchObject({ besideA: [0, 0, 0] });
    // Of a size that is not known nothing is played.
    if (car) delete car.ratedA;
    expect(planned(survey)).toMatchObject({ needs: expect.stringMatching(/^The size of/) as unknown });
  });

  it('is held against the smallest fuse at or above the clamps that nothing passes beside them', () => {
    const survey = withPool(settledSurvey(), { outlets: outlets(2), setPointA: 60, otherEveningA: 10, otherElseA: 4 });
    const fuseA = survey.supply.nodes.find(({ kind }) => kind === 'cut-out')?.ratingA;
    expect(planned(survey)).toMatchObject({ fuse: { ratingA: fuseA } });
  });

  it('turns outlets along a three-phase supply, but for those that say their line', () => {
    const base = settledSurvey();
    const survey = withPool(
      { ...base, supply: { ...base.supply, phases: 3 } },
      { outlets: [...outlets(3), { id: 'own', firstLine: 'L2' as const, phases: 1 as const }], setPointA: 60 },
    );
    const { outlets: found } = poolOnSupply(survey, assess(survey, rules), rules);
    expect(new Set(found.slice(0, 3).map(({ lines }) => lines[0])).size).toBe(3);
    expect(found[3]).toEqual({ id: 'own', lines: ['L2'], mostA: 32 });
  });
});

describe('how many cars are carried', () => {
  const survey = withPool(blankSurvey(), { outlets: outlets(12), setPointA: 20, otherEveningA: 8, otherElseA: 4 });

  it('is found by halving: what is carried holds one morning in twenty, one more does not', () => {
    const found = planned(survey);
    if ('needs' in found) throw new Error(found.needs);
    const { carried, played } = playSeed(found, 'equal', 3);
    expect(carried).toBeGreaterThan(0);
    expect(carried).toBeLessThan(12);
    expect(played.find(({ cars }) => cars === carried)?.shortShare).toBeLessThanOrEqual(0.05);
    expect(played.find(({ cars }) => cars === carried + 1)?.shortShare).toBeGreaterThan(0.05);
    const night = worstNight(found, 'equal', 3, carried + 1);
    expect(night?.outletsA).toHaveLength(carried + 1);
    expect(night?.outletsA.some((each) => each.some((amperes) => amperes > 0))).toBe(true);
  });

  it('law: on one line a larger set-point never carries fewer cars of the same seed, under any policy that leaves nothing lying', () => {
    const found = planned(survey);
    if ('needs' in found) throw new Error(found.needs);
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 60 }),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 50 }),
        fc.constantFrom(...POLICIES),
        (setPointA, moreA, seed, policy) => {
          const at = (amperes: number): number => playSeed({ ...found, setPointA: amperes }, policy, seed).carried;
          expect(at(setPointA + moreA)).toBeGreaterThanOrEqual(at(setPointA));
        },
      ),
      { numRuns: lawRuns(25) },
    );
  });

  it('is never fewer at a larger set-point, with the same seed', () => {
    const found = planned(survey);
    if ('needs' in found) throw new Error(found.needs);
    const carried = [14, 20, 26, 40].map((setPointA) => playSeed({ ...found, setPointA }, 'first-come', 3).carried);
    expect(carried).toEqual([...carried].sort((a, b) => a - b));
    expect(carried[0]).toBeLessThan(carried[3] ?? 0);
  });
});
