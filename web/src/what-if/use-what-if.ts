import { useEffect, useState, useSyncExternalStore } from 'react';
import { useSurvey } from '../survey/SurveyContext';
import { Asker, type Reckon } from './asker';
import type { AnswerTo, MoreFor, PlainWhatIf, WhatIf } from './reckon';
import { startedOnce } from './started-once';

/** Nobody reads an answer between two keys of one word. */
const PAUSE_MS = 60;

/** One worker for the page, started when something is first asked, and anew after it has broken down. */
const inWorker = startedOnce(() => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));

export interface Answered<K extends WhatIf> {
  /** Null until there is one. */
  readonly answer: AnswerTo<K> | null;
  /** Whether it is of the survey as it is now, or of what that was a moment ago. */
  readonly isCurrent: boolean;
  readonly hasFailed: boolean;
}

/** Something reckoned of the survey at hand beside the page; the last answer stays, told as such, while the next is reckoned. */
export function useWhatIf<K extends PlainWhatIf>(what: K): Answered<K> {
  return useWhatIfWith(what, null);
}

/** The same where it takes something more than the survey; `more` is the same thing as long as nothing of it changes, and undefined while it has not come. */
export function useWhatIfWith<K extends WhatIf>(
  what: K,
  more: MoreFor<K> | undefined,
  reckon: Reckon = inWorker,
): Answered<K> {
  const { survey, rules } = useSurvey();
  const [asker] = useState(() => new Asker(what, reckon));
  const { answer, to, hasFailed } = useSyncExternalStore(asker.subscribe, asker.get);

  useEffect(() => {
    if (more === undefined) return undefined;
    const timer = setTimeout(() => {
      asker.ask(survey, rules, more);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [asker, survey, rules, more]);

  return { answer, isCurrent: to?.survey === survey && to.rules === rules && to.more === more, hasFailed };
}
