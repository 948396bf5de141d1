import { useEffect, useState } from 'react';
import { openStored } from '@keen-gauge/core/survey/opening/open-stored';
import { NoAnswer, ServerProblem } from '../api/client';
import { keepHead, postRevision, readHead, readHeadOrCopy, type ConflictAnswer, type Head } from '../api/surveys';
import { tellOfJob } from '../jobs/start-job';
import { Keeper } from './keeper';
import { forget, keep, ownTab, type Kept } from './kept';
import { leftBehind } from './left-behind';
import { SurveyStore, type Links, type Outcome } from './survey-store';

const LOOK_MS = 8000;

/** A store, and what sends and keeps at once all that is typed: the page may be about to go. */
interface Open {
  readonly store: SurveyStore;
  readonly flush: () => void;
  /** Resolves when what this browser keeps is what there is to keep. */
  readonly kept: () => Promise<unknown>;
}

export type Opening =
  | { readonly kind: 'opening' }
  | { readonly kind: 'open'; readonly store: SurveyStore; readonly look: () => void }
  | { readonly kind: 'failed'; readonly error: Error };

/** Opens a job's survey: the server's head, typing this browser kept, and an eye on what others save. */
export function useSurveyStore(jobId: string, personId: string): Opening {
  const [opening, setOpening] = useState<Opening>({ kind: 'opening' });

  useEffect(() => {
    let gone = false;
    let open: Open | undefined;
    openHere.add(jobId);
    const look = (): void => {
      if (document.visibilityState !== 'visible' || !open) return;
      const looking = open.store;
      readHead(jobId).then(
        (head) => {
          looking.seen(head);
          looking.retryIfStuck();
        },
        () => undefined,
      );
    };
    openStore(jobId, personId)
      .then((opened) => {
        if (gone) opened.store.close();
        else {
          open = opened;
          setOpening({ kind: 'open', store: opened.store, look });
        }
      })
      .catch((error: unknown) => {
        if (!gone) setOpening({ kind: 'failed', error: error instanceof Error ? error : new Error(String(error)) });
      });

    const back = (): void => open?.store.retry();
    const going = (): void => {
      if (document.visibilityState === 'hidden') open?.flush();
    };
    const leaving = (): void => open?.flush();
    const timer = setInterval(look, LOOK_MS);
    window.addEventListener('focus', look);
    window.addEventListener('online', back);
    document.addEventListener('visibilitychange', going);
    window.addEventListener('pagehide', leaving);
    return () => {
      gone = true;
      openHere.delete(jobId);
      clearInterval(timer);
      window.removeEventListener('focus', look);
      window.removeEventListener('online', back);
      document.removeEventListener('visibilitychange', going);
      window.removeEventListener('pagehide', leaving);
      open?.flush();
    };
  }, [jobId, personId]);

  return opening;
}

/** The jobs open in this tab. */
const openHere = new Set<string>();

export const isOpenHere = (jobId: string): boolean => openHere.has(jobId);

/** Opens a survey as it is kept: the server’s head, or the copy of it here, and what was typed on it. */
export async function openStore(jobId: string, personId: string): Promise<Open> {
  const answer = await readHeadOrCopy(jobId);
  // A copy may have been kept by an earlier version.
  const head = { ...answer, survey: openStored(answer.survey) };
  // A browser that keeps nothing still works: everything goes straight to the server, and the page says what is not kept.
  const found = await left(personId, jobId).catch(() => null);
  const { tabId, entries } = found ?? { tabId: crypto.randomUUID(), entries: [] };
  const place = { personId, jobId, tabId };
  const later = (milliseconds: number, work: () => void): void => {
    setTimeout(work, milliseconds);
  };
  const keeper = new Keeper(
    (unsaved) => (unsaved ? keep({ ...place, ...unsaved }) : forget(place)),
    (is) => {
      store.kept(is);
    },
    later,
  );
  const links: Links = {
    send: (revision) => {
      // What this browser keeps is never older than what is on its way.
      keeper.flush();
      return send(jobId, revision);
    },
    keep: (unsaved) => {
      keeper.keep(unsaved);
    },
    later,
    newId: () => crypto.randomUUID(),
  };
  const store = new SurveyStore(head, links);
  if (found === null) store.kept(false);
  let keptHead = head.revisionId;
  store.subscribe(() => {
    const now = store.get().head;
    if (now.revisionId === keptHead) return;
    keptHead = now.revisionId;
    void keepHead(jobId, now);
  });
  for (const entry of entries) {
    store.adopt(entry);
    if (entry.tabId !== tabId) keeper.then(() => forget(entry));
  }
  return {
    store,
    flush: () => {
      store.flush();
      keeper.flush();
    },
    kept: () => keeper.idle(),
  };
}

async function left(personId: string, jobId: string): Promise<{ tabId: string; entries: Kept[] }> {
  const tabId = await ownTab();
  return { tabId, entries: await leftBehind(personId, jobId, tabId) };
}

async function send(jobId: string, revision: Parameters<Links['send']>[0]): Promise<Outcome> {
  try {
    if (!(await tellOfJob(jobId))) return { kind: 'refused', faults: JOB_REFUSED };
    return { kind: 'saved', saved: await postRevision(jobId, revision) };
  } catch (error) {
    if (error instanceof NoAnswer || !(error instanceof ServerProblem)) return { kind: 'no-answer' };
    if (error.status === 409 && 'survey' in error.members)
      return { kind: 'conflict', head: headOf(error.members as unknown as ConflictAnswer) };
    if (error.status === 401) return { kind: 'signed-out' };
    if (error.status === 503 || error.status === 429) return { kind: 'unavailable' };
    if (error.status >= 500) return { kind: 'failed', under: error.requestId };
    return {
      kind: 'refused',
      faults: error.faults.length > 0 ? error.faults : [{ path: '$', wrong: error.title, expected: error.detail }],
    };
  }
}

const JOB_REFUSED = [
  { path: '$', wrong: 'belongs to a job that the server would not take', expected: 'see “This device” for why' },
];

function headOf({ survey, revisionId, seq }: ConflictAnswer): Head {
  return { survey, revisionId, seq };
}
