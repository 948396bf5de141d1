import type { Assessment } from '../assessment';
import { leastWithCharger, rungsOf, withCharger } from '../feeder/room';
import type { CircuitFacts } from '../circuit/circuit-facts';
import { settingsOf } from '../management/settings';
import type { Rules } from '../rules/rules';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { supplyTree } from '../tree/supply-tree';
import { exceeds } from '../worked';
import { shown } from '../rules/rounding';

/** What one node has left, in amperes, in one way of running the charger; negative is over, null is not known. */
export interface GuardCell {
  readonly leftA: number | null;
  /** What flows on each line; empty where it is not known. */
  readonly flowsA: readonly number[];
  /** The working on the fullest line, or what is not known. */
  readonly says: string;
}

/** One way of running the charger, held against every node from the street to it. */
export interface GuardMode {
  readonly id: string;
  readonly name: string;
  /** What the charger draws; null for what is managed. */
  readonly currentA: number | null;
  readonly cells: readonly GuardCell[];
  readonly holds: boolean | null;
}

export interface GuardTable {
  readonly nodes: readonly { readonly id: string; readonly label: string; readonly ratingA: number | null }[];
  readonly modes: readonly GuardMode[];
}

/**
 * Full rate, each usual setting below it and, where a clamp is reckoned, managed and fail-safe, each against the rating of
 * every node on the way, street first: unmanaged, everything else there and the charger; managed, as section 10 of the guide.
 */
export function guardTable(survey: Survey, assessment: Assessment, proposal: Proposal, rules: Rules): GuardTable {
  const tree = supplyTree(survey);
  const facts: CircuitFacts = {
    survey,
    rules,
    tree,
    phases: assessment.supply.phases,
    nodes: new Map(assessment.nodes.map((node) => [node.id, node])),
    uncountedA: new Map(),
    limiterHolds: assessment.demand.limiter.holds === true,
  };
  const rungs = rungsOf(proposal, facts).reverse();
  const { ratedA } = proposal;
  const rates = ratedA === undefined ? [] : [ratedA, ...settingsOf(proposal, rules)];
  const nodes = rungs.map(({ here, name, ratingA }) => ({ id: here.node.id, label: name, ratingA: ratingA ?? null }));
  const sure = assessment.supply.ratingEstablished === true;
  const modes = rates.map((currentA, at): GuardMode => {
    const cells = rungs.map((rung): GuardCell => {
      const amperes = withCharger(rung, proposal, currentA, facts);
      if (!amperes.ok) return lowerBound(leastWithCharger(rung, proposal, currentA, facts), rung.ratingA, amperes.says);
      const most = Math.max(...amperes.value);
      const onIt = rung.otherA.ok ? most - (rung.otherA.value[amperes.value.indexOf(most)] ?? most) : 0;
      return cellOf(
        amperes.value,
        rung.ratingA,
        `${shown(most - onIt)} A of everything else${onIt > 0 ? ` + ${shown(onIt)} A` : ''}`,
      );
    });
    return {
      id: `rate-${currentA}`,
      name: at === 0 ? `Full, ${currentA} A` : `${currentA} A`,
      currentA,
      cells,
      holds: holdsIn(cells, sure),
    };
  });
  const guarded = assessment.nodes.some(({ guard }) => guard !== undefined);
  if (guarded && proposal.limiter.kind === 'clamp') {
    const managed = nodes.map(({ id, ratingA }): GuardCell => {
      const figures = Object.values(facts.nodes.get(id)?.managed ?? {});
      const flows = figures.map(({ value }) => value);
      if (figures.length === 0 || flows.includes(null))
        return unknownCell(figures[0]?.why ?? 'the demand is not known');
      const short = figures.find(({ bound }) => bound === 'at-least');
      if (short)
        return lowerBound(
          flows.map((value) => value ?? 0),
          ratingA ?? undefined,
          short.why ?? 'something is missing from it',
        );
      const fullest = figures.reduce((most, each) => ((each.value ?? 0) > (most.value ?? 0) ? each : most));
      return cellOf(
        flows.map((value) => value ?? 0),
        ratingA ?? undefined,
        fullest.working.at(-1)?.substituted ?? '',
      );
    });
    const kept = holdsIn(managed, sure);
    const guards = nodes.map(({ id }) => facts.nodes.get(id)?.guard?.holds ?? null);
    // A guard also counts with the clamp at its worst, and with times shorter than the half hour.
    modes.push({
      id: 'managed',
      name: 'Managed',
      currentA: null,
      cells: managed,
      holds: guards.includes(false) ? false : guards.includes(null) ? null : kept,
    });
    const lost = nodes.map(({ id, ratingA }): GuardCell => {
      const node = facts.nodes.get(id);
      const flows = Object.values(node?.lost ?? {});
      const whole = Object.values(node?.after ?? {}).every(({ bound }) => bound === 'exact');
      if (flows.length === 0 || !whole) return lowerBound(flows, ratingA ?? undefined, 'the demand is not known');
      return cellOf(flows, ratingA ?? undefined, 'everything else and every charger at its fail-safe');
    });
    modes.push({
      id: 'lost',
      name: 'Clamp lost',
      currentA: proposal.limiter.failSafeA ?? null,
      cells: lost,
      holds: holdsIn(lost, sure),
    });
  }
  return { nodes, modes };
}

function unknownCell(says: string): GuardCell {
  return { leftA: null, flowsA: [], says };
}

/** A demand of which something is missing: over where even so much is over, otherwise not known. */
function lowerBound(flowsA: readonly number[] | null, ratingA: number | undefined, says: string): GuardCell {
  const most = Math.max(0, ...(flowsA ?? []));
  if (!flowsA || ratingA === undefined || !exceeds(most, ratingA)) return unknownCell(says);
  return { leftA: ratingA - most, flowsA, says: `at least ${shown(most)} A on ${shown(ratingA)} A; ${says}` };
}

function cellOf(flowsA: readonly number[], ratingA: number | undefined, from: string): GuardCell {
  const most = Math.max(...flowsA);
  const total = from.includes('=') ? from : `${from} = ${shown(most)} A`;
  return ratingA === undefined
    ? { leftA: null, flowsA, says: `${total}; its rating is not known` }
    : { leftA: ratingA - most, flowsA, says: `${total} on ${shown(ratingA)} A` };
}

/** One node over its rating fails them all; one nobody has a rating or a demand for, or a fuse nobody has confirmed, leaves it open. */
function holdsIn(cells: readonly GuardCell[], sure: boolean): boolean | null {
  if (cells.some(({ leftA }) => leftA !== null && exceeds(0, leftA))) return false;
  return !sure || cells.some(({ leftA }) => leftA === null) ? null : true;
}
