import type { Assessment } from '@keen-gauge/core/assessment';
import { settlingPath } from '@keen-gauge/core/settling-path';
import { useState } from 'react';

/** The fields that an open finding would be settled by. The same set as long as it holds the same, so that a key that changes no question draws nothing anew. */
export function useAskedFields({ findings }: Assessment): ReadonlySet<string> {
  const now = findings.flatMap((finding) => (finding.grade === 'note' ? [] : (settlingPath(finding) ?? []))).sort();
  const [asked, setAsked] = useState<{ readonly as: string; readonly set: ReadonlySet<string> }>(() => setOf(now));
  const as = now.join(' ');
  if (asked.as === as) return asked.set;
  const next = setOf(now);
  setAsked(next);
  return next.set;
}

const setOf = (fields: readonly string[]): { as: string; set: ReadonlySet<string> } => ({
  as: fields.join(' '),
  set: new Set(fields),
});
