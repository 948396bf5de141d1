import type { LoadClass } from '../survey/words/words';
import { gbCircuit } from './gb-circuit';
import { gbEarthing } from './gb-earthing';
import type { Allowance, Rules } from './rules';

const full: Allowance = { form: 'share', percent: 100 };
const share = (percent: number): Allowance => ({ form: 'share', percent });
const ranked = (percents: readonly number[], restPercent: number): Allowance => ({
  form: 'ranked',
  percents,
  restPercent,
});
const threshold = (fullUpToA: number, restPercent: number, perControlSocketA = 0): Allowance => ({
  form: 'threshold',
  fullUpToA,
  restPercent,
  perControlSocketA,
});

/** Classes whose use is long or unpredictable enough that no premises gets an allowance on them. */
const alwaysInFull = {
  'thermostatic-water-heating': full,
  'floor-warming': full,
  'storage-heating': full,
  'heat-pump': full,
  'ev-charging': full,
  'hot-tub-sauna-kiln-welder': full,
} as const satisfies Partial<Record<LoadClass, Allowance>>;

/** Great Britain: the figures most operators work to. */
export const gbDefault: Rules = {
  id: 'gb-default',
  version: '2026.3',
  title: 'Great Britain, usual operator terms',
  date: '2026-11-25',
  source: 'operators’ usual published terms for single premises, with house rules where they say nothing',
  nominalVoltageV: { value: 230, source: 'BS 7671 appendix 2' },
  allowances: {
    source: 'BS 7671 311.1, published diversity allowances; 722.311 for vehicle charging',
    value: {
      household: {
        lighting: share(66),
        'heating-and-power': threshold(10, 50),
        cooking: threshold(10, 30, 5),
        'instantaneous-water-heating': ranked([100, 100], 25),
        'socket-circuit': ranked([100], 40),
        'socket-appliance': ranked([100], 40),
        motor: full,
        ...alwaysInFull,
      },
      'small-shop-or-office': {
        lighting: share(90),
        'heating-and-power': ranked([100], 75),
        cooking: ranked([100, 80], 60),
        'instantaneous-water-heating': ranked([100, 100], 25),
        'socket-circuit': ranked([100], 50),
        'socket-appliance': ranked([100], 75),
        motor: ranked([100, 80], 60),
        ...alwaysInFull,
      },
      'guest-house': {
        lighting: share(75),
        'heating-and-power': ranked([100, 80], 60),
        cooking: ranked([100, 80], 60),
        'instantaneous-water-heating': ranked([100, 100], 25),
        'socket-circuit': ranked([100], 50),
        'socket-appliance': { form: 'ranked', percents: [100], restPercent: 75, otherRoomsPercent: 40 },
        motor: ranked([100], 50),
        ...alwaysInFull,
      },
    },
  },
  filamentPointW: { value: 100, source: 'published diversity allowances, lighting points' },
  defaultBasis: 'circuits',
  leastLogDays: { value: 7, source: 'house rule: a whole week' },
  sureLogDays: { value: 28, source: 'house rule: four whole weeks' },
  leastLogCoveragePercent: { value: 90, source: 'house rule' },
  deadLogA: { value: 0.5, source: 'house rule: a home that is lived in never stays under this' },
  plausiblePeakA: { value: [1, 400], source: 'house rule: a kettle is 13 A, and a whole-current supply under 400 A' },
  frozenLogHours: { value: 24, source: 'house rule: no home takes the same current for a whole day' },
  fallbackFuseA: { value: 60, source: 'house rule: smallest cut-out fuse in usual use' },
  largestUsualFuseA: { value: 100, source: 'largest cut-out fuse in usual use' },
  usualFusesA: { value: [60, 80, 100], source: 'cut-out fuses in usual use' },
  plausibleRatingsA: {
    value: {
      service: [60, 80, 100],
      'cut-out': [40, 45, 60, 80, 100],
      'switch-fuse': [40, 45, 60, 63, 80, 100],
      meter: [60, 80, 100],
      'check-meter': [45, 80, 100],
      isolator: [63, 80, 100],
      'split-block': [80, 100, 125],
      board: [32, 40, 63, 80, 100],
      rcd: [40, 63, 80, 100],
      device: [6, 10, 16, 20, 32, 40, 50, 63],
      feeder: [16, 20, 32, 40, 50, 63],
    },
    source: 'parts usually met, old ones among them',
  },
  tailsLimitA: {
    value: { 16: 80, 25: 100, 35: 125 },
    source: 'BS 7671 appendix 4, clipped direct; 16 mm² held to 80 A by house rule',
  },
  expectedTails: { value: { fromA: 80, sizeMm2: 25 }, source: 'operators’ and suppliers’ usual terms for tails' },
  longestTailsM: { value: 3, source: 'BS 7671 433.2.2, 434.2.1; operators’ usual terms' },
  assumedNeighbourDemandA: { value: 60, source: 'house rule: a neighbour may take all the smallest usual fuse passes' },
  unloopMonths: { value: [2, 6], source: 'operators’ usual lead times, street works included' },
  askAboveA: { value: 60, source: 'operators’ common threshold for single premises, 13.8 kVA a phase' },
  triggerDemand: 'unmanaged',
  acceptsLimiting: true,
  // Operators differ, and many say nothing of it.
  siteApplications: 'ask',
  alwaysAsk: false,
  askAboveEquipmentA: { value: 32, source: 'operators’ common threshold for one piece of equipment' },
  notifyExportUpToA: { value: 16, source: 'EREC G98; above it EREC G99' },
  leastChargingA: { value: 6, source: 'IEC 61851-1' },
  kwhPerMile: { value: 0.28, source: 'house rule: usual vehicles, winter included' },
  optionTerms: {
    value: {
      'full-rate': { whoMustAgree: 'nobody beyond the route', waitWeeks: [0, 0], costBand: 'none' },
      'fixed-limit': { whoMustAgree: 'the customer', waitWeeks: [0, 0], costBand: 'none' },
      managed: {
        whoMustAgree: 'the customer; the operator where it accepts limiting',
        waitWeeks: [0, 1],
        costBand: 'low',
      },
      'fuse-upgrade': { whoMustAgree: 'the operator', waitWeeks: [2, 5], costBand: 'low' },
      'un-loop': { whoMustAgree: 'the operator and the neighbour', waitWeeks: [8, 26], costBand: 'none' },
      'new-feeder': { whoMustAgree: 'the customer', waitWeeks: [1, 4], costBand: 'middle' },
      'three-phase': { whoMustAgree: 'the operator', waitWeeks: [8, 20], costBand: 'high' },
      'other-supply': {
        whoMustAgree: 'whoever holds that supply, and its operator',
        waitWeeks: [2, 12],
        costBand: 'middle',
      },
      'fewer-chargers': { whoMustAgree: 'the drivers', waitWeeks: [0, 0], costBand: 'none' },
    },
    source: 'house rule: usual waits and bands; the firm sets its own',
  },
  costBandWords: { none: 'nothing more', low: 'low', middle: 'middling', high: 'high' },
  setPointMargin: { value: { amperes: 10, percent: 10 }, source: 'house rule: for lag and measurement error' },
  commissioningLeastA: { value: 5, source: 'house rule: a kettle or a heater, well above an ampere of error' },
  commissioningPercent: { value: 5, source: 'house rule: clamp and instrument together' },
  clampStepA: { value: 1, source: 'house rule: many controllers take whole amperes' },
  groupEachKw: { value: 2, source: 'house rule: the upper of operators’ usual figures for gas-heated dwellings' },
  groupOnceKw: { value: 12, source: 'house rule: operators’ usual figure' },
  clampErrorPercent: { value: 2, source: 'house rule: split-core clamps of usual class' },
  earthing: gbEarthing,
  circuit: gbCircuit,
  noticeWithinDays: { value: 28, source: 'operators’ connection terms' },
  replyWorkingDays: { value: 10, source: 'operators’ usual reply for a single dwelling' },
  emergencyNumber: { value: '105', source: 'Great Britain, operators’ emergency line' },
  declarations: [
    'The particulars above were recorded at the premises or from the evidence named beside them.',
    'Nothing belonging to the network operator was opened, and no seal was broken, to make this survey.',
    'Figures marked as fallback or assumed are not known and are not put forward as the network operator’s own.',
  ],
};
