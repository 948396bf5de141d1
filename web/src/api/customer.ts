import type { CustomerSays } from '@keen-gauge/core/customer/answer';
import type { CustomerStep } from '@keen-gauge/core/customer/steps';
import useSWR from 'swr';
import { call } from './client';

/** A step as it was sent. */
export type SentStep = Pick<CustomerStep, 'id' | 'ask' | 'how' | 'parts' | 'choices'>;

export interface CustomerLink {
  readonly id: string;
  readonly steps: readonly SentStep[];
  readonly madeBy: string;
  readonly madeAt: string;
  readonly expiresAt: string;
  readonly revokedAt: string | null;
  readonly openedAt: string | null;
  readonly doneAt: string | null;
}

/** What the customer answered in one step, and what is decided about it. */
export interface CustomerReply {
  readonly id: string;
  readonly linkId: string;
  readonly step: string;
  /** What was asked, in the words it was asked in. */
  readonly asked: SentStep;
  readonly round: number;
  readonly says: CustomerSays;
  readonly cameAt: string;
  readonly state: 'came' | 'taken' | 'again' | 'set-aside';
  readonly reason: string | null;
  readonly decidedBy: string | null;
  readonly pictures: readonly string[];
}

export interface FromCustomer {
  /** The newest; answers came by it and by those before it. */
  readonly link: CustomerLink | null;
  readonly answers: readonly CustomerReply[];
  /** Whether the server sends mail. */
  readonly mails: boolean;
  /** What stands in a link that was just made to be handed over. */
  readonly token?: string;
}

const LOOK_AGAIN_MS = 30_000;

/** What came from the customer of a job; looked at again while the page is open. */
export const useCustomer = (jobId: string) =>
  useSWR<FromCustomer, Error>(`/jobs/${jobId}/customer`, (path: string) => call<FromCustomer>('GET', path), {
    refreshInterval: LOOK_AGAIN_MS,
  });

export const askCustomer = (
  jobId: string,
  asked: { readonly steps: readonly string[]; readonly days: number; readonly mailTo?: string },
): Promise<FromCustomer> => call('POST', `/jobs/${jobId}/customer`, asked);
export const anotherLink = (jobId: string, mailTo?: string): Promise<FromCustomer> =>
  call('POST', `/jobs/${jobId}/customer/link`, mailTo === undefined ? {} : { mailTo });
export const revokeCustomer = (jobId: string): Promise<FromCustomer> => call('DELETE', `/jobs/${jobId}/customer`);
export const decideAnswer = (
  jobId: string,
  answerId: string,
  how: 'take' | 'again' | 'set-aside',
  reason?: string,
): Promise<FromCustomer> =>
  call('POST', `/jobs/${jobId}/customer/answers/${answerId}/${how}`, reason === undefined ? {} : { reason });

export const customerPictureUrl = (jobId: string, id: string, size: 'full' | 'thumb'): string =>
  `/api/jobs/${jobId}/customer/pictures/${id}/${size}.jpg`;

/** The address of the customer’s page: what opens it stands after the #, so that no server on the way writes it down. */
export const customerAddress = (token: string): string => `${window.location.origin}/c/#${token}`;
