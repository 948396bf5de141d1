import { callText, errorText, readFrame, resultText, type Frame, type Payload } from '@keen-gauge/core/link/frames';
import { readMeterValues } from '@keen-gauge/core/link/messages';
import { createHash, randomUUID, timingSafeEqual } from 'node:crypto';
import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { WebSocketServer, type WebSocket } from 'ws';
import { inFirm } from '../db/firm-scope';
import { chargePointByName, connect, disconnect, putAnswer, putSamples, putStatus, takeCall } from './queries';

/** Where charge points call in: /ocpp/ and their name, with their name and key as HTTP Basic credentials. */
const PATH = /^\/ocpp\/([A-Za-z0-9-]{1,64})$/;

/** How often a connection looks whether something is asked of it. Any instance may have written it, so it is the database that is asked. */
const LOOK_MS = 400;

/** Seconds between two heartbeats asked for at boot. */
const HEARTBEAT_S = 60;

/** Seconds between two readings asked for. */
const SAMPLE_S = 2;

/** A frame of ours is far under this; a longer one is somebody’s mischief. */
const LARGEST_FRAME = 64 * 1024;

/** So many frames may wait to be filed; more are left on the line until there is room again, and the charge point feels it. */
const MOST_WAITING = 20;

/** So many frames in so long, ms, are more than any charge point has to say: one that goes on is cut off. */
const MOST_FRAMES = 600;
const SPELL_MS = 10_000;

interface Point {
  readonly id: string;
  readonly firmId: string;
}

/** Lets charge points connect to a server; nothing of a connection is kept that another instance would miss. */
export function listenForChargePoints(server: Server, pool: Pool, log: Logger): { readonly close: () => void } {
  const sockets = new WebSocketServer({
    noServer: true,
    maxPayload: LARGEST_FRAME,
    handleProtocols: (offered) => (offered.has('ocpp1.6') ? 'ocpp1.6' : false),
  });
  server.on('upgrade', (request, socket, head) => {
    socket.on('error', () => undefined);
    void admitted(request, pool).then(
      (point) => {
        if (!point) {
          refuse(socket);
          return;
        }
        sockets.handleUpgrade(request, socket, head, (opened) => {
          serve(opened, point, pool, log);
        });
      },
      (error: unknown) => {
        log.warn({ err: error }, 'charge point not admitted');
        socket.destroy();
      },
    );
  });
  return {
    close: () => {
      for (const socket of sockets.clients) socket.close(1001);
      sockets.close();
    },
  };
}

function refuse(socket: Duplex): void {
  socket.end('HTTP/1.1 401 Unauthorized\r\nWWW-Authenticate: Basic realm="charge points"\r\nContent-Length: 0\r\n\r\n');
}

async function admitted(request: IncomingMessage, pool: Pool): Promise<Point | null> {
  const name = PATH.exec(request.url ?? '')?.[1];
  const [scheme, encoded = ''] = (request.headers.authorization ?? '').split(' ');
  if (name === undefined || scheme !== 'Basic') return null;
  const [user, key = ''] = Buffer.from(encoded, 'base64').toString('utf8').split(/:(.*)/s);
  if (user !== name) return null;
  const found = await chargePointByName(pool, name);
  if (!found || !timingSafeEqual(keyHash(key), found.keyHash)) return null;
  return { id: found.id, firmId: found.firmId };
}

export function keyHash(key: string): Buffer {
  return createHash('sha256').update(key).digest();
}

/** One connection: what it tells is filed, what is asked of it is sent, until either side ends it. */
function serve(socket: WebSocket, point: Point, pool: Pool, log: Logger): void {
  const connection = randomUUID();
  const inScope = <T>(work: Parameters<typeof inFirm<T>>[2]): Promise<T> => inFirm(pool, point, work);
  const failed = (error: unknown): void => {
    log.warn({ err: error }, 'charge point link');
    socket.close(1011);
  };
  // One thing after another: an answer is filed before what came after it.
  let line: Promise<void> = inScope((db) => connect(db, point.id, connection));
  let waiting = 0;
  const next = (work: () => Promise<void>): void => {
    if ((waiting += 1) >= MOST_WAITING) socket.pause();
    line = line
      .then(work)
      .catch(failed)
      .finally(() => {
        waiting -= 1;
        if (socket.isPaused && waiting < MOST_WAITING / 2) socket.resume();
      });
  };
  const tooMuch = spellsOver(MOST_FRAMES, SPELL_MS);

  // Usual chargers tell every minute; commissioning wants to see a load come on. One that will not is read as it tells.
  socket.send(
    callText(randomUUID(), 'ChangeConfiguration', { key: 'MeterValueSampleInterval', value: String(SAMPLE_S) }),
  );
  socket.on('message', (data: Buffer, binary) => {
    if (tooMuch()) {
      log.warn({ point: point.id }, 'charge point floods');
      socket.close(1008, 'too many messages');
      return;
    }
    const frame = binary ? null : readFrame(data.toString());
    if (!frame) {
      log.warn('charge point sent no frame');
      return;
    }
    next(() => heard(frame));
  });
  const timer = setInterval(() => {
    // One look at a time: a slow database is not asked ever more.
    if (waiting === 0) next(look);
  }, LOOK_MS);
  socket.on('error', () => undefined);
  socket.on('close', () => {
    clearInterval(timer);
    line = line
      .then(() => inScope((db) => disconnect(db, point.id, connection)))
      .catch((error: unknown) => {
        log.warn({ err: error }, 'charge point left');
      });
  });

  const look = async (): Promise<void> => {
    if (socket.readyState !== socket.OPEN) return;
    const { mine, call } = await inScope((db) => takeCall(db, point.id, connection));
    if (!mine) socket.close(1000);
    else if (call) socket.send(callText(call.id, call.action, call.payload));
  };
  const heard = async (frame: Frame): Promise<void> => {
    if (frame.kind === 'result') await inScope((db) => putAnswer(db, point.id, frame.id, { result: frame.payload }));
    else if (frame.kind === 'error')
      await inScope((db) => putAnswer(db, point.id, frame.id, { error: `${frame.code} ${frame.description}`.trim() }));
    else socket.send(await answer(frame.id, frame.action, frame.payload));
  };
  const answer = async (id: string, action: string, payload: Payload): Promise<string> => {
    switch (action) {
      case 'BootNotification':
        return resultText(id, { status: 'Accepted', currentTime: new Date().toISOString(), interval: HEARTBEAT_S });
      case 'Heartbeat':
        return resultText(id, { currentTime: new Date().toISOString() });
      case 'StatusNotification':
        await inScope((db) => putStatus(db, point.id, statusOf(payload)));
        return resultText(id, {});
      case 'MeterValues': {
        const samples = readMeterValues(payload).slice(-20);
        await inScope((db) => putSamples(db, point.firmId, point.id, samples));
        return resultText(id, {});
      }
      default:
        return errorText(id, 'NotImplemented', 'Only commissioning is done here.');
    }
  };
}

/** Whether more has come than so many in a spell; counted anew with each spell. */
function spellsOver(most: number, spellMs: number): () => boolean {
  let [began, count] = [Date.now(), 0];
  return () => {
    if (Date.now() - began > spellMs) [began, count] = [Date.now(), 0];
    return (count += 1) > most;
  };
}

function statusOf(payload: Payload): { status: string; errorCode: string; info: string } {
  const text = (key: string): string => {
    const value = payload[key];
    return typeof value === 'string' ? value.slice(0, 60) : '';
  };
  return { status: text('status'), errorCode: text('errorCode'), info: text('info') };
}
