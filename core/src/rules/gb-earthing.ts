import type { EarthingRules } from './earthing-rules';

/** Great Britain: earthing, bonding and protection against an open PEN conductor. */
export const gbEarthing: EarthingRules = {
  largestZeOhm: { value: { 'tn-c-s': 0.35, 'tn-s': 0.8 }, source: 'operators’ declared maxima' },
  unstableElectrodeOhm: { value: 200, source: 'BS 7671 411.5.3' },
  agreementPercent: { value: 25, source: 'house rule: instruments and supplies vary less than this' },
  conductorStepsMm2: { value: [16, 35], source: 'BS 7671 table 54.7' },
  pmeBonding: {
    value: [
      { neutralUpToMm2: 35, sizeMm2: 10 },
      { neutralUpToMm2: 50, sizeMm2: 16 },
      { neutralUpToMm2: 95, sizeMm2: 25 },
      { neutralUpToMm2: 150, sizeMm2: 35 },
    ],
    source: 'BS 7671 table 54.8',
  },
  pmeBondingAboveMm2: { value: 50, source: 'BS 7671 table 54.8' },
  usualNeutral: {
    value: { mm2: 35, upToFuseA: 100 },
    source: 'house rule: service cables usual behind fuses of 100 A at most',
  },
  otherBonding: { value: { share: 0.5, leastMm2: 6, mostMm2: 25 }, source: 'BS 7671 544.1.1' },
  extraneousUpToKOhm: { value: 22, source: 'guidance to BS 7671 411.3.1.2: about 10 mA at 230 V' },
  sizesMm2: { value: [1, 1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120], source: 'BS EN 60228' },
  pen: {
    value: { touchV: 70, highestV: 253, windowV: [207, 253], withinS: 5, islandDistanceM: 2 },
    source: 'BS 7671 722.411.4.1 and its annex',
  },
};
