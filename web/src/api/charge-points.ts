import type { LinkSample } from '@keen-gauge/core/link/messages';
import { call } from './client';
import { usePolled } from './use-polled';

/** A charge point linked to a job, and the last minute of what it told. */
export interface ChargePoint {
  readonly id: string;
  readonly proposalId: string;
  readonly name: string;
  readonly connected: boolean;
  readonly status: { readonly status: string; readonly errorCode: string; readonly info: string } | null;
  readonly samples: readonly (LinkSample & { readonly agoMs: number })[];
}

/** What is typed into the charge point; the key is shown once. */
export interface LinkDetails {
  readonly id: string;
  readonly name: string;
  readonly key: string;
}

const of = (jobId: string): string => `/jobs/${jobId}/charge-points`;

/** Asked again every second while it is on the screen and there is one. */
export function useChargePoints(jobId: string) {
  return usePolled<{ chargePoints: ChargePoint[] }>(
    of(jobId),
    ({ chargePoints }) => (chargePoints.length > 0 ? 1000 : 0),
    { dedupingInterval: 400 },
  );
}

export const linkChargePoint = (jobId: string, proposalId: string): Promise<LinkDetails> =>
  call('POST', of(jobId), { proposalId });

export const unlinkChargePoint = (jobId: string, id: string): Promise<void> => call('DELETE', `${of(jobId)}/${id}`);

export interface LimiterSettings {
  readonly setPointA: number | null;
  readonly failSafeA: number | null;
  readonly stepsA: readonly number[];
}

export const readSettings = (jobId: string, id: string): Promise<{ settings: LimiterSettings }> =>
  call('POST', `${of(jobId)}/${id}/ask`, { ask: 'read-settings' });

export const writeSettings = (
  jobId: string,
  id: string,
  settings: { readonly setPointA: number; readonly failSafeA: number },
): Promise<{ accepted: boolean }> => call('POST', `${of(jobId)}/${id}/ask`, { ask: 'write-settings', ...settings });

export const holdTo = (jobId: string, id: string, limitA: number): Promise<{ accepted: boolean }> =>
  call('POST', `${of(jobId)}/${id}/ask`, { ask: 'limit', limitA });
