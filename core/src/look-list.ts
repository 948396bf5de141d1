/** What is still to be looked at and asked, gathered by where one stands, in the order that saves steps. */
import type { Assessment } from './assessment';
import type { Finding } from './finding';
import type { Survey } from './survey/survey';
import type { NodeKind } from './survey/words';
import { nodeOf } from './tree/sets-below';
import { supplyTree, towardsStreet, type SupplyTree } from './tree/supply-tree';

/** One place to stand at, or one person to ask, with everything to be settled there. */
export interface LookStop {
  readonly id: string;
  readonly name: string;
  readonly findings: readonly Finding[];
}

const STREET_SIDE: readonly NodeKind[] = ['service', 'cut-out', 'meter', 'check-meter', 'isolator', 'split-block'];

/** Stops before and after the boards, which come in the order of the tree. */
const FIRST = [
  ['intake', 'At the intake'],
  ['entries', 'Where gas and water come in'],
] as const;
const LAST = [
  ['rooms', 'Going round the loads'],
  ['route', 'Along the route of the cable'],
  ['parking', 'Where the vehicle charges'],
  ['data', 'From the maker’s data'],
  ['customer', 'Ask the customer'],
  ['operator', 'Ask the operator'],
] as const;

/** Fields that are read in the maker’s data rather than on site. */
const IN_DATA =
  /^proposals\.(rcd|typeTested|canExport|ratedA|startingA|harmonics|exportA|pen$|circuit\.(bothDirections|deviceRatingA|cableType))/;
const AT_PARKING = /^proposals\.(position|dataLink|pen\.)/;
const ALONG_ROUTE = /^proposals\.circuit/;

/** Every open question, each at the stop where it is settled; stops with nothing open are left out. */
export function lookList(survey: Survey, { findings }: Assessment): LookStop[] {
  const tree = supplyTree(survey);
  const boards = tree.nodes
    .filter(({ node }) => node.kind === 'board')
    .map(({ node }) => [`board ${node.id}`, `At ${node.label ?? 'the board'}`] as const);
  const asked = findings.filter(({ grade }) => grade === 'ask');
  const stops = new Map<string, Finding[]>();
  for (const finding of asked) {
    const stop = stopOf(finding, survey, tree);
    const here = stops.get(stop);
    if (here) here.push(finding);
    else stops.set(stop, [finding]);
  }
  return [...FIRST, ...boards, ...LAST].flatMap(([id, name]) => {
    const here = stops.get(id);
    return here ? [{ id, name, findings: here }] : [];
  });
}

function stopOf({ askOf, field = '', station, subjectId }: Finding, survey: Survey, tree: SupplyTree): string {
  if (askOf === 'customer' || askOf === 'operator') return askOf;
  const proposal = survey.proposals.find(({ id }) => id === subjectId);
  if (proposal) {
    if (IN_DATA.test(field)) return 'data';
    if (AT_PARKING.test(field)) return 'parking';
    if (ALONG_ROUTE.test(field)) return 'route';
    return boardStop(proposal.nodeId, tree);
  }
  if (field.startsWith('earthing.services')) return 'entries';
  if (station === 'loads' || survey.loads.some(({ id }) => id === subjectId)) return 'rooms';
  const node = subjectId === undefined ? undefined : tree.byId.get(subjectId)?.node;
  if (node && !STREET_SIDE.includes(node.kind)) return boardStop(node.id, tree);
  return 'intake';
}

/** The board a node is in, or the first between it and the street. */
function boardStop(nodeId: string | undefined, tree: SupplyTree): string {
  const board = towardsStreet(nodeOf(tree, nodeId)).find(({ node }) => node.kind === 'board');
  return board ? `board ${board.node.id}` : 'intake';
}
