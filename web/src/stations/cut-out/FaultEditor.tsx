import { FAULT_NAMES, overrideOf } from '@keen-gauge/core/intake/condition';
import type { ConditionFault } from '@keen-gauge/core/survey/intake';
import { FAULTS } from '@keen-gauge/core/survey/words/words';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { BareButton, Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { Notice } from '../../kit/Notice';
import { Row, Stack } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { TextInput } from '../../kit/TextInput';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { BoundChoice } from '../bound';
import { Field } from '../../fields/Field';

const FaultBox = styled(Stack)`
  --gap: 0.6rem;
  border-left: 4px solid var(--line);
  padding-left: 0.8rem;
`;

/** A fault seen: which, how grave, its photographs, and an override where somebody answers for going on. */
export function FaultEditor({ fault }: { readonly fault: ConditionFault }) {
  const set = useSet();
  const path = ['intake', 'faults', fault.id] as const;
  return (
    <FaultBox role="group" aria-label={FAULT_NAMES[fault.fault]}>
      <FieldGrid>
        <Select
          label="Fault"
          value={fault.fault}
          options={FAULTS.map((value) => ({ value, label: FAULT_NAMES[value] }))}
          onChange={(next) => {
            set([...path, 'fault'], next);
          }}
        />
        <Field path={[...path, 'note']} />
      </FieldGrid>
      <BoundChoice
        path={[...path, 'grade']}
        label="How grave?"
        tile="12rem"
        options={[
          { value: 'make-safe-now', label: 'Make safe now', note: 'Stop, keep clear, phone the emergency line' },
          { value: 'before-load-added', label: 'Before any load is added', note: 'The operator puts it right first' },
          { value: 'note', label: 'Note', note: 'Recorded, no more' },
        ]}
      />
      {fault.grade === 'make-safe-now' && <Override fault={fault} />}
      <PhotoStrip subject="fault" subjectId={fault.id} of={FAULT_NAMES[fault.fault]} />
      <div>
        <BareButton
          onPress={() => {
            set(path, undefined);
          }}
        >
          <Trash2 size={18} aria-hidden /> Remove this fault
        </BareButton>
      </div>
    </FaultBox>
  );
}

/** Releasing the hold: in one's own name and with a reason, by who may sign. The danger stays on the screen and in the pack. */
function Override({ fault }: { readonly fault: ConditionFault }) {
  const { me, survey, store } = useSurvey();
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  const put = (overrideReason: string | undefined): void => {
    const { overriddenBy: _by, overrideReason: _reason, ...bare } = fault;
    const next: ConditionFault = {
      ...bare,
      ...(overrideReason ? { overriddenBy: me.name, overrideReason } : {}),
    };
    const faults = survey.intake.faults.map((each) => (each.id === fault.id ? next : each));
    store.edit({ ...survey, intake: { ...survey.intake, faults } });
    setAsking(false);
  };
  const override = overrideOf(fault);
  if (override)
    return (
      <Notice kind="act" title={`Hold overridden by ${override.by}: ${override.reason}`}>
        Printed in the pack. The operator is asked first.
        <div style={{ marginTop: '0.4rem' }}>
          <Button
            onPress={() => {
              put(undefined);
            }}
          >
            Put the hold back
          </Button>
        </div>
      </Notice>
    );
  if (!me.maySignOff) return <p className="quiet">A hold is overridden by someone who may sign surveys off.</p>;
  if (!asking)
    return (
      <div>
        <Button
          onPress={() => {
            setAsking(true);
          }}
        >
          Override the hold …
        </Button>
      </div>
    );
  return (
    <Stack role="group" aria-label="Override the hold" style={{ '--gap': '0.5rem' }}>
      <FieldGrid>
        <TextInput
          label="Why the hold is overridden"
          value={reason}
          onChange={setReason}
          lines
          maxLength={1000}
          help="For example: the operator attended and made it safe, with its reference. Printed in the pack."
        />
      </FieldGrid>
      <Row>
        <Button
          isDisabled={reason.trim() === ''}
          onPress={() => {
            put(reason.trim());
          }}
        >
          Override the hold as {me.name}
        </Button>
        <BareButton
          onPress={() => {
            setAsking(false);
          }}
        >
          Keep the hold
        </BareButton>
      </Row>
    </Stack>
  );
}
