import type { AskFinding } from '../finding';
import { CIRCUIT_QUESTIONS } from './circuit';
import { EARTHING_QUESTIONS } from './earthing';
import { EQUIPMENT_QUESTIONS } from './equipment';
import { INTAKE_QUESTIONS } from './intake';
import { LOAD_QUESTIONS } from './loads';
import { PLACE_QUESTIONS } from './place';
import { AFRESH, type Steps } from '../memory';
import { questionOf, type Question, type QuestionEntry, type QuestionFacts } from './question';
import { REVIEW_QUESTIONS } from './review';
import { USUAL_QUESTIONS } from './usual';

/** Everything that can be unknown of a survey, each entry once, in the order of the walk. A new unknown is one entry more. */
export const REGISTER: readonly QuestionEntry[] = [
  ...PLACE_QUESTIONS,
  ...INTAKE_QUESTIONS,
  ...EARTHING_QUESTIONS,
  ...LOAD_QUESTIONS,
  ...EQUIPMENT_QUESTIONS,
  ...CIRCUIT_QUESTIONS,
  ...USUAL_QUESTIONS,
  ...REVIEW_QUESTIONS,
];

/** Each entry as it stands in a question, beside what opens it: taken apart once, and not on every key. */
const ENTRIES = REGISTER.map(({ open, ofLoad, ...words }) => ({ open, ofLoad, words, name: `question: ${words.id}` }));

/** Those that a verdict can stand on; the others are settled while fitting, or only the form needs them. */
const DECIDING = ENTRIES.filter(({ words: { on } }) => on !== 'form' && on !== 'workmanship');

/** Every entry open on a survey, with what is open; of those alone that decide something, where only that is asked. */
export function openQuestions(
  facts: QuestionFacts,
  { step, joined, each }: Steps = AFRESH,
  which: 'all' | 'deciding' = 'all',
): readonly Question[] {
  return joined(
    'questions',
    (which === 'all' ? ENTRIES : DECIDING).map(({ name, words, open, ofLoad }) => {
      if (open) return step(name, facts, (seen) => open(seen).map((made) => questionOf(words, made)));
      return step(name, { loads: facts.survey.loads }, ({ loads }) =>
        each(name, loads, (load): readonly Question[] => {
          const made = ofLoad?.(load);
          return made ? [questionOf(words, made)] : [];
        }).flat(),
      );
    }),
  );
}

/** A question that somebody is asked, as a finding. What is taken meanwhile, or only the form needs, is asked elsewhere. */
export function askFinding({
  id,
  station,
  title,
  remedy,
  on,
  askOf,
  subjectId,
  field,
  source,
  check,
  working,
  ownUse,
}: Question): AskFinding {
  return {
    id,
    grade: 'ask',
    station,
    title,
    remedy,
    on,
    askOf,
    field,
    ...(subjectId === undefined ? {} : { subjectId }),
    ...(source === undefined ? {} : { source }),
    ...(check === undefined ? {} : { check }),
    ...(working === undefined ? {} : { working }),
    ...(ownUse ? { ownUse } : {}),
  };
}
