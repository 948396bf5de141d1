import type { Assessment } from '../assessment';
import { rungsOf, withCharger } from '../circuit/room';
import type { CircuitFacts } from '../circuit/circuit-facts';
import type { RulePack } from '../rules/rule-pack';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { supplyTree } from '../tree/supply-tree';

/** What one node has left, in amperes, in one way of running the charger; negative is over, null is not known. */
export interface GuardCell {
  readonly leftA: number | null;
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
export function guardTable(survey: Survey, assessment: Assessment, proposal: Proposal, pack: RulePack): GuardTable {
  const tree = supplyTree(survey);
  const facts: CircuitFacts = {
    survey,
    pack,
    tree,
    phases: assessment.supply.phases,
    nodes: new Map(assessment.nodes.map((node) => [node.id, node])),
    uncountedA: new Map(),
  };
  const rungs = rungsOf(proposal, facts).reverse();
  const { ratedA } = proposal;
  const rates = ratedA === undefined ? [] : [ratedA, ...pack.circuit.settingsA.value.filter((step) => step < ratedA)];
  const nodes = rungs.map(({ here, name, ratingA }) => ({ id: here.node.id, label: name, ratingA: ratingA ?? null }));
  const modes = rates.map((currentA, at): GuardMode => {
    const cells = rungs.map((rung): GuardCell => {
      const amperes = withCharger(rung, proposal, currentA, facts);
      return { leftA: amperes.ok && rung.ratingA !== undefined ? rung.ratingA - Math.max(...amperes.value) : null };
    });
    return {
      id: `rate-${currentA}`,
      name: at === 0 ? `Full, ${currentA} A` : `${currentA} A`,
      currentA,
      cells,
      holds: holdsIn(cells, nodes),
    };
  });
  const guarded = assessment.nodes.some(({ guard }) => guard !== undefined);
  if (guarded && proposal.limiter.kind === 'clamp') {
    const managed = nodes.map(({ id, ratingA }): GuardCell => {
      const figures = Object.values(facts.nodes.get(id)?.managed ?? {});
      const most = Math.max(...figures.map(({ value }) => value ?? Infinity));
      return { leftA: ratingA === null || !Number.isFinite(most) || figures.length === 0 ? null : ratingA - most };
    });
    modes.push({ id: 'managed', name: 'Managed', currentA: null, cells: managed, holds: holdsIn(managed, nodes) });
    const failSafeA = proposal.limiter.failSafeA ?? null;
    const lost = nodes.map(({ id }): GuardCell => {
      const most = facts.nodes.get(id)?.guard?.mostFailSafeA ?? null;
      return { leftA: most === null || failSafeA === null ? null : most - Math.min(failSafeA, ratedA ?? failSafeA) };
    });
    modes.push({ id: 'lost', name: 'Clamp lost', currentA: failSafeA, cells: lost, holds: holdsIn(lost, nodes) });
  }
  return { nodes, modes };
}

/** A node nobody has a rating for holds nothing and stops nothing; one whose demand is not known leaves it open. */
function holdsIn(cells: readonly GuardCell[], nodes: GuardTable['nodes']): boolean | null {
  if (cells.some(({ leftA }) => leftA !== null && leftA < -1e-6)) return false;
  return cells.some(({ leftA }, at) => leftA === null && nodes[at]?.ratingA !== null) ? null : true;
}
