import { FAULT_NAMES } from '@keen-gauge/core/intake/condition';
import { FAULTS } from '@keen-gauge/core/survey/words';
import { Plus, Trash2 } from 'lucide-react';
import styled from 'styled-components';
import { BareButton, Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { Panel, Stack } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundText, freshId } from '../bound';

const FaultBox = styled(Stack)`
  --gap: 0.6rem;
  border-left: 4px solid var(--line);
  padding-left: 0.8rem;
`;

/** What the intake looks like: looked at or not, and each fault with its grade. */
export function ConditionPanel() {
  const { survey } = useSurvey();
  const set = useSet();
  return (
    <Panel aria-label="Condition">
      <h2>Condition</h2>
      <BoundChoice
        path={['intake', 'look']}
        label="Cut-out, seal, cable and board looked at?"
        options={[
          { value: 'fine', label: 'Looked, fine' },
          { value: 'not-fine', label: 'Looked, not fine' },
          { value: 'could-not-see', label: 'Could not see' },
        ]}
      />
      {survey.intake.faults.map((fault) => {
        const path = ['intake', 'faults', fault.id];
        return (
          <FaultBox key={fault.id}>
            <FieldGrid>
              <Select
                label="Fault"
                value={fault.fault}
                options={FAULTS.map((value) => ({ value, label: FAULT_NAMES[value] }))}
                onChange={(next) => {
                  set([...path, 'fault'], next);
                }}
              />
              <BoundText path={[...path, 'note']} label="What was seen" maxLength={500} />
            </FieldGrid>
            <BoundChoice
              path={[...path, 'grade']}
              label="How grave?"
              tile="12rem"
              options={[
                { value: 'make-safe-now', label: 'Make safe now', note: 'Stop, keep clear, phone the emergency line' },
                {
                  value: 'before-load-added',
                  label: 'Before any load is added',
                  note: 'The operator puts it right first',
                },
                { value: 'note', label: 'Note', note: 'Recorded, no more' },
              ]}
            />
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
      })}
      <div>
        <Button
          onPress={() => {
            const id = freshId('fault');
            set(['intake', 'faults', id], { id, fault: 'heat-damage' });
          }}
        >
          <Plus size={18} aria-hidden /> Add a fault
        </Button>
      </div>
    </Panel>
  );
}
