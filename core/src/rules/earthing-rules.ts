import type { Ruled } from './ruled';

/** Everything about earthing and bonding that is set from outside. */
export interface EarthingRules {
  readonly largestZeOhm: Ruled<Readonly<Record<'tn-c-s' | 'tn-s', number>>>;
  readonly unstableElectrodeOhm: Ruled<number>;
  /** How far two readings of one thing, or the fault current and the impedance, may lie apart, in percent. */
  readonly agreementPercent: Ruled<number>;
  /** Earthing conductor by the tails’ line conductor S: S up to the first, the first up to the second, then S ÷ 2. */
  readonly conductorStepsMm2: Ruled<readonly [number, number]>;
  /** PME bonding: the copper-equivalent neutral up to so many mm², and the bonding conductor for it. */
  readonly pmeBonding: Ruled<readonly { readonly neutralUpToMm2: number; readonly sizeMm2: number }[]>;
  readonly pmeBondingAboveMm2: Ruled<number>;
  /** A supply neutral is taken as no larger than this behind a fuse no larger than that, until somebody says. */
  readonly usualNeutral: Ruled<{ readonly mm2: number; readonly upToFuseA: number }>;
  readonly otherBonding: Ruled<{ readonly share: number; readonly leastMm2: number; readonly mostMm2: number }>;
  /** A part that shows more than this to earth brings nothing in. */
  readonly extraneousUpToKOhm: Ruled<number>;
  /** Copper conductors in usual make, mm². */
  readonly sizesMm2: Ruled<readonly number[]>;
  readonly pen: Ruled<{
    readonly touchV: number;
    readonly highestV: number;
    readonly windowV: readonly [number, number];
    readonly withinS: number;
    readonly islandDistanceM: number;
  }>;
}
