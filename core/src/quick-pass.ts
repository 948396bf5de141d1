/** The open questions as a pass over the site: one card each, standing place by standing place, and what waits for others. */
import type { Assessment } from './assessment';
import type { FindingId } from './finding-ids';
import { boardStops, gathered, standingPlace, type LookStop, type NamedStop } from './look-list';
import type { Question } from './questions/question';
import { settlingPath } from './settling-path';
import type { Survey } from './survey/survey';
import { supplyTree, type SupplyTree } from './tree/supply-tree';

/** What is answered before the cupboard is opened, what follows from having looked, and what waits. */
const BEFORE: readonly NamedStop[] = [
  ['customer', 'With the customer'],
  ['equipment', 'The new equipment'],
  ['intake', 'At the intake'],
  ['entries', 'Where gas and water come in'],
];
const AFTER: readonly NamedStop[] = [
  ['rooms', 'Going round the loads'],
  ['limit', 'Keeping it inside the supply'],
  ['route', 'Along the cable route'],
  ['parking', 'Where the vehicle charges'],
  ['data', 'From the maker’s data'],
  ['desk', 'Before you sign'],
];
const WAITING: readonly NamedStop[] = [
  ['wait customer', 'Waiting for the customer'],
  ['wait operator', 'Waiting for the operator'],
  ['wait not-seen', 'Could not be seen'],
];

/** Counted at their worst until answered, so nobody need be asked; on site they are one tap, and decide much. */
const ASKED_ALL_THE_SAME: readonly FindingId[] = ['limiter-taken', 'parking-not-said'];

/** Which stop of the pass, where it is not simply where one stands. */
const OWN_STOPS: Partial<Readonly<Record<FindingId, string>>> = {
  'check-tails-size': 'intake',
  'check-tails-length': 'intake',
  'nothing-proposed': 'customer',
  'premises-not-said': 'customer',
  'parking-not-said': 'customer',
  'charger-without-rating': 'equipment',
  'capacity-not-known': 'equipment',
  'make-and-model': 'equipment',
  'limiter-taken': 'limit',
  'clamp-not-settled': 'limit',
  'setting-not-known': 'limit',
};

export interface QuickPass {
  /** Every stop there is, in its order, whether anything is open there or not. */
  readonly order: readonly string[];
  /** What can be answered here and now, in the order that saves steps. */
  readonly stops: readonly LookStop[];
  /** What was passed over: to the customer, to the operator, or not to be seen. */
  readonly waiting: readonly LookStop[];
}

/** Every open question once: as a card at the place where it is answered, or among what waits for somebody. One field is asked for once. */
export function quickPass(survey: Survey, { questions }: Assessment): QuickPass {
  const tree = supplyTree(survey);
  const asked = onceEach(questions.filter(({ id, taken }) => taken === undefined || ASKED_ALL_THE_SAME.includes(id)));
  const order = [...BEFORE, ...boardStops(tree), ...AFTER];
  return {
    order: order.map(([id]) => id),
    stops: gathered(
      order,
      asked.filter(({ putOff }) => !putOff),
      (question) => passStop(question, survey, tree),
    ),
    waiting: gathered(
      WAITING,
      asked.filter(({ putOff }) => putOff),
      ({ putOff = 'not-seen' }) => `wait ${putOff}`,
    ),
  };
}

function passStop(question: Question, survey: Survey, tree: SupplyTree): string {
  const own = OWN_STOPS[question.id];
  if (own !== undefined) return own;
  // Asked of the customer and settled nowhere in particular: at the door.
  if (question.askOf === 'customer' && question.stop === 'desk') return 'customer';
  return standingPlace(question, survey, tree);
}

/** Two questions that one and the same field answers are one card: that of the first. */
function onceEach(questions: readonly Question[]): Question[] {
  const seen = new Set<string>();
  return questions.filter((question) => {
    const path = settlingPath(question) ?? question.id;
    // Lists, and checks of a node, are answered member by member.
    if (path.split('.').length < 2 || path.endsWith('.checks')) return true;
    if (seen.has(path)) return false;
    seen.add(path);
    return true;
  });
}
