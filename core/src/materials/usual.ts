/** What the trade usually takes where the survey says nothing more: house rules as data, each with its reason. */

/** Greatest distance between fixings along a run, in m. Source: house rule after the usual guidance for clipped cables; heavier cable a little further apart. */
export function fixingDistanceM(type: 'flat-twin' | 'armoured', sizeMm2: number): number {
  const heavy = sizeMm2 > 6;
  if (type === 'armoured') return heavy ? 0.45 : 0.35;
  return heavy ? 0.4 : 0.3;
}

const GLANDS: Readonly<Record<number, readonly (readonly [mostMm2: number, gland: string])[]>> = {
  2: [
    [4, '20s'],
    [10, '20'],
    [25, '25'],
    [35, '32'],
  ],
  3: [
    [2.5, '20s'],
    [6, '20'],
    [16, '25'],
    [35, '32'],
  ],
  4: [
    [2.5, '20s'],
    [6, '20'],
    [16, '25'],
    [25, '32'],
    [35, '40'],
  ],
  5: [
    [1.5, '20s'],
    [4, '20'],
    [10, '25'],
    [16, '32'],
    [35, '40'],
  ],
};

/** The gland an armoured cable usually takes; null outside the table. Source: usual outside diameters; measure the cable before ordering. */
export function glandFor(cores: number, sizeMm2: number): string | null {
  return GLANDS[cores]?.find(([mostMm2]) => sizeMm2 <= mostMm2)?.[1] ?? null;
}

/** Sizes of gland a list has. */
export const GLAND_SIZES = ['20s', '20', '25', '32', '40'] as const;

/** Earthing conductor from a new electrode to what it serves, where no length is recorded, in m. */
export const ELECTRODE_LEAD_M = 3;
/** A bonding conductor, where no length is recorded, in m. */
export const BONDING_M = 5;
/** Tails to a board or block fitted beside the meter, each, where no length is recorded, in m. */
export const TAILS_M = 1;
/** A data cable to a clamp, where no length is recorded, in m. */
export const CLAMP_LEAD_M = 10;
