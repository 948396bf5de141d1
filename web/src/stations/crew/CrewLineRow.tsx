import type { CrewLine } from '@keen-gauge/core/crew/sheet';
import { PencilLine } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { BareButton, Button, MainButton } from '../../kit/Button';
import { NumberInput } from '../../kit/NumberInput';
import { Row, Stack } from '../../kit/Panel';
import { TickRow } from '../../kit/TickRow';
import { TextInput } from '../../kit/TextInput';
import { useSurvey } from '../../survey/SurveyContext';
import { useFitRecord } from './use-fit-record';

const Plain = styled.div`
  padding: 0.45rem 0;
  @media print {
    padding: 0.1rem 0;
  }
`;

/** What is said, and beside it the way to say that it was fitted differently. */
const Line = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  & > section {
    grid-column: 1 / -1;
  }
`;

/** A figure and its unit stay on one line. */
const together = (value: string): string => value.replace(/(\d) (?=\S)/g, '$1\u00a0');

/** One line: read, or ticked when it is done; a planned figure can be entered as it was fitted. */
export function CrewLineRow({ line }: { readonly line: CrewLine }) {
  const { survey } = useSurvey();
  const { tick } = useFitRecord();
  const [isDiffering, setDiffering] = useState(false);
  const done = survey.fit?.ticks?.find(({ id }) => id === line.id);
  const words = (
    <span>
      {line.text}
      {line.value !== undefined && (
        <>
          {': '}
          {line.telephone === undefined ? (
            <strong>{together(line.value)}</strong>
          ) : (
            <a href={`tel:${line.telephone.replace(/[^\d+]/g, '')}`}>{line.value}</a>
          )}
        </>
      )}
      {line.note !== undefined && (
        <span className="quiet" style={{ display: 'block', fontSize: '0.92em' }}>
          {line.note}
        </span>
      )}
      {done?.by !== undefined && (
        <span className="quiet no-print" style={{ display: 'block', fontSize: '0.85rem' }}>
          {done.by}
          {done.at === undefined ? '' : `, ${done.at.slice(0, 10)}`}
        </span>
      )}
    </span>
  );
  return (
    <Line>
      {line.isTask ? (
        <TickRow
          isSelected={done !== undefined}
          onChange={(isOn) => {
            tick(line.id, isOn);
          }}
        >
          {words}
        </TickRow>
      ) : (
        <Plain>{words}</Plain>
      )}
      {line.field !== undefined &&
        (isDiffering ? (
          <AsFitted
            line={line}
            field={line.field}
            onDone={() => {
              setDiffering(false);
            }}
          />
        ) : (
          <BareButton
            className="no-print"
            aria-label={`Fitted differently: ${line.text}`}
            onPress={() => {
              setDiffering(true);
            }}
          >
            <PencilLine size={19} aria-hidden />
          </BareButton>
        ))}
    </Line>
  );
}

/** What was fitted in place of what was planned: it becomes what the survey says, with the plan kept beside it. */
function AsFitted({
  line,
  field,
  onDone,
}: {
  readonly line: CrewLine;
  readonly field: NonNullable<CrewLine['field']>;
  readonly onDone: () => void;
}) {
  const { differ } = useFitRecord();
  const [value, setValue] = useState(field.value);
  const [why, setWhy] = useState('');
  return (
    <Stack as="section" aria-label={`As fitted: ${line.text}`} style={{ padding: '0.3rem 0 0.8rem 2.2rem' }}>
      <div style={{ maxWidth: '14rem' }}>
        <NumberInput label="As fitted" unit={field.unit} least={0} most={5000} value={value} onChange={setValue} />
      </div>
      <TextInput label="Why" value={why} onChange={setWhy} maxLength={300} />
      <Row>
        <MainButton
          isDisabled={value === undefined || value === field.value}
          onPress={() => {
            if (value === undefined) return;
            differ(line, field, value, why.trim());
            onDone();
          }}
        >
          Record what was fitted
        </MainButton>
        <Button onPress={onDone}>Cancel</Button>
      </Row>
    </Stack>
  );
}
