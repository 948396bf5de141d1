import { TrialRecord, type TrialPartResult, type TrialSpread, type TrialWayResult } from '../survey/trial';
import { lineOf, type TrialNeeds, type TrialPlan, type TrialWay } from './plan';
import { spread, statistics, type Spread } from './statistics';
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
    houseKwh: kept(spread(years.flatMap(([first]) => first?.houseKwh ?? [])), 0),
    ways: plan.ways.map((way, at): TrialWayResult => {
      const ofWay = years.flatMap((each) => each[at] ?? []);
      const of = statistics(ofWay);
      return {
        ...runOf(way),
        highestA: kept(of.highestA, 2),
        minutesOver: kept(of.minutesOver, 0),
        longestOverMin: kept(of.longestOverMin, 0),
        warmestPercent: kept(of.warmest, 1, 100),
        shortKwh: kept(of.shortKwh, 2),
        morningsShort: kept(of.morningsShort, 0),
        pauses: kept(of.pauses, 0),
        ...(plan.parts.length > 1 ? { parts: otherParts(plan, ofWay) } : {}),
      };
    }),
  };
}

function otherParts(plan: TrialPlan, years: readonly YearFigures[]): TrialPartResult[] {
  return plan.parts.flatMap(({ nodeId, label, ratingA }, at): TrialPartResult[] => {
    if (at === 0) return [];
    const of = years.flatMap(({ parts }) => parts[at] ?? []);
    return [
      {
        id: nodeId,
        label,
        ratingA,
        highestA: kept(spread(of.map(({ highestA }) => highestA)), 2),
        minutesOver: kept(spread(of.map(({ minutesOver }) => minutesOver)), 0),
        warmestPercent: kept(spread(of.map(({ warmest }) => warmest)), 1, 100),
      },
    ];
  });
}

function parametersOf(proposalId: string, plan: TrialPlan): TrialRecord {
  const { seed, house, appliances, chargers, terms, ways, parts } = plan;
  const [charger] = chargers;
  const { cheap, kwhPerDay, arrivesH, leavesH, onboardA } = charger?.needs ?? {};
  return {
    id: proposalId,
    seed,
    source: house.from,
    ...(house.from === 'log' ? { measurementId: house.measurementId } : {}),
    loads: appliances.map(({ class: kind, currentA, count, habit, assumed }, at) => ({
      id: `load-${at + 1}`,
      class: kind,
      currentA,
      count,
      habit,
      ...(assumed ? { assumed } : {}),
    })),
    chargers: chargers.map(({ id, needs }) => ({ id, onboardA: needs.onboardA, lines: needs.lines })),
    ...(terms.fault === undefined ? {} : { fault: terms.fault, faultShare: terms.faultShare }),
    phase: lineOf(plan),
    ...(parts[0] ? { ratingA: parts[0].ratingA } : {}),
    nominalV: terms.nominalV,
    leastA: terms.leastA,
    restartMin: terms.restartMin,
    ...(kwhPerDay === undefined ? {} : { kwhPerDay }),
    ...(arrivesH === undefined ? {} : { arrivesH }),
    ...(leavesH === undefined ? {} : { leavesH }),
    ...(onboardA === undefined ? {} : { onboardA }),
    chargerPhases: charger?.needs.lines === 3 ? 3 : 1,
    ...(cheap ? { cheapFromH: cheap.fromH, cheapToH: cheap.toH } : {}),
    planMark: markOf(plan),
    ways: ways.map(runOf),
  };
}

/** How the charger asked for is run in a way. */
function runOf({ id, name, runs }: TrialWay): TrialWayResult {
  const running = runs[0]?.running;
  return {
    id,
    name,
    ...(running ? { limitA: running.limitA } : {}),
    ...(running?.kind === 'managed' ? { setPointA: running.setPointA, failSafeA: running.failSafeA } : {}),
  };
}

/** Rounded so that the survey holds no digits that mean nothing. */
function kept({ p5, median, p95, most }: Spread, digits: number, by = 1): TrialSpread {
  const round = (value: number): number => Number((value * by).toFixed(digits));
  return { p5: round(p5), median: round(median), p95: round(p95), most: round(most) };
}

/** Whether a kept trial was played from what the survey says now: the same plan throughout. */
export function stillTrue(record: TrialRecord, plan: TrialPlan | TrialNeeds): boolean {
  return 'ways' in plan && record.planMark === markOf(plan);
}

/** A plan in sixteen digits (two FNV-1a of 32 bits): the same for the same content, whatever order its fields are in. */
function markOf(plan: TrialPlan): string {
  const text = JSON.stringify(plan, (_key, part: unknown) =>
    typeof part === 'object' && part !== null && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => a.localeCompare(b)))
      : part,
  );
  const hash = (basis: number): string => {
    let found = basis;
    for (let at = 0; at < text.length; at += 1) found = Math.imul(found ^ text.charCodeAt(at), 0x01000193);
    return (found >>> 0).toString(16).padStart(8, '0');
  };
  return `${hash(0x811c9dc5)}${hash(0x050c5d1f)}`;
}
