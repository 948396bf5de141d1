import type { Assessment } from '../assessment';
import { safeCell, scheduleRows } from '../demand/schedule';
import { READING_FORMS } from '../intake/readings';
import { lineupSvg } from '../lineup/svg';
import type { Survey } from '../survey/survey';
import { NODE_NAMES } from '../survey/words/words';
import type { PerPhase } from '../demand/per-phase-figures';
import { fixed } from '../rules/rounding';
import { equipmentName } from '../survey/words/kinds';
import { isManaged, type PackContent } from './compose';
import { namedClamps } from './equipment-sections';
import type { RowId, SectionId } from './row-ids';
import { withIds, type StoredSection } from './former-sections';

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
    ...(clampRows(survey).length > 1
      ? [{ name: 'clamps.csv', text: csv(clampRows(survey).map((row) => row.map(safeCell))) }]
      : []),
    { name: 'readings.csv', text: csv(readingRows(survey).map((row) => row.map(safeCell))) },
    { name: 'message.txt', text: coveringMessage(content) },
  ];
}

/** Every node with its rating and what it carries on its fullest line. */
function nodeRows(survey: Survey, { nodes, demand }: Assessment): string[][] {
  const managedThere = isManaged(demand);
  const bound = (figures: PerPhase): string => {
    const all = Object.values(figures);
    if (all.length === 0 || all.some(({ value }) => value === null)) return 'not known';
    return all.some((each) => each.bound === 'at-least') ? 'at least' : 'exact';
  };
  const fullest = (figures: Readonly<Record<string, { readonly value: number | null }>>): string => {
    const values = Object.values(figures).map(({ value }) => value);
    return values.length === 0 || values.includes(null) ? '' : fixed(Math.max(...values.map((value) => value ?? 0)), 1);
  };
  const recorded = new Map(survey.supply.nodes.map((node) => [node.id, node]));
  return [
    [
      ...['node', 'kind', 'fed from', 'rating A', 'evidence'],
      ...['demand now A', 'demand now is', 'demand after A', 'demand after is', 'after, managed A'],
    ],
    ...nodes.map(({ id, kind, label, fedFrom, ratingA, before, after, managed }) => [
      label,
      NODE_NAMES[kind],
      fedFrom ?? '',
      ratingA === null ? '' : String(ratingA),
      recorded.get(id)?.evidence ?? '',
      fullest(before),
      bound(before),
      fullest(after),
      bound(after),
      managedThere && managed ? fullest(managed) : '',
    ]),
  ];
}

/** Every clamp with its place, its set-point and what its charger drops to without it. */
function clampRows({ proposals, supply }: Survey): string[][] {
  const written = (value: number | undefined): string => (value === undefined ? '' : String(value));
  return [
    ['equipment', 'clamp on', 'node', 'set-point A', 'fail-safe A'],
    ...proposals.flatMap((proposal) =>
      namedClamps(proposal, supply.nodes).map(({ name, nodeId, setPointA }) => [
        equipmentName(proposal),
        name ?? '',
        nodeId ?? '',
        written(setPointA),
        written(proposal.limiter.failSafeA),
      ]),
    ),
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

/** A piece of new equipment in a line, as its section has it. */
function equipmentLine({ about, rows }: StoredSection): string {
  const find = (id: RowId): string | undefined => rows.find((each) => each.id === id)?.value;
  const clamps = rows.filter(({ id }) => id === 'clamp');
  const heldTo = find('held-to-a-fixed-current');
  return [
    about,
    find('make-and-model'),
    find('rated-current'),
    ...clamps.map(({ value, note }) => `clamp on ${value}, ${note ?? ''}`),
    clamps.length > 0 ? `fail-safe ${find('fail-safe-current') ?? ''}` : undefined,
    heldTo === undefined ? undefined : `held to ${heldTo}`,
  ]
    .filter((part) => part !== undefined)
    .join('; ');
}

/** What the message is made of: of a pack just composed, or of one signed long ago. */
export type MessageContent = Pick<PackContent, 'title' | 'purpose' | 'photos'> & {
  readonly sections: readonly StoredSection[];
};

/** The words to send a pack with, ready to be copied: what it is, for where, what is asked, who signed. */
export function coveringMessage({ title, purpose, sections: stored, photos }: MessageContent): string {
  const sections = withIds(stored);
  const find = (section: SectionId, id: RowId): string | undefined =>
    sections.find((each) => each.id === section)?.rows.find((each) => each.id === id)?.value;
  const lines = (pairs: readonly (readonly [string, string | undefined])[]): string[] =>
    pairs.flatMap(([label, value]) => (value === undefined ? [] : [`${label}: ${value}`]));
  return [
    title,
    '',
    purpose,
    '',
    ...lines([
      ['Site', find('site', 'address')],
      ['Meter point', find('site', 'meter-point-number')],
      ['Cut-out fuse', find('supply', 'cut-out-fuse')],
      ['Maximum demand before the work', find('demand', 'before-the-work')],
      ['After the work, unmanaged', find('demand', 'after-the-work-unmanaged')],
      ['After the work, managed', find('demand', 'after-the-work-managed')],
      ...sections.filter(({ id }) => id === 'equipment').map((each) => ['New equipment', equipmentLine(each)] as const),
      ['Route', find('route', 'route')],
      ['Signed for by', find('installer', 'signed-for-by')],
      ['Firm', find('installer', 'firm')],
      ['Address', find('installer', 'address')],
      ['Telephone', find('installer', 'telephone')],
      ['E-mail', find('installer', 'e-mail')],
      ['Registration', find('installer', 'registration')],
    ]),
    '',
    `The document, its drawing${photos.length > 0 ? ', photographs' : ''} and the same data as files are attached; manifest.json lists them with their sums.`,
    '',
  ].join('\n');
}
