import useSWR from 'swr';
import { rememberPerson } from '../offline/person';
import { call } from './client';
import type { Me } from './me';

/** What the pages before signing in need to know. */
export interface AccessNow {
  /** Whether a firm is there. */
  readonly isSetUp: boolean;
  /** Whether the server sends mail. */
  readonly mails: boolean;
}

/** Undefined while asking, and where the server does not answer: signing in says so by itself. */
export function useAccess(): AccessNow | undefined {
  return useSWR<AccessNow, Error>('/access', (path: string) => call<AccessNow>('GET', path)).data;
}

export interface FirstFirm {
  readonly code: string;
  readonly firm: string;
  readonly name: string;
  readonly email: string;
  readonly registration: string;
  readonly password: string;
}

/** Makes the firm and its first supervisor, who is signed in from then on. */
export const setUp = (first: FirstFirm): Promise<Me> => entered(call('POST', '/access/set-up', first));

/** Who a link is for. */
export interface ShownLink {
  readonly kind: 'invitation' | 'recovery';
  readonly email: string;
  readonly name: string;
  readonly firm: string;
}

export const shownLink = (token: string): Promise<ShownLink> => call('POST', '/access/link', { token });

/** Uses the link up: somebody joins, or has a new password, and is signed in. */
export const takeLink = (token: string, name: string, password: string): Promise<Me> =>
  entered(call('POST', '/access/link/use', { token, name, password }));

export const askForNewPassword = (email: string): Promise<void> => call('POST', '/access/recovery', { email });

async function entered(answer: Promise<Me>): Promise<Me> {
  const me = await answer;
  await rememberPerson(me);
  return me;
}
