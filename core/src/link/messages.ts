import { decimal } from '../decimal';
import type { Phase } from '../survey/words/words';
import { isPayload, type Payload } from './frames';

/** What a charge point told at one moment: amperes on each line at its clamp (inlet) and at its own outlet. */
export interface LinkSample {
  /** By the charge point's clock, ISO 8601. */
  readonly at: string;
  /** Empty while it has no reading of its clamp. */
  readonly inletA: Partial<Readonly<Record<Phase, number>>>;
  readonly outletA: Partial<Readonly<Record<Phase, number>>>;
}

/** The settings of a limiter, by the keys a charge point knows them under. The first two are ours: the protocol has none. */
export const SETTING_KEYS = {
  setPointA: 'SupplySetPoint',
  failSafeA: 'FailSafeCurrent',
  stepsA: 'CurrentSettingSteps',
} as const;

const LINES: Readonly<Record<string, Phase>> = {
  L1: 'L1',
  L2: 'L2',
  L3: 'L3',
  'L1-N': 'L1',
  'L2-N': 'L2',
  'L3-N': 'L3',
};

/**
 * The currents of a MeterValues request, newest moment last. Values that are no currents, or no numbers, are passed over; no
 * location means the outlet and no phase the first line, as the protocol has it. A current beyond 10 kA is no reading.
 */
export function readMeterValues(payload: Payload): LinkSample[] {
  const { meterValue } = payload;
  if (!Array.isArray(meterValue)) return [];
  return meterValue.flatMap((each: unknown): LinkSample[] => {
    if (!isPayload(each) || typeof each['timestamp'] !== 'string' || Number.isNaN(Date.parse(each['timestamp'])))
      return [];
    const values = each['sampledValue'];
    if (!Array.isArray(values)) return [];
    const inletA: Partial<Record<Phase, number>> = {};
    const outletA: Partial<Record<Phase, number>> = {};
    for (const value of values as unknown[]) {
      if (!isPayload(value)) continue;
      const { measurand, location = 'Outlet', phase = 'L1', unit = 'A' } = value;
      const line = typeof phase === 'string' ? LINES[phase] : undefined;
      const amperes = typeof value['value'] === 'string' ? decimal(value['value']) : null;
      if (line === undefined || unit !== 'A' || amperes === null || Math.abs(amperes) > 10000) continue;
      const sign = measurand === 'Current.Export' ? -1 : measurand === 'Current.Import' ? 1 : 0;
      if (sign === 0) continue;
      if (location === 'Inlet') inletA[line] = sign * amperes;
      else if (location === 'Outlet') outletA[line] = sign * amperes;
    }
    return [{ at: new Date(each['timestamp']).toISOString(), inletA, outletA }];
  });
}

/** A MeterValues request: what a charge point says of its clamp and of its own outlet. */
export function meterValues({ at, inletA, outletA }: LinkSample): Payload {
  const of = (currents: LinkSample['inletA'], location: 'Inlet' | 'Outlet'): object[] =>
    Object.entries(currents).map(([phase, amperes]) => ({
      value: Math.abs(amperes).toFixed(1),
      context: 'Sample.Periodic',
      format: 'Raw',
      measurand: amperes < 0 ? 'Current.Export' : 'Current.Import',
      phase,
      location,
      unit: 'A',
    }));
  return {
    connectorId: 0,
    meterValue: [{ timestamp: at, sampledValue: [...of(inletA, 'Inlet'), ...of(outletA, 'Outlet')] }],
  };
}

/** A SetChargingProfile request that holds the whole charge point to a current, from now on. */
export function limitProfile(amperes: number): Payload {
  return {
    connectorId: 0,
    csChargingProfiles: {
      chargingProfileId: 1,
      stackLevel: 0,
      chargingProfilePurpose: 'ChargePointMaxProfile',
      chargingProfileKind: 'Relative',
      chargingSchedule: { chargingRateUnit: 'A', chargingSchedulePeriod: [{ startPeriod: 0, limit: amperes }] },
    },
  };
}

/** The current a SetChargingProfile request holds to, in amperes; null where it is none that can be followed. */
export function readLimit(payload: Payload): number | null {
  const profile = payload['csChargingProfiles'];
  const schedule = isPayload(profile) ? profile['chargingSchedule'] : undefined;
  if (!isPayload(schedule) || schedule['chargingRateUnit'] !== 'A') return null;
  const periods = schedule['chargingSchedulePeriod'];
  const first: unknown = Array.isArray(periods) ? periods[0] : undefined;
  const limit = isPayload(first) ? first['limit'] : undefined;
  return typeof limit === 'number' && Number.isFinite(limit) && limit >= 0 ? limit : null;
}

/** The numbers of a GetConfiguration answer, by key; a list of steps is read apart. */
export function readSettings(payload: Payload): {
  readonly setPointA: number | null;
  readonly failSafeA: number | null;
  readonly stepsA: readonly number[];
} {
  const entries = payload['configurationKey'];
  const values = new Map<string, string>();
  if (Array.isArray(entries))
    for (const entry of entries as unknown[])
      if (isPayload(entry) && typeof entry['key'] === 'string' && typeof entry['value'] === 'string')
        values.set(entry['key'], entry['value']);
  const number = (key: string): number | null => {
    const text = values.get(key);
    const value = text === undefined ? null : decimal(text);
    return value !== null && value >= 0 ? value : null;
  };
  const stepsA = (values.get(SETTING_KEYS.stepsA) ?? '')
    .split(',')
    .flatMap((step) => decimal(step) ?? [])
    .filter((step) => step > 0);
  return { setPointA: number(SETTING_KEYS.setPointA), failSafeA: number(SETTING_KEYS.failSafeA), stepsA };
}
