import { connectedLoad, supplyPhases } from '../demand/connected';
import type { Survey } from '../survey/survey';
import type { SupplyNode } from '../survey/supply';
import { exceeds } from '../worked';
import { cableForm, cableRow } from '../cable/cable-forms';
import { stretchCapacity } from '../cable/capacity';
import { linesAt, type CircuitFacts } from './circuit-facts';
import { nodeName } from '../survey/words/words';
import type { TreeNode } from '../tree/supply-tree';
import { partsShown, shown } from '../rules/rounding';

/** Two circuits of one board that could come from one way, and why. */
export interface SharedWay {
  readonly ids: readonly [string, string];
  readonly deviceA: number;
  readonly why: string;
}

/** Above this a circuit keeps a way of its own: sharing would only move the nuisance. */
const LARGEST_SHARED_A = 20;

/**
 * Pairs of circuits of a board that could share a way: both devices small and alike, all their loads known and together
 * within the smaller device at full connected current, and both cables able to carry that device as they are laid.
 */
export function sharedWays(board: TreeNode, facts: CircuitFacts): SharedWay[] {
  const circuits = board.children.filter(({ node, children }) => node.kind === 'device' && children.length === 0);
  return circuits.flatMap((first, at) =>
    circuits.slice(at + 1).flatMap((second) => {
      const deviceA = alikeDevice(first.node, second.node);
      if (deviceA === null) return [];
      const amperes = [first, second].map((each) => connectedA(each, facts));
      const [a, b] = amperes;
      if (a === null || b === null || a === undefined || b === undefined || exceeds(a + b, deviceA)) return [];
      if (![first, second].every((each) => carries(each, deviceA, facts))) return [];
      return [
        {
          ids: [first.node.id, second.node.id] as const,
          deviceA,
          why: `${nodeName(first.node)} and ${nodeName(second.node)}: ${partsShown([a, b]).join(' + ')} = ${shown(a + b)} A connected, within ${deviceA} A, and both cables carry it.`,
        },
      ];
    }),
  );
}

function alikeDevice(a: SupplyNode, b: SupplyNode): number | null {
  if (a.ratingA === undefined || b.ratingA === undefined) return null;
  if (a.deviceType !== b.deviceType || a.curve !== b.curve || a.phase !== b.phase) return null;
  const deviceA = Math.min(a.ratingA, b.ratingA);
  return Math.max(a.ratingA, b.ratingA) <= LARGEST_SHARED_A ? deviceA : null;
}

/** What is connected to a circuit, undiversified; null where nothing, or something without a size, is recorded on it. */
function connectedA({ node }: TreeNode, { survey, rules }: CircuitFacts): number | null {
  const phases = supplyPhases(survey.supply.phases);
  const loads = onNode(survey, node.id).map((load) => connectedLoad(load, phases, rules));
  if (loads.length === 0 || onEquipment(survey, node.id)) return null;
  let total = 0;
  for (const { currentA, count } of loads) {
    if (currentA === null) return null;
    total += currentA * count;
  }
  return total;
}

function onNode({ loads }: Survey, id: string): Survey['loads'] {
  return loads.filter(({ nodeId }) => nodeId === id);
}

function onEquipment({ proposals }: Survey, id: string): boolean {
  return proposals.some(({ nodeId }) => nodeId === id);
}

function carries(here: TreeNode, deviceA: number, facts: CircuitFacts): boolean {
  const { cable } = here.node;
  const form = cableForm(facts.rules.circuit, cable?.type, linesAt(here, facts), cable?.terminalsFor90);
  if (!form.ok || !cable) return false;
  const row = cableRow(form.value, cable.sizeMm2);
  if (!row.ok) return false;
  const capacity = stretchCapacity(facts.rules.circuit, form.value, row.value, cable);
  return capacity.ok && !exceeds(deviceA, capacity.value.value);
}
