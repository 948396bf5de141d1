import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import type { RouteSegment } from '@keen-gauge/core/survey/circuit';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Plus, Trash2 } from 'lucide-react';
import styled from 'styled-components';
import { BareButton, Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { Panel, Row } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundNumber, freshId } from '../bound';
import { CpcFields } from './CpcFields';
import { StretchFields } from './StretchFields';
import { Field } from '../../fields/Field';

const Stretch = styled.section`
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 0.7rem 0.8rem;
  display: grid;
  gap: 0.7rem;
`;

/** The cable of the new circuit and the way it goes, stretch by stretch. */
export function CablePanel({ proposal }: { readonly proposal: Proposal }) {
  const { survey, store, rules } = useSurvey();
  const path = ['proposals', proposal.id, 'circuit'] as const;
  const { circuit } = proposal;
  const segments = circuit?.segments ?? [];
  const name = equipmentName(proposal);
  const insulation = rules.circuit.cables.value.find(({ type }) => type === circuit?.cableType)?.insulation;
  const sizes = [
    ...new Set(
      rules.circuit.cables.value
        .filter(({ type }) => circuit?.cableType === undefined || type === circuit.cableType)
        .flatMap(({ rows }) => rows.map(({ sizeMm2 }) => sizeMm2)),
    ),
  ].filter((size) => size >= 4 && size <= 16);

  const edit = (change: (route: readonly RouteSegment[]) => RouteSegment[]): void => {
    store.edit({
      ...survey,
      proposals: survey.proposals.map((each) =>
        each.id === proposal.id ? { ...each, circuit: { ...each.circuit, segments: change(segments) } } : each,
      ),
    });
  };

  return (
    <Panel aria-label={`Cable and route: ${name}`}>
      <h2>{name}: cable and route</h2>
      <FieldGrid>
        <Field path={[...path, 'cableType']} />
        <BoundNumber
          path={[...path, 'sizeMm2']}
          label="Size, where chosen"
          usual={sizes}
          help="Left out, the smallest that passes is found."
        />
      </FieldGrid>
      {circuit?.cableType !== undefined && <CpcFields path={path} cable={{ type: circuit.cableType, ...circuit }} />}
      <h3>The way it goes</h3>
      {segments.length === 0 && (
        <p className="quiet">
          No stretch yet. One for each way of laying: clipped along the wall, in the ground, through the loft.
        </p>
      )}
      {segments.map((segment, at) => (
        <Stretch key={segment.id} aria-label={`Stretch ${at + 1}`}>
          <Row style={{ justifyContent: 'space-between' }}>
            <strong>Stretch {at + 1}</strong>
            <BareButton
              aria-label={`Remove stretch ${at + 1}`}
              onPress={() => {
                edit((route) => route.filter(({ id }) => id !== segment.id));
              }}
            >
              <Trash2 size={18} aria-hidden />
            </BareButton>
          </Row>
          <StretchFields
            path={[...path, 'segments', segment.id]}
            insulation={insulation}
            buried={segment.laid === 'buried'}
          />
        </Stretch>
      ))}
      <div>
        <Button
          onPress={() => {
            edit((route) => [...route, { id: freshId('stretch'), circuitsTogether: 1, insulationMm: 0 }]);
          }}
        >
          <Plus size={18} aria-hidden /> Add a stretch
        </Button>
      </div>
      {insulation === 'thermosetting-90' && <Field path={[...path, 'terminalsFor90']} />}
      <Field path={[...path, 'concealed']} />
      <h3>Data in the same route</h3>
      <Field path={['proposals', proposal.id, 'dataLink', 'clamp']} />
      <Field path={['proposals', proposal.id, 'dataLink', 'network']} />
      <FieldGrid>
        <BoundNumber
          path={['proposals', proposal.id, 'dataLink', 'signalDbm']}
          label="Signal at the place"
          help={`A negative figure: ${rules.circuit.signalDbm.value[0]} or better is good, under ${rules.circuit.signalDbm.value[1]} is not to be relied on.`}
        />
        <Field path={['proposals', proposal.id, 'dataLink', 'lengthM']} />
      </FieldGrid>
    </Panel>
  );
}
