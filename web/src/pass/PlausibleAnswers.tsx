import { questionKey, type Question } from '@keen-gauge/core/questions/question';
import { freshId } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';
import { BigAnswers } from './BigAnswers';

/** The answers a question is known to have, each recorded as it would be. What one adds to the survey gets an id of its own. */
export function PlausibleAnswers({ question }: { readonly question: Question }) {
  const { survey, store } = useSurvey();
  return (
    <BigAnswers
      least="8rem"
      answers={(question.answers ?? []).map(({ says, change }) => ({
        id: `${questionKey(question)} ${says}`,
        says,
        take: () => {
          const next = change(survey);
          store.edit({
            ...next,
            loads: next.loads.map((load) => (load.id.startsWith('supposed') ? { ...load, id: freshId('load') } : load)),
          });
        },
      }))}
    />
  );
}
