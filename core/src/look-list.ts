/** What is still to be looked at and asked, gathered by where one stands, in the order that saves steps. */
import type { Assessment } from './assessment';
import type { Question } from './questions/question';
import type { Survey } from './survey/survey';
import type { NodeKind } from './survey/words/words';
import { nodeOf } from './tree/sets-below';
import { supplyTree, towardsStreet, type SupplyTree } from './tree/supply-tree';

/** One place to stand at, or one person to ask, with everything to be settled there. */
export interface LookStop {
  readonly id: string;
  readonly name: string;
  readonly questions: readonly Question[];
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
  ['desk', 'At the desk'],
  ['customer', 'Ask the customer'],
  ['operator', 'Ask the operator'],
] as const;

/** Every open question somebody is asked, each at the stop where it is settled; stops with nothing open are left out. */
export function lookList(survey: Survey, { questions }: Assessment): LookStop[] {
  const tree = supplyTree(survey);
  const asked = questions.filter(({ taken }) => taken === undefined);
  return gathered([...FIRST, ...boardStops(tree), ...LAST], asked, (question) =>
    question.askOf === 'customer' || question.askOf === 'operator'
      ? question.askOf
      : standingPlace(question, survey, tree),
  );
}

/** A stop’s id and what it is called. */
export type NamedStop = readonly [id: string, name: string];

/** The stops in their order, each with its questions; those with none are left out. */
export function gathered(
  order: readonly NamedStop[],
  questions: readonly Question[],
  stopOf: (question: Question) => string,
): LookStop[] {
  const stops = new Map<string, Question[]>();
  for (const question of questions) {
    const stop = stopOf(question);
    const here = stops.get(stop);
    if (here) here.push(question);
    else stops.set(stop, [question]);
  }
  return order.flatMap(([id, name]) => {
    const here = stops.get(id);
    return here ? [{ id, name, questions: here }] : [];
  });
}

/** The boards in the order of the tree, as stops. */
export function boardStops(tree: SupplyTree): NamedStop[] {
  return tree.nodes
    .filter(({ node }) => node.kind === 'board')
    .map(({ node }) => [`board ${node.id}`, `At ${node.label ?? 'the board'}`] as const);
}

/** Where one stands to settle a question: at its own stop, or at the part of the supply it is about. */
export function standingPlace({ stop, subjectId }: Question, survey: Survey, tree: SupplyTree): string {
  if (stop !== 'part') return stop;
  const proposal = survey.proposals.find(({ id }) => id === subjectId);
  if (proposal) return boardStop(proposal.nodeId, tree);
  const node = subjectId === undefined ? undefined : tree.byId.get(subjectId)?.node;
  return node && !STREET_SIDE.includes(node.kind) ? boardStop(node.id, tree) : 'intake';
}

/** The board a node is in, or the first between it and the street. */
function boardStop(nodeId: string | undefined, tree: SupplyTree): string {
  const board = towardsStreet(nodeOf(tree, nodeId)).find(({ node }) => node.kind === 'board');
  return board ? `board ${board.node.id}` : 'intake';
}
