import { fixed, HAIR } from '../rules/rounding';
import { EVIDENCE } from '../survey/words/words';
import type { Lineup, LineupRow } from './layout';
import { SYMBOLS } from './symbols';

/** What a mark stands for; whoever draws it chooses the colour, and no meaning rests on colour alone. */
export type Ink = 'ink' | 'quiet' | 'line' | 'paper' | 'now' | 'added' | 'over' | 'left' | 'hold';

/** One mark of the drawing. Texts name the room they have, so that whoever draws can be sure they stay within it. */
export type Mark =
  | {
      readonly kind: 'rect';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      readonly fill?: Ink;
      readonly stroke?: Ink;
      readonly weight?: number;
      readonly dashed?: boolean;
      readonly round?: number;
    }
  | { readonly kind: 'path'; readonly d: string; readonly fill?: Ink; readonly stroke?: Ink; readonly weight?: number }
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly size: number;
      readonly ink: Ink;
      readonly bold?: boolean;
      readonly figures?: boolean;
      readonly end?: boolean;
    };

export interface RowDrawing {
  readonly id: string;
  readonly top: number;
  readonly height: number;
  readonly marks: readonly Mark[];
}

export interface LineupDrawing {
  readonly width: number;
  readonly height: number;
  /** The lines between the nodes, under everything else. */
  readonly links: readonly Mark[];
  readonly rows: readonly RowDrawing[];
}

/** Below this width bars go under the words instead of beside them. */
const NARROW = 520;
const WIDE_ROW = 60;
const NARROW_ROW = 84;

/**
 * The line-up drawn for a width in pixels (or points): every row on one scale of amperes, so that the eye compares them.
 * Pure: the same for the screen, for a file and for a page of the pack.
 */
export function drawLineup(lineup: Lineup, width: number): LineupDrawing {
  const narrow = width < NARROW;
  const height = narrow ? NARROW_ROW : WIDE_ROW;
  const laneWidth = Math.min(narrow ? 16 : 30, (width * 0.25) / Math.max(1, lineup.lanes));
  const place: Place = { narrow, width, height, laneWidth, lineup };
  return {
    width,
    height: lineup.rows.length * height,
    links: lineup.rows.flatMap((row, at) => linkOf(row, at, place)),
    rows: lineup.rows.map((row, at) => ({ id: row.id, top: at * height, height, marks: rowMarks(row, at, place) })),
  };
}

interface Place {
  readonly narrow: boolean;
  readonly width: number;
  readonly height: number;
  readonly laneWidth: number;
  readonly lineup: Lineup;
}

const SYMBOL = 26;
/** Room beside the line for the wedge that draws it in. */
const MARGIN = 16;

function centre(row: LineupRow, at: number, { laneWidth, height, narrow }: Place): { x: number; y: number } {
  return { x: MARGIN + SYMBOL / 2 + row.lane * laneWidth, y: at * height + (narrow ? 24 : height / 2) };
}

/** The line into a node: down from what feeds it, then across where it stands to the side. */
function linkOf(row: LineupRow, at: number, place: Place): Mark[] {
  const parent = row.parent === null ? undefined : place.lineup.rows[row.parent];
  if (!parent || row.parent === null) return [];
  const [from, to] = [centre(parent, row.parent, place), centre(row, at, place)];
  const d = `M${from.x} ${from.y}V${to.y}H${to.x}`;
  return [{ kind: 'path', d, stroke: 'ink', weight: row.weakest ? 2 : 3.2 }];
}

function rowMarks(row: LineupRow, at: number, place: Place): Mark[] {
  const { narrow, width, height } = place;
  const top = at * height;
  const { x, y } = centre(row, at, place);
  const left = x + SYMBOL / 2 + 15;
  const bar = narrow
    ? { x: left, y: top + 58, width: width - left - 12 }
    : { x: width * 0.47, y: top + 11, width: width * 0.53 - 134 };
  const words = narrow ? width - left - 100 : bar.x - left - 12;
  return [
    ...(row.weakest ? weakestFrame(top, place) : []),
    ...(row.weakest ? pinch(x, y) : []),
    ...symbol(row, x, y),
    ...heldMarks(row, x, y),
    text(left, top + (narrow ? 22 : 24), fitted(row.name, words, 15.5), 15.5, 'ink', { bold: true }),
    ...ratingMarks(row, left, top + (narrow ? 43 : 45), narrow ? words - (row.weakest ? 104 : 34) : words),
    ...barMarks(row, bar, place),
    ...headroomMarks(row, width - 10, top, narrow),
  ];
}

/** Frame and flag: seen across a room, and told in words as well. */
function weakestFrame(top: number, { width, height }: Place): Mark[] {
  return [
    {
      kind: 'rect',
      x: 1.5,
      y: top + 1.5,
      width: width - 3,
      height: height - 3,
      stroke: 'ink',
      weight: 3,
      round: 6,
    },
  ];
}

/** The line drawn in at its narrowest: a wedge from either side. */
function pinch(x: number, y: number): Mark[] {
  const [reach, half] = [SYMBOL / 2 + 12, 9];
  return [
    { kind: 'path', d: `M${x - reach} ${y - half}l11 ${half}l-11 ${half}z`, fill: 'hold' },
    { kind: 'path', d: `M${x + reach} ${y - half}l-11 ${half}l11 ${half}z`, fill: 'hold' },
  ];
}

function symbol(row: LineupRow, x: number, y: number): Mark[] {
  const [left, top] = [x - SYMBOL / 2, y - SYMBOL / 2];
  return [
    { kind: 'rect', x: left, y: top, width: SYMBOL, height: SYMBOL, fill: 'paper', stroke: 'ink', weight: 2, round: 4 },
    { kind: 'path', d: placed(SYMBOLS[row.kind], left + 3, top + 3), stroke: 'ink', weight: 1.9 },
  ];
}

/** On the corner of the symbol: a tick where it holds, a cross where it does not, an open ring where that is not known. */
function heldMarks({ held }: LineupRow, x: number, y: number): Mark[] {
  if (held === undefined) return [];
  const [at, top] = [x + SYMBOL / 2 - 5, y + SYMBOL / 2 - 9];
  const ground: Mark = {
    kind: 'rect',
    x: at - 3,
    y: top - 3,
    width: 16,
    height: 16,
    fill: 'paper',
    stroke: 'ink',
    weight: 1.2,
    round: 8,
  };
  const d = held === null ? 'M3 5a2 2 0 1 0 4 0a2 2 0 1 0 -4 0' : held ? 'M1 5l3 3l5 -6' : 'M1.5 1.5l7 7M8.5 1.5l-7 7';
  return [ground, { kind: 'path', d: placed(d, at, top), stroke: held === true ? 'left' : 'hold', weight: 2.2 }];
}

/** A path drawn from nought, moved: symbols use relative commands after each first point. */
function placed(d: string, x: number, y: number): string {
  return d.replace(
    /M(-?[\d.]+) (-?[\d.]+)/g,
    (_found, atX: string, atY: string) => `M${Number(atX) + x} ${Number(atY) + y}`,
  );
}

/** The rating, its evidence mark, the conductors into it, and what is still open. */
function ratingMarks(row: LineupRow, left: number, y: number, words: number): Mark[] {
  const unmarked = row.kind === 'service' ? 'operator’s' : 'rating ?';
  const rating = row.ratingA === null ? unmarked : `${row.ratingA} A${row.ratingSure ? '' : ' fallback'}`;
  const strokes = row.evidence === null ? [] : evidenceMarks(row, left + rating.length * 7.9 + 8, y);
  const open = [row.toDo > 0 ? `${row.toDo} to do` : '', row.toAsk > 0 ? `${row.toAsk} to ask` : ''];
  const more = [row.clamps ?? '', row.cable, ...open].filter((part) => part !== '').join(' · ');
  const at = left + rating.length * 7.9 + (strokes.length > 0 ? 36 : 10);
  return [
    text(left, y, rating, 13, row.ratingA !== null ? 'ink' : row.kind === 'service' ? 'quiet' : 'hold', {
      figures: true,
      bold: true,
    }),
    ...strokes,
    text(at, y, fitted(more, words - (at - left), 12.5), 12.5, 'quiet'),
  ];
}

/** The one mark of evidence: five rising strokes, as many filled as the grade, underlined once the rating is known. */
function evidenceMarks(row: LineupRow, x: number, y: number): Mark[] {
  const grade = row.evidence === null ? 0 : EVIDENCE.indexOf(row.evidence) + 1;
  const strokes = EVIDENCE.map((_each, index): Mark => {
    const height = 3 + index * 1.9;
    return {
      kind: 'rect',
      x: x + index * 4.2,
      y: y - 1.5 - height,
      width: 2.8,
      height,
      stroke: 'ink',
      weight: 0.8,
      ...(index < grade ? { fill: 'ink' as const } : {}),
    };
  });
  if (grade < 3) return strokes;
  return [...strokes, { kind: 'rect', x: x - 0.5, y: y + 0.5, width: 21, height: 1.6, fill: 'ink' }];
}

/** What each phase takes now, what is added, what passes the rating; and the rating as a post across them. */
function barMarks(row: LineupRow, bar: { x: number; y: number; width: number }, { lineup }: Place): Mark[] {
  const scale = bar.width / lineup.scaleA;
  const several = row.bars.length > 1;
  const [thick, pitch] = several ? [5.5, 7.5] : [14, 16];
  const depth = several ? pitch * row.bars.length - 2 : thick;
  const y = bar.y + (20 - depth) / 2;
  const marks: Mark[] = [
    { kind: 'rect', x: bar.x, y: y - 2, width: bar.width, height: depth + 4, stroke: 'line', weight: 1, round: 2 },
  ];
  row.bars.forEach(({ nowA, afterA }, at) => {
    const top = y + at * pitch;
    const part = (fromA: number, toA: number, fill: Ink): void => {
      if (toA - fromA > HAIR)
        marks.push({
          kind: 'rect',
          x: bar.x + fromA * scale,
          y: top,
          width: (toA - fromA) * scale,
          height: thick,
          fill,
        });
    };
    const [now, after] = [nowA ?? 0, Math.max(nowA ?? 0, afterA ?? 0)];
    const limit = row.ratingA ?? Infinity;
    part(0, Math.min(now, limit), 'now');
    part(Math.min(now, limit), Math.min(after, limit), 'added');
    part(limit, Math.max(after, limit), 'over');
  });
  if (row.ratingA !== null)
    marks.push({
      kind: 'rect',
      x: bar.x + row.ratingA * scale - 2,
      y: y - 6,
      width: 4,
      height: depth + 12,
      ...(row.ratingSure ? { fill: 'ink' as const } : { fill: 'paper' as const, stroke: 'ink' as const, weight: 1.4 }),
    });
  return marks;
}

/** Demand now and after, and what is left: beside the bar, or at the end of the first line on a narrow drawing. */
function headroomMarks(row: LineupRow, right: number, top: number, narrow: boolean): Mark[] {
  const left = row.empty
    ? 'no load on it'
    : row.headroomA === null
      ? 'not known'
      : `${amperes(Math.abs(row.headroomA))} ${row.over ? 'over' : 'left'}`;
  const demand = row.empty ? '' : `${bare(row.nowA)} → ${bare(row.afterA)} A`;
  const ink: Ink = row.over ? 'hold' : row.headroomA === null ? 'quiet' : 'left';
  const figures = { bold: true, figures: true, end: true };
  const flag = row.weakest ? weakestFlag(right, top + (narrow ? 31 : 35)) : [];
  const under = narrow ? { x: right - (row.weakest ? 70 : 0), y: top + 43 } : { x: right - 126, y: top + 50 };
  return [
    text(right, top + (narrow ? 22 : 24), left, narrow ? 14.5 : row.weakest ? 17 : 14.5, ink, figures),
    text(under.x, under.y, demand, 12, 'quiet', { figures: true, end: true }),
    ...flag,
  ];
}

/** The word, on a ground of its own. */
function weakestFlag(right: number, top: number): Mark[] {
  return [
    { kind: 'rect', x: right - 62, y: top, width: 62, height: 18, fill: 'ink', round: 3 },
    text(right - 7, top + 13.5, 'weakest', 12.5, 'paper', { bold: true, end: true }),
  ];
}

function amperes(value: number): string {
  return `${fixed(value, 1)} A`;
}

function bare(value: number | null): string {
  return value === null ? '?' : fixed(value, 1);
}

function text(
  x: number,
  y: number,
  words: string,
  size: number,
  ink: Ink,
  more: { bold?: boolean; figures?: boolean; end?: boolean } = {},
): Mark {
  return { kind: 'text', x, y, text: words, size, ink, ...more };
}

/** As much of a text as a width surely holds: letters are taken as half as wide as high. */
function fitted(words: string, width: number, size: number): string {
  const most = Math.max(0, Math.floor(width / (size * 0.51)));
  return words.length <= most ? words : `${words.slice(0, Math.max(0, most - 1)).trimEnd()}…`;
}
