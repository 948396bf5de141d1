import { ROW_IDS, type RowId, type RowKind, type SectionId } from './row-ids';
import type { Section } from './rows';

/** A line of a pack as it was stored; those signed before lines had ids have none. */
export interface StoredRow {
  readonly id?: string;
  readonly subject?: string;
  readonly label: string;
  readonly value: string;
  readonly note?: string;
}

export interface StoredSection {
  readonly id?: string;
  readonly subject?: string;
  readonly about?: string;
  readonly title: string;
  readonly derived?: true;
  readonly rows: readonly StoredRow[];
}

/** What sections were headed with while they had no ids. */
const FORMER_TITLES: Readonly<Record<string, SectionId>> = {
  'Site and customer': 'site',
  Installer: 'installer',
  'On the premises already': 'there',
  'Existing supply': 'supply',
  'Earthing and bonding': 'earthing',
  Readings: 'readings',
  'Maximum demand': 'demand',
  'Option chosen': 'choice',
  'Asked of the operator': 'request',
  'What the decision rests on': 'verdicts',
  'Route to the network operator': 'route',
  'After the work': 'after',
  Findings: 'findings',
  'Answered for when signed': 'answered-for',
};
/** Those of which there could be several, by how their headings began. */
const FORMER_BEGINNINGS: readonly (readonly [string, SectionId])[] = [
  ['New equipment', 'equipment'],
  ['Circuit', 'circuit'],
  ['Trial, indicative', 'trial'],
  ['Limiter commissioned', 'commissioned'],
  ['Tests', 'tests'],
  ['Feeder', 'feeder'],
];

/**
 * The step `lines-have-ids`: sections of a pack signed before there were ids, with those they have now. The ids of lines were made of what they were
 * called on that day, so that the words of that day give them back; lines of which there were several keep only their words.
 */
export function withIds(stored: readonly StoredSection[]): StoredSection[] {
  return stored.map((section) => {
    if (section.id !== undefined) return section;
    const beginning = FORMER_BEGINNINGS.find(([words]) => section.title.startsWith(`${words}: `));
    const id = FORMER_TITLES[section.title] ?? beginning?.[1];
    return {
      ...section,
      ...(id === undefined ? {} : { id }),
      ...(beginning === undefined ? {} : { about: section.title.slice(beginning[0].length + 2) }),
      rows: section.rows.map((line) => {
        const known = formerRowId(line.label);
        return known === undefined ? line : { ...line, id: known };
      }),
    };
  });
}

function formerRowId(label: string): RowId | RowKind | undefined {
  if (label === 'Managed by clamp' || /^Clamp \d+ of \d+$/.test(label)) return 'clamp';
  const made = label
    .toLowerCase()
    .replace(/\([^)]*\)|[’']/g, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return ROW_IDS.find((id) => id === made);
}

/**
 * Lines without an id, named as the lines that are called the same today: of several called the same it is what they say that tells them apart.
 * Sections of several take the subject of the one that is headed the same.
 */
export function namedAs(now: readonly Section[], stored: readonly StoredSection[]): StoredSection[] {
  return stored.map((section) => {
    const today = now.find(({ id, title, subject }) =>
      section.subject === undefined
        ? id === section.id && title === section.title
        : id === section.id && subject === section.subject,
    );
    const left = [...(today?.rows ?? [])];
    const rows = section.rows.map((line): StoredRow => {
      if (line.subject !== undefined || (line.id !== undefined && line.id !== 'clamp')) return line;
      const alike = left.filter(({ label }) => label === line.label);
      const same = alike.find(({ value }) => value === line.value) ?? (alike.length === 1 ? alike[0] : undefined);
      if (!same) return { ...line, id: line.label, subject: line.value };
      left.splice(left.indexOf(same), 1);
      return { ...line, id: same.id, ...(same.subject === undefined ? {} : { subject: same.subject }) };
    });
    return { ...section, ...(today?.subject === undefined ? {} : { subject: today.subject }), rows };
  });
}
