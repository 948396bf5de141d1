import type { CableForm, CableRow, Factors } from './circuit-rules';
import type { Laid } from '../survey/words';

type Line = readonly [sizeMm2: number, mVPerAM: number, firstA: number, secondA: number, usualCpcMm2?: number];

function rows(columns: readonly [Laid, Laid], lines: readonly Line[]): CableRow[] {
  return lines.map(([sizeMm2, mVPerAM, firstA, secondA, usualCpcMm2]) => ({
    sizeMm2,
    mVPerAM,
    capacityA: { [columns[0]]: firstA, [columns[1]]: secondA },
    ...(usualCpcMm2 === undefined ? {} : { usualCpcMm2 }),
  }));
}

/** Copper cables of usual make: volt drop, and current as clipped and as enclosed or buried. */
export const GB_CABLES: readonly CableForm[] = [
  {
    id: 'flat-twin',
    name: 'Flat twin with cpc, 70 °C',
    type: 'flat-twin',
    phases: 1,
    conductor: 'copper',
    insulation: 'thermoplastic-70',
    rows: rows(
      ['clipped', 'insulated-wall'],
      [
        [1, 44, 16, 11.5, 1],
        [1.5, 29, 20, 14.5, 1],
        [2.5, 18, 27, 20, 1.5],
        [4, 11, 37, 26, 1.5],
        [6, 7.3, 47, 32, 2.5],
        [10, 4.4, 64, 44, 4],
        [16, 2.8, 85, 57, 6],
      ],
    ),
  },
  {
    id: 'armoured-2',
    name: 'Armoured, two loaded cores, 90 °C',
    type: 'armoured',
    phases: 1,
    conductor: 'copper',
    insulation: 'thermosetting-90',
    rows: rows(
      ['clipped', 'buried'],
      [
        [1.5, 31, 27, 25],
        [2.5, 19, 36, 33],
        [4, 12, 49, 43],
        [6, 7.9, 62, 53],
        [10, 4.7, 85, 71],
        [16, 2.9, 110, 91],
        [25, 1.9, 146, 116],
        [35, 1.35, 180, 139],
      ],
    ),
  },
  {
    id: 'armoured-4',
    name: 'Armoured, four-core three-phase, 90 °C',
    type: 'armoured',
    phases: 3,
    conductor: 'copper',
    insulation: 'thermosetting-90',
    rows: rows(
      ['clipped', 'buried'],
      [
        [1.5, 27, 23, 21],
        [2.5, 16, 31, 28],
        [4, 10, 42, 36],
        [6, 6.8, 53, 44],
        [10, 4, 73, 58],
        [16, 2.5, 94, 75],
        [25, 1.65, 124, 96],
        [35, 1.15, 154, 115],
      ],
    ),
  },
];

/** Copper at 20 °C, mΩ/m by mm². */
export const COPPER_MOHM_PER_M: Factors = {
  1: 18.1,
  1.5: 12.1,
  2.5: 7.41,
  4: 4.61,
  6: 3.08,
  10: 1.83,
  16: 1.15,
  25: 0.727,
  35: 0.524,
};
