import { fc } from '../testing/laws';
import { gbDefault } from '../rules/gb-default';
import { LOAD_CLASSES, PREMISES, type LoadPhase } from '../survey/words/words';
import type { Load } from '../survey/load';
import { connectedLoad, supplyPhases } from './connected';
import { demandOnPhase, inBasis } from './maximum-demand';

const single = supplyPhases(1);
const demandA = (loads: readonly Partial<Load>[], premises: (typeof PREMISES)[number] = 'household'): number =>
  demandOn('L1', loads, premises, 1);

function demandOn(
  phase: 'L1' | 'L2' | 'L3',
  loads: readonly Partial<Load>[],
  premises: (typeof PREMISES)[number],
  count: 1 | 3,
): number {
  const supply = supplyPhases(count);
  const connected = loads.map((load, index) => connectedLoad({ id: `l${index}`, ...load } as Load, supply, gbDefault));
  return demandOnPhase(connected, phase, premises, gbDefault).worked.value;
}

const kw = (...powers: number[]): number[] => powers.map((power) => (power * 1000) / 230);

describe('the worked home of the guide', () => {
  const lighting: Partial<Load> = { class: 'lighting', powerW: 180, fixedLed: true };
  const cooker: Partial<Load> = { class: 'cooking', powerW: 7000, controlUnitsWithSocket: 1 };
  const ring: Partial<Load> = { class: 'socket-circuit', currentA: 32 };
  const appliances = [3000, 2400, 2100, 2000, 1000, 800].map((powerW): Partial<Load> => ({
    class: 'socket-appliance',
    powerW,
  }));
  const home = [lighting, cooker, ring, ring, ...appliances].map((load, index) =>
    connectedLoad({ id: `l${index}`, ...load } as Load, single, gbDefault),
  );

  it('lighting 180 W fixed LED: 0.783 × 66 % = 0.52 A', () => {
    expect(demandA([lighting])).toBeCloseTo(0.5165, 3);
  });
  it('cooker 7.0 kW with socket: 10 + 0.3 × 20.43 + 5 = 21.13 A', () => {
    expect(demandA([cooker])).toBeCloseTo(21.13, 2);
  });
  it('two 32 A rings: 32 + 12.8 = 44.8 A', () => {
    expect(demandA([ring, ring])).toBeCloseTo(44.8, 6);
  });
  it('by circuits 66.4 A', () => {
    const demand = demandOnPhase(inBasis(home, 'circuits'), 'L1', 'household', gbDefault);
    expect(demand.worked.value).toBeCloseTo(66.45, 1);
    expect(demand.worked.value.toFixed(1)).toBe('66.4');
  });
  it('six appliances: 13.04 + 0.4 × 36.09 = 27.48 A; the home by appliances 49.1 A', () => {
    expect(demandA(appliances)).toBeCloseTo(27.48, 2);
    const demand = demandOnPhase(inBasis(home, 'appliances'), 'L1', 'household', gbDefault);
    expect(demand.worked.value.toFixed(1)).toBe('49.1');
  });
  it('carries its working, class by class, and the parts add up to the whole', () => {
    const demand = demandOnPhase(inBasis(home, 'circuits'), 'L1', 'household', gbDefault);
    const parts = demand.worked.steps().filter(({ source }) => source === gbDefault.allowances.source);
    expect(parts.map(({ label }) => label)).toEqual(['Lighting', 'Cooking', 'Socket circuits']);
    expect(parts.reduce((total, { value }) => total + value, 0)).toBeCloseTo(demand.worked.value, 9);
    expect(demand.worked.steps().at(-1)?.substituted).toBe('0.52 + 21.13 + 44.80 = 66.45 A');
  });
});

describe('showers', () => {
  const shower = (powerW: number, interlock?: string): Partial<Load> => ({
    class: 'instantaneous-water-heating',
    powerW,
    ...(interlock ? { interlock } : {}),
  });
  it('9.5, 8.5, 7.5 kW: 41.30 + 36.96 + 0.25 × 32.61 = 86.4 A', () => {
    expect(demandA([9500, 8500, 7500].map((watts) => shower(watts)))).toBeCloseTo(86.41, 2);
  });
  it('the first two interlocked: 41.30 + 32.61 = 73.9 A', () => {
    expect(demandA([shower(9500, 'a'), shower(8500, 'a'), shower(7500)])).toBeCloseTo(73.91, 2);
  });
});

describe('household allowances by hand', () => {
  const cases: readonly [string, readonly Partial<Load>[], number][] = [
    [
      '12 filament points of 60 W count 100 W each: 12 × 0.4348 × 66 % = 3.443',
      [{ class: 'lighting', powerW: 60, quantity: 12 }],
      3.4435,
    ],
    [
      'filament points of 150 W keep their own: 2 × 0.6522 × 66 % = 0.861',
      [{ class: 'lighting', powerW: 150, quantity: 2 }],
      0.8609,
    ],
    ['heating 2 kW, under 10 A, in full: 8.696', [{ class: 'heating-and-power', powerW: 2000 }], 8.6957],
    [
      'heating 3 × 2.4 kW: 31.304 → 10 + 50 % × 21.304 = 20.652',
      [{ class: 'heating-and-power', powerW: 2400, quantity: 3 }],
      20.6522,
    ],
    [
      'oven 3 kW and hob 7 kW together, one socket: 43.478 → 10 + 30 % × 33.478 + 5 = 25.043',
      [
        { class: 'cooking', powerW: 3000, controlUnitsWithSocket: 0 },
        { class: 'cooking', powerW: 7000, controlUnitsWithSocket: 1 },
      ],
      25.0435,
    ],
    ['hob under 10 A, no socket: 8.696', [{ class: 'cooking', powerW: 2000, controlUnitsWithSocket: 0 }], 8.6957],
    [
      'socket at the cooker not known: one is counted: 8.696 + 5 = 13.696',
      [{ class: 'cooking', powerW: 2000 }],
      13.6957,
    ],
    ['immersion 3 kW in full: 13.043', [{ class: 'thermostatic-water-heating', powerW: 3000 }], 13.0435],
    ['storage heaters 4 × 3.4 kW in full: 59.130', [{ class: 'storage-heating', powerW: 3400, quantity: 4 }], 59.1304],
    ['floor warming 1.2 kW in full: 5.217', [{ class: 'floor-warming', powerW: 1200 }], 5.2174],
    [
      'rings 32, 32 and a 20 A radial: 32 + 40 % × 52 = 52.8',
      [
        { class: 'socket-circuit', currentA: 20 },
        { class: 'socket-circuit', currentA: 32, quantity: 2 },
      ],
      52.8,
    ],
    ['pump 1.1 kW at power factor 0.8: 5.978 in full', [{ class: 'motor', powerW: 1100, powerFactor: 0.8 }], 5.9783],
    ['volt-amperes need no power factor: 4600 VA = 20', [{ class: 'motor', apparentVA: 4600 }], 20],
    [
      'heat pump 16 A with 3 kW back-up not shown locked out: 29.043',
      [{ class: 'heat-pump', currentA: 16, backupHeaterW: 3000 }],
      29.0435,
    ],
    [
      'heat pump 16 A, back-up locked out: 16',
      [{ class: 'heat-pump', currentA: 16, backupHeaterW: 3000, backupWithCompressor: 'no' }],
      16,
    ],
    ['kiln 6 kW in full: 26.087', [{ class: 'hot-tub-sauna-kiln-welder', powerW: 6000 }], 26.087],
    ['vehicle 32 A in full', [{ class: 'ev-charging', currentA: 32 }], 32],
  ];
  it.each(cases)('%s A', (_working, loads, expected) => {
    expect(demandA(loads)).toBeCloseTo(expected, 3);
  });
});

describe('other premises by hand', () => {
  it('shop: lighting 2 kW fixed LED × 90 % = 7.826', () => {
    expect(demandA([{ class: 'lighting', powerW: 2000, fixedLed: true }], 'small-shop-or-office')).toBeCloseTo(
      7.826,
      3,
    );
  });
  it('shop cooking 5, 3, 2, 2 kW: 21.739 + 80 % × 13.043 + 60 % × 17.391 = 42.609', () => {
    const [a = 0, b = 0, c = 0] = kw(5, 3, 2);
    const loads = [2000, 5000, 3000, 2000].map((powerW): Partial<Load> => ({ class: 'cooking', powerW }));
    expect(demandA(loads, 'small-shop-or-office')).toBeCloseTo(a + 0.8 * b + 0.6 * 2 * c, 6);
    expect(demandA(loads, 'small-shop-or-office')).toBeCloseTo(42.609, 3);
  });
  it('guest house sockets 3 kW, 2 kW main, 2 kW elsewhere: 13.043 + 75 % × 8.696 + 40 % × 8.696 = 23.043', () => {
    const loads: Partial<Load>[] = [
      { class: 'socket-appliance', powerW: 3000 },
      { class: 'socket-appliance', powerW: 2000 },
      { class: 'socket-appliance', powerW: 2000, mainRoom: false },
    ];
    expect(demandA(loads, 'guest-house')).toBeCloseTo(23.043, 3);
  });
  it('guest house heating 3, 2, 1, 1 kW: 13.043 + 80 % × 8.696 + 60 % × 8.696 = 25.217', () => {
    const loads = [3000, 2000, 1000, 1000].map((powerW): Partial<Load> => ({ class: 'heating-and-power', powerW }));
    expect(demandA(loads, 'guest-house')).toBeCloseTo(25.217, 3);
  });
});

describe('three phases', () => {
  const loads: Partial<Load>[] = [
    { class: 'socket-circuit', currentA: 32, phase: 'L1' },
    { class: 'socket-circuit', currentA: 20, phase: 'L1' },
    { class: 'socket-circuit', currentA: 20, phase: 'L2' },
    { class: 'hot-tub-sauna-kiln-welder', powerW: 9000, phase: 'all' },
  ];
  it('largest is decided phase by phase; a three-phase load puts a third on each: 9000 ÷ 3 ÷ 230 = 13.043', () => {
    const third = 9000 / 690;
    expect(demandOn('L1', loads, 'household', 3)).toBeCloseTo(32 + 8 + third, 6);
    expect(demandOn('L2', loads, 'household', 3)).toBeCloseTo(20 + third, 6);
    expect(demandOn('L3', loads, 'household', 3)).toBeCloseTo(third, 6);
  });
  it('a load whose phase is not known counts on every phase', () => {
    for (const phase of ['L1', 'L2', 'L3'] as const)
      expect(demandOn(phase, [{ class: 'ev-charging', currentA: 32 }], 'household', 3)).toBe(32);
  });
});

describe('interlocks between classes', () => {
  it('count whichever makes the total greatest: a 30 A cooker allows 16 A, the 20 A charger 20 A', () => {
    const loads: Partial<Load>[] = [
      { class: 'cooking', currentA: 30, controlUnitsWithSocket: 0, interlock: 'x' },
      { class: 'ev-charging', currentA: 20, interlock: 'x' },
    ];
    expect(demandA(loads)).toBeCloseTo(20, 6);
  });
});

const anyLoad = fc.record({
  class: fc.constantFrom(...LOAD_CLASSES),
  powerW: fc.integer({ min: 0, max: 12000 }),
  quantity: fc.integer({ min: 1, max: 4 }),
  phase: fc.constantFrom<LoadPhase>('L1', 'L2', 'L3', 'all'),
  mainRoom: fc.boolean(),
});

describe('laws of demand', () => {
  const premises = fc.constantFrom(...PREMISES);
  it('never falls when a load is added', () => {
    fc.assert(
      fc.property(fc.array(anyLoad, { maxLength: 12 }), anyLoad, premises, (loads, more, kind) => {
        for (const phase of ['L1', 'L2', 'L3'] as const)
          expect(demandOn(phase, [...loads, more], kind, 3)).toBeGreaterThanOrEqual(
            demandOn(phase, loads, kind, 3) - 1e-9,
          );
      }),
    );
  });
  it('never exceeds everything connected at once, control sockets aside', () => {
    fc.assert(
      fc.property(fc.array(anyLoad, { maxLength: 12 }), premises, (loads, kind) => {
        const led = loads.map((load) => ({ ...load, fixedLed: true, controlUnitsWithSocket: 0 }));
        const connectedA = led.reduce((total, load) => total + (load.powerW * load.quantity) / 230, 0);
        expect(demandA(led, kind)).toBeLessThanOrEqual(connectedA + 1e-6);
      }),
    );
  });
  it('never rises when two loads are interlocked', () => {
    fc.assert(
      fc.property(fc.array(anyLoad, { minLength: 2, maxLength: 8 }), premises, (loads, kind) => {
        const locked = loads.map((load, index) => (index < 2 ? { ...load, interlock: 'pair' } : load));
        expect(demandA(locked, kind)).toBeLessThanOrEqual(demandA(loads, kind) + 1e-9);
      }),
    );
  });
  it('does not depend on the order of the list', () => {
    fc.assert(
      fc.property(fc.array(anyLoad, { maxLength: 10 }), premises, (loads, kind) => {
        expect(demandA([...loads].reverse(), kind)).toBeCloseTo(demandA(loads, kind), 9);
      }),
    );
  });
});
