import { gbDefault } from '../rules/gb-default';
import type { Load } from '../survey/load';
import { connectedLoad, connectedProposal, SINGLE_PHASE, THREE_PHASES } from './connected';
import { STARTING_SETS, startingLoads } from './starting-sets';

const of = (load: Omit<Load, 'id'>, supply = SINGLE_PHASE) => connectedLoad({ id: 'a', ...load }, supply, gbDefault);

describe('the current of a load', () => {
  it('several of one: 3 × (2300 ÷ 230 = 10 A), each 10 A, the working ends with 30 A', () => {
    const heaters = of({ class: 'socket-appliance', powerW: 2300, quantity: 3 });
    expect(heaters.currentA).toBe(10);
    expect(heaters.count).toBe(3);
    expect(heaters.steps().at(-1)).toMatchObject({ value: 30, unit: 'A', substituted: '3 × 10 = 30 A' });
    expect(of({ class: 'socket-appliance', powerW: 2300 }).steps()).toHaveLength(1);
  });
  it('on three lines each has a third: 6900 W ÷ 230 V ÷ 3 = 10 A; on one line of three all of it', () => {
    expect(of({ class: 'motor', powerW: 6900, phase: 'all' }, THREE_PHASES).currentA).toBe(10);
    expect(of({ class: 'motor', powerW: 6900, phase: 'L2' }, THREE_PHASES)).toMatchObject({
      currentA: 30,
      phases: ['L2'],
    });
    // A supply of one line has nothing to share between.
    expect(of({ class: 'motor', powerW: 6900, phase: 'all' }).currentA).toBe(30);
  });
  it('of a line nobody named it counts on all three, and says so', () => {
    expect(of({ class: 'motor', currentA: 4 }, THREE_PHASES)).toMatchObject({ anyLine: true, phases: THREE_PHASES });
    expect(of({ class: 'motor', currentA: 4 })).toMatchObject({ anyLine: false, phases: SINGLE_PHASE });
  });
  it('is called by its label, else by its class', () => {
    expect(of({ class: 'motor', currentA: 4, label: 'Winch' }).label).toBe('Winch');
    expect(of({ class: 'motor', currentA: 4 }).label).toBe('motor');
  });
  it('lighting not stated as fixed LED is a filament point at least: 100 W ÷ 230 V = 0.43 A', () => {
    const point = gbDefault.filamentPointW.value / 230;
    expect(of({ class: 'lighting', powerW: 10 }).currentA).toBeCloseTo(point, 10);
    expect(of({ class: 'lighting', powerW: 10, fixedLed: true }).currentA).toBeCloseTo(10 / 230, 10);
  });
  it('a heat pump’s heater comes on top unless it is locked out: 2300 W and 4600 W are 10 A and 30 A', () => {
    const pump = { class: 'heat-pump' as const, powerW: 2300, backupHeaterW: 4600 };
    expect(of(pump).currentA).toBe(30);
    expect(of({ ...pump, backupWithCompressor: 'no' }).currentA).toBe(10);
  });
  it('nobody’s size is not nought', () => {
    expect(of({ class: 'motor' }).currentA).toBeNull();
  });
});

describe('new equipment as a load', () => {
  it('three-phase is on every line of the supply, single-phase on its own', () => {
    const car = { id: 'car', kind: 'vehicle-charger' as const, limiter: {} };
    expect(connectedProposal({ ...car, phases: 3 }, 32, THREE_PHASES).phases).toBe(THREE_PHASES);
    expect(connectedProposal({ ...car, phases: 1, phase: 'L3' }, 32, THREE_PHASES).phases).toEqual(['L3']);
  });
});

describe('a usual set', () => {
  it.each(STARTING_SETS.map((set) => [set.name, set] as const))(
    '%s: every load assumed, under an id of its own',
    (_name, set) => {
      const loads = startingLoads(set, (kind) => `new-${kind}`);
      expect(loads).toHaveLength(set.loads.length);
      expect(loads.every(({ id, assumed }) => id.startsWith('new-') && assumed === true)).toBe(true);
      expect(loads.map((load) => load.class)).toEqual(set.loads.map((load) => load.class));
    },
  );
});
