import type { Quote } from '@keen-gauge/core/quote/quote';
import useSWR from 'swr';
import { call } from './client';
import type { QuotationState } from './jobs';

export interface Quotation {
  readonly id: string;
  readonly number: number;
  readonly revision: number;
  readonly quote: Quote;
  readonly fingerprint: string;
  readonly surveySeq: number;
  readonly validUntil: string;
  readonly state: QuotationState;
  readonly madeBy: string;
  readonly madeAt: string;
}

export interface QuotationAnswer {
  readonly id: string;
  readonly quotationId: string;
  readonly kind: 'accepted' | 'declined' | 'question';
  readonly choice: string | null;
  readonly name: string;
  readonly words: string | null;
  readonly cameAt: string;
}

export interface Quotations {
  readonly quotations: readonly Quotation[];
  readonly answers: readonly QuotationAnswer[];
  /** Whether the server sends mail. */
  readonly mails: boolean;
  /** What stands in a link that was just made to be handed over. */
  readonly token?: string;
}

const LOOK_AGAIN_MS = 30_000;

export const useQuotations = (jobId: string) =>
  useSWR<Quotations, Error>(`/jobs/${jobId}/quotations`, (path: string) => call<Quotations>('GET', path), {
    refreshInterval: LOOK_AGAIN_MS,
    shouldRetryOnError: false,
  });

export interface NewQuotation {
  readonly id: string;
  readonly revisionId: string;
  readonly offered: readonly string[];
  readonly about: string;
  readonly pictures: readonly string[];
  readonly revises?: number;
}

export const makeQuotation = (jobId: string, asked: NewQuotation): Promise<Quotations> =>
  call('POST', `/jobs/${jobId}/quotations`, asked);
export const quotationLink = (jobId: string, id: string, mailTo?: string): Promise<Quotations> =>
  call('POST', `/jobs/${jobId}/quotations/${id}/link`, mailTo === undefined ? {} : { mailTo });
export const withdrawQuotation = (jobId: string, id: string): Promise<Quotations> =>
  call('POST', `/jobs/${jobId}/quotations/${id}/withdraw`, {});
export const quotationUrl = (jobId: string, id: string): string => `/api/jobs/${jobId}/quotations/${id}/quotation.pdf`;
export const quotationAddress = (token: string): string => `${location.origin}/c/quotation.html#${token}`;
