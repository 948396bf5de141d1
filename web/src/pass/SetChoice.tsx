import { startingLoads, STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import { freshId } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';
import { BigAnswers } from './BigAnswers';

/** The usual set of loads nearest to what is there; each load stays assumed until it is confirmed. */
export function SetChoice() {
  const { survey, store } = useSurvey();
  return (
    <BigAnswers
      least="8rem"
      answers={STARTING_SETS.map((set) => ({
        id: set.id,
        says: set.name,
        take: () => {
          store.edit({ ...survey, loads: startingLoads(set, freshId) });
        },
      }))}
    />
  );
}
