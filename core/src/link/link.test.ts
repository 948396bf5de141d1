import { fc } from '../testing/laws';
import { callText, errorText, readFrame, resultText } from './frames';
import { LIVE_TERMS, liveView } from './live';
import { limitProfile, meterValues, readLimit, readMeterValues, readSettings, SETTING_KEYS } from './messages';

describe('frames of OCPP 1.6-J', () => {
  it('are read back as they were written', () => {
    expect(readFrame(callText('7', 'Heartbeat', {}))).toEqual({
      kind: 'call',
      id: '7',
      action: 'Heartbeat',
      payload: {},
    });
    expect(readFrame(resultText('7', { a: 1 }))).toEqual({ kind: 'result', id: '7', payload: { a: 1 } });
    expect(readFrame(errorText('7', 'NotImplemented', 'no'))).toEqual({
      kind: 'error',
      id: '7',
      code: 'NotImplemented',
      description: 'no',
    });
  });
  it.each([
    ['no JSON', '{'],
    ['no list', '{"a":1}'],
    ['an id that is no text', '[2,7,"Heartbeat",{}]'],
    ['an id too long', `[2,"${'x'.repeat(37)}","Heartbeat",{}]`],
    ['a payload that is a list', '[2,"7","Heartbeat",[]]'],
    ['no payload', '[2,"7","Heartbeat"]'],
    ['a kind there is not', '[5,"7",{}]'],
  ])('are refused: %s', (_name, text) => {
    expect(readFrame(text)).toBeNull();
  });
  it('never throw, whatever comes', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        const frame = readFrame(text);
        if (frame?.kind === 'call') expect(readMeterValues(frame.payload)).toBeInstanceOf(Array);
      }),
    );
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (payload) => {
        readMeterValues(payload);
        readLimit(payload);
        readSettings(payload);
      }),
    );
  });
});

describe('what the messages say', () => {
  it('meter values come back as they were put: −4.2 A at the inlet is export', () => {
    const sample = { at: '2026-11-25T18:00:00.000Z', inletA: { L1: -4.2, L2: 3 }, outletA: { L1: 16 } };
    expect(readMeterValues(meterValues(sample))).toEqual([sample]);
  });
  it('takes a value without location for the outlet and without phase for the first line, and passes over what is no current', () => {
    const timestamp = '2026-11-25T18:00:00Z';
    const sampledValue = [
      { value: '6.0', measurand: 'Current.Import' },
      { value: '1400', measurand: 'Power.Active.Import', unit: 'W' },
      { value: 'n/a', measurand: 'Current.Import', location: 'Inlet' },
      { value: '', measurand: 'Current.Import', location: 'Inlet' },
      { value: '  ', measurand: 'Current.Import', location: 'Inlet' },
      { value: '0x10', measurand: 'Current.Import', location: 'Inlet' },
      { value: '99999', measurand: 'Current.Import', location: 'Inlet' },
    ];
    expect(readMeterValues({ meterValue: [{ timestamp, sampledValue }] })).toEqual([
      { at: '2026-11-25T18:00:00.000Z', inletA: {}, outletA: { L1: 6 } },
    ]);
    expect(readMeterValues({ meterValue: [{ timestamp: 'soon', sampledValue }] })).toEqual([]);
  });
  it('a limit comes back, one in watts is refused', () => {
    expect(readLimit(limitProfile(16))).toBe(16);
    expect(
      readLimit({
        csChargingProfiles: {
          chargingSchedule: { chargingRateUnit: 'W', chargingSchedulePeriod: [{ startPeriod: 0, limit: 3680 }] },
        },
      }),
    ).toBeNull();
  });
  it('settings are numbers or not known, never nought for nothing', () => {
    const answer = {
      configurationKey: [
        { key: SETTING_KEYS.setPointA, readonly: false, value: '50' },
        { key: SETTING_KEYS.failSafeA, readonly: false, value: '' },
        { key: SETTING_KEYS.stepsA, readonly: true, value: '6,10, 16,32' },
      ],
    };
    expect(readSettings(answer)).toEqual({ setPointA: 50, failSafeA: null, stepsA: [6, 10, 16, 32] });
    expect(readSettings({})).toEqual({ setPointA: null, failSafeA: null, stepsA: [] });
  });
});

describe('the live view', () => {
  const samples = (currents: readonly (number | null)[]) =>
    currents.map((inlet, at) => ({
      at: '',
      inletA: inlet === null ? {} : { L1: inlet },
      outletA: { L1: 6 },
      arrivedMs: at * 1000,
    }));
  it('is steady once it kept within 1 A for 6 s, and shows the newest', () => {
    expect(liveView(samples([50, 20, 20.4, 20.1, 20.9, 20, 20.2, 20.3, 20.1]), 8000)).toEqual({
      silent: false,
      inletA: 20.1,
      outletA: 6,
      inlet: { L1: 20.1 },
      outlet: { L1: 6 },
      steady: true,
    });
    expect(liveView(samples([20, 20, 20, 20, 20, 20, 20, 23]), 7000).steady).toBe(false);
    expect(liveView(samples([20, 20]), 1000).steady).toBe(false);
  });
  it('is steady only where every line is: L2 goes up and down under a fuller L1', () => {
    const lines = Array.from({ length: 9 }, (_each, at) => ({
      at: '',
      inletA: { L1: 40, L2: at % 2 === 0 ? 5 : 15 },
      outletA: { L1: 6 },
      arrivedMs: at * 1000,
    }));
    expect(liveView(lines, 8000)).toMatchObject({ inletA: 40, inlet: { L1: 40, L2: 5 }, steady: false });
  });
  it('with the clamp lost it has no reading and is steady only once it had none for as long', () => {
    expect(liveView(samples([20, 20, 20, 20, 20, 20, null, null]), 7000)).toMatchObject({
      inletA: null,
      steady: false,
    });
    expect(liveView(samples([20, null, null, null, null, null, null, null]), 7000)).toMatchObject({
      inletA: null,
      outletA: 6,
      steady: true,
    });
  });
  it('is silent when nothing has come for long', () => {
    const late = (LIVE_TERMS.silentS + 1) * 1000;
    expect(liveView(samples([20]), late).silent).toBe(true);
    expect(liveView([], 0).silent).toBe(true);
  });
});
