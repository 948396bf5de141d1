import { useState } from 'react';
import { useMe } from '../api/me';

/** The name a draft of somebody’s is kept under in this tab. */
export const draftKey = (personId: string, form: string): string => `keen-gauge-draft ${personId} ${form}`;

function kept<T>(key: string): T | undefined {
  try {
    const text = sessionStorage.getItem(key);
    return text === null ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

function keep(key: string, value: unknown): void {
  try {
    if (value === undefined) sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, JSON.stringify(value));
  } catch {
    // A browser that keeps nothing still works; only leaving the page loses what was typed.
  }
}

export interface Draft<T> {
  readonly draft: T;
  /** Typed, and not saved yet. */
  readonly isChanged: boolean;
  readonly change: (next: T) => void;
  /** As it is stored now: after saving, or to give up what was typed. */
  readonly settle: (stored: T) => void;
}

/** What is typed into a form before it is saved, kept in this tab for the person who typed it: leaving the page and coming back loses nothing. */
export function useDraft<T>(form: string, stored: T): Draft<T> {
  const { me } = useMe();
  const key = draftKey(me?.id ?? '', form);
  const [found] = useState(() => kept<T>(key));
  const [draft, setDraft] = useState(found ?? stored);
  const [isChanged, setChanged] = useState(found !== undefined);
  return {
    draft,
    isChanged,
    change: (next) => {
      setDraft(next);
      setChanged(true);
      keep(key, next);
    },
    settle: (next) => {
      setDraft(next);
      setChanged(false);
      keep(key, undefined);
    },
  };
}
