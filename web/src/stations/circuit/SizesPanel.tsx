import type { CircuitAssessment } from '@keen-gauge/core/circuit/charger-circuit';
import type { SizeVerdict } from '@keen-gauge/core/cable/size';
import { LIMIT_NAMES } from '@keen-gauge/core/cable/size';
import { limitWords } from '@keen-gauge/core/cable/size-search';
import styled from 'styled-components';
import { FigureButton } from '../../gauge/FigureButton';
import { useMedia } from '../../app/use-media';
import { Button } from '../../kit/Button';
import { More } from '../../kit/More';
import { Panel } from '../../kit/Panel';
import { StateMark } from '../../kit/StateMark';
import { FigureRow } from '../earthing/ConductorPanel';
import { useSet } from '../../survey/SurveyContext';

const Beside = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(15rem, 100%), 1fr));
  gap: 0.7rem;
`;

const Card = styled.section`
  border: 1.5px solid var(--line);
  border-radius: var(--corner);
  padding: 0.7rem 0.8rem;
  display: grid;
  gap: 0.45rem;
  align-content: start;
  &[data-first] {
    border-color: var(--ink);
    border-width: 2.5px;
  }
`;

const STATES = { passes: 'holds', fails: 'fails', 'not-known': 'not-known' } as const;
const WORDS = { passes: 'Passes', fails: 'Fails', 'not-known': 'Not judged in full' } as const;

/** The smallest size that passes with what limits it, the next two beside it, and how the chosen one does. */
export function SizesPanel({ circuit }: { readonly circuit: CircuitAssessment }) {
  const set = useSet();
  const wide = useMedia('(min-width: 44rem)');
  const { search, beside, recorded, gap, label, device, taken } = circuit;
  if (gap !== null || !search)
    return (
      <Panel aria-label={`Size of the cable: ${label}`}>
        <h2>{label}: size of the cable</h2>
        <p>
          <StateMark state="not-known" /> {gap === null ? '' : `Can’t be worked out yet: ${gap}.`}
        </p>
      </Panel>
    );
  const shown =
    recorded && !beside.some(({ sizeMm2 }) => sizeMm2 === recorded.sizeMm2)
      ? [recorded, ...beside].slice(0, 4)
      : beside;
  const card = (size: SizeVerdict): React.ReactNode => (
    <Size
      key={size.sizeMm2}
      size={size}
      circuit={circuit}
      first={size.sizeMm2 === search.smallestMm2}
      chosen={size.sizeMm2 === circuit.recordedMm2}
      onChoose={() => {
        set(['proposals', circuit.proposalId, 'circuit', 'sizeMm2'], size.sizeMm2);
      }}
    />
  );
  return (
    <Panel aria-label={`Size of the cable: ${label}`}>
      <h2>{label}: size of the cable</h2>
      <p role="status">
        {search.smallestMm2 === null ? (
          search.smallestOpenMm2 === null ? (
            <StateMark state="fails" words={`No size in the table passes: ${limitWords(search.limitedBy)}.`} />
          ) : (
            <StateMark
              state="not-known"
              words={`From ${search.smallestOpenMm2} mm² on nothing known rules it out; something is still missing.`}
            />
          )
        ) : (
          <>
            <StateMark state="holds" words={`${search.smallestMm2} mm² is the smallest that passes.`} />{' '}
            {search.limitedBy.length > 0 && `The size below fails by ${limitWords(search.limitedBy)}.`}
          </>
        )}
      </p>
      <p className="quiet">
        {circuit.cable}, {circuit.designA ?? '?'} A for hours behind {device.curve ?? ''}
        {device.ratingA ?? '?'}
        {device.taken ? ' (taken until one is chosen)' : ''}
        {circuit.lengthM === null ? '' : `, ${circuit.lengthM} m`}
        {taken.length > 0 ? `. Taken: ${taken.join(', ')}.` : '.'}
      </p>
      {wide ? (
        <Beside>{shown.map(card)}</Beside>
      ) : (
        <>
          {shown.slice(0, 1).map(card)}
          {shown.length > 1 && (
            <More
              label="Other sizes"
              note={shown
                .slice(1)
                .map(({ sizeMm2 }) => `${sizeMm2} mm²`)
                .join(', ')}
            >
              {shown.slice(1).map(card)}
            </More>
          )}
        </>
      )}
    </Panel>
  );
}

function Size({
  size,
  circuit,
  first,
  chosen,
  onChoose,
}: {
  readonly size: SizeVerdict;
  readonly circuit: CircuitAssessment;
  readonly first: boolean;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}) {
  const colour = (limit: (typeof size.failsBy)[number]): { colour?: string } =>
    size.failsBy.includes(limit) ? { colour: 'var(--hold)' } : {};
  return (
    <Card aria-label={`${size.sizeMm2} mm²`} {...(first ? { 'data-first': '' } : {})}>
      <h3>
        {size.sizeMm2} mm²{first ? ', the smallest' : ''}
        {chosen ? ', chosen' : ''}
      </h3>
      <StateMark
        state={STATES[size.state]}
        words={
          size.state === 'fails'
            ? `Fails: ${size.failsBy.map((limit) => LIMIT_NAMES[limit]).join(', ')}`
            : WORDS[size.state]
        }
      />
      <FigureRow style={{ '--least': '6.2rem' }}>
        <FigureButton name="Carries, as laid" figure={size.capacity} {...colour('capacity')} />
        <FigureButton name="Volt drop from the origin" figure={size.drop} {...colour('volt-drop')} />
        <FigureButton
          name={`Loop at the far end${circuit.loopLimit.value === null ? '' : `, ${circuit.loopLimit.value.toFixed(2)} Ω at most`}`}
          figure={size.loop}
          {...colour('loop-impedance')}
        />
        <FigureButton
          name={`Least protective conductor${size.cpcMm2 === null ? '' : `, ${size.cpcMm2} mm² here`}`}
          figure={size.leastCpc}
          {...colour('protective-conductor')}
        />
      </FigureRow>
      {!chosen && (
        <div>
          <Button onPress={onChoose}>Choose {size.sizeMm2} mm²</Button>
        </div>
      )}
    </Card>
  );
}
