import type { Generation } from '@keen-gauge/core/survey/generation';
import { GENERATION_KINDS, GENERATION_NAMES } from '@keen-gauge/core/survey/words/words';
import { Plus, Trash2 } from 'lucide-react';
import { BareButton, Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { Panel, Row, Stack } from '../../kit/Panel';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { BoundAnswer, BoundChoice, BoundCode, BoundNumber, BoundSelect, freshId } from '../bound';
import { placesToHang } from '../places';
import { Field } from '../../fields/Field';

/** What sends power back on the premises: it takes nothing from the demand, and decides what a clamp can promise. */
export function GenerationPanel() {
  const { survey, store } = useSurvey();
  const { generation } = survey;
  const add = (): void => {
    const made: Generation = { id: freshId('generation'), kind: 'pv' };
    store.edit({ ...survey, generation: [...(generation ?? []), made] });
  };
  return (
    <Panel aria-label="Generation and storage">
      <h2>Generation and storage</h2>
      <p className="quiet">
        It is never counted against the demand: it may not be giving. Where it feeds in decides what a clamp sees.
      </p>
      {generation?.map((source) => (
        <SourceFields key={source.id} source={source} />
      ))}
      <Row>
        <Button onPress={add}>
          <Plus size={18} aria-hidden /> {generation?.length ? 'Add another' : 'Add what there is'}
        </Button>
        {!generation?.length && (
          <Button
            isDisabled={generation !== undefined}
            onPress={() => {
              store.edit({ ...survey, generation: [] });
            }}
          >
            {generation === undefined ? 'There is none' : 'There is none, it is recorded'}
          </Button>
        )}
      </Row>
    </Panel>
  );
}

function SourceFields({ source }: { readonly source: Generation }) {
  const { survey } = useSurvey();
  const set = useSet();
  const path = ['generation', source.id] as const;
  const places = placesToHang(survey);
  const name = source.label ?? GENERATION_NAMES[source.kind];
  return (
    <Stack as="section" aria-label={name}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h3>{name}</h3>
        <BareButton
          aria-label={`Remove ${name}`}
          onPress={() => {
            set(path, undefined);
          }}
        >
          <Trash2 size={18} aria-hidden />
        </BareButton>
      </Row>
      <BoundChoice
        path={[...path, 'kind']}
        label="What is it?"
        tile="8rem"
        options={GENERATION_KINDS.map((value) => ({ value, label: GENERATION_NAMES[value] }))}
      />
      <FieldGrid>
        <Field path={[...path, 'label']} />
        <BoundNumber path={[...path, 'ratedA']} label="The most it gives, each phase" usual={[16]} />
        {places.length > 1 && <BoundSelect path={[...path, 'nodeId']} label="Connected at" options={places} />}
      </FieldGrid>
      {survey.supply.phases === 3 && (
        <>
          <BoundCode
            path={[...path, 'phases']}
            label="Phases of it"
            codes={[
              { value: 1, label: 'Single-phase' },
              { value: 3, label: 'Three-phase' },
            ]}
          />
          {source.phases !== 3 && (
            <BoundChoice
              path={[...path, 'phase']}
              label="Which phase is it on?"
              tile="5rem"
              options={(['L1', 'L2', 'L3'] as const).map((value) => ({ value, label: value }))}
            />
          )}
        </>
      )}
      {source.kind === 'battery' && (
        <BoundAnswer path={[...path, 'chargingListed']} label="Is what it takes when it charges among the loads?" />
      )}
    </Stack>
  );
}
