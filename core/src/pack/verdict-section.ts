import type { Assessment } from '../assessment';
import { answerWords } from '../grounds/verdict';
import { rowOf, type Section } from './rows';

/** What the decision rests on: each verdict in a line, with what decides it and what is only assumed. */
export function verdictSection({ verdicts }: Assessment): Section {
  return {
    id: 'verdicts',
    title: 'What the decision rests on',
    derived: true,
    rows: verdicts.map(({ id, name, answer, why, grounds }) => {
      const assumed = grounds.flatMap((ground) => (ground.assumed === undefined ? [] : [ground.assumed]));
      const note = answer === true && assumed.length > 0 ? `Assumed: ${assumed.join('; ')}` : undefined;
      return rowOf('verdict', id, name, answerWords(answer), [why, note].filter(Boolean).join(' '));
    }),
  };
}
