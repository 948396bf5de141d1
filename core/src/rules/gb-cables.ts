import type { CableForm, CableRow, Factors, Insulation } from './circuit-rules';
import type { CableType, Laid } from '../survey/words/words';

type Line = readonly [sizeMm2: number, mVPerAM: number, firstA: number, secondA: number, usualCpcMm2?: number];

function form(
  id: string,
  name: string,
  of: { readonly type: CableType; readonly phases: 1 | 3; readonly insulation: Insulation },
  [first, second]: readonly [Laid, Laid],
  lines: readonly Line[],
): CableForm {
  const rows = lines.map(([sizeMm2, mVPerAM, firstA, secondA, usualCpcMm2]): CableRow => ({
    sizeMm2,
    mVPerAM,
    capacityA: { [first]: firstA, [second]: secondA },
    ...(usualCpcMm2 === undefined ? {} : { usualCpcMm2 }),
  }));
  return { id, name, ...of, conductor: 'copper', rows };
}

/**
 * Copper cables of usual make: volt drop, and current as clipped and as enclosed or buried. Armoured cable is insulated for 90 °C; its
 * 70 °C figures are those of the same cable between terminals that may not get hotter (512.1.5).
 */
export const GB_CABLES: readonly CableForm[] = [
  form(
    'flat-twin',
    'Flat twin with cpc, 70 °C',
    { type: 'flat-twin', phases: 1, insulation: 'thermoplastic-70' },
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
  form(
    'armoured-2-70',
    'Armoured, two loaded cores, at 70 °C',
    { type: 'armoured', phases: 1, insulation: 'thermoplastic-70' },
    ['clipped', 'buried'],
    [
      [1.5, 29, 21, 22],
      [2.5, 18, 28, 29],
      [4, 11, 38, 37],
      [6, 7.3, 49, 46],
      [10, 4.4, 67, 60],
      [16, 2.8, 89, 78],
      [25, 1.75, 118, 99],
      [35, 1.25, 145, 119],
    ],
  ),
  form(
    'armoured-2',
    'Armoured, two loaded cores, at 90 °C',
    { type: 'armoured', phases: 1, insulation: 'thermosetting-90' },
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
  form(
    'armoured-4-70',
    'Armoured, four-core three-phase, at 70 °C',
    { type: 'armoured', phases: 3, insulation: 'thermoplastic-70' },
    ['clipped', 'buried'],
    [
      [1.5, 25, 18, 18],
      [2.5, 15, 25, 24],
      [4, 9.5, 33, 30],
      [6, 6.4, 42, 38],
      [10, 3.8, 58, 50],
      [16, 2.4, 77, 64],
      [25, 1.5, 102, 82],
      [35, 1.1, 125, 98],
    ],
  ),
  form(
    'armoured-4',
    'Armoured, four-core three-phase, at 90 °C',
    { type: 'armoured', phases: 3, insulation: 'thermosetting-90' },
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
