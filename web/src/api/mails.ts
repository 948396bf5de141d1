import useSWR from 'swr';
import { call } from './client';

/** A mail about a job. */
export interface JobMail {
  readonly id: string;
  readonly kind: 'invitation' | 'recovery' | 'to-operator' | 'to-customer' | 'reminder';
  readonly to: string;
  readonly subject: string;
  readonly body: string;
  readonly packNumber: number | null;
  readonly state: 'draft' | 'waiting' | 'sent' | 'given-up';
  readonly trouble: string | null;
  readonly madeBy: string | null;
  readonly madeAt: string;
  readonly sentAt: string | null;
}

export interface JobMails {
  readonly mails: readonly JobMail[];
  /** Whether letters leave by mail here; they are kept as drafts otherwise. */
  readonly sends: boolean;
}

/** What is mailed about a job; looked at often while something is on its way. */
export const useMails = (jobId: string) =>
  useSWR<JobMails, Error>(`/jobs/${jobId}/mails`, (path: string) => call<JobMails>('GET', path), {
    refreshInterval: (data) => (data?.mails.some(({ state }) => state === 'waiting') ? 2000 : 0),
  });

export const writeMail = (
  jobId: string,
  mail: {
    readonly kind: 'to-operator' | 'to-customer';
    readonly to: string;
    readonly body: string;
    readonly packId?: string;
  },
): Promise<JobMails> => call('POST', `/jobs/${jobId}/mails`, mail);

export const sendMail = (jobId: string, id: string): Promise<JobMails> =>
  call('POST', `/jobs/${jobId}/mails/${id}/send`);
