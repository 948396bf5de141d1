import { valueAt, type Value } from '@keen-gauge/core/record/changes';
import type { Place } from '@keen-gauge/core/survey/schema/field-path';
import { useState } from 'react';
import styled from 'styled-components';
import { Field } from '../fields/Field';
import { fieldLabel, valueWords } from '../fields/value-words';
import { BareButton, Button } from '../kit/Button';
import { Stack } from '../kit/Panel';
import { useSurvey } from '../survey/SurveyContext';
import { onCard } from './on-card';

const Line = styled(BareButton)`
  display: flex;
  justify-content: space-between;
  gap: 0.8rem;
  width: 100%;
  border: 0;
  border-bottom: 1px solid var(--line);
  border-radius: 0;
  padding: 0.2rem 0;
  font-size: 0.9rem;
  font-weight: 400;
  text-align: left;
  & > strong {
    flex: none;
    max-width: 50%;
  }
`;

/** As many answered lines as leave room for answers on a small phone. */
const MOST_ABOVE = 2;

/** Fields that belong together, the first unanswered one at hand; those answered stand above in a line each, which opens them again. */
export function OneByOne({ places }: { readonly places: readonly Place[] }) {
  const { survey } = useSurvey();
  const [chosen, setChosen] = useState<string | null>(null);
  const valueOf = (place: Place): unknown => valueAt(survey as unknown as Value, place);
  // What is being typed stays at hand until it is said to be complete.
  const [typing, setTyping] = useState<string | null>(null);
  const keyOf = (place: Place): string => place.join('.');
  const open =
    places.find((place) => keyOf(place) === (chosen ?? typing)) ?? places.find((place) => valueOf(place) === undefined);
  const words = open && onCard(open);
  const done = places.filter((place) => place !== open && valueOf(place) !== undefined);
  // Keys leave no room on a small phone: what is answered is there again with the next answer.
  const shown = words?.pad ? [] : open ? done.slice(-MOST_ABOVE) : done;
  return (
    <Stack style={{ '--gap': '0.4rem' }}>
      {shown.map((place) => (
        <Line
          key={keyOf(place)}
          onPress={() => {
            setChosen(keyOf(place));
          }}
        >
          <span>{fieldLabel(place)}</span>
          <strong>{valueWords(place, valueOf(place))}</strong>
        </Line>
      ))}
      {open && (
        <div
          key={keyOf(open)}
          onInput={() => {
            if (words?.pad) setTyping(keyOf(open));
          }}
          onClickCapture={() => {
            // A figure is complete when its next is asked for; an answer at once.
            if (words?.pad) setTyping(keyOf(open));
            else setChosen(null);
          }}
        >
          <Field path={open} {...words} hideLabel={false} />
          {words?.pad && (typing ?? chosen) === keyOf(open) && valueOf(open) !== undefined && (
            <Button
              style={{ marginTop: '0.4rem', width: '100%' }}
              onPress={() => {
                setTyping(null);
                setChosen(null);
              }}
            >
              Enter {valueWords(open, valueOf(open))}
            </Button>
          )}
        </div>
      )}
    </Stack>
  );
}
