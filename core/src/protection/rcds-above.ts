import type { RcdType } from '../survey/words/words';
import { towardsStreet, type TreeNode } from '../tree/supply-tree';

/** A residual current device of the tree: an RCD, or a device that is one as well. */
export interface TreeRcd {
  readonly here: TreeNode;
  readonly rcdType: RcdType | undefined;
  readonly residualMa: number | undefined;
  readonly timeDelayed: boolean;
}

/** Whether a node is, or has in it, a residual current device. */
export function isRcd({ node }: TreeNode): boolean {
  return node.kind === 'rcd' || node.deviceType === 'rcbo' || node.residualMa !== undefined;
}

/** Every residual current device between a node and the street, the nearest first, the node itself included. */
export function rcdsAbove(start: TreeNode | null): TreeRcd[] {
  return towardsStreet(start)
    .filter(isRcd)
    .map((here) => ({
      here,
      rcdType: here.node.rcdType,
      residualMa: here.node.residualMa,
      timeDelayed: here.node.timeDelayed === true,
    }));
}
