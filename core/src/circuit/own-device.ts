import type { Proposal } from '../survey/proposal';
import { nodeOf } from '../tree/sets-below';
import type { SupplyTree, TreeNode } from '../tree/supply-tree';

/** The device that new equipment hangs on alone: its circuit’s own device, whose cable is the circuit’s. */
export function ownDevice(proposal: Proposal, tree: SupplyTree): TreeNode | null {
  const at = nodeOf(tree, proposal.nodeId);
  return at?.node.kind === 'device' && at.children.length === 0 ? at : null;
}
