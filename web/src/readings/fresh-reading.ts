import type { Reading } from '@keen-gauge/core/survey/reading';
import type { ReadingKind } from '@keen-gauge/core/survey/words/words';
import { instrumentName, type Instrument } from '../api/instruments';
import { freshId } from '../stations/bound';

export const LAST_INSTRUMENT = 'keen-gauge-last-instrument';

/** A reading about to be taken: by whom, when, and with the instrument used last, which is most often the one in the hand. */
export function freshReading(
  kind: ReadingKind,
  takenBy: string,
  instruments: readonly Instrument[],
  of: Pick<Reading, 'nodeId' | 'proposalId'> = {},
): Reading {
  const last = localStorage.getItem(LAST_INSTRUMENT);
  const instrument = instruments.find((each) => !each.retired && each.id === last);
  return {
    id: freshId('reading'),
    kind,
    takenBy,
    takenAt: new Date().toISOString(),
    ...of,
    ...(instrument ? { instrument: instrumentName(instrument) } : {}),
    ...(instrument?.calibrationDue ? { calibrationDue: instrument.calibrationDue } : {}),
  };
}
