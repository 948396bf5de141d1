import type { CircuitRules } from './circuit-rules';
import { COPPER_MOHM_PER_M, GB_CABLES } from './gb-cables';

const bunched = { 1: 1, 2: 0.8, 3: 0.7, 4: 0.65, 5: 0.6, 6: 0.57, 7: 0.54, 8: 0.52, 9: 0.5 };

/** Great Britain: cables, rating factors, devices, RCDs, surge protection and the place of the equipment. */
export const gbCircuit: CircuitRules = {
  cables: { value: GB_CABLES, source: 'BS 7671 appendix 4, copper; cpc of flat twin BS 6004' },
  resistanceMOhmPerM: { value: COPPER_MOHM_PER_M, source: 'BS EN 60228, class 1 and 2 copper at 20 °C' },
  ambientInAir: {
    value: {
      'thermoplastic-70': { 25: 1.03, 30: 1, 35: 0.94, 40: 0.87, 45: 0.79, 50: 0.71 },
      'thermosetting-90': { 25: 1.02, 30: 1, 35: 0.96, 40: 0.91, 45: 0.87, 50: 0.82 },
    },
    source: 'BS 7671 table 4B1',
  },
  ambientInGround: {
    value: {
      'thermoplastic-70': { 10: 1.1, 15: 1.05, 20: 1, 25: 0.95, 30: 0.89 },
      'thermosetting-90': { 10: 1.07, 15: 1.04, 20: 1, 25: 0.96, 30: 0.93 },
    },
    source: 'BS 7671 table 4B2',
  },
  grouping: {
    value: {
      clipped: { 1: 1, 2: 0.85, 3: 0.79, 4: 0.75, 5: 0.73, 6: 0.72, 7: 0.72, 8: 0.71, 9: 0.7 },
      enclosed: bunched,
      'insulated-wall': bunched,
      buried: { 1: 1, 2: 0.75, 3: 0.65, 4: 0.6, 5: 0.55, 6: 0.5 },
    },
    source: 'BS 7671 tables 4C1 and 4C2, touching',
  },
  surrounded: { value: { 0: 1, 50: 0.88, 100: 0.78, 200: 0.63, 400: 0.51 }, source: 'BS 7671 table 52.2' },
  surroundedLonger: { value: 0.5, source: 'BS 7671 523.9: totally surrounded for 0.5 m or more' },
  largestDropPercent: { value: 5, source: 'BS 7671 525, appendix 4: other uses than lighting, from the origin' },
  lineVoltageV: { value: 400, source: 'BS 7671 appendix 2' },
  hotFactor: {
    value: { 'thermoplastic-70': 1.2, 'thermosetting-90': 1.28 },
    source: 'BS 7671 appendix 3, copper from 20 °C to its working temperature',
  },
  leastVoltageShare: { value: 0.95, source: 'BS 7671 appendix 3, lowest voltage' },
  instantMultiple: { value: { B: 5, C: 10, D: 20 }, source: 'BS EN 60898, BS EN 61009' },
  instantS: { value: 0.1, source: 'BS EN 60898: at once is within 0.1 s' },
  rcdClearsS: { value: 0.5, source: 'BS EN 61008, BS EN 61009: the slowest time-delayed type' },
  adiabaticK: {
    value: {
      separate: 143,
      core: { 'thermoplastic-70': 115, 'thermosetting-90': 143 },
      armour: { 'thermoplastic-70': 51, 'thermosetting-90': 46 },
    },
    source: 'BS 7671 tables 54.2 to 54.4',
  },
  deviceRatingsA: { value: [6, 10, 16, 20, 25, 32, 40, 50, 63], source: 'BS EN 60898, usual ratings' },
  rcd: { value: { residualMa: 30, leakageSharePercent: 30 }, source: 'BS 7671 722.531.3, 531.3.2' },
  leastInsulationMOhm: { value: 1, source: 'BS 7671 table 64' },
  rcdTripMs: { value: 300, source: 'BS 7671 643.8, BS EN 61008, BS EN 61009: not time-delayed' },
  breakingKA: {
    value: [6, 16],
    source: 'BS EN 60898, usual devices; BS EN 61439-3 annex ZB, conditional rating of a board',
  },
  touchLimitV: { value: 50, source: 'BS 7671 411.5.3' },
  longestSurgeLeadsM: { value: 0.5, source: 'BS 7671 534.4.8' },
  heightBandM: { value: [0.75, 1.2], source: 'house rule: within reach standing or seated' },
  signalDbm: { value: [-67, -75], source: 'house rule: usual limits for a steady link' },
  settingsA: { value: [32, 25, 20, 16, 13, 10, 6], source: 'settings usually met on charging equipment' },
};
