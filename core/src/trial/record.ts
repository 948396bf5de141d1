import { TrialRecord, type TrialSpread, type TrialWayResult } from '../survey/trial';
import type { TrialPlan } from './plan';
import { statistics, type Spread } from './statistics';
import type { YearFigures } from './year';

/** A trial as it is kept with the survey: seed, parameters and figures. Years are those played, by way in the plan's order. */
export function trialRecord(
  proposalId: string,
  plan: TrialPlan,
  years: readonly (readonly YearFigures[])[],
  played: { readonly by: string; readonly at: string },
): TrialRecord {
  return {
    ...parametersOf(proposalId, plan),
    years: years.length,
    playedAt: played.at,
    playedBy: played.by,
    ways: plan.ways.map(({ id, name, running }, at): TrialWayResult => {
      const of = statistics(years.flatMap((each) => each[at] ?? []));
      return {
        id,
        name,
        limitA: running.limitA,
        ...(running.kind === 'managed' ? { setPointA: running.setPointA, failSafeA: running.failSafeA } : {}),
        highestA: kept(of.highestA, 2),
        minutesOver: kept(of.minutesOver, 0),
        longestOverMin: kept(of.longestOverMin, 0),
        warmestPercent: kept(of.warmest, 1, 100),
        shortKwh: kept(of.shortKwh, 2),
        morningsShort: kept(of.morningsShort, 0),
        pauses: kept(of.pauses, 0),
      };
    }),
  };
}

function parametersOf(proposalId: string, { seed, phase, house, needs, terms, ways }: TrialPlan): TrialRecord {
  const { cheap } = needs;
  return {
    id: proposalId,
    seed,
    source: house.from,
    ...(house.from === 'log'
      ? { measurementId: house.measurementId }
      : {
          loads: house.loads.map(({ class: kind, currentA, count, unseen }, at) => ({
            id: `load-${at + 1}`,
            class: kind,
            currentA,
            count,
            ...(unseen ? { unseen } : {}),
          })),
        }),
    ...(terms.fault === undefined ? {} : { fault: terms.fault, faultShare: terms.faultShare }),
    phase,
    ratingA: terms.ratingA,
    nominalV: terms.nominalV,
    leastA: terms.leastA,
    restartMin: terms.restartMin,
    seesOwn: terms.seesOwn,
    kwhPerDay: needs.kwhPerDay,
    arrivesH: needs.arrivesH,
    leavesH: needs.leavesH,
    onboardA: needs.onboardA,
    chargerPhases: needs.phases,
    ...(cheap ? { cheapFromH: cheap.fromH, cheapToH: cheap.toH } : {}),
    ways: ways.map(({ id, name, running }) => ({
      id,
      name,
      limitA: running.limitA,
      ...(running.kind === 'managed' ? { setPointA: running.setPointA, failSafeA: running.failSafeA } : {}),
    })),
  };
}

/** Rounded so that the survey holds no digits that mean nothing. */
function kept({ p5, median, p95, most }: Spread, digits: number, by = 1): TrialSpread {
  const round = (value: number): number => Number((value * by).toFixed(digits));
  return { p5: round(p5), median: round(median), p95: round(p95), most: round(most) };
}

/** Whether a kept trial was played from what the survey says now: the same parameters throughout. */
export function stillTrue(record: TrialRecord, plan: TrialPlan): boolean {
  const then: TrialRecord = { ...record, ways: (record.ways ?? []).map(bare) };
  delete then.years;
  delete then.playedAt;
  delete then.playedBy;
  return canonical(then) === canonical(parametersOf(record.id, plan));
}

function bare({ id, name, limitA, setPointA, failSafeA }: TrialWayResult): TrialWayResult {
  return {
    id,
    ...(name === undefined ? {} : { name }),
    ...(limitA === undefined ? {} : { limitA }),
    ...(setPointA === undefined ? {} : { setPointA }),
    ...(failSafeA === undefined ? {} : { failSafeA }),
  };
}

/** One text for one content, whatever order its fields are in. */
function canonical(value: object): string {
  return JSON.stringify(value, (_key, part: unknown) =>
    typeof part === 'object' && part !== null && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => a.localeCompare(b)))
      : part,
  );
}
