import { Plus, Trash2 } from 'lucide-react';
import { Field } from '../../fields/Field';
import { BareButton, Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { Panel, Row, Stack } from '../../kit/Panel';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { freshId } from '../bound';

/** Walls, floors and ceilings that a cable is taken through. */
export function DrillingsPanel() {
  const { survey, store } = useSurvey();
  const set = useSet();
  const { drillings = [] } = survey.works ?? {};
  return (
    <Panel aria-label="Walls to drill">
      <h2>Walls to drill</h2>
      {drillings.length === 0 && <p className="quiet">None recorded.</p>}
      {drillings.map(({ id }, at) => (
        <Stack as="section" key={id} aria-label={`Wall ${at + 1}`}>
          <Row style={{ justifyContent: 'space-between' }}>
            <strong>Wall {at + 1}</strong>
            <BareButton
              aria-label={`Remove wall ${at + 1}`}
              onPress={() => {
                set(['works', 'drillings', id], undefined);
              }}
            >
              <Trash2 size={18} aria-hidden />
            </BareButton>
          </Row>
          <FieldGrid>
            <Field path={['works', 'drillings', id, 'through']} />
            <Field path={['works', 'drillings', id, 'thicknessMm']} />
            <Field path={['works', 'drillings', id, 'where']} few />
          </FieldGrid>
        </Stack>
      ))}
      <div>
        <Button
          onPress={() => {
            store.edit({ ...survey, works: { ...survey.works, drillings: [...drillings, { id: freshId('wall') }] } });
          }}
        >
          <Plus size={18} aria-hidden /> Add a wall
        </Button>
      </div>
    </Panel>
  );
}
