import {
  CONDITION_NAMES,
  CONDITIONS,
  EVENT_KINDS,
  EVENT_NAMES,
  type Condition,
  type EventKind,
  type JobEvent,
} from '@keen-gauge/core/calendar/job-events';
import {
  ANSWERS_OF_OPERATOR,
  OPERATOR_ANSWER_NAMES,
  type AnswerOfOperator,
} from '@keen-gauge/core/calendar/operator-answers';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { ServerProblem } from '../api/client';
import { Button } from '../kit/Button';
import DayInput from '../kit/DayInput';
import { FieldGrid } from '../kit/fields';
import { Notice } from '../kit/Notice';
import { NumberInput } from '../kit/NumberInput';
import { Stack } from '../kit/Panel';
import { Select } from '../kit/Select';
import { TextInput } from '../kit/TextInput';

/** What is entered here; a job is closed where everything owed is seen. */
const KINDS = EVENT_KINDS.filter((kind) => kind !== 'withdrawn' && kind !== 'closed' && kind !== 'reopened');
const WITH_REFERENCE: readonly EventKind[] = ['sent', 'answered', 'notice-sent', 'fuse-visit-asked', 'unloop-asked'];

/** Enters what happened, or when the vehicle arrives. */
export function EventForm({
  today,
  onAdd,
}: {
  readonly today: string;
  readonly onAdd: (event: Pick<JobEvent, 'kind' | 'day' | 'details'>) => Promise<void>;
}) {
  const [kind, setKind] = useState<EventKind>('sent');
  const [day, setDay] = useState(today);
  const [answer, setAnswer] = useState<AnswerOfOperator>('accepted');
  const [condition, setCondition] = useState<Condition>('fuse-visit');
  const [limitA, setLimit] = useState<number>();
  const [reference, setReference] = useState('');
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const conditional = kind === 'answered' && answer === 'accepted-if';
  const add = async (): Promise<void> => {
    setProblem(null);
    try {
      await onAdd({
        kind,
        day,
        details: {
          ...(kind === 'answered' ? { answer } : {}),
          ...(conditional ? { condition } : {}),
          ...(conditional && condition === 'limit' && limitA !== undefined ? { limitA } : {}),
          ...(reference.trim() !== '' && WITH_REFERENCE.includes(kind) ? { reference: reference.trim() } : {}),
          ...(note.trim() === '' ? {} : { note: note.trim() }),
        },
      });
      setReference('');
      setNote('');
    } catch (error) {
      setProblem(
        error instanceof ServerProblem
          ? [error.detail, ...error.faults.map(({ wrong, expected }) => `It ${wrong}; ${expected} is expected.`)].join(
              ' ',
            )
          : 'The server did not answer. Nothing typed is lost.',
      );
    }
  };
  return (
    <Stack as="section" aria-label="Enter a date">
      <FieldGrid>
        <Select
          label="What happened"
          value={kind}
          options={KINDS.map((value) => ({ value, label: EVENT_NAMES[value] }))}
          onChange={setKind}
        />
        <DayInput label="On" value={day} onChange={setDay} />
        {kind === 'answered' && (
          <Select
            label="The answer"
            value={answer}
            options={ANSWERS_OF_OPERATOR.map((value) => ({ value, label: OPERATOR_ANSWER_NAMES[value] }))}
            onChange={setAnswer}
          />
        )}
        {conditional && (
          <Select
            label="On what condition"
            value={condition}
            options={CONDITIONS.map((value) => ({ value, label: CONDITION_NAMES[value] }))}
            onChange={setCondition}
          />
        )}
        {conditional && condition === 'limit' && (
          <NumberInput label="Held to" unit="A" least={0} most={3000} value={limitA} onChange={setLimit} />
        )}
        {WITH_REFERENCE.includes(kind) && (
          <TextInput label="The operator’s reference" value={reference} onChange={setReference} maxLength={100} />
        )}
        <TextInput label="Note on it" value={note} onChange={setNote} maxLength={1000} />
      </FieldGrid>
      <div>
        <Button isDisabled={day === ''} onPress={() => void add()}>
          <Plus size={18} aria-hidden /> Enter it
        </Button>
      </div>
      {problem !== null && <Notice kind="act" title={problem} />}
    </Stack>
  );
}
