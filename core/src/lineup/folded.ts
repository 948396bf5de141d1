import type { Lineup, LineupRow } from './layout';

/** How a long line-up is read: branches folded into the part they hang from, those being looked at unfolded. */
export interface Folding {
  /** The parts whose branches are folded into them. */
  readonly at: readonly string[];
  /** The part that is looked at: its branch is not folded. */
  readonly selected: string | undefined;
  /** Words that are looked for: only branches with them are there, unfolded. */
  readonly sought?: string;
}

/**
 * The line-up with branches folded into the part they hang from, which says how many parts are in it and carries their open questions. A branch with the weakest link, or with anything over its
 * rating, is never folded or left out: trouble stays in sight.
 */
export function foldedLineup(lineup: Lineup, { at, selected, sought = '' }: Folding): Lineup {
  const wanted = sought.trim().toLowerCase();
  const { rows } = lineup;
  const hidden = new Set<number>();
  const holding = new Map<number, readonly number[]>();
  for (const id of at) {
    const top = rows.findIndex((row) => row.id === id);
    const branch = top < 0 ? [] : below(rows, top);
    const all = [top, ...branch].flatMap((each) => rows[each] ?? []);
    if (all.some((row) => row.weakest || row.over)) continue;
    const matches = wanted !== '' && all.some(({ name }) => name.toLowerCase().includes(wanted));
    if (wanted !== '' && !matches) [top, ...branch].forEach((each) => hidden.add(each));
    else if (!matches && !all.some((row) => row.id === selected)) {
      branch.forEach((each) => hidden.add(each));
      if (branch.length > 0) holding.set(top, branch);
    }
  }
  if (hidden.size === 0) return lineup;
  const places = new Map<number, number>();
  for (const place of rows.keys()) if (!hidden.has(place)) places.set(place, places.size);
  const moved = (place: number): number[] => {
    const found = places.get(place);
    return found === undefined ? [] : [found];
  };
  return {
    ...lineup,
    rows: rows.flatMap((row, place): LineupRow[] => {
      if (hidden.has(place)) return [];
      const inside = (holding.get(place) ?? []).flatMap((each) => rows[each] ?? []);
      return [
        {
          ...folding(row, inside),
          parent: row.parent === null ? null : (places.get(row.parent) ?? null),
          children: row.children.flatMap(moved),
        },
      ];
    }),
  };
}

/** A part with what is folded into it. */
function folding(row: LineupRow, inside: readonly LineupRow[]): LineupRow {
  if (inside.length === 0) return row;
  const sum = (of: (each: LineupRow) => number): number => inside.reduce((total, each) => total + of(each), of(row));
  return {
    ...row,
    name: `${row.name} +${inside.length}`,
    loads: sum(({ loads }) => loads),
    equipment: sum(({ equipment }) => equipment),
    toDo: sum(({ toDo }) => toDo),
    toAsk: sum(({ toAsk }) => toAsk),
  };
}

/** Every row under one, however deep. */
function below(rows: readonly LineupRow[], top: number): number[] {
  return (rows[top]?.children ?? []).flatMap((child) => [child, ...below(rows, child)]);
}
