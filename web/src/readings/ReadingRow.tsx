import { READING_FORMS, readingText, readingValue, readReading } from '@keen-gauge/core/intake/readings';
import type { Reading } from '@keen-gauge/core/survey/reading';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { instrumentName, type Instrument } from '../api/instruments';
import { BareButton, Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { RecordedLine } from '../kit/RecordedLine';
import { Select } from '../kit/Select';
import { TextInput } from '../kit/TextInput';
import { useTyped } from '../kit/use-typed';
import { takenWords } from '../photos/taken-words';
import { BoundText } from '../stations/bound';
import { useSet, useSurvey } from '../survey/SurveyContext';

const Grid = styled.div`
  display: grid;
  gap: 0.5rem 0.8rem;
  grid-template-columns: minmax(14rem, 1.3fr) minmax(10rem, 1.2fr) minmax(8rem, 1fr) auto;
  align-items: start;
  border-left: 4px solid var(--line);
  padding-left: 0.8rem;
  @media (max-width: 52rem) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
`;

/** One reading: the value or bound as the instrument showed it, with what, by whom and when. */
export function ReadingRow({
  reading,
  instruments,
  autoFocus,
  onInstrument,
}: {
  readonly reading: Reading;
  readonly instruments: readonly Instrument[];
  readonly autoFocus: boolean;
  readonly onInstrument: (id: string) => void;
}) {
  const { survey, store, assessment } = useSurvey();
  const set = useSet();
  const form = READING_FORMS[reading.kind];
  const shown = readingValue(reading);
  const [typed, setTyped, setTaken] = useTyped(shown, (text) => text);
  const read = readReading(typed);
  const path = ['readings', reading.id] as const;
  const unlikely = assessment.findings.find(
    ({ id, subjectId }) => id === 'reading-unlikely' && subjectId === reading.id,
  );

  const [open, setOpen] = useState(
    autoFocus || shown === '' || reading.instrument === undefined || unlikely !== undefined,
  );
  if (unlikely !== undefined && !open) setOpen(true);
  const taken = [reading.takenBy, takenWords(reading.takenAt)].filter(Boolean).join(', ');

  const change = (parts: Partial<Reading>, without: readonly (keyof Reading)[] = []): void => {
    const next = Object.fromEntries(
      Object.entries({ ...reading, ...parts }).filter(([key]) => !without.includes(key as keyof Reading)),
    ) as unknown as Reading;
    store.edit({ ...survey, readings: survey.readings.map((each) => (each.id === reading.id ? next : each)) });
  };
  const type = (text: string): void => {
    setTyped(text);
    const found = readReading(text);
    if (found) {
      setTaken(readingValue(found));
      change(
        { value: found.value, bound: found.bound },
        found.bound === 'exact' ? ['bound', 'confirmed'] : ['confirmed'],
      );
    } else if (text.trim() === '') {
      setTaken('');
      change({}, ['value', 'bound', 'confirmed']);
    }
  };
  const inUse = instruments.filter(({ retired }) => !retired);
  const chosen = inUse.find((each) => instrumentName(each) === reading.instrument);

  if (!open)
    return (
      <div role="group" aria-label={form.name}>
        <RecordedLine
          label={form.name}
          says={[readingText(reading), reading.instrument, taken].filter(Boolean).join(' · ')}
          onPress={() => {
            setOpen(true);
          }}
        />
      </div>
    );
  return (
    <Grid role="group" aria-label={form.name}>
      <TextInput
        label={`${form.name}, ${form.unit}`}
        value={typed}
        onChange={type}
        inputMode="text"
        autoFocus={autoFocus}
        fault={typed.trim() !== '' && !read ? 'A number, or a bound such as > 999, is expected.' : undefined}
        help={taken}
      />
      <Select
        label="Instrument"
        value={chosen?.id}
        placeholder={reading.instrument ?? 'Not recorded'}
        options={inUse.map((each) => ({ value: each.id, label: instrumentName(each) }))}
        onChange={(id) => {
          const instrument = inUse.find((each) => each.id === id);
          if (!instrument) return;
          onInstrument(id);
          if (instrument.calibrationDue)
            change({ instrument: instrumentName(instrument), calibrationDue: instrument.calibrationDue });
          else change({ instrument: instrumentName(instrument) }, ['calibrationDue']);
        }}
      />
      <BoundText path={[...path, 'note']} label="Note" />
      <BareButton
        aria-label={`Remove the reading ${form.name} ${readingText(reading)}`}
        style={{ alignSelf: 'center' }}
        onPress={() => {
          set(path, undefined);
        }}
      >
        <Trash2 size={18} aria-hidden />
      </BareButton>
      {unlikely && (
        <div style={{ gridColumn: '1 / -1' }}>
          <Notice kind="ask" title={unlikely.title}>
            Take it again.{' '}
            <Button
              onPress={() => {
                set([...path, 'confirmed'], true);
              }}
            >
              Taken again, it stands
            </Button>
          </Notice>
        </div>
      )}
    </Grid>
  );
}
