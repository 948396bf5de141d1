/** What a table or a record gives, or why it gives nothing: not known yet, or not in the table. */
export type Lookup<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly gap: 'not-known' | 'not-in-table'; readonly says: string };

export function found<T>(value: T): Lookup<T> {
  return { ok: true, value };
}

export function notKnown(says: string): Lookup<never> {
  return { ok: false, gap: 'not-known', says };
}

/** Nothing is interpolated or taken from beyond the table: what is not in it is said. */
export function notInTable(says: string): Lookup<never> {
  return { ok: false, gap: 'not-in-table', says };
}
