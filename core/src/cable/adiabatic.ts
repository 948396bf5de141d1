import { reckon, written, type Worked } from '../worked';

/**
 * The least size of a protective conductor that survives a fault, in mm²: √(I² t) ÷ k. Valid for disconnection within
 * 5 s; k by material, insulation and how it lies. Source: BS 7671 543.1.3.
 */
export function adiabaticSize(label: string, faultA: number, seconds: number, k: number, source: string): Worked {
  const value = (faultA * Math.sqrt(seconds)) / k;
  return reckon(label, value, 'mm²', () => ({
    expression: '√(I² t) ÷ k',
    substituted: `√(${written(faultA)}² × ${seconds}) ÷ ${k} = ${written(value)} mm²`,
    source,
  }));
}
