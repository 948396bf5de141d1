import type { CableForm, CableRow, CircuitRules } from '../rules/circuit-rules';
import { reckon, written, type Worked } from '../worked';

/** What flows along a cable, in amperes: in the most loaded line, and back in the neutral. */
export interface CableCurrent {
  readonly lineA: number;
  readonly neutralA: number;
}

/** Single-phase: what goes out comes back. */
export function singlePhase(lineA: number): CableCurrent {
  return { lineA, neutralA: lineA };
}

/**
 * Three lines with the neutral current that unlike loads leave, their power factors taken alike:
 * √(a² + b² + c² − ab − bc − ca).
 */
export function threePhase([a, b, c]: readonly [number, number, number]): CableCurrent {
  const squared = a * a + b * b + c * c - a * b - b * c - c * a;
  return { lineA: Math.max(a, b, c), neutralA: Math.sqrt(Math.max(0, squared)) };
}

/**
 * Volt drop of a run as a percentage of the nominal voltage to neutral. Single-phase: mV/A/m × A × m. Three-phase: a
 * line's share, mV/A/m ÷ √3, for the line current and the neutral current one after the other, which is the
 * tabulated drop between lines where the three are alike and never less than the truth where they are not.
 * Source: BS 7671 appendix 4, 6.
 */
export function voltDrop(
  rules: CircuitRules,
  nominalV: number,
  form: CableForm,
  row: CableRow,
  lengthM: number,
  { lineA, neutralA }: CableCurrent,
): Worked {
  const source = rules.cables.source;
  const size = `${row.sizeMm2} mm²`;
  if (form.phases === 1) {
    const volts = (row.mVPerAM * lineA * lengthM) / 1000;
    const percent = (volts / nominalV) * 100;
    return reckon(`Volt drop, ${form.name} ${size}`, percent, '%', () => ({
      expression: 'mV/A/m × A × m ÷ 1000 ÷ nominal voltage',
      substituted: `${written(row.mVPerAM)} × ${written(lineA)} × ${written(lengthM)} ÷ 1000 = ${written(volts)} V; ÷ ${nominalV} = ${written(percent)} %`,
      source,
    }));
  }
  const lineV = rules.lineVoltageV.value;
  const weighed = lineA + neutralA;
  const volts = (row.mVPerAM * weighed * lengthM) / 1000;
  const percent = (volts / lineV) * 100;
  return reckon(`Volt drop, ${form.name} ${size}`, percent, '%', () => ({
    expression: 'mV/A/m × (line + neutral current) × m ÷ 1000 ÷ voltage between lines',
    substituted: `${written(row.mVPerAM)} × (${written(lineA)} + ${written(neutralA)}) × ${written(lengthM)} ÷ 1000 = ${written(volts)} V; ÷ ${lineV} = ${written(percent)} %`,
    source,
  }));
}
