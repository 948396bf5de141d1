import express, { type Response } from 'express';
import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import {
  ANSWERS,
  answered,
  CONDITIONS,
  give,
  MOODS,
  newDesk,
  resumed,
  take,
  today,
  told,
  wound,
  type Desk,
  type Verdict,
} from './desk';
import { operatorPage } from './page';
import { readPack } from './read-pack';

export interface OperatorOptions {
  readonly port: number;
  /** Where the desk is written down, so that it survives being stopped; left out, it is kept in memory. */
  readonly file?: string;
  readonly secondsPerDay?: number;
}

const SLOW_MS = 4000;

/** The stand-in operator: takes packs in, answers after its working days on its own clock, and can be out of order in several ways. */
export function startOperator({ port, file, secondsPerDay = 86_400 }: OperatorOptions): Promise<Server> {
  // Its clock stood while it was stopped.
  let desk: Desk =
    file !== undefined && existsSync(file)
      ? resumed(JSON.parse(readFileSync(file, 'utf8')) as Desk, Date.now())
      : newDesk(Date.now(), secondsPerDay);
  const keep = (next: Desk): void => {
    desk = wound(next, Date.now(), {});
    if (file === undefined) return;
    // Written beside and moved into place: it is there whole, or as it was.
    writeFileSync(`${file}.new`, JSON.stringify(desk));
    renameSync(`${file}.new`, file);
  };
  const upToDate = (): Desk => {
    const next = answered(desk, Date.now(), randomUUID);
    if (next !== desk) keep(next);
    return desk;
  };
  /** Out of order, or slow; true where the request has been dealt with by that. */
  const moody = async (response: Response): Promise<boolean> => {
    if (desk.mood === 'slow') await wait(SLOW_MS);
    if (desk.mood !== 'down') return false;
    response
      .status(503)
      .set('Retry-After', '1')
      .json({ title: 'Out of order', detail: 'The desk is closed for repairs.' });
    return true;
  };
  /** Real desks are asked now and then; one whose days are short, more often. */
  const pollAfterSeconds = (): number => Math.max(1, Math.min(3600, Math.round(desk.clock.secondsPerDay / 4)));

  /** Submissions that came in whole and have not been dealt with. */
  let arriving = 0;
  const state = (): object => ({ ...upToDate(), arriving, today: today(desk, Date.now()) });

  const app = express();
  app.disable('x-powered-by');
  app.get('/', (_request, response) => {
    response.type('html').send(operatorPage());
  });

  app.post('/submissions', express.raw({ type: 'application/zip', limit: '120mb' }), async (request, response) => {
    arriving += 1;
    const dealtWith = await moody(response).finally(() => {
      arriving -= 1;
    });
    if (dealtWith) return;
    const key = request.get('idempotency-key') ?? '';
    if (!/^[A-Za-z0-9-]{8,64}$/.test(key) || !Buffer.isBuffer(request.body)) {
      response
        .status(400)
        .json({ title: 'Not a submission', detail: 'An Idempotency-Key and a pack as application/zip are needed.' });
      return;
    }
    const read = await readPack(request.body);
    if ('faults' in read) {
      response.status(422).json({ title: 'Not as it was signed', detail: read.faults.join(' '), faults: read.faults });
      return;
    }
    const taken = take(desk, key, read.pack, Date.now());
    keep(taken.desk);
    if (desk.mood === 'drops' && taken.fresh) {
      // It is in; the one who sent it does not hear so.
      request.socket.destroy();
      return;
    }
    const { reference, receivedOn } = taken.handed;
    response.status(taken.fresh ? 201 : 200).json({ reference, receivedOn, pollAfterSeconds: pollAfterSeconds() });
  });

  app.get('/submissions/:reference', async (request, response) => {
    if (await moody(response)) return;
    const handed = upToDate().handed.find(({ reference }) => reference === request.params.reference);
    if (!handed) {
      response.status(404).json({ title: 'No such reference', detail: 'Nothing was handed in under it.' });
      return;
    }
    response.json({
      reference: handed.reference,
      today: today(desk, Date.now()),
      answers: told(desk, handed),
      pollAfterSeconds: pollAfterSeconds(),
    });
  });

  const control = express.json({ limit: '10kb' });
  app.get('/desk', (_request, response) => {
    response.json(state());
  });
  app.patch('/desk', control, (request, response) => {
    const change = (request.body ?? {}) as Record<string, unknown>;
    const next = changedDesk(desk, change);
    if (!next) {
      response.status(422).json({ title: 'The desk has no such setting.' });
      return;
    }
    keep(next);
    response.json(state());
  });
  app.post('/desk/:reference/answers', control, (request, response) => {
    const handed = desk.handed.find(({ reference }) => reference === request.params['reference']);
    const verdict = verdictOf(request.body);
    if (!handed || !verdict) {
      response.status(422).json({ title: 'No such reference, or no such answer.' });
      return;
    }
    keep(give(desk, handed, verdict, today(desk, Date.now()), randomUUID()));
    response.status(201).json({ ...desk, today: today(desk, Date.now()) });
  });

  return new Promise((resolve) => {
    const server = app.listen(port, '127.0.0.1', () => {
      resolve(server);
    });
  });
}

/** The desk with its settings changed; null where one of them is none it has. */
function changedDesk(desk: Desk, change: Record<string, unknown>): Desk | null {
  const { mood = desk.mood, workingDays = desk.workingDays, secondsPerDay, skipDays, answerNext, ...rest } = change;
  const next = answerNext === undefined ? desk.answerNext : answerNext === 'judge' ? 'judge' : verdictOf(answerNext);
  const moodNow = MOODS.find((each) => each === mood);
  const number = (value: unknown, most: number): boolean =>
    value === undefined || (typeof value === 'number' && value > 0 && value <= most);
  if (Object.keys(rest).length > 0 || !next || !moodNow) return null;
  if (
    typeof workingDays !== 'number' ||
    !number(workingDays, 260) ||
    !number(secondsPerDay, 86_400) ||
    !number(skipDays, 1000)
  )
    return null;
  return wound({ ...desk, mood: moodNow, workingDays, answerNext: next }, Date.now(), {
    ...(typeof secondsPerDay === 'number' ? { secondsPerDay } : {}),
    ...(typeof skipDays === 'number' ? { skipDays } : {}),
  });
}

function verdictOf(value: unknown): Verdict | null {
  const { answer, condition, limitA, note } = (typeof value === 'object' && value !== null ? value : {}) as Record<
    string,
    unknown
  >;
  const found = ANSWERS.find((each) => each === answer);
  if (!found) return null;
  const on = CONDITIONS.find((each) => each === condition);
  return {
    answer: found,
    ...(on && found === 'accepted-if' ? { condition: on } : {}),
    ...(typeof limitA === 'number' && on === 'limit' ? { limitA } : {}),
    ...(typeof note === 'string' && note !== '' ? { note: note.slice(0, 500) } : {}),
  };
}
