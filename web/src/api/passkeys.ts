import type {
  PublicKeyCredentialCreationOptionsJSON,
  PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';
import useSWR from 'swr';
import { rememberPerson } from '../offline/person';
import { call } from './client';
import type { Me } from './me';

/** One of my passkeys. */
export interface Passkey {
  readonly id: string;
  readonly device: string;
  readonly madeAt: string;
  readonly usedAt: string | null;
}

interface Answer {
  readonly passkeys: readonly Passkey[];
}

export const usePasskeys = () => useSWR<Answer, Error>('/me/passkeys', (path: string) => call<Answer>('GET', path));

/** Whether this browser knows of passkeys at all. */
export const hasPasskeys = (): boolean => typeof window.PublicKeyCredential === 'function';

/** Makes a passkey on this device for whoever knows the password. Rejects where the person calls it off. */
export async function addPasskey(current: string): Promise<Answer> {
  const optionsJSON = await call<PublicKeyCredentialCreationOptionsJSON>('POST', '/me/passkeys/options', { current });
  const { startRegistration } = await import('@simplewebauthn/browser');
  const response = await startRegistration({ optionsJSON });
  return call('POST', '/me/passkeys', { response });
}

export const removePasskey = (id: string): Promise<Answer> => call('DELETE', `/me/passkeys/${id}`);

/** Signs in with a passkey that this device, or one beside it, holds. */
export async function signInWithPasskey(): Promise<Me> {
  const optionsJSON = await call<PublicKeyCredentialRequestOptionsJSON>('POST', '/session/passkey/options', {});
  const { startAuthentication } = await import('@simplewebauthn/browser');
  const response = await startAuthentication({ optionsJSON });
  const me = await call<Me>('POST', '/session/passkey', { response });
  await rememberPerson(me);
  return me;
}
