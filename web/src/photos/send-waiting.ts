import { connectionNow } from '../offline/connection';
import { filePicture, sendPhoto } from './send';
import { UploadQueue } from './upload-queue';
import { forgetWaiting, keepWaiting, waitingFor } from './waiting';

const UNDER_WAY: ReadonlySet<string> = new Set(['waiting', 'sending', 'filing']);

/** Sends the pictures waiting in one job, unless a tab that has it open does so already; resolves when none is under way any more. */
export async function sendPictures(personId: string, jobId: string): Promise<void> {
  await navigator.locks.request(`keen-gauge-photos-${personId}-${jobId}`, { ifAvailable: true }, async (lock) => {
    if (!lock) return;
    const queue = new UploadQueue(personId, jobId, {
      send: sendPhoto,
      file: filePicture,
      drop: () => undefined,
      keep: keepWaiting,
      forget: forgetWaiting,
      reached: () => connectionNow() !== 'without',
      newId: () => crypto.randomUUID(),
      filed: () => undefined,
    });
    await new Promise<void>((resolve) => {
      const look = (): void => {
        if (!queue.get().some(({ state }) => UNDER_WAY.has(state))) resolve();
      };
      queue.subscribe(look);
      void waitingFor(personId, jobId).then((left) => {
        queue.adopt(left.filter(({ refused }) => refused === undefined));
        look();
      }, resolve);
    });
    queue.close();
  });
}
