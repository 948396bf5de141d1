import { namedAs, withIds, type StoredSection } from './former-sections';
import type { Section } from './rows';

/** One line of the document that says something else than in the pack before. */
export interface PackChange {
  readonly section: string;
  readonly label: string;
  /** Left out where it was not there, or is there no more. */
  readonly was?: string;
  readonly is?: string;
}

/**
 * Everything the document says now and did not say before, in its own order; then what it says no more. Lines are the same by their ids, whatever
 * they are called: other words for a label are no change.
 */
export function changesSince(before: readonly StoredSection[], now: readonly Section[]): PackChange[] {
  const [was, is] = [linesOf(namedAs(now, withIds(before))), linesOf(now)];
  const changed = [...is].flatMap(([key, line]): PackChange[] => {
    const earlier = was.get(key);
    if (earlier?.text === line.text) return [];
    return [{ section: line.section, label: line.label, is: line.text, ...(earlier ? { was: earlier.text } : {}) }];
  });
  const gone = [...was].flatMap(([key, { section, label, text }]): PackChange[] =>
    is.has(key) ? [] : [{ section, label, was: text }],
  );
  return [...changed, ...gone];
}

interface Line {
  readonly section: string;
  readonly label: string;
  readonly text: string;
}

/** Lines by the ids of section and line; the second under one id is the second. */
function linesOf(sections: readonly StoredSection[]): Map<string, Line> {
  const lines = new Map<string, Line>();
  for (const { id: section = '', subject: of = '', title, rows } of sections)
    for (const { id = '', subject = '', label, value, note } of rows) {
      const key = [section, of, id, subject].join('\n');
      let at = 1;
      while (lines.has(`${key}\n${at}`)) at += 1;
      const text = note === undefined ? value : `${value} (${note})`;
      lines.set(`${key}\n${at}`, { section: title, label, text });
    }
  return lines;
}
