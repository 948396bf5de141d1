import type { Pool } from 'pg';
import { writeDiary } from '../calendar/diary-file';
import { resummarise } from '../jobs/resummarise';
import type { Mailer } from '../mail/mailer';
import { remind } from '../mail/reminders';
import { sendMailHandler } from '../mail/send';
import type { OperatorAddresses } from '../operator/addresses';
import { handInHandler } from '../operator/outbox';
import { makePack } from '../packs/make';
import { erase, retain } from '../privacy/erasure';
import { printedPicture } from '../photos/printed';
import type { Handler, Handlers } from './worker';

/** What is done for each kind of task. */
export function taskHandlers(pool: Pool, operators: OperatorAddresses, mailer?: Mailer): Handlers {
  const then =
    (work: (firmId: string, about: string) => Promise<unknown>): Handler =>
    async ({ firmId, about }) => {
      await work(firmId, about);
      return 'done';
    };
  return {
    'hand-in': handInHandler(pool, operators),
    erase: ({ firmId, about }) => erase(pool, firmId, about),
    'make-pack': then((firmId, packId) => makePack(pool, firmId, packId)),
    'print-picture': then((firmId, photoId) => printedPicture(pool, firmId, photoId)),
    remind: then((firmId) => remind(pool, mailer, firmId)),
    resummarise: then((firmId) => resummarise(pool, firmId)),
    retain: then((firmId) => retain(pool, firmId)),
    'send-mail': sendMailHandler(pool, mailer),
    'write-diary': then((firmId) => writeDiary(pool, firmId)),
  };
}
