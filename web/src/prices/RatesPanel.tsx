import type { WorkRate } from '@keen-gauge/core/price/price-book';
import { TASK_WORDS, TASKS, type Task } from '@keen-gauge/core/price/tasks';
import { GROUND_NAMES, GROUNDS, SURFACE_NAMES, SURFACES } from '@keen-gauge/core/survey/words/works-words';
import { useState } from 'react';
import { FieldGrid } from '../kit/fields';
import { NumberInput } from '../kit/NumberInput';
import { Stack } from '../kit/Panel';
import { RecordedLine } from '../kit/RecordedLine';
import { BareButton } from '../kit/Button';
import { BookForm, type BookFormProps } from './BookForm';

/** How long each task takes the firm, by surface, ground and wall. */
export function RatesPanel() {
  return (
    <BookForm
      title="Work rates"
      lead="Hours of one person for one of it. What your jobs really take is shown at What jobs teach; nothing is changed by itself."
    >
      {(form) => (
        <Stack style={{ '--gap': '0.6rem' }}>
          {TASKS.filter((task) => task !== 'travel').map((task) => (
            <RateLine key={task} task={task} {...form} />
          ))}
        </Stack>
      )}
    </BookForm>
  );
}

function RateLine({ task, book, change }: { readonly task: Task } & BookFormProps) {
  const [isOpen, setOpen] = useState(false);
  const rate: WorkRate = book.rates.find((each) => each.task === task) ?? { task };
  const { name, per, by } = TASK_WORDS[task];
  const put = (next: WorkRate): void => {
    change({ ...book, rates: [...book.rates.filter((each) => each.task !== task), next] });
  };
  if (!isOpen)
    return (
      <RecordedLine
        label={`${name}, each ${per}`}
        says={rateWords(rate)}
        onPress={() => {
          setOpen(true);
        }}
      />
    );
  const words: readonly (readonly [string, string])[] =
    by === 'surface'
      ? SURFACES.map((each) => [each, SURFACE_NAMES[each]] as const)
      : by === 'ground'
        ? GROUNDS.map((each) => [each, GROUND_NAMES[each]] as const)
        : [];
  return (
    <Stack as="section" aria-label={name} style={{ borderLeft: '3px solid var(--line)', paddingLeft: '0.7rem' }}>
      <strong>
        {name}, each {per}
      </strong>
      <FieldGrid>
        <NumberInput
          label="Usually"
          unit="h"
          least={0}
          most={1000}
          value={rate.hours}
          onChange={(hours) => {
            const { hours: _hours, ...rest } = rate;
            put(hours === undefined ? rest : { ...rest, hours });
          }}
        />
        <NumberInput
          label="People at once"
          unit=""
          least={1}
          most={6}
          whole
          usual={[1, 2]}
          value={rate.people ?? 1}
          onChange={(people) => {
            put({ ...rate, people: people ?? 1 });
          }}
        />
        {words.map(([id, label]) => (
          <NumberInput
            key={id}
            label={label}
            unit="h"
            least={0}
            most={1000}
            value={rate.by?.find((each) => each.id === id)?.hours}
            onChange={(hours) => {
              const rest = (rate.by ?? []).filter((each) => each.id !== id);
              put({ ...rate, by: hours === undefined ? rest : [...rest, { id, hours }] });
            }}
          />
        ))}
      </FieldGrid>
      <div>
        <BareButton
          onPress={() => {
            setOpen(false);
          }}
        >
          Close
        </BareButton>
      </div>
    </Stack>
  );
}

function rateWords({ hours, people = 1, by = [] }: WorkRate): string {
  if (hours === undefined) return 'Not set';
  return `${hours} h${people > 1 ? ` × ${people} people` : ''}${by.length > 0 ? `, ${by.length} of its own` : ''}`;
}
