import { READING_FORMS } from '@keen-gauge/core/intake/readings';
import type { FindingId } from '@keen-gauge/core/finding-ids';
import type { ReadingKind } from '@keen-gauge/core/survey/words/words';
import { useState } from 'react';
import { useInstruments } from '../api/instruments';
import { NumberInput } from '../kit/NumberInput';
import { freshReading } from '../readings/fresh-reading';
import { useSurvey } from '../survey/SurveyContext';

/** The reading that settles a question. */
export const READING_OF: Partial<Readonly<Record<FindingId, ReadingKind>>> = {
  'ze-not-measured': 'loop-impedance-external',
  'electrode-not-measured': 'electrode-resistance',
};

/** A reading taken on its card, with the instrument used last. What the instrument shows as a bound is entered at the station. */
export function QuickReading({ kind, nodeId }: { readonly kind: ReadingKind; readonly nodeId: string | undefined }) {
  const { survey, store, me } = useSurvey();
  const { data } = useInstruments();
  const instruments = data?.instruments ?? [];
  const [id, setId] = useState<string | null>(null);
  const taken = survey.readings.find((each) => each.id === id);
  const { name, unit } = READING_FORMS[kind];
  const enter = (value: number | undefined): void => {
    const others = survey.readings.filter((each) => each.id !== id);
    if (value === undefined) {
      store.edit({ ...survey, readings: others });
      return;
    }
    const reading = {
      ...(taken ?? freshReading(kind, me.name, instruments, nodeId === undefined ? {} : { nodeId })),
      value,
    };
    setId(reading.id);
    store.edit({ ...survey, readings: [...others, reading] });
  };
  return <NumberInput label={name} unit={unit} least={0} most={1_000_000} value={taken?.value} onChange={enter} pad />;
}
