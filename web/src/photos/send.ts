import type { DetailedError } from 'tus-js-client';
import { ServerProblem } from '../api/client';
import { filePhoto } from '../api/photos';
import { tellOfJob } from '../jobs/start-job';
import { answeredAfter, nothingCame } from '../offline/connection';
import { Refusal, type Filing } from './upload-queue';
import type { WaitingPhoto } from './waiting';

const PATIENCE_MS = [0, 1000, 3000, 6000];
/** A connection over which nothing has gone for so long is dead, though nobody has said so. */
const STALLED_MS = 60_000;

/** Sends a picture's bytes over the open protocol for resumable uploads, from wherever an earlier try came to. */
export async function sendPhoto(
  photo: WaitingPhoto,
  progress: (sent: number) => void,
  stop: AbortSignal,
): Promise<void> {
  // Pictures of a job begun without a connection come after the job.
  if (!(await tellOfJob(photo.jobId))) throw new Error('the server has no such job');
  const { Upload } = await import('tus-js-client');
  const endpoint = `/api/jobs/${photo.jobId}/uploads`;
  await new Promise<void>((resolve, reject) => {
    let stalled: ReturnType<typeof setTimeout> | undefined;
    const goesOn = (): void => {
      clearTimeout(stalled);
      stalled = setTimeout(() => {
        giveUp('nothing goes over the connection');
      }, STALLED_MS);
    };
    const giveUp = (why: string): void => {
      clearTimeout(stalled);
      void upload.abort().finally(() => {
        reject(new Error(why));
      });
    };
    const upload = new Upload(photo.file, {
      endpoint,
      // Asked for first: where the server has part of it already, only the rest is sent.
      uploadUrl: `${endpoint}/${photo.id}`,
      metadata: { id: photo.id },
      retryDelays: PATIENCE_MS,
      onAfterResponse: () => {
        answeredAfter(0);
      },
      onShouldRetry: (error) => {
        const status = statusOf(error);
        // Said at the first try that fails: the others take ten seconds.
        if (status === 0) nothingCame();
        return navigator.onLine && (status < 400 || status >= 500 || status === 409 || status === 423);
      },
      storeFingerprintForResuming: false,
      onProgress: (sent) => {
        goesOn();
        progress(sent);
      },
      onSuccess: () => {
        clearTimeout(stalled);
        resolve();
      },
      onError: (error) => {
        clearTimeout(stalled);
        const says = REFUSALS[statusOf(error)];
        reject(says === undefined ? error : new Refusal(says));
      },
    });
    stop.addEventListener('abort', () => {
      giveUp('stopped');
    });
    goesOn();
    upload.start();
  });
}

/** What the server answered, or 0 where nothing came back. */
const statusOf = (error: Error | DetailedError): number =>
  'originalResponse' in error ? (error.originalResponse?.getStatus() ?? 0) : 0;

/** What the server says of the picture itself, which no second try would change. Anything else is tried again: it may be trouble on the way, or at the server. */
const REFUSALS: Readonly<Record<number, string>> = {
  413: 'Too large: no picture over 25 MB is taken, and none once your firm keeps as much as it may.',
  422: 'The server cannot make anything of this file.',
};

/** Asks for a picture that has arrived to be made into a photograph of the survey. */
export async function filePicture(photo: WaitingPhoto): Promise<Filing> {
  const { jobId, id, fileName, subject, subjectId, caption, fromCustomer } = photo;
  try {
    const { known } = await filePhoto(jobId, id, {
      ...(fileName === '' ? {} : { fileName }),
      ...(subject === undefined ? {} : { subject }),
      ...(subjectId === undefined ? {} : { subjectId }),
      ...(caption === undefined ? {} : { caption }),
      ...(fromCustomer ? { fromCustomer } : {}),
    });
    return { kind: 'filed', known };
  } catch (error) {
    if (error instanceof ServerProblem && error.status === 422) return { kind: 'refused', says: error.detail };
    return { kind: 'no-answer' };
  }
}
