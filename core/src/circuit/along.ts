/** Volt drop and loop impedance along the supply tree, from the origin to the far end of any node's cable. */
import type { Cable } from '../survey/supply';
import type { TreeNode } from '../tree/supply-tree';
import { given, sum, type Unit, type Worked } from '../worked';
import { cableForm, cableRow } from '../cable/cable-forms';
import { amperesOf, demandAfter, linesAt, type CircuitFacts } from './circuit-facts';
import { nodeName } from '../survey/words/words';
import { runImpedance } from '../cable/fault-loop';
import { found, notKnown, type Lookup } from '../cable/lookup';
import { originLoop } from './origin';
import { protectiveConductor } from '../cable/protective-conductor';
import { singlePhase, threePhase, voltDrop, type CableCurrent } from '../cable/volt-drop';

/**
 * Whether a node has a cable that counts: a feeder's always, any other's where it is no tails. Tails stand at the
 * origin itself, a few metres that drop a tenth of a per cent, and the tables have no figure for them.
 */
export function hasRun({ node }: TreeNode): boolean {
  return node.kind === 'feeder' || (node.cable?.type !== undefined && node.cable.type !== 'tails');
}

/** What flows in the cable of a node after the work. */
export function currentAt(here: TreeNode, facts: CircuitFacts): Lookup<CableCurrent> {
  const node = facts.nodes.get(here.node.id);
  if (!node) return notKnown('the demand it carries is not known');
  const amperes = amperesOf(demandAfter(node, facts));
  if (!amperes.ok) return amperes;
  const more = facts.uncountedA.get(here.node.id);
  return found(
    currentOf(
      amperes.value.map((each, at) => each + (more?.[at] ?? 0)),
      linesAt(here, facts),
    ),
  );
}

/** Currents of the lines as the current of a cable of one or three lines. */
export function currentOf(amperes: readonly number[], lines: 1 | 3): CableCurrent {
  const [a = 0, b = 0, c = 0] = amperes;
  return lines === 3 ? threePhase([a, b, c]) : singlePhase(Math.max(0, ...amperes));
}

/** Volt drop from the origin to the far end of a node's cable, in percent, for what flows after the work. */
export function dropTo(here: TreeNode | null, facts: CircuitFacts): Lookup<Worked> {
  return along(here, facts, '%', 'Volt drop so far', (each) => {
    const current = currentAt(each, facts);
    return current.ok ? dropOf(each, facts, current.value) : current;
  });
}

/** Volt drop of a node's own cable for a current, in percent. */
export function dropOf(here: TreeNode, facts: CircuitFacts, current: CableCurrent): Lookup<Worked> {
  const rules = facts.rules.circuit;
  const cable = here.node.cable;
  const form = cableForm(rules, cable?.type, linesAt(here, facts), cable?.terminalsFor90);
  if (!form.ok) return form;
  const row = cableRow(form.value, cable?.sizeMm2);
  if (!row.ok) return row;
  if (cable?.lengthM === undefined) return notKnown('its length is not known');
  const own = voltDrop(rules, facts.rules.nominalVoltageV.value, form.value, row.value, cable.lengthM, current);
  return found({ ...own, label: `Volt drop, ${nodeName(here.node)}` });
}

/** Loop impedance from the origin to the far end of a node's cable, in Ω. */
export function loopTo(here: TreeNode | null, facts: CircuitFacts): Lookup<Worked> {
  const origin = originLoop(facts.survey, facts.rules);
  if (!origin.ok) return origin;
  const added = along(here, facts, 'Ω', 'R1 + R2 so far', (each) => addedLoop(each, facts));
  if (!added.ok) return added;
  return found(added.value.value === 0 ? origin.value : sum('Loop impedance so far', 'Ω', [origin.value, added.value]));
}

function addedLoop(here: TreeNode, facts: CircuitFacts): Lookup<Worked> {
  const rules = facts.rules.circuit;
  const cable: Cable = here.node.cable ?? {};
  const form = cableForm(rules, cable.type, linesAt(here, facts), cable.terminalsFor90);
  if (!form.ok) return form;
  const row = cableRow(form.value, cable.sizeMm2);
  if (!row.ok) return row;
  const cpc = protectiveConductor(rules, form.value, row.value, cable);
  if (!cpc.ok) return cpc;
  if (cable.lengthM === undefined) return notKnown('its length is not known');
  const r1 = rules.resistanceMOhmPerM.value[row.value.sizeMm2];
  if (r1 === undefined) return notKnown('its resistance is not in the table');
  const { insulation } = form.value;
  return found(
    runImpedance(rules, insulation, `R1 + R2, ${nodeName(here.node)}`, r1, cpc.value.mOhmPerM, cable.lengthM),
  );
}

/** What the cables from the origin to a node add up to; the first that is not known says so for all. */
function along(
  here: TreeNode | null,
  { tree }: CircuitFacts,
  unit: Unit,
  label: string,
  of: (each: TreeNode) => Lookup<Worked>,
): Lookup<Worked> {
  const terms: Worked[] = [];
  for (let at = here; at && at !== tree.device; at = at.parent) {
    if (!hasRun(at)) continue;
    const own = of(at);
    if (!own.ok) return { ...own, says: `${nodeName(at.node)}: ${own.says}` };
    terms.unshift(own.value);
  }
  return found(terms.length === 0 ? given(label, 0, unit) : sum(label, unit, terms));
}
