/** An old circuit that is to carry new equipment: judged like a new one, and looked at before it is believed. */
import type { Statement } from '../finding';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import { nodeName } from '../survey/words/words';
import { hangsFrom, type SupplyTree } from '../tree/supply-tree';
import { nodeOf } from '../tree/sets-below';
import { exceeds } from '../worked';
import { circuitStart } from './charger-circuit';
import type { CircuitFacts } from './circuit-facts';

/** What is not known of an old circuit that is to be used again. */
export type ReuseGap = 'look' | 'cores' | 'insulation';

/** Whether new equipment is to use a circuit that is there: said so, or its cable and route are nobody’s plan. */
export function reuses(proposal: Proposal): boolean {
  return proposal.reuse?.used === true;
}

/**
 * Conductors a circuit needs in its cable: line or lines, neutral, and a protective conductor unless the armour or a separate one serves.
 * @example coresNeeded(1, 'core') // 3
 */
export function coresNeeded(phases: 1 | 3, cpc: 'core' | 'armour' | 'separate' | undefined): number {
  return (phases === 3 ? 4 : 2) + (cpc === 'armour' || cpc === 'separate' ? 0 : 1);
}

/** What is still to be found out of the old circuit; none where it is not used again. */
export function reuseGaps(proposal: Proposal): readonly ReuseGap[] {
  const { reuse } = proposal;
  if (!reuses(proposal) || reuse === undefined) return [];
  return [
    ...(reuse.look === undefined || reuse.look === 'could-not-see' ? (['look'] as const) : []),
    ...(reuse.cores === undefined ? (['cores'] as const) : []),
    ...(reuse.insulationMOhm === undefined ? (['insulation'] as const) : []),
  ];
}

/** What is wrong with the old circuit: its cable damaged, too few conductors, a device of too few poles, insulation too low. */
export function reuseFindings(proposal: Proposal, facts: CircuitFacts): Statement[] {
  const { reuse } = proposal;
  if (!reuses(proposal) || reuse === undefined) return onGoingPart(proposal, facts.tree);
  const { circuit } = circuitStart(proposal, facts);
  const name = equipmentName(proposal);
  const about = { grade: 'act', on: 'circuit', station: 'circuit', subjectId: proposal.id } as const;
  const found: Statement[] = [];
  if (reuse.look === 'damaged')
    found.push({
      ...about,
      id: 'reused-cable-damaged',
      title: `${name}: the old cable is damaged${reuse.damage ? `: ${reuse.damage}` : ''}. It may not be used as it is.`,
      remedy: 'Replace the cable, or cut the damaged length out and lay it anew; a joint is a point to inspect.',
      source: 'BS 7671 522.6, 132.14.1',
      field: 'proposals.reuse.look',
    });
  const phases = proposal.phases ?? 1;
  const need = coresNeeded(phases, circuit.cpc);
  if (reuse.cores !== undefined && reuse.cores < need)
    found.push({
      ...about,
      id: 'reused-cores-too-few',
      title: `${name}: the old cable has ${reuse.cores} conductors; ${phases === 3 ? 'three-phase' : 'single-phase'} equipment needs ${need} in it.`,
      remedy: 'A new cable, or equipment of fewer phases.',
      source: 'BS 7671 132.6, 543',
      field: 'proposals.reuse.cores',
    });
  const device = nodeOf(facts.tree, proposal.nodeId)?.node;
  if (device?.kind === 'device' && device.poles !== undefined && device.poles < phases)
    found.push({
      ...about,
      id: 'reused-device-poles',
      title: `${name}: ${nodeName(device)} has ${device.poles} pole${device.poles === 1 ? '' : 's'}; three-phase equipment needs one that breaks every line.`,
      remedy: 'A device with a pole for each line.',
      source: 'BS 7671 431, 461.2',
      field: 'supply.nodes.poles',
    });
  const leastMOhm = facts.rules.circuit.leastInsulationMOhm;
  if (reuse.insulationMOhm !== undefined && exceeds(leastMOhm.value, reuse.insulationMOhm))
    found.push({
      ...about,
      id: 'reused-insulation-low',
      title: `${name}: the old cable’s insulation is ${reuse.insulationMOhm} MΩ, at least ${leastMOhm.value} MΩ is needed.`,
      remedy: 'Find the fault, or replace the cable.',
      source: leastMOhm.source,
      field: 'proposals.reuse.insulationMOhm',
    });
  return [...found, ...onGoingPart(proposal, facts.tree)];
}

/** New equipment on a part that the work takes out. */
function onGoingPart(proposal: Proposal, tree: SupplyTree): Statement[] {
  const at = nodeOf(tree, proposal.nodeId);
  const going = tree.nodes.find(({ node }) => node.goes === true);
  const over = at && tree.nodes.find((each) => each.node.goes === true && hangsFrom(at, each));
  if (!going || !over) return [];
  return [
    {
      id: 'equipment-on-going-part',
      grade: 'act',
      on: 'circuit',
      station: 'circuit',
      subjectId: proposal.id,
      title: `${equipmentName(proposal)} hangs from ${nodeName(over.node)}, which this work takes out.`,
      remedy: 'Put the equipment on a part that stays, or keep that part.',
      field: 'proposals.nodeId',
    },
  ];
}
