import { reckon, written, type Worked } from '../worked';

/**
 * What so many dwellings take together for planning, in kilowatts: N × A + C. A and C are the operator’s, by how the dwellings are heated. Source: guide section 16.
 *
 * @example groupDemand(24, 1.6, 12) // 24 × 1.6 + 12 = 50.4 kW
 */
export function groupDemand(dwellings: number, eachKw: number, onceKw: number): Worked {
  const value = dwellings * eachKw + onceKw;
  return reckon('Group demand, by the operator’s formula', value, 'kW', () => ({
    expression: 'dwellings × A + C',
    substituted: `${dwellings} × ${written(eachKw)} + ${written(onceKw)} = ${written(value)} kW`,
  }));
}
