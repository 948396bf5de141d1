import { openStored } from '@keen-gauge/core/survey/opening/open-stored';
import { report } from '../api/report';
import type { Unsaved } from './survey-store';

/**
 * What this browser kept, its documents brought to the present by the one door. A revision that was on its way speaks of the document as it was
 * before the upgrade: it is not sent again, and what was typed goes as one new revision, in which whatever had arrived changes nothing.
 * Undefined where it can be read no more: it stays where it is, and is told, since nothing typed is thrown away.
 */
export function brought<Entry extends Unsaved>({
  pending,
  ...entry
}: Entry): (Omit<Entry, 'pending'> & Unsaved) | undefined {
  try {
    const base = openStored(entry.base);
    const asItWas = base === entry.base;
    return { ...entry, ...(pending && asItWas && { pending }), base, document: openStored(entry.document) };
  } catch (error) {
    report('error', error);
    return undefined;
  }
}
