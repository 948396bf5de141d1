import type { Rules } from '../rules/rules';
import { protectiveAbove, type SupplyTree } from '../tree/supply-tree';
import { reckon, written, type Worked } from '../worked';

/** The largest tails on the consumer’s side that only the cut-out fuse protects, in mm². */
export function tailsSize({ nodes, device }: SupplyTree): number | undefined {
  const sizes = nodes.flatMap((here) => {
    const unprotected = device !== null && protectiveAbove(here) === device && here.node.kind !== 'feeder';
    return unprotected && here.node.kind !== 'device' ? (here.node.cable?.sizeMm2 ?? []) : [];
  });
  return sizes.length === 0 ? undefined : Math.max(...sizes);
}

/** Least copper earthing conductor for tails of a size, in mm². Source: BS 7671 table 54.7. */
export function earthingConductorSize(tailsMm2: number, { earthing }: Rules): Worked {
  const [same, flat] = earthing.conductorStepsMm2.value;
  const value = tailsMm2 <= same ? tailsMm2 : tailsMm2 <= flat ? same : tailsMm2 / 2;
  return reckon('Earthing conductor by the table', value, 'mm²', () => ({
    expression: `tails S: up to ${same}, S; up to ${flat}, ${same}; above, S ÷ 2`,
    substituted: `S = ${tailsMm2} mm² → ${written(value)} mm²`,
    source: earthing.conductorStepsMm2.source,
  }));
}
