import { forgetLog, keptLogs } from '../offline/logs';
import { forgetNewJob, newJobs } from '../offline/new-jobs';
import { forgetSignature, keptSignatures } from '../offline/signatures';
import { forgetWaiting, jobsWithPictures, waitingFor } from '../photos/waiting';
import { forgetTyping, keptJobs } from '../survey/kept';

/** What of one job is on this device and not with the server. */
export interface Unsent {
  readonly jobId: string;
  /** The job itself: the server has not heard of it. */
  readonly isNew: boolean;
  readonly isTyped: boolean;
  readonly pictures: number;
  /** Files of logs. */
  readonly logs: number;
  /** Signed here, and not a numbered pack yet. */
  readonly signatures: number;
  readonly refused?: string;
}

const nothing = (): ReadonlySet<string> => new Set();

/** Everything of this person’s that the server does not have yet, job by job, new jobs first. */
export async function unsent(personId: string): Promise<Unsent[]> {
  const [begun, logs, signed, typed, pictures] = await Promise.all([
    newJobs(personId),
    keptLogs(personId),
    keptSignatures(personId),
    keptJobs(personId).catch(nothing),
    jobsWithPictures(personId).catch(() => new Map<string, number>()),
  ]);
  const ids = new Set([
    ...begun.map(({ id }) => id),
    ...typed,
    ...pictures.keys(),
    ...signed.map(({ jobId }) => jobId),
    ...logs.map(({ jobId }) => jobId),
  ]);
  return [...ids].map((jobId) => {
    const ofJob = signed.filter((each) => each.jobId === jobId);
    const logsOfJob = logs.filter((each) => each.jobId === jobId);
    const refused =
      ofJob.find(({ problem }) => problem !== undefined)?.problem ??
      logsOfJob.find((each) => each.refused !== undefined)?.refused;
    const own = begun.find(({ id }) => id === jobId);
    return {
      jobId,
      isNew: own !== undefined,
      isTyped: typed.has(jobId),
      pictures: pictures.get(jobId) ?? 0,
      logs: logsOfJob.length,
      signatures: ofJob.length,
      ...((own?.refused ?? refused) === undefined ? {} : { refused: own?.refused ?? refused ?? '' }),
    };
  });
}

/** Takes away everything of this person’s that the server does not have: asked for by signing out in spite of it. */
export async function forgetUnsent(personId: string): Promise<void> {
  for (const { jobId } of await unsent(personId)) {
    await forgetNewJob(jobId);
    for (const { id, jobId: of } of await keptLogs(personId)) if (of === jobId) await forgetLog(id);
    for (const { id, jobId: of } of await keptSignatures(personId)) if (of === jobId) await forgetSignature(id);
    await forgetTyping(personId, jobId);
    for (const { id } of await waitingFor(personId, jobId)) await forgetWaiting(id);
  }
}
