import { callText, errorText, readFrame, resultText, type Payload } from '@keen-gauge/core/link/frames';
import { meterValues, readLimit, SETTING_KEYS } from '@keen-gauge/core/link/messages';
import { fresh, step } from '@keen-gauge/core/trial/controller';
import { WebSocket } from 'ws';
import type { Manager, World } from './world';

export interface ChargePointOptions {
  readonly houseUrl: string;
  readonly clampUrl: string;
  readonly ratedA: number;
  /** Milliseconds between two looks at the clamp. */
  readonly everyMs: number;
}

const STEPS = [6, 10, 13, 16, 20, 25, 32];
const LEAST_A = 6;
/** Without a reading for so long the clamp counts as lost. */
const LOST_AFTER_MS = 2500;
const RESTART_MIN = 0.2;

/**
 * The stand-in charge point: reads its clamp, gives way as section 11 of the guide has it, and speaks OCPP 1.6-J to whoever
 * manages it: boot, heartbeat, status, its clamp’s reading as MeterValues at the inlet; takes limits and settings.
 */
export class ChargePoint {
  private setPointA = 60;
  private failSafeA = 10;
  private limitA: number;
  private drawnA = 0;
  private lastReadingMs = 0;
  private reading: number | null = null;
  private readonly asked: { readonly atMs: number; readonly amperes: number }[] = [];
  private readonly state = fresh();
  private socket: WebSocket | null = null;
  private nextId = 1;
  private timer: NodeJS.Timeout | null = null;
  private told = '';
  private dialled = '';

  constructor(private readonly options: ChargePointOptions) {
    this.limitA = options.ratedA;
  }

  start(): void {
    const turn = async (): Promise<void> => {
      await this.look().catch(() => undefined);
      if (this.timer !== null) this.timer = setTimeout(() => void turn(), this.options.everyMs);
    };
    this.timer = setTimeout(() => void turn(), 0);
  }

  stop(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    this.socket?.close();
  }

  /** One period: look at the house and the clamp, decide, follow, tell. */
  private async look(): Promise<void> {
    const world = (await (await fetch(`${this.options.houseUrl}/world`)).json()) as World;
    const now = Date.now();
    const read = await fetch(`${this.options.clampUrl}/reading`).catch(() => null);
    if (read?.ok) {
      this.reading = ((await read.json()) as { amperes: number }).amperes;
      this.lastReadingMs = now;
    }
    const lost = now - this.lastReadingMs > LOST_AFTER_MS;
    this.state.ownA = this.drawnA;
    const amperes = step(
      this.state,
      { kind: 'managed', limitA: this.limitA, setPointA: this.setPointA, failSafeA: this.failSafeA },
      lost ? null : this.reading,
      world.vehicle === 'there' ? world.onboardA : 0,
      this.options.everyMs / 60000,
      { leastA: LEAST_A, restartMin: RESTART_MIN },
    );
    this.asked.push({ atMs: now, amperes });
    const due = this.asked.filter(({ atMs }) => atMs <= now - world.vehicleLagS * 1000);
    this.drawnA = due.at(-1)?.amperes ?? this.drawnA;
    this.asked.splice(0, Math.max(0, due.length - 1));
    await fetch(`${this.options.houseUrl}/world`, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ chargerA: this.drawnA }),
    });
    this.keepLink(world.link === 'up' ? world.manager : null);
    if (this.socket?.readyState !== WebSocket.OPEN) return;
    const at = new Date(now).toISOString();
    const readNow = read?.ok === true && this.reading !== null;
    this.call(
      'MeterValues',
      meterValues({ at, inletA: readNow ? { L1: this.reading ?? 0 } : {}, outletA: { L1: this.drawnA } }),
    );
    this.status(lost ? 'no clamp' : '', world.vehicle, at);
  }

  private keepLink(manager: Manager | null): void {
    const dialled = manager === null ? '' : JSON.stringify(manager);
    if (dialled !== this.dialled) {
      this.socket?.close();
      this.socket = null;
    }
    this.dialled = dialled;
    if (manager === null || (this.socket && this.socket.readyState <= WebSocket.OPEN)) return;
    const { url, name, key } = manager;
    const socket = new WebSocket(`${url.replace(/\/$/, '')}/${encodeURIComponent(name)}`, 'ocpp1.6', {
      headers: { authorization: `Basic ${Buffer.from(`${name}:${key}`).toString('base64')}` },
    });
    this.socket = socket;
    this.told = '';
    // A manager that is away is tried again at the next look.
    socket.on('error', () => undefined);
    socket.on('open', () => {
      this.call('BootNotification', { chargePointVendor: 'Made up', chargePointModel: 'Bench charger' });
    });
    socket.on('message', (data: Buffer) => {
      const frame = readFrame(data.toString());
      if (frame?.kind === 'call') socket.send(this.answer(frame.id, frame.action, frame.payload));
    });
  }

  /** Told only when it changes, as the protocol has it. */
  private status(info: string, vehicle: World['vehicle'], timestamp: string): void {
    const status = vehicle === 'away' ? 'Available' : this.drawnA > 0 ? 'Charging' : 'SuspendedEVSE';
    if (this.told === `${status} ${info}`) return;
    this.told = `${status} ${info}`;
    this.call('StatusNotification', {
      connectorId: 1,
      errorCode: info === '' ? 'NoError' : 'OtherError',
      status,
      timestamp,
      ...(info === '' ? {} : { info }),
    });
  }

  private call(action: string, payload: Payload): void {
    if (this.socket?.readyState !== WebSocket.OPEN) return;
    this.socket.send(callText(String(this.nextId++), action, payload));
  }

  private answer(id: string, action: string, payload: Payload): string {
    switch (action) {
      case 'SetChargingProfile': {
        const limit = readLimit(payload);
        if (limit === null) return resultText(id, { status: 'Rejected' });
        // A charger of steps takes the step below; less than the least stops it.
        this.limitA = Math.max(0, ...STEPS.filter((step) => step <= Math.min(limit, this.options.ratedA)));
        return resultText(id, { status: 'Accepted' });
      }
      case 'GetConfiguration':
        return resultText(id, {
          configurationKey: [
            { key: SETTING_KEYS.setPointA, readonly: false, value: String(this.setPointA) },
            { key: SETTING_KEYS.failSafeA, readonly: false, value: String(this.failSafeA) },
            { key: SETTING_KEYS.stepsA, readonly: true, value: STEPS.join(',') },
          ],
          unknownKey: [],
        });
      case 'ChangeConfiguration':
        return resultText(id, { status: this.change(payload['key'], payload['value']) });
      default:
        return errorText(id, 'NotImplemented', `No ${action} here.`);
    }
  }

  private change(key: unknown, value: unknown): 'Accepted' | 'Rejected' | 'NotSupported' {
    const amperes = typeof value === 'string' ? Number(value) : NaN;
    if (key === SETTING_KEYS.setPointA) {
      if (!(amperes >= 0 && amperes <= 500)) return 'Rejected';
      this.setPointA = amperes;
      return 'Accepted';
    }
    if (key === SETTING_KEYS.failSafeA) {
      if (amperes !== 0 && !STEPS.includes(amperes)) return 'Rejected';
      this.failSafeA = amperes;
      return 'Accepted';
    }
    return 'NotSupported';
  }
}
