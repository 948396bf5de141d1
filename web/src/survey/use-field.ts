import { jsonPath, valueAt, type Value } from '@keen-gauge/core/record/changes';
import type { Place, ValueAt } from '@keen-gauge/core/survey/schema/field-path';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { useSyncExternalStore } from 'react';
import type { SurveyState } from './survey-store';
import { useStore } from './SurveyContext';

const asValue = (survey: Survey): Value => survey as unknown as Value;

/** What the survey holds at a place; undefined where that is not known. What uses it is drawn anew when that very value changes, and not otherwise. */
export function useField<P extends Place>(path: P): ValueAt<P> | undefined {
  const store = useStore();
  return useSyncExternalStore(store.subscribe, () => valueAt(asValue(store.get().survey), path)) as
    ValueAt<P> | undefined;
}

/** One thing the store knows beside the survey: whether it is saved, what was saved last. The same thing has to come out while nothing of it changes. */
export function useStored<T>(of: (state: SurveyState) => T): T {
  const store = useStore();
  return useSyncExternalStore(store.subscribe, () => of(store.get()));
}

/** What the server found wrong at a place, in a sentence. */
export function useFault(path: Place): string | undefined {
  const store = useStore();
  return useSyncExternalStore(store.subscribe, () => {
    const { survey, faults } = store.get();
    if (faults.length === 0) return undefined;
    const at = jsonPath(asValue(survey), path);
    const found = faults.find((fault) => fault.path === at);
    return found && `It ${found.wrong}; ${found.expected} is expected.`;
  });
}
