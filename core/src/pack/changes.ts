import type { Section } from './rows';

/** One line of the document that says something else than in the pack before. */
export interface PackChange {
  readonly section: string;
  readonly label: string;
  /** Left out where it was not there, or is there no more. */
  readonly was?: string;
  readonly is?: string;
}

/** Everything the document says now and did not say before, in its own order; then what it says no more. */
export function changesSince(before: readonly Section[], now: readonly Section[]): PackChange[] {
  const [was, is] = [linesOf(before), linesOf(now)];
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

/** Lines by section and label; the second of two alike is the second, since findings and reasons repeat their labels. */
function linesOf(sections: readonly Section[]): Map<string, Line> {
  const lines = new Map<string, Line>();
  for (const { title: section, rows } of sections)
    for (const { label, value, note } of rows) {
      const text = note === undefined ? value : `${value} (${note})`;
      // Of several lines with one label it is what they say that makes them the same.
      const repeats = rows.filter((each) => each.label === label).length > 1;
      lines.set(repeats ? `${section} ${label} ${value}` : `${section} ${label}`, { section, label, text });
    }
  return lines;
}
