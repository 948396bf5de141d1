import type { Assessment } from '../assessment';
import type { Ground } from '../grounds/verdict';
import type { VerdictId } from '../grounds/verdict-ids';

/** Verdicts that decide whether new equipment fits the supply; how it is told to the operator is the route's. */
const OF_THE_SUPPLY: readonly VerdictId[] = ['demand', 'fuse', 'nodes', 'limiter'];

/** Whether what is proposed fits, why, and everything that rests on. */
export interface Fit {
  readonly answer: boolean | null;
  readonly why: string;
  readonly grounds: readonly Ground[];
}

/** Whether an assessment has every part within its rating, a limiter that holds and a circuit that is right; null while something decides it that is not known. */
export function fits({ verdicts }: Pick<Assessment, 'verdicts'>): Fit {
  // A circuit that is not designed yet is designed for whatever is chosen; one that is wrong for it does not fit.
  const judged = verdicts.filter(
    ({ id, answer }) => OF_THE_SUPPLY.includes(id) || (id === 'circuit' && answer === false),
  );
  const grounds = judged.flatMap((each) => each.grounds);
  const decides = judged.find(({ answer }) => answer === false) ?? judged.find(({ answer }) => answer === null);
  if (decides) return { answer: decides.answer, why: decides.why, grounds };
  return { answer: true, why: 'Every node between the street and the charger stays within its rating.', grounds };
}
