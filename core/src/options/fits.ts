import type { Assessment } from '../assessment';
import { verdictOf, type Ground } from '../grounds/verdict';
import type { VerdictId } from '../grounds/verdict-ids';
import { OVER_ALREADY } from '../nodes/overload';

/** Verdicts that decide whether new equipment fits the supply; how it is told to the operator is the route's. */
const OF_THE_SUPPLY: readonly VerdictId[] = ['demand', 'fuse', 'nodes', 'limiter'];

/** Whether what is proposed fits, why, and everything that rests on. */
export interface Fit {
  readonly answer: boolean | null;
  readonly why: string;
  readonly grounds: readonly Ground[];
  /** What is over its rating already, whatever is done: told beside the answer, and no part of it. */
  readonly already: readonly Ground[];
}

/**
 * Whether an assessment has every part within its rating, a limiter that holds and a circuit that is right; null while something decides it
 * that is not known. What is over already and gets nothing more by the work is told apart: no option makes it, and none puts it right. What is
 * over already and gets more is over by the work as well.
 */
export function fits({ verdicts }: Pick<Assessment, 'verdicts'>): Fit {
  // A circuit that is not designed yet is designed for whatever is chosen; one that is wrong for it does not fit.
  const judged = verdicts
    .filter(({ id, answer }) => OF_THE_SUPPLY.includes(id) || (id === 'circuit' && answer === false))
    .flatMap((verdict) => {
      const rest = verdict.grounds.filter(({ findingId }) => findingId !== OVER_ALREADY);
      if (rest.length === verdict.grounds.length) return [verdict];
      // With nothing else standing on it, the work makes nothing over.
      return rest.length === 0 ? [] : [verdictOf(verdict.id, rest)];
    });
  const already = verdicts.flatMap(({ grounds }) => grounds.filter(({ findingId }) => findingId === OVER_ALREADY));
  const grounds = judged.flatMap((each) => each.grounds);
  const decides = judged.find(({ answer }) => answer === false) ?? judged.find(({ answer }) => answer === null);
  if (decides) return { answer: decides.answer, why: decides.why, grounds, already };
  return {
    answer: true,
    why: 'Every part between the street and the new equipment stays within its rating.',
    grounds,
    already,
  };
}
