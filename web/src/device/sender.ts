import { NoAnswer, ServerProblem } from '../api/client';
import { report } from '../api/report';
import { tellOfJob } from '../jobs/start-job';
import { sendKeptLogs } from '../measured/send-kept-logs';
import { sendPictures } from '../photos/send-waiting';
import { becomeSending } from './sending';
import { unsent, type Unsent } from './unsent';

/**
 * Sends everything of this person’s that the server does not have: of each job first the job, then its logs, then what was typed, then its pictures, and at
 * last what was signed. One tab does it at a time; the rest waits for the next call where the server does not answer. Everything goes under the name it was given when it was made, so that what
 * had arrived before is not done twice. `again`: what the server refused is asked for once more.
 */
export async function sendEverything(personId: string, again = false): Promise<void> {
  await navigator.locks.request('keen-gauge-sending', { ifAvailable: true }, async (lock) => {
    if (!lock) return;
    const waiting = await unsent(personId);
    if (waiting.length === 0) {
      becomeSending({ isRunning: false, toDecide: new Set() });
      return;
    }
    const toDecide = new Set<string>();
    becomeSending({ isRunning: true, toDecide });
    try {
      for (const each of waiting)
        try {
          if (!(await sendJob(personId, each, again))) toDecide.add(each.jobId);
        } catch (error) {
          if (isAway(error)) return;
          // One job in trouble does not hold up the others.
          report('error', error);
          toDecide.add(each.jobId);
        }
    } finally {
      becomeSending({ isRunning: false, toDecide });
    }
  });
}

/** The rest is for another time: no connection, trouble at the server, or nobody signed in. */
const isAway = (error: unknown): boolean =>
  error instanceof NoAnswer || (error instanceof ServerProblem && (error.status >= 500 || error.status === 401));

/** Whether nothing of the job waits for a person. */
async function sendJob(
  personId: string,
  { jobId, isTyped, pictures, logs, signatures }: Unsent,
  again: boolean,
): Promise<boolean> {
  if (!(await tellOfJob(jobId))) return false;
  if (logs > 0) await sendKeptLogs(personId, jobId);
  if (isTyped) {
    // With the core in it: fetched only where there is something to send.
    const { sendTyping } = await import('../survey/send-kept');
    const came = await sendTyping(jobId, personId);
    if (came === 'not-now') throw new NoAnswer();
    // What is signed stands on what was typed.
    if (came !== 'sent') return came === 'open-elsewhere';
  }
  if (pictures > 0) await sendPictures(personId, jobId);
  if (signatures === 0) return true;
  // Last: what was signed is whole only then.
  const { sendSignatures } = await import('./send-signatures');
  return sendSignatures(personId, jobId, again);
}
