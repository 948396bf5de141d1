import type { NodeAssessment } from '../nodes/node-assessment';
import { chargerLimitA } from '../management/limiter';
import type { Proposal } from '../survey/proposal';
import { nodeOf } from '../tree/sets-below';
import { phaseAt, protects, towardsStreet, type TreeNode } from '../tree/supply-tree';
import { exceeds } from '../worked';
import { currentOf, dropOf, hasRun } from '../circuit/along';
import { cableForm, cableRow } from '../cable/cable-forms';
import { capacityOf } from '../cable/capacity';
import { linesAt, type CircuitFacts } from '../circuit/circuit-facts';
import { nodeName } from '../survey/words/words';
import { found, notKnown, type Lookup } from '../cable/lookup';
import { ownDevice } from '../circuit/own-device';
import { shown } from '../rules/rounding';

/** What a node between the street and a charger has to carry besides it, and the most it may. */
export interface Rung {
  readonly here: TreeNode;
  readonly name: string;
  /** Demand of everything but the charger on each phase it is on, in amperes. */
  readonly otherA: Lookup<readonly number[]>;
  /** Its rating, and what its cable carries; a bound nobody recorded holds nothing. */
  readonly ratingA: number | undefined;
  readonly cableA: Lookup<number> | undefined;
}

/** The way from the charger to the street: every node that carries it, the nearest first, the service cable left out. */
export function rungsOf(proposal: Proposal, facts: CircuitFacts): Rung[] {
  return towardsStreet(nodeOf(facts.tree, proposal.nodeId))
    .filter(({ node }) => node.kind !== 'service')
    .map((here) => {
      const node = facts.nodes.get(here.node.id);
      return {
        here,
        name: nodeName(here.node),
        otherA: node ? otherDemand(node, proposal, facts) : notKnown('the demand it carries is not known'),
        ratingA: node?.ratingA ?? undefined,
        cableA: hasRun(here) ? cableCapacity(here, facts) : undefined,
      };
    });
}

/** What a node's cable carries as it is laid, in amperes. */
export function cableCapacity(here: TreeNode, facts: CircuitFacts): Lookup<number> {
  const rules = facts.rules.circuit;
  const { cable } = here.node;
  const form = cableForm(rules, cable?.type, linesAt(here, facts), cable?.terminalsFor90);
  if (!form.ok) return form;
  const row = cableRow(form.value, cable?.sizeMm2);
  if (!row.ok) return row;
  const capacity = capacityOf(rules, form.value, row.value, cable ? [cable] : []);
  return capacity.ok ? found(capacity.value.value) : capacity;
}

/**
 * Demand of everything but one charger. Vehicle charging is counted in full, so what is left when its limit is taken
 * away is the rest; where an interlock keeps the two apart, the demand before the work is the greater and stands.
 */
function otherDemand(node: NodeAssessment, proposal: Proposal, facts: CircuitFacts): Lookup<readonly number[]> {
  const limitA = chargerLimitA(proposal);
  if (limitA === null) return notKnown('the rating of the new equipment is not known');
  const on = chargerPhases(proposal, facts);
  const amperes: number[] = [];
  const more = facts.uncountedA.get(node.id);
  for (const [at, phase] of facts.phases.entries()) {
    const [before, after] = [node.before[phase], node.after[phase]];
    if (!after || after.value === null || after.bound === 'at-least')
      return notKnown(after?.why ?? 'the demand it carries is not known');
    const own = on.includes(phase) ? limitA : 0;
    amperes.push(Math.max(before?.value ?? 0, after.value - own, 0) + (more?.[at] ?? 0));
  }
  return found(amperes);
}

function chargerPhases(proposal: Proposal, facts: CircuitFacts): CircuitFacts['phases'] {
  const line = proposal.phase ?? phaseAt(nodeOf(facts.tree, proposal.nodeId));
  if (facts.phases.length === 1 || proposal.phases === 3 || line === undefined || line === 'all') return facts.phases;
  return [line];
}

/** Why a charger may not draw so much: the node that stops it and how, or what is not known. Null when it may. */
export interface Stop {
  readonly state: 'over' | 'not-known';
  readonly nodeId: string;
  readonly says: string;
}

/** The currents of the lines at a node with the charger drawing so many amperes. */
export function withCharger(
  rung: Rung,
  proposal: Proposal,
  chargerA: number,
  facts: CircuitFacts,
): Lookup<readonly number[]> {
  if (!rung.otherA.ok) return rung.otherA;
  const on = chargerPhases(proposal, facts);
  return found(rung.otherA.value.map((other, at) => other + (on.includes(facts.phases[at] ?? 'L1') ? chargerA : 0)));
}

/**
 * What flows on each line at the least with the charger drawing so many amperes: what is known of the rest, where some of it is not. Null where
 * nothing is. What passes a rating already passes it whatever is missing.
 */
export function leastWithCharger(
  rung: Rung,
  proposal: Proposal,
  chargerA: number,
  facts: CircuitFacts,
): number[] | null {
  const node = facts.nodes.get(rung.here.node.id);
  const limitA = chargerLimitA(proposal);
  if (!node || limitA === null) return null;
  const on = chargerPhases(proposal, facts);
  return facts.phases.map((phase) => {
    const own = on.includes(phase);
    const other = Math.max(node.before[phase]?.value ?? 0, (node.after[phase]?.value ?? 0) - (own ? limitA : 0), 0);
    return other + (own ? chargerA : 0);
  });
}

/** The first node, from the charger outwards, that would carry more than its rating or its cable allows. */
export function stoppedBy(
  rungs: readonly Rung[],
  proposal: Proposal,
  chargerA: number,
  facts: CircuitFacts,
): Stop | null {
  let open: Stop | null = null;
  for (const rung of rungs) {
    const amperes = withCharger(rung, proposal, chargerA, facts);
    const about = { nodeId: rung.here.node.id };
    if (!amperes.ok) {
      const leastA = Math.max(0, ...(leastWithCharger(rung, proposal, chargerA, facts) ?? []));
      if (rung.ratingA !== undefined && exceeds(leastA, rung.ratingA))
        return {
          ...about,
          state: 'over',
          says: `${rung.name}: at least ${shown(leastA)} A against ${rung.ratingA} A`,
        };
      open ??= { ...about, state: 'not-known', says: `${rung.name}: ${amperes.says}` };
      continue;
    }
    const most = Math.max(...amperes.value);
    if (rung.ratingA !== undefined && exceeds(most, rung.ratingA))
      return { ...about, state: 'over', says: `${rung.name}: ${shown(most)} A against ${rung.ratingA} A` };
    if (rung.cableA?.ok && exceeds(most, rung.cableA.value))
      return {
        ...about,
        state: 'over',
        says: `${rung.name}: ${shown(most)} A in a cable that carries ${shown(rung.cableA.value)} A`,
      };
    if (rung.cableA && !rung.cableA.ok)
      open ??= { ...about, state: 'not-known', says: `${rung.name}: ${rung.cableA.says}` };
    if (rung.ratingA === undefined && protects(rung.here))
      open ??= { ...about, state: 'not-known', says: `${rung.name}: rating of its device not known` };
  }
  return open;
}

/** Volt drop of every cable on the way with the charger drawing so many amperes, in percent; its own circuit left out. */
export function dropOnTheWay(
  rungs: readonly Rung[],
  proposal: Proposal,
  chargerA: number,
  facts: CircuitFacts,
): Lookup<number> {
  let total = 0;
  const device = ownDevice(proposal, facts.tree);
  for (const rung of rungs) {
    if (!hasRun(rung.here) || rung.here === facts.tree.device || rung.here === device) continue;
    const amperes = withCharger(rung, proposal, chargerA, facts);
    if (!amperes.ok) return amperes;
    const own = dropOf(rung.here, facts, currentOf(amperes.value, linesAt(rung.here, facts)));
    if (!own.ok) return { ...own, says: `${rung.name}: ${own.says}` };
    total += own.value.value;
  }
  return found(total);
}
