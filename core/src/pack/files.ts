import type { Assessment } from '../assessment';
import { safeCell, scheduleRows } from '../demand/schedule';
import { READING_FORMS } from '../intake/readings';
import { lineupSvg } from '../lineup/svg';
import type { Survey } from '../survey/survey';
import { NODE_NAMES } from '../survey/words';
import type { PackContent } from './compose';

/** One file of a pack that is text, by its name within it. */
export interface PackText {
  readonly name: string;
  readonly text: string;
}

/** The files of a pack beside its document and photographs: the same data as data, and the supply drawn. */
export function packTexts(
  surveyText: string,
  survey: Survey,
  assessment: Assessment,
  content: PackContent,
  title: string,
): PackText[] {
  return [
    { name: 'survey.json', text: surveyText },
    { name: 'assessment.json', text: `${JSON.stringify(assessment, null, 2)}\n` },
    { name: 'line-up.svg', text: lineupSvg(content.lineup, title) },
    { name: 'loads.csv', text: csv(scheduleRows(survey)) },
    { name: 'nodes.csv', text: csv(nodeRows(survey, assessment).map((row) => row.map(safeCell))) },
    { name: 'readings.csv', text: csv(readingRows(survey).map((row) => row.map(safeCell))) },
    { name: 'message.txt', text: coveringMessage(content) },
  ];
}

/** Every node with its rating and what it carries on its fullest line. */
function nodeRows(survey: Survey, { nodes }: Assessment): string[][] {
  const fullest = (figures: Readonly<Record<string, { readonly value: number | null }>>): string => {
    const values = Object.values(figures).map(({ value }) => value);
    return values.length === 0 || values.includes(null)
      ? ''
      : Math.max(...values.map((value) => value ?? 0)).toFixed(2);
  };
  const recorded = new Map(survey.supply.nodes.map((node) => [node.id, node]));
  return [
    ['node', 'kind', 'fed from', 'rating A', 'evidence', 'demand now A', 'demand after A', 'managed A'],
    ...nodes.map(({ id, kind, label, fedFrom, ratingA, before, after, managed }) => [
      label,
      NODE_NAMES[kind],
      fedFrom ?? '',
      ratingA === null ? '' : String(ratingA),
      recorded.get(id)?.evidence ?? '',
      fullest(before),
      fullest(after),
      managed ? fullest(managed) : '',
    ]),
  ];
}

function readingRows({ readings }: Survey): string[][] {
  return [
    ['reading', 'value', 'unit', 'bound', 'instrument', 'calibrated until', 'taken by', 'taken at', 'node'],
    ...readings.map(({ kind, value, bound, instrument, calibrationDue, takenBy, takenAt, nodeId }) => [
      READING_FORMS[kind].name,
      value === undefined ? '' : String(value),
      READING_FORMS[kind].unit,
      bound ?? '',
      instrument ?? '',
      calibrationDue ?? '',
      takenBy ?? '',
      takenAt ?? '',
      nodeId ?? '',
    ]),
  ];
}

/** Rows as CSV (RFC 4180). */
export function csv(rows: readonly (readonly string[])[]): string {
  const cell = (text: string): string => (/[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
  return rows.map((row) => `${row.map(cell).join(',')}\r\n`).join('');
}

/** The words to send a pack with, ready to be copied: what it is, for where, what is asked, who signed. */
export function coveringMessage({ title, purpose, sections }: PackContent): string {
  const find = (section: string, label: string): string | undefined =>
    sections.find((each) => each.title.startsWith(section))?.rows.find((each) => each.label === label)?.value;
  const lines = (pairs: readonly (readonly [string, string | undefined])[]): string[] =>
    pairs.flatMap(([label, value]) => (value === undefined ? [] : [`${label}: ${value}`]));
  return [
    title,
    '',
    purpose,
    '',
    ...lines([
      ['Site', find('Site', 'Address')],
      ['Meter point', find('Site', 'Meter point number (MPAN)')],
      ['Cut-out fuse', find('Existing supply', 'Cut-out fuse')],
      ['Maximum demand before the work', find('Maximum demand', 'Before the work')],
      ['After the work, unmanaged', find('Maximum demand', 'After the work, unmanaged')],
      ['After the work, managed', find('Maximum demand', 'After the work, managed')],
      ['Route', find('Route', 'Route')],
      ['Signed for by', find('Installer', 'Signed for by')],
      ['Firm', find('Installer', 'Firm')],
      ['Registration', find('Installer', 'Registration')],
    ]),
    '',
    'The document, its drawing, photographs and the same data as files are attached; manifest.json lists them with their sums.',
    '',
  ].join('\n');
}
