import type { TreeNode } from '../tree/supply-tree';
import { hasRun } from '../circuit/along';

/** A feeder by name, or a device with a cable of its own on to another board. */
export function isFeeder(here: TreeNode): boolean {
  if (here.node.kind === 'feeder') return true;
  const leadsOn = here.children.some(({ node }) => node.kind === 'board');
  return here.node.kind === 'device' && leadsOn && hasRun(here);
}
