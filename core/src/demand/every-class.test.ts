import { gbDefault } from '../rules/gb-default';
import { LOAD_CLASSES, PREMISES, type LoadClass, type Premises } from '../survey/words/words';
import { allowedCurrent, type Drawn } from './allowance';

/** Four loads alike in nothing but their class, 20, 10, 8 and 4 A: 42 A connected, one control socket, the 4 A elsewhere. */
const LOADS: readonly Drawn[] = [20, 10, 8, 4].map((currentA, at) => ({
  currentA,
  count: 1,
  controlSockets: at === 0 ? 1 : 0,
  mainRoom: currentA !== 4,
}));

/** Hand-worked for every class and kind of premises, the working beside the figure. */
const BY_HAND: Readonly<Record<Premises, Readonly<Record<LoadClass, readonly [number, string]>>>> = {
  household: {
    lighting: [27.72, '66 % × 42'],
    'heating-and-power': [26, '10 + 50 % × 32'],
    cooking: [24.6, '10 + 30 % × 32 + 5'],
    'instantaneous-water-heating': [33, '20 + 10 + 25 % × 12'],
    'thermostatic-water-heating': [42, 'all'],
    'floor-warming': [42, 'all'],
    'storage-heating': [42, 'all'],
    'socket-circuit': [28.8, '20 + 40 % × 22'],
    'socket-appliance': [28.8, '20 + 40 % × 22'],
    motor: [42, 'all'],
    'heat-pump': [42, 'all'],
    'ev-charging': [42, 'all'],
    'hot-tub-sauna-kiln-welder': [42, 'all'],
  },
  'small-shop-or-office': {
    lighting: [37.8, '90 % × 42'],
    'heating-and-power': [36.5, '20 + 75 % × 22'],
    cooking: [35.2, '20 + 80 % × 10 + 60 % × 12'],
    'instantaneous-water-heating': [33, '20 + 10 + 25 % × 12'],
    'thermostatic-water-heating': [42, 'all'],
    'floor-warming': [42, 'all'],
    'storage-heating': [42, 'all'],
    'socket-circuit': [31, '20 + 50 % × 22'],
    'socket-appliance': [36.5, '20 + 75 % × 22'],
    motor: [35.2, '20 + 80 % × 10 + 60 % × 12'],
    'heat-pump': [42, 'all'],
    'ev-charging': [42, 'all'],
    'hot-tub-sauna-kiln-welder': [42, 'all'],
  },
  'guest-house': {
    lighting: [31.5, '75 % × 42'],
    'heating-and-power': [35.2, '20 + 80 % × 10 + 60 % × 12'],
    cooking: [35.2, '20 + 80 % × 10 + 60 % × 12'],
    'instantaneous-water-heating': [33, '20 + 10 + 25 % × 12'],
    'thermostatic-water-heating': [42, 'all'],
    'floor-warming': [42, 'all'],
    'storage-heating': [42, 'all'],
    'socket-circuit': [31, '20 + 50 % × 22'],
    'socket-appliance': [35.1, '20 + 75 % × 18 in main rooms + 40 % × 4 elsewhere'],
    motor: [31, '20 + 50 % × 22'],
    'heat-pump': [42, 'all'],
    'ev-charging': [42, 'all'],
    'hot-tub-sauna-kiln-welder': [42, 'all'],
  },
};

describe.each(PREMISES)('%s: every class by hand, of 20, 10, 8 and 4 A', (premises) => {
  it.each(LOAD_CLASSES.map((kind) => [kind, ...BY_HAND[premises][kind]] as const))('%s: %d A = %s', (kind, amperes) => {
    expect(allowedCurrent(gbDefault.allowances.value[premises][kind], LOADS)).toBeCloseTo(amperes, 9);
  });
});
