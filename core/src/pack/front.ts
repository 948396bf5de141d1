import type { RowId, RowKind, SectionId } from './row-ids';
import { NOT_KNOWN, type Row, type Section } from './rows';

/** Part of the first page: what it is about, and the lines of the document that say it. */
export interface FrontPart {
  readonly title: string;
  readonly rows: readonly Row[];
}

interface Wanted {
  readonly title: string;
  readonly from: SectionId;
  readonly rows: readonly (RowId | RowKind)[];
}

/** What somebody at the operator reads first, in the order they ask for it. */
const WANTED: readonly Wanted[] = [
  {
    title: 'Site',
    from: 'site',
    rows: ['address', 'meter-point-number', 'customer', 'network-operator'],
  },
  {
    title: 'What is asked',
    from: 'request',
    rows: ['request', 'a-larger-cut-out-fuse', 'more-phases', 'work-planned-for'],
  },
  {
    title: 'New equipment',
    from: 'equipment',
    rows: [
      'make-and-model',
      'rated-current',
      'limiter',
      'held-to-a-fixed-current',
      'own-setting',
      'on-the-type-tested-register',
    ],
  },
  { title: 'Existing supply', from: 'supply', rows: ['phases', 'cut-out-fuse', 'loop-status', 'earthing'] },
  {
    title: 'Maximum demand',
    from: 'demand',
    rows: ['basis-declared', 'before-the-work', 'after-the-work-unmanaged', 'after-the-work-managed', 'headroom'],
  },
  { title: 'Route and why', from: 'route', rows: ['route', 'trigger'] },
];

/** As many pieces of equipment, and reasons, as the first page has room for; the rest stands behind it. */
export const MOST = { equipment: 5, reasons: 5 } as const;

/**
 * The whole case on one page: the lines of the document somebody needs to decide, chosen by their ids. Nothing is said here that the sections behind it do not say; what
 * is not known stays out where it is only an answer nobody was asked for, and stands where the case rests on it.
 */
export function frontOf(sections: readonly Section[]): FrontPart[] {
  return WANTED.flatMap(({ title, from, rows }): FrontPart[] => {
    const found = sections.filter(({ id }) => id === from);
    const several = found.length > 1;
    const all = several
      ? found.map((section) => inOneLine(section, chosenFrom(section, rows)))
      : found.flatMap((section) => chosenFrom(section, rows));
    // The route itself is no reason.
    const most = several ? MOST.equipment : from === 'route' ? MOST.reasons + 1 : all.length;
    const shown = all.slice(0, most);
    const left = all.length - shown.length;
    const more: Row[] = left > 0 ? [{ id: 'trigger', label: 'And', value: `${left} more, behind this page` }] : [];
    return shown.length === 0 ? [] : [{ title, rows: [...shown, ...more] }];
  });
}

const chosenFrom = ({ rows }: Section, ids: readonly (RowId | RowKind)[]): Row[] =>
  ids.flatMap((id) => rows.filter((row) => row.id === id)).filter(matters);

/** One of several pieces of equipment: its lines beside each other under its name. */
function inOneLine({ about, title }: Section, rows: readonly Row[]): Row {
  return { id: 'part', label: about ?? title, value: rows.map(({ value }) => value).join(' · ') };
}

/** Lines the case rests on are told even where they are not known. */
const NEEDED: readonly (RowId | RowKind)[] = [
  'address',
  'meter-point-number',
  'cut-out-fuse',
  'loop-status',
  'earthing',
  'rated-current',
  'before-the-work',
  'after-the-work-unmanaged',
];

const matters = ({ id, value }: Row): boolean => NEEDED.includes(id) || !value.startsWith(NOT_KNOWN);
