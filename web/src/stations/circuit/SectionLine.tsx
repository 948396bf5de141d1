import type { Insulation } from '@keen-gauge/core/rules/circuit-rules';
import type { RouteSegment } from '@keen-gauge/core/survey/circuit';
import { Trash2 } from 'lucide-react';
import { useContext, useState } from 'react';
import styled from 'styled-components';
import { LAID_OPTIONS } from '../../fields/cable-words';
import { BareButton } from '../../kit/Button';
import { Row } from '../../kit/Panel';
import { RecordedLine } from '../../kit/RecordedLine';
import { AskedFields } from '../AsLine';
import { SectionFields } from './SectionFields';

const Section = styled.section`
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 0.7rem 0.8rem;
  display: grid;
  gap: 0.7rem;
`;

/** One way of laying: a line once everything of it is recorded and nothing is asked of it, its fields until then and when pressed. */
export function SectionLine({
  at,
  segment,
  proposalId,
  insulation,
  onRemove,
}: {
  readonly at: number;
  readonly segment: RouteSegment;
  readonly proposalId: string;
  readonly insulation: Insulation | undefined;
  readonly onRemove: () => void;
}) {
  const path = ['proposals', proposalId, 'circuit', 'segments', segment.id] as const;
  const place = path.join('.');
  const asked = useContext(AskedFields);
  const needed =
    asked === null || [...asked].some((field) => field.startsWith(place)) || sectionWords(segment) === undefined;
  const [open, setOpen] = useState(needed);
  if (needed && !open) setOpen(true);
  const name = `Section ${at + 1}`;
  if (!open)
    return (
      // A link to one of its fields comes to the line, which opens.
      <div data-field={place}>
        <RecordedLine
          label={name}
          says={sectionWords(segment) ?? ''}
          onPress={() => {
            setOpen(true);
          }}
        />
      </div>
    );
  return (
    <Section aria-label={name}>
      <Row style={{ justifyContent: 'space-between' }}>
        <strong>{name}</strong>
        <BareButton aria-label={`Remove section ${at + 1}`} onPress={onRemove}>
          <Trash2 size={18} aria-hidden />
        </BareButton>
      </Row>
      <SectionFields path={path} insulation={insulation} buried={segment.laid === 'buried'} />
    </Section>
  );
}

/** Everything recorded of one way of laying; undefined while something of it is not. */
export function sectionWords(segment: RouteSegment): string | undefined {
  const { lengthM, laid, circuitsTogether, ambientC, insulationMm } = segment;
  const way = LAID_OPTIONS.find(({ value }) => value === laid)?.label;
  if (lengthM === undefined || way === undefined || circuitsTogether === undefined || ambientC === undefined)
    return undefined;
  const beside = circuitsTogether > 1 ? `, ${circuitsTogether} circuits together` : '';
  const within = (insulationMm ?? 0) > 0 ? `, ${insulationMm} mm in insulation` : '';
  return `${lengthM} m, ${way.toLowerCase()}, ${ambientC} °C${beside}${within}`;
}
