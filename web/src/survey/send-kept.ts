import { keptJobs } from './kept';
import type { SaveState, SurveyStore } from './survey-store';
import { isOpenHere, openStore } from './use-survey-store';

/** What came of sending what was typed in one job. */
export type SentTyping = 'sent' | 'to-decide' | 'not-now' | 'refused' | 'open-elsewhere';

const ENDS: Partial<Readonly<Record<SaveState, SentTyping>>> = {
  saved: 'sent',
  refused: 'refused',
  offline: 'not-now',
  unavailable: 'not-now',
  failed: 'not-now',
  'signed-out': 'not-now',
};

/** Sends what was typed in a job that is not open in this tab, as opening it would. Fields that somebody else set meanwhile wait for a person. */
export async function sendTyping(jobId: string, personId: string): Promise<SentTyping> {
  // Where it is open it sends itself.
  if (isOpenHere(jobId)) return 'open-elsewhere';
  const { store, flush, kept } = await openStore(jobId, personId);
  store.flush();
  const came = await settled(store);
  flush();
  store.close();
  await kept();
  // What another tab has open it sends itself.
  return came === 'sent' && (await keptJobs(personId)).has(jobId) ? 'open-elsewhere' : came;
}

function settled(store: SurveyStore): Promise<SentTyping> {
  return new Promise((resolve) => {
    const look = (): void => {
      const { saveState, conflicts } = store.get();
      const end = ENDS[saveState];
      if (end === undefined) return;
      stop();
      resolve(end === 'sent' && conflicts.length > 0 ? 'to-decide' : end);
    };
    const stop = store.subscribe(look);
    look();
  });
}
