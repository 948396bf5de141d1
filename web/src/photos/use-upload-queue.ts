import { useEffect, useMemo } from 'react';
import { connectionNow } from '../offline/connection';
import { filePicture, sendPhoto } from './send';
import { UploadQueue } from './upload-queue';
import { forgetWaiting, keepWaiting, waitingFor } from './waiting';

const TRY_AGAIN_MS = 8000;

/** The pictures on their way into a job; what an earlier visit left is taken up, what stopped is tried again. */
export function useUploadQueue(jobId: string, personId: string, filed: () => void): UploadQueue {
  const queue = useMemo(
    () =>
      new UploadQueue(personId, jobId, {
        send: sendPhoto,
        file: filePicture,
        drop: ({ id }) =>
          void fetch(`/api/jobs/${jobId}/uploads/${id}`, {
            method: 'DELETE',
            headers: { 'Tus-Resumable': '1.0.0' },
          }).catch(() => undefined),
        keep: keepWaiting,
        forget: forgetWaiting,
        reached: () => connectionNow() !== 'without',
        newId: () => crypto.randomUUID(),
        filed,
      }),
    [jobId, personId, filed],
  );
  useEffect(() => {
    let gone = false;
    // One tab at a time sends what is waiting; the next takes over when it closes.
    const held = new AbortController();
    void navigator.locks
      .request(`keen-gauge-photos-${personId}-${jobId}`, { signal: held.signal }, async () => {
        const left = await waitingFor(personId, jobId).catch(() => []);
        const known = new Set(queue.get().map(({ id }) => id));
        if (!gone) queue.adopt(left.filter(({ id }) => !known.has(id)));
        await new Promise<void>((resolve) => {
          held.signal.addEventListener('abort', () => {
            resolve();
          });
        });
      })
      .catch(() => undefined);
    const again = (): void => {
      queue.retry();
    };
    const timer = setInterval(again, TRY_AGAIN_MS);
    window.addEventListener('online', again);
    return () => {
      gone = true;
      held.abort();
      clearInterval(timer);
      window.removeEventListener('online', again);
      queue.close();
    };
  }, [queue, jobId, personId]);
  return queue;
}
