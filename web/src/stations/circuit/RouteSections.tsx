import type { RouteSegment } from '@keen-gauge/core/survey/circuit';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Plus, Trash2 } from 'lucide-react';
import styled from 'styled-components';
import { BareButton, Button } from '../../kit/Button';
import { Row, Stack } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { freshId } from '../bound';
import { SectionFields } from './SectionFields';

const Section = styled.section`
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 0.7rem 0.8rem;
  display: grid;
  gap: 0.7rem;
`;

/** The way the cable goes, section by section, each laid in one way. */
export function RouteSections({ proposal }: { readonly proposal: Proposal }) {
  const { survey, store, rules } = useSurvey();
  const path = ['proposals', proposal.id, 'circuit'] as const;
  const { circuit } = proposal;
  const segments = circuit?.segments ?? [];
  const insulation = rules.circuit.cables.value.find(({ type }) => type === circuit?.cableType)?.insulation;

  const edit = (change: (route: readonly RouteSegment[]) => RouteSegment[]): void => {
    store.edit({
      ...survey,
      proposals: survey.proposals.map((each) =>
        each.id === proposal.id ? { ...each, circuit: { ...each.circuit, segments: change(segments) } } : each,
      ),
    });
  };

  return (
    <Stack>
      {segments.length === 0 && (
        <p className="quiet">
          No section yet. One for each way of laying: clipped along the wall, in the ground, through the loft.
        </p>
      )}
      {segments.map((segment, at) => (
        <Section key={segment.id} aria-label={`Section ${at + 1}`}>
          <Row style={{ justifyContent: 'space-between' }}>
            <strong>Section {at + 1}</strong>
            <BareButton
              aria-label={`Remove section ${at + 1}`}
              onPress={() => {
                edit((route) => route.filter(({ id }) => id !== segment.id));
              }}
            >
              <Trash2 size={18} aria-hidden />
            </BareButton>
          </Row>
          <SectionFields
            path={[...path, 'segments', segment.id]}
            insulation={insulation}
            buried={segment.laid === 'buried'}
          />
        </Section>
      ))}
      <div>
        <Button
          onPress={() => {
            edit((route) => [...route, { id: freshId('section'), circuitsTogether: 1, insulationMm: 0 }]);
          }}
        >
          <Plus size={18} aria-hidden /> Add a section
        </Button>
      </div>
    </Stack>
  );
}
