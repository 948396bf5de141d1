import type { Load } from '../survey/load';
import { decimal } from '../decimal';
import type { SupplyNode } from '../survey/supply';
import type { Survey } from '../survey/survey';
import { LOAD_CLASSES, PHASES, SEASONS, type LoadClass, nodeName } from '../survey/words/words';
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
  const names = new Map(survey.supply.nodes.map((node) => [node.id, nameInSchedule(node, survey)]));
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

/** What a part is called in a schedule: its name, with its id where another has the same. */
function nameInSchedule(node: SupplyNode, { supply }: Survey): string {
  const name = ({ label, kind }: SupplyNode): string => nodeName({ label, kind });
  const alike = supply.nodes.filter((each) => name(each).toLowerCase() === name(node).toLowerCase());
  return alike.length > 1 ? `${name(node)} [${node.id}]` : name(node);
}

/** Something in a row that can be taken in several ways, or in none that is known here: asked, and never dropped. */
export interface ScheduleAsk {
  readonly field: 'nodeId' | 'phase' | 'season';
  readonly says: string;
  readonly choices: readonly { readonly value: string; readonly label: string }[];
}

/** A row that is taken once what it asks is answered; any of it may also be left out on purpose. */
export interface UnsureRow {
  readonly row: number;
  readonly load: Omit<Load, 'id'>;
  readonly asks: readonly ScheduleAsk[];
}

export interface ReadSchedule {
  readonly loads: readonly Omit<Load, 'id'>[];
  /** Rows of which a board, a line or a season is not known here. */
  readonly unsure: readonly UnsureRow[];
  /** Rows that were not taken, by their place in the file, and why. */
  readonly refused: readonly { readonly row: number; readonly says: string }[];
}

/** The loads of a schedule; a row that is none is told and the others taken. Null where it has no columns of ours. */
export function readSchedule(survey: Survey, rows: readonly (readonly string[])[]): ReadSchedule | null {
  const [header = [], ...lines] = rows;
  const place = new Map(header.map((name, at) => [name.trim().toLowerCase(), at]));
  if (!place.has('class') || !place.has('load or circuit')) return null;
  const loads: Omit<Load, 'id'>[] = [];
  const unsure: UnsureRow[] = [];
  const refused: { row: number; says: string }[] = [];
  lines.forEach((line, index) => {
    const cell = (column: Column): string =>
      (line[place.get(column.toLowerCase()) ?? -1] ?? '').trim().replace(/^'(?=[=+\-@'])/, '');
    if (line.every((each) => each.trim() === '')) return;
    const made = loadOf(survey, cell);
    if ('says' in made) refused.push({ row: index + 2, says: made.says });
    else if (made.asks.length > 0) unsure.push({ row: index + 2, ...made });
    else loads.push(made.load);
  });
  return { loads, unsure, refused };
}

function loadOf(
  survey: Survey,
  cell: (column: Column) => string,
): Pick<UnsureRow, 'load' | 'asks'> | { readonly says: string } {
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
    const value = decimal(text) ?? NaN;
    const least = key === 'powerFactor' ? 0.05 : key === 'quantity' ? 1 : 0;
    if (!Number.isFinite(value) || value < least || value > most || (key === 'quantity' && !Number.isInteger(value)))
      return { says: `${column}: “${text}” is not a number from ${least} to ${most}.` };
    numbers[key] = value;
  }
  if ([numbers.powerW, numbers.currentA, numbers.apparentVA].filter((value) => value !== undefined).length > 1)
    return { says: 'Give watts, amperes or volt-amperes, not two of them.' };
  const asks: ScheduleAsk[] = [];
  const board = cell('Hangs from');
  const found = nodesNamed(board, survey);
  if (board !== '' && found.length !== 1)
    asks.push({
      field: 'nodeId',
      says: found.length === 0 ? `no part of this supply is called “${board}”` : `several parts are called “${board}”`,
      choices: (found.length > 0 ? found : survey.supply.nodes).map((node) => ({
        value: node.id,
        label: nameInSchedule(node, survey),
      })),
    });
  const [line, seasonText] = [cell('Phase'), cell('Season')];
  const phase = PHASES.find((each) => each.toLowerCase() === line.toLowerCase());
  if (line !== '' && !phase)
    asks.push({
      field: 'phase',
      says: `“${line}” is no line`,
      choices: PHASES.map((value) => ({ value, label: value })),
    });
  const season = SEASONS.find((each) => each === seasonText.toLowerCase());
  if (seasonText !== '' && !season)
    asks.push({
      field: 'season',
      says: `“${seasonText}” is no season of use`,
      choices: SEASONS.map((value) => ({ value, label: value })),
    });
  const [node] = found;
  const load = {
    class: kind,
    ...(cell('Load or circuit') === '' ? {} : { label: cell('Load or circuit').slice(0, 100) }),
    ...(node && found.length === 1 ? { nodeId: node.id } : {}),
    ...numbers,
    ...(phase ? { phase } : {}),
    ...(cell('Interlock') === '' ? {} : { interlock: cell('Interlock').slice(0, 40) }),
    ...(season ? { season } : {}),
  };
  return { load, asks };
}

/** The parts a schedule may mean by a name: the one whose id it gives, or all that are called so. */
function nodesNamed(name: string, survey: Survey): SupplyNode[] {
  const wanted = name.toLowerCase();
  const exact = survey.supply.nodes.filter((node) => nameInSchedule(node, survey).toLowerCase() === wanted);
  return exact.length > 0
    ? exact
    : survey.supply.nodes.filter(({ label, kind }) => nodeName({ label, kind }).toLowerCase() === wanted);
}

/** A row with what it asked answered; what is left unanswered is left out of it. */
export function answered(
  { load }: UnsureRow,
  answers: Readonly<Partial<Record<ScheduleAsk['field'], string>>>,
): Omit<Load, 'id'> {
  const phase = PHASES.find((each) => each === answers.phase);
  const season = SEASONS.find((each) => each === answers.season);
  return {
    ...load,
    ...(answers.nodeId === undefined ? {} : { nodeId: answers.nodeId }),
    ...(phase ? { phase } : {}),
    ...(season ? { season } : {}),
  };
}

function classOf(text: string): LoadClass | undefined {
  const wanted = text.toLowerCase();
  return LOAD_CLASSES.find((kind) => kind === wanted || CLASS_NAMES[kind].toLowerCase() === wanted);
}
