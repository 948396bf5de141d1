import type { CircuitRules, Insulation } from '../rules/circuit-rules';
import type { Curve } from '../survey/words/words';
import { reckon, written, type Worked } from '../worked';

/**
 * The largest loop impedance at which a circuit-breaker surely trips at once, in Ω: 0.95 × U ÷ (m In).
 * Source: BS 7671 411.4.4, appendix 3.
 */
export function largestLoopForDevice(rules: CircuitRules, nominalV: number, curve: Curve, ratingA: number): Worked {
  const share = rules.leastVoltageShare.value;
  const multiple = rules.instantMultiple.value[curve];
  const value = (share * nominalV) / (multiple * ratingA);
  return reckon(`Largest Zs, ${curve}${ratingA}`, value, 'Ω', () => ({
    expression: 'lowest voltage ÷ (multiple at which it trips at once × rating)',
    substituted: `${share} × ${nominalV} ÷ (${multiple} × ${ratingA}) = ${written(value)} Ω`,
    source: rules.instantMultiple.source,
  }));
}

/** The largest resistance of the earth path an RCD allows, in Ω: touch-voltage limit ÷ I∆n. Source: BS 7671 411.5.3. */
export function largestLoopForRcd(rules: CircuitRules, residualMa: number): Worked {
  const limitV = rules.touchLimitV.value;
  const value = (limitV * 1000) / residualMa;
  return reckon(`Largest earth resistance, RCD ${residualMa} mA`, value, 'Ω', () => ({
    expression: 'touch-voltage limit ÷ I∆n',
    substituted: `${limitV} ÷ ${residualMa / 1000} = ${written(value)} Ω`,
    source: rules.touchLimitV.source,
  }));
}

/**
 * What a run adds to the loop when hot, in Ω: 1.2 × (r1 + r2) × length, 1.28 where its conductors may reach 90 °C; resistances in mΩ/m at
 * 20 °C.
 */
export function runImpedance(
  rules: CircuitRules,
  insulation: Insulation,
  label: string,
  r1: number,
  r2: number,
  lengthM: number,
): Worked {
  const hot = rules.hotFactor.value[insulation];
  const value = (hot * (r1 + r2) * lengthM) / 1000;
  return reckon(label, value, 'Ω', () => ({
    expression: 'hot factor × (r1 + r2) × length',
    substituted: `${hot} × (${written(r1)} + ${written(r2)}) × ${written(lengthM)} ÷ 1000 = ${value.toFixed(3)} Ω`,
    source: rules.resistanceMOhmPerM.source,
  }));
}
