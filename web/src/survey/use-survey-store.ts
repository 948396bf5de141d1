import { useEffect, useState } from 'react';
import { NoAnswer, ServerProblem } from '../api/client';
import { postRevision, readHead, type ConflictAnswer, type Head } from '../api/surveys';
import { forget, keep, leftBehind, ownTab } from './kept';
import { SurveyStore, type Links, type Outcome } from './survey-store';

const LOOK_MS = 8000;

export type Opening =
  | { readonly kind: 'opening' }
  | { readonly kind: 'open'; readonly store: SurveyStore; readonly look: () => void }
  | { readonly kind: 'failed'; readonly error: Error };

/** Opens a job's survey: the server's head, typing this browser kept, and an eye on what others save. */
export function useSurveyStore(jobId: string, personId: string): Opening {
  const [opening, setOpening] = useState<Opening>({ kind: 'opening' });

  useEffect(() => {
    let gone = false;
    let store: SurveyStore | undefined;
    const look = (): void => {
      if (document.visibilityState !== 'visible' || !store) return;
      const looking = store;
      readHead(jobId).then(
        (head) => {
          looking.seen(head);
          looking.retryIfStuck();
        },
        () => undefined,
      );
    };
    open(jobId, personId)
      .then((opened) => {
        if (gone) opened.close();
        else {
          store = opened;
          setOpening({ kind: 'open', store: opened, look });
        }
      })
      .catch((error: unknown) => {
        if (!gone) setOpening({ kind: 'failed', error: error instanceof Error ? error : new Error(String(error)) });
      });

    const back = (): void => store?.retry();
    const timer = setInterval(look, LOOK_MS);
    window.addEventListener('focus', look);
    window.addEventListener('online', back);
    return () => {
      gone = true;
      clearInterval(timer);
      window.removeEventListener('focus', look);
      window.removeEventListener('online', back);
    };
  }, [jobId, personId]);

  return opening;
}

async function open(jobId: string, personId: string): Promise<SurveyStore> {
  const tabId = await ownTab();
  const [head, left] = [await readHead(jobId), await leftBehind(personId, jobId, tabId)];
  const place = { personId, jobId, tabId };
  // Writes to the browser's store follow one another, so that an older state never lands on a newer one.
  let writing: Promise<unknown> = Promise.resolve();
  const links: Links = {
    send: (revision) => send(jobId, revision),
    keep: (unsaved) => {
      writing = writing.then(() => (unsaved ? keep({ ...place, ...unsaved }) : forget(place))).catch(() => undefined);
    },
    later: (milliseconds, work) => {
      setTimeout(work, milliseconds);
    },
    newId: () => crypto.randomUUID(),
  };
  const store = new SurveyStore(head, links);
  for (const entry of left) {
    store.adopt(entry);
    if (entry.tabId !== tabId) writing = writing.then(() => forget(entry)).catch(() => undefined);
  }
  return store;
}

async function send(jobId: string, revision: Parameters<Links['send']>[0]): Promise<Outcome> {
  try {
    return { kind: 'saved', saved: await postRevision(jobId, revision) };
  } catch (error) {
    if (error instanceof NoAnswer || !(error instanceof ServerProblem)) return { kind: 'no-answer' };
    if (error.status === 409) return { kind: 'conflict', head: headOf(error.members as unknown as ConflictAnswer) };
    if (error.status === 401) return { kind: 'signed-out' };
    if (error.status >= 500) return { kind: 'no-answer' };
    return {
      kind: 'refused',
      faults: error.faults.length > 0 ? error.faults : [{ path: '$', wrong: error.title, expected: error.detail }],
    };
  }
}

function headOf({ survey, revisionId, seq }: ConflictAnswer): Head {
  return { survey, revisionId, seq };
}
