import { NoAnswer } from '../api/client';
import { report } from '../api/report';
import { tellOfJob } from '../jobs/start-job';
import { sendKeptLogs } from '../measured/send-kept-logs';
import { sendPictures } from '../photos/send-waiting';
import { unsent } from './unsent';

/** How far the sending is. */
export interface Sending {
  readonly isRunning: boolean;
  /** The jobs in which somebody has to choose between two answers. */
  readonly toDecide: ReadonlySet<string>;
  /** When everything that could go had gone, in milliseconds since 1970. */
  readonly doneAt?: number;
}

let now: Sending = { isRunning: false, toDecide: new Set() };
const listeners = new Set<() => void>();

const become = (next: Sending): void => {
  now = next;
  for (const listener of listeners) listener();
};

export const sendingNow = (): Sending => now;

export function onSending(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/**
 * Sends everything of this person’s that the server does not have: of each job first the job, then its logs, then what was typed, then its pictures, and at last what was signed. One tab does it at
 * a time; the rest waits for the next call where the server does not answer. Everything goes under the name it was given when it was made, so that what
 * had arrived before is not done twice. `again`: what the server refused is asked for once more.
 */
export async function sendEverything(personId: string, again = false): Promise<void> {
  await navigator.locks.request('keen-gauge-sending', { ifAvailable: true }, async (lock) => {
    if (!lock) return;
    const waiting = await unsent(personId);
    if (waiting.length === 0) {
      become({ isRunning: false, toDecide: new Set() });
      return;
    }
    const toDecide = new Set<string>();
    become({ isRunning: true, toDecide });
    try {
      for (const { jobId, isTyped, pictures, logs, signatures } of waiting) {
        if (!(await tellOfJob(jobId))) continue;
        if (logs > 0) await sendKeptLogs(personId, jobId);
        if (isTyped) {
          // With the core in it: fetched only where there is something to send.
          const { sendTyping } = await import('../survey/send-kept');
          const came = await sendTyping(jobId, personId);
          if (came === 'to-decide') toDecide.add(jobId);
          if (came === 'not-now') return;
          // What is signed stands on what was typed.
          if (came !== 'sent') continue;
        }
        if (pictures > 0) await sendPictures(personId, jobId);
        if (signatures > 0) {
          // Last: what was signed is whole only then.
          const { sendSignatures } = await import('./send-signatures');
          if (!(await sendSignatures(personId, jobId, again))) toDecide.add(jobId);
        }
      }
      become({ isRunning: false, toDecide, doneAt: Date.now() });
    } catch (error) {
      if (!(error instanceof NoAnswer)) report('error', error);
    } finally {
      become({ ...now, isRunning: false, toDecide });
    }
  });
}
