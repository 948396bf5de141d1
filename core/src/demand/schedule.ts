import type { Load } from '../survey/load';
import type { Survey } from '../survey/survey';
import { LOAD_CLASSES, NODE_NAMES, PHASES, SEASONS, type LoadClass } from '../survey/words';
import { CLASS_NAMES } from './maximum-demand';

/** The columns of a board schedule as we write it; read back by their names, in any order. */
const COLUMNS = [
  'Hangs from',
  'Load or circuit',
  'Class',
  'Watts',
  'Amperes',
  'Volt-amperes',
  'Power factor',
  'Quantity',
  'Phase',
  'Interlock',
  'Season',
] as const;
type Column = (typeof COLUMNS)[number];

/** A cell no spreadsheet takes for a formula: what begins like one is given an apostrophe, which reading takes off. */
export function safeCell(text: string): string {
  return /^[=+\-@\t\r']/.test(text) ? `'${text}` : text;
}

/** The loads of a survey as rows of a table, the names of the columns first; every cell safe to open anywhere. */
export function scheduleRows(survey: Survey): string[][] {
  const names = new Map(survey.supply.nodes.map(({ id, label, kind }) => [id, label ?? NODE_NAMES[kind]]));
  const written = (value: number | undefined): string => (value === undefined ? '' : String(value));
  const rows = survey.loads.map((load): Record<Column, string> => ({
    'Hangs from': load.nodeId === undefined ? '' : (names.get(load.nodeId) ?? ''),
    'Load or circuit': load.label ?? '',
    Class: CLASS_NAMES[load.class],
    Watts: written(load.powerW),
    Amperes: written(load.currentA),
    'Volt-amperes': written(load.apparentVA),
    'Power factor': written(load.powerFactor),
    Quantity: written(load.quantity),
    Phase: load.phase ?? '',
    Interlock: load.interlock ?? '',
    Season: load.season ?? '',
  }));
  return [[...COLUMNS], ...rows.map((row) => COLUMNS.map((column) => safeCell(row[column])))];
}

export interface ReadSchedule {
  readonly loads: readonly Omit<Load, 'id'>[];
  /** Rows that were not taken, by their place in the file, and why. */
  readonly refused: readonly { readonly row: number; readonly says: string }[];
}

/** The loads of a schedule; a row that is none is told and the others taken. Null where it has no columns of ours. */
export function readSchedule(survey: Survey, rows: readonly (readonly string[])[]): ReadSchedule | null {
  const [header = [], ...lines] = rows;
  const place = new Map(header.map((name, at) => [name.trim().toLowerCase(), at]));
  if (!place.has('class') || !place.has('load or circuit')) return null;
  const loads: Omit<Load, 'id'>[] = [];
  const refused: { row: number; says: string }[] = [];
  lines.forEach((line, index) => {
    const cell = (column: Column): string =>
      (line[place.get(column.toLowerCase()) ?? -1] ?? '').trim().replace(/^'(?=[=+\-@'])/, '');
    if (line.every((each) => each.trim() === '')) return;
    const made = loadOf(survey, cell);
    if ('says' in made) refused.push({ row: index + 2, says: made.says });
    else loads.push(made);
  });
  return { loads, refused };
}

function loadOf(survey: Survey, cell: (column: Column) => string): Omit<Load, 'id'> | { readonly says: string } {
  const kind = classOf(cell('Class'));
  if (!kind) return { says: `“${cell('Class')}” is no class of load.` };
  const numbers: Partial<Record<'powerW' | 'currentA' | 'apparentVA' | 'powerFactor' | 'quantity', number>> = {};
  for (const [column, key, most] of [
    ['Watts', 'powerW', 1e6],
    ['Amperes', 'currentA', 3000],
    ['Volt-amperes', 'apparentVA', 1e6],
    ['Power factor', 'powerFactor', 1],
    ['Quantity', 'quantity', 1000],
  ] as const) {
    const text = cell(column);
    if (text === '') continue;
    const value = Number(text);
    const least = key === 'powerFactor' ? 0.05 : key === 'quantity' ? 1 : 0;
    if (!Number.isFinite(value) || value < least || value > most || (key === 'quantity' && !Number.isInteger(value)))
      return { says: `${column}: “${text}” is not a number from ${least} to ${most}.` };
    numbers[key] = value;
  }
  if ([numbers.powerW, numbers.currentA, numbers.apparentVA].filter((value) => value !== undefined).length > 1)
    return { says: 'Give watts, amperes or volt-amperes, not two of them.' };
  const board = cell('Hangs from').toLowerCase();
  const node = survey.supply.nodes.find(
    ({ label, kind: nodeKind }) => board !== '' && (label ?? NODE_NAMES[nodeKind]).toLowerCase() === board,
  );
  const [phase, season] = [
    PHASES.find((each) => each === cell('Phase')),
    SEASONS.find((each) => each === cell('Season').toLowerCase()),
  ];
  return {
    class: kind,
    ...(cell('Load or circuit') === '' ? {} : { label: cell('Load or circuit').slice(0, 100) }),
    ...(node ? { nodeId: node.id } : {}),
    ...numbers,
    ...(phase ? { phase } : {}),
    ...(cell('Interlock') === '' ? {} : { interlock: cell('Interlock').slice(0, 40) }),
    ...(season ? { season } : {}),
  };
}

function classOf(text: string): LoadClass | undefined {
  const wanted = text.toLowerCase();
  return LOAD_CLASSES.find((kind) => kind === wanted || CLASS_NAMES[kind].toLowerCase() === wanted);
}
