import type { RouteSegment } from '@keen-gauge/core/survey/circuit';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Plus } from 'lucide-react';
import { Button } from '../../kit/Button';
import { Stack } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { freshId } from '../bound';
import { SectionLine } from './SectionLine';

/** The way the cable goes, section by section, each laid in one way. */
export function RouteSections({ proposal }: { readonly proposal: Proposal }) {
  const { survey, store, rules } = useSurvey();
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
        <SectionLine
          key={segment.id}
          at={at}
          segment={segment}
          proposalId={proposal.id}
          insulation={insulation}
          onRemove={() => {
            edit((route) => route.filter(({ id }) => id !== segment.id));
          }}
        />
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
