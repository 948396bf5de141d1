import { exceeds } from '@keen-gauge/core/worked';
import type { Assessment } from '@keen-gauge/core/assessment';
import { worstPhase } from '@keen-gauge/core/demand/per-phase';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { useMedia } from '../app/use-media';
import { EvidenceWord } from '../kit/EvidenceMark';
import { RouteMark } from '../kit/RouteMark';
import { stateOf } from '../kit/StateMark';
import { figureText } from './figure-text';
import { FigureButton, TightFigures } from './FigureButton';
import { MiniScale, Scale } from './Scale';
import { leastPhase, stripWords } from './strip-words';

const Face = styled.section`
  background: var(--surface);
  border: 1px solid var(--line);
  border-bottom: 3px solid var(--ink);
  border-radius: calc(var(--corner) + 2px);
  padding: 0.5rem 0.9rem 0.6rem;
  @media (max-width: 44rem) {
    padding: 0.35rem 0.7rem 0.25rem;
  }
`;

const Figures = styled(TightFigures)`
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr)) minmax(11rem, auto);
  gap: 0.3rem 0.8rem;
  margin-top: 0.35rem;
  align-items: start;
  @media (max-width: 68rem) {
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: 0.3rem 0.35rem;
    & > :last-child {
      grid-column: 1 / -1;
    }
  }
`;

const RouteBox = styled.div`
  padding: 0.25rem 0 0 0.8rem;
  box-shadow: inset 4px 0 0 var(--line);
  min-height: 44px;
  @media (max-width: 68rem) {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 0.7rem;
    padding: 0.1rem 0 0.1rem 0.5rem;
    min-height: 0;
  }
`;

/** On a phone: one slim line, which opens. */
const Strip = styled(Button)`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.2rem 0.5rem;
  align-items: center;
  width: 100%;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: transparent;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
  & > :first-child {
    grid-column: 1 / -1;
  }
`;

const StripWords = styled.span`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 0.8rem;
  font-size: 0.92rem;
`;

const Small = styled.span`
  display: block;
  font-size: 0.8rem;
  color: var(--quiet);
  line-height: 1.25;
`;

/** Under a figure that is not known: what pressing it tells. */
const WHY = 'press to see why';

const LIMITER_WORDS = {
  holds: 'limiter keeps it within',
  fails: 'limiter fails',
  'not-known': 'limiter not known yet',
} as const;

/** Why the headroom is not what it seems, in a few words. */
function headroomNote({ demand, weakest, nodes }: Assessment): string {
  const tight = weakest && nodes.find(({ id }) => id === weakest.nodeId);
  if (weakest && tight && tight.kind !== 'cut-out')
    return `weakest: ${tight.label}, ${exceeds(0, weakest.headroomA) ? 'over by' : 'left'} ${Math.abs(weakest.headroomA).toFixed(1)} A`;
  if (demand.limiter.kind === 'clamp') return LIMITER_WORDS[stateOf(demand.limiter.holds)];
  return Object.keys(demand.headroom).length > 1 ? 'on the fullest phase' : 'below the fuse';
}

/** The instrument in view at every station: rating, what the house takes, what is added, what is left, which way to go. */
export function Gauge({
  assessment,
  routeWords,
}: {
  readonly assessment: Assessment;
  /** The route’s words with what the operator has answered. */
  readonly routeWords: string;
}) {
  const phone = useMedia('(max-width: 44rem)');
  const [open, setOpen] = useState(false);
  const { supply, demand, route } = assessment;
  const now = worstPhase(demand.before);
  const after = worstPhase(demand.afterManaged);
  const left = leastPhase(demand.headroom) ?? after;
  const phases = supply.phases.length > 1 ? ', worst' : '';
  const rows = supply.phases.map((phase) => ({
    phase,
    nowA: demand.before[phase]?.value ?? null,
    afterA: demand.afterManaged[phase]?.value ?? null,
    unmanagedA: demand.afterUnmanaged[phase]?.value ?? null,
    marks: (
      [
        ['C', demand.byCircuits],
        ['A', demand.byAppliances],
        ['M', demand.byMeasurement],
      ] as const
    ).flatMap(([letter, figures]) => {
      const amperes = figures[phase]?.value ?? null;
      return amperes === null ? [] : [{ letter, amperes }];
    }),
  }));
  return (
    <Face aria-label="Gauge">
      {phone && (
        <Strip
          aria-expanded={open}
          onPress={() => {
            setOpen(!open);
          }}
        >
          <MiniScale ratingA={supply.rating.value ?? 0} established={supply.ratingEstablished === true} rows={rows} />
          <StripWords>
            <strong>{stripWords(assessment)}</strong>
            <RouteMark way={route.way} words={routeWords} size={16} />
          </StripWords>
          <ChevronDown size={18} aria-hidden style={{ rotate: open ? '180deg' : undefined }} />
        </Strip>
      )}
      {(open || !phone) && (
        <>
          <Scale ratingA={supply.rating.value ?? 0} established={supply.ratingEstablished === true} rows={rows} />
          <Figures>
            <FigureButton
              name={supply.ratingEstablished === true ? 'Fuse rating' : 'Fallback'}
              figure={supply.rating}
              text={`${supply.rating.value ?? ''} A`}
              under={<EvidenceWord evidence={supply.evidence} />}
              colour="var(--ink)"
            />
            <FigureButton
              name={`MD now${phases}`}
              figure={now}
              under={now.value === null ? WHY : `${figureText(demand.beforeKva)}, ${demand.basis}`}
              colour="var(--now)"
            />
            <FigureButton
              name={`MD after${phases}`}
              figure={after}
              under={
                after.value === null
                  ? WHY
                  : `${demand.limiter.holds && demand.limiter.kind === 'clamp' ? 'managed · ' : ''}${figureText(demand.afterKva)}`
              }
              colour="var(--added)"
            />
            <FigureButton
              name="Headroom"
              figure={left}
              under={left.value === null ? WHY : headroomNote(assessment)}
              colour={(left.value ?? 0) < 0 ? 'var(--hold)' : 'var(--left)'}
            />
            <RouteBox>
              <RouteMark way={route.way} words={routeWords} />
              <Small>
                {route.triggers.length === 0
                  ? 'nothing stands in the way'
                  : `${route.triggers.length} reason${route.triggers.length === 1 ? '' : 's'}`}
              </Small>
            </RouteBox>
          </Figures>
        </>
      )}
      <p className="unseen" role="status" aria-live="polite">
        {`Headroom ${figureText(left)}. Route: ${routeWords}.`}
      </p>
    </Face>
  );
}
