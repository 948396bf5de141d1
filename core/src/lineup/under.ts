import type { Lineup, LineupRow } from './layout';
import { exceeds } from '../worked';

/** What flows at one node in one way of running the charger, line by line, and what that leaves. */
export interface NodeFlowUnder {
  readonly id: string;
  readonly flowsA: readonly number[];
  readonly leftA: number | null;
}

/** The line-up with the charger run in one way: the nodes on its way show what then flows, and whether each holds. */
export function lineupUnder(lineup: Lineup, flows: readonly NodeFlowUnder[]): Lineup {
  const byId = new Map(flows.map((flow) => [flow.id, flow]));
  const known = flows.flatMap(({ leftA }) => (leftA === null ? [] : [leftA]));
  const least = known.length === 0 ? null : Math.min(...known);
  const rows = lineup.rows.map((row): LineupRow => {
    const flow = byId.get(row.id);
    if (!flow) return { ...row, weakest: false };
    const { flowsA, leftA } = flow;
    const most = flowsA.length === 0 ? null : Math.max(...flowsA);
    const over = leftA !== null && exceeds(0, leftA);
    return {
      ...row,
      bars: row.bars.map((bar, at) => ({
        ...bar,
        afterA: flowsA[row.bars.length === 1 ? flowsA.indexOf(most ?? 0) : at] ?? most,
      })),
      afterA: most,
      headroomA: leftA,
      over,
      held: leftA === null ? null : !over,
      weakest: leftA !== null && leftA === least,
    };
  });
  const amperes = rows.flatMap(({ ratingA, afterA }) => [ratingA ?? 0, afterA ?? 0]);
  return { ...lineup, rows, scaleA: Math.max(lineup.scaleA, Math.ceil((Math.max(0, ...amperes) * 1.08) / 10) * 10) };
}
