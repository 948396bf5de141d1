import type { Assessment } from '../assessment';
import type { PerPhase } from '../demand/per-phase-figures';
import type { Survey } from '../survey/survey';
import type { SupplyOwner } from '../survey/words/site-words';
import { nodeName, type Phase } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import {
  below,
  hangsFrom,
  phaseAt,
  protects,
  supplyTree,
  towardsStreet,
  type SupplyTree,
  type TreeNode,
} from '../tree/supply-tree';

/** One of the supplies behind a building’s intake: a fuse with a meter of its own. */
export interface SupplyOfSite {
  readonly nodeId: string;
  readonly label: string;
  readonly whose: SupplyOwner;
  readonly customerName?: string;
  readonly meterPointNumber?: string;
  /** The line it hangs from where it is single-phase on three. */
  readonly line: Phase | undefined;
  readonly ratingA: number | null;
  /** Nothing that draws is recorded below it: what it carries is not known. */
  readonly empty: boolean;
  readonly before: PerPhase;
  readonly after: PerPhase;
  readonly headroom: PerPhase;
}

/** The limiting device of every supply of a building, street first: the fuse nearest each meter, towards the street from it. */
export function supplyDevices(tree: SupplyTree): TreeNode[] {
  const found = tree.nodes
    .filter(({ node }) => node.kind === 'meter')
    .flatMap((meter) => towardsStreet(meter).find(isFuse) ?? []);
  return [...new Set(found)];
}

function isFuse(here: TreeNode): boolean {
  return (here.node.kind === 'cut-out' || here.node.kind === 'switch-fuse') && protects(here);
}

/** Every supply of a building with what it carries, now and after the work; one where the building has no more. */
export function suppliesOfSite(survey: Survey, assessment: Assessment): SupplyOfSite[] {
  const tree = supplyTree(survey);
  const nodes = new Map(assessment.nodes.map((each) => [each.id, each]));
  return supplyDevices(tree).flatMap((here): SupplyOfSite[] => {
    const found = nodes.get(here.node.id);
    if (!found) return [];
    const said = survey.site?.supplies?.find(({ nodeId }) => nodeId === here.node.id);
    return [
      {
        nodeId: here.node.id,
        label: nodeName(here.node),
        whose: said?.whose ?? 'dwelling',
        ...(said?.customerName === undefined ? {} : { customerName: said.customerName }),
        ...(said?.meterPointNumber === undefined ? {} : { meterPointNumber: said.meterPointNumber }),
        line: phaseAt(here),
        ratingA: found.ratingA,
        empty: !survey.loads.some(({ nodeId }) => hangsFrom(nodeOf(tree, nodeId), here)),
        before: found.before,
        after: found.after,
        headroom: found.headroom,
      },
    ];
  });
}

/** The board new equipment of a supply would hang from: the first below its fuse, or the fuse itself. */
export function boardOf(tree: SupplyTree, deviceId: string): string {
  const device = tree.byId.get(deviceId);
  const board = device ? below(device).find(({ node }) => node.kind === 'board') : undefined;
  return board?.node.id ?? deviceId;
}
