import { ServerProblem } from '../api/client';
import { filePhoto } from '../api/photos';
import { Refusal, type Filing } from './upload-queue';
import type { WaitingPhoto } from './waiting';

const PATIENCE_MS = [0, 1000, 3000, 6000];

/** Sends a picture's bytes over the open protocol for resumable uploads, from wherever an earlier try came to. */
export async function sendPhoto(
  photo: WaitingPhoto,
  progress: (sent: number) => void,
  stop: AbortSignal,
): Promise<void> {
  const { Upload } = await import('tus-js-client');
  const endpoint = `/api/jobs/${photo.jobId}/uploads`;
  await new Promise<void>((resolve, reject) => {
    const upload = new Upload(photo.file, {
      endpoint,
      // Asked for first: where the server has part of it already, only the rest is sent.
      uploadUrl: `${endpoint}/${photo.id}`,
      metadata: { id: photo.id },
      retryDelays: PATIENCE_MS,
      storeFingerprintForResuming: false,
      onProgress: progress,
      onSuccess: () => {
        resolve();
      },
      onError: (error) => {
        const status = 'originalResponse' in error ? (error.originalResponse?.getStatus() ?? 0) : 0;
        const lasting = status >= 400 && status < 500 && ![401, 408, 409, 423, 429].includes(status);
        reject(lasting ? new Refusal(refusalWords(status)) : error);
      },
    });
    stop.addEventListener('abort', () => {
      void upload.abort().finally(() => {
        reject(new Error('stopped'));
      });
    });
    upload.start();
  });
}

function refusalWords(status: number): string {
  if (status === 413) return 'Larger than 25 MB: take it smaller.';
  return 'The server would not take it.';
}

/** Asks for a picture that has arrived to be made into a photograph of the survey. */
export async function filePicture({ jobId, id, fileName, subject, subjectId }: WaitingPhoto): Promise<Filing> {
  try {
    const { known } = await filePhoto(jobId, id, {
      ...(fileName === '' ? {} : { fileName }),
      ...(subject === undefined ? {} : { subject }),
      ...(subjectId === undefined ? {} : { subjectId }),
    });
    return { kind: 'filed', known };
  } catch (error) {
    if (error instanceof ServerProblem && error.status === 422) return { kind: 'refused', says: error.detail };
    return { kind: 'no-answer' };
  }
}
