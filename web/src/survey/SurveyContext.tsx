import type { Assessment } from '@keen-gauge/core/assessment';
import type { Path, Value } from '@keen-gauge/core/record/changes';
import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { createContext, useContext } from 'react';
import type { Job } from '../api/jobs';
import type { Me } from '../api/me';
import type { UploadQueue } from '../photos/upload-queue';
import type { SurveyState, SurveyStore } from './survey-store';

export interface SurveyAtHand {
  readonly job: Job;
  readonly me: Me;
  readonly store: SurveyStore;
  readonly state: SurveyState;
  readonly survey: Survey;
  readonly assessment: Assessment;
  readonly rules: Rules;
  /** Pictures on their way in. */
  readonly uploads: UploadQueue;
}

const Context = createContext<SurveyAtHand | null>(null);

export const SurveyProvider = Context.Provider;

/** The survey being worked on; only below a survey page. */
export function useSurvey(): SurveyAtHand {
  const found = useContext(Context);
  if (!found) throw new Error('useSurvey outside a survey page');
  return found;
}

/** Setting one field of the survey; undefined, or an empty text, makes it not known. */
export function useSet(): (path: Path, value: Value | undefined) => void {
  const { store } = useSurvey();
  return (path, value) => {
    store.set(path, value === '' ? undefined : value);
  };
}
