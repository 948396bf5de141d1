import type { Assessment } from '@keen-gauge/core/assessment';
import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Place, ValueAt } from '@keen-gauge/core/survey/schema/field-path';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { createContext, useContext } from 'react';
import type { Job } from '../api/jobs';
import type { Me } from '../api/me';
import type { UploadQueue } from '../photos/upload-queue';
import type { SurveyStore } from './survey-store';

export interface SurveyAtHand {
  readonly job: Job;
  readonly me: Me;
  readonly store: SurveyStore;
  readonly survey: Survey;
  readonly assessment: Assessment;
  readonly rules: Rules;
  /** Pictures on their way in. */
  readonly uploads: UploadQueue;
}

const Context = createContext<SurveyAtHand | null>(null);
/** The store alone, which stays the same from key to key: what reads one field is not drawn anew for all the others. */
const StoreContext = createContext<SurveyStore | null>(null);

export function SurveyProvider({
  value,
  children,
}: {
  readonly value: SurveyAtHand;
  readonly children: React.ReactNode;
}) {
  return (
    <StoreContext value={value.store}>
      <Context value={value}>{children}</Context>
    </StoreContext>
  );
}

/** The survey being worked on, whole, and everything reckoned from it; only below a survey page. Drawn anew on every change of either. */
export function useSurvey(): SurveyAtHand {
  const found = useContext(Context);
  if (!found) throw new Error('useSurvey outside a survey page');
  return found;
}

/** Where the survey being worked on is kept; stays the same while it changes. */
export function useStore(): SurveyStore {
  const found = useContext(StoreContext);
  if (!found) throw new Error('useStore outside a survey page');
  return found;
}

/** Setting one field of the survey; undefined, or an empty text, makes it not known. */
export function useSet(): <const P extends Place>(path: P, value: ValueAt<P> | undefined) => void {
  const store = useStore();
  return (path, value) => {
    store.set(path, value === '' ? undefined : value);
  };
}
