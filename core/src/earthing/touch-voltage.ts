import type { Rules } from '../rules/rules';
import { reckon, written, type Worked } from '../worked';

/**
 * Voltage of earthed metal over the ground when the PEN conductor is broken, in V: the supply divides itself over the
 * load and the electrode, both taken as resistances, nothing else in the ground counted. Source: first principles.
 */
export function touchVoltage(electrodeOhm: number, loadA: number, rules: Rules): number {
  const { highestV } = rules.earthing.pen.value;
  const loadOhm = rules.nominalVoltageV.value / loadA;
  return (highestV * electrodeOhm) / (electrodeOhm + loadOhm);
}

/** The largest electrode that keeps the touch voltage within its limit for a load current, in Ω. */
export function largestElectrode(loadA: number, rules: Rules): Worked {
  const { touchV, highestV } = rules.earthing.pen.value;
  const nominalV = rules.nominalVoltageV.value;
  const loadOhm = nominalV / loadA;
  const value = (touchV * loadOhm) / (highestV - touchV);
  return reckon('Largest electrode', value, 'Ω', () => ({
    expression: 'touch limit × load resistance ÷ (highest voltage − touch limit)',
    substituted: `${touchV} × (${nominalV} ÷ ${written(loadA)} = ${written(loadOhm)}) ÷ (${highestV} − ${touchV}) = ${written(value)} Ω`,
    source: rules.earthing.pen.source,
  }));
}

/** The curve of touch voltage against electrode resistance up to a resistance, as points to draw. */
export function touchCurve(
  loadA: number,
  upToOhm: number,
  rules: Rules,
  points = 60,
): { ohm: number; volts: number }[] {
  return Array.from({ length: points + 1 }, (_each, at) => {
    const ohm = (upToOhm * at) / points;
    return { ohm, volts: touchVoltage(ohm, loadA, rules) };
  });
}
