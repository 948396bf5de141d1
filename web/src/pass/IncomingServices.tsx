import {
  BONDED_PARTS,
  BONDED_PART_NAMES,
  INCOMING,
  INCOMING_NAMES,
} from '@keen-gauge/core/survey/words/earthing-words';
import { useState } from 'react';
import { AnswerRow } from '../kit/AnswerRow';
import { Button } from '../kit/Button';
import { Stack } from '../kit/Panel';
import { useSetMember } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

const BONDED = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'unknown', label: 'Not known' },
] as const;

/** What enters the building in metal, and whether it is bonded. */
export function IncomingServices() {
  const { survey } = useSurvey();
  const [all, setAll] = useState(false);
  // Gas and water are in most homes; of the others only what is recorded already, until they are asked for.
  const shown = BONDED_PARTS.filter(
    (part) => all || part === 'gas' || part === 'water' || survey.earthing.services?.some(({ id }) => id === part),
  );
  return (
    <Stack style={{ '--gap': '0.5rem' }}>
      {shown.map((part) => (
        <OneService key={part} part={part} />
      ))}
      {shown.length < BONDED_PARTS.length && (
        <Button
          onPress={() => {
            setAll(true);
          }}
        >
          Oil, steel or something else
        </Button>
      )}
    </Stack>
  );
}

function OneService({ part }: { readonly part: (typeof BONDED_PARTS)[number] }) {
  const { survey } = useSurvey();
  const set = useSetMember(['earthing', 'services'], part);
  const service = survey.earthing.services?.find(({ id }) => id === part);
  return (
    <>
      <AnswerRow
        label={`${BONDED_PART_NAMES[part]}, where it comes in`}
        value={service?.incoming}
        options={INCOMING.map((value) => ({ value, label: INCOMING_NAMES[value] }))}
        onChange={(value) => {
          set('incoming', value);
        }}
      />
      {service?.incoming === 'metal' && (
        <AnswerRow
          label={`${BONDED_PART_NAMES[part]}: bonded?`}
          value={service.bonded}
          options={BONDED}
          onChange={(value) => {
            set('bonded', value);
          }}
        />
      )}
    </>
  );
}
