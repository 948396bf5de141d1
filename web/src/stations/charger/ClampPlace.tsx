import { lineupOf } from '@keen-gauge/core/lineup/layout';
import { seenBy } from '@keen-gauge/core/management/placement';
import { supplyTree } from '@keen-gauge/core/tree/supply-tree';
import { Label, RadioButton, RadioField, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { FieldHelp, FieldLabel } from '../../kit/fields';
import { useChosen } from '../../kit/use-chosen';
import { useSurvey } from '../../survey/SurveyContext';

const Conductors = styled.div`
  border: 1px solid var(--line);
  border-radius: var(--corner);
  overflow: hidden;
  container-type: inline-size;
`;

const Conductor = styled(RadioButton)`
  display: grid;
  grid-template-columns: auto minmax(5rem, 1fr) minmax(0, auto);
  gap: 0.1rem 0.6rem;
  align-items: center;
  min-height: 44px;
  padding: 0.2rem 0.8rem;
  border-left: 6px solid var(--reach);
  cursor: pointer;
  &[data-hovered] {
    background: var(--raised);
  }
  &[data-selected] {
    background: var(--raised);
    font-weight: 700;
  }
  &[data-focus-visible] {
    outline-offset: -4px;
  }
  @container (max-width: 15rem) {
    grid-template-columns: auto minmax(0, 1fr);
    & > :last-child {
      grid-column: 2;
    }
  }
`;

/** A ring round the conductor, closed where the clamp sits. */
function Ring({ on }: { readonly on: boolean }) {
  return (
    <svg width={26} height={26} viewBox="0 0 26 26" aria-hidden focusable="false">
      <path d="M13 0v26" stroke="var(--ink)" strokeWidth={2.5} />
      <ellipse
        cx={13}
        cy={13}
        rx={10}
        ry={6}
        fill={on ? 'var(--added)' : 'none'}
        stroke={on ? 'var(--added)' : 'var(--line)'}
        strokeWidth={2.5}
      />
    </svg>
  );
}

/** The line-up as conductors to put the clamp on: what it sees from there, and what it is blind to, lights up. */
export function ClampPlace({
  label,
  value: recorded,
  onChange,
}: {
  readonly label: string;
  readonly value: string | undefined;
  readonly onChange: (nodeId: string) => void;
}) {
  const [value, choose] = useChosen(recorded);
  const { survey, assessment } = useSurvey();
  const { rows } = lineupOf(survey, assessment);
  const seen = seenBy(value, supplyTree(survey));
  const way = wayOf(rows, value);
  const words = (id: string): { says: string; reach: string } => {
    if (value === undefined) return { says: '', reach: 'transparent' };
    if (id === value) return { says: 'clamp on the conductor into it', reach: 'var(--added)' };
    if (seen.has(id)) return { says: 'seen', reach: 'var(--fit)' };
    return way.has(id) ? { says: 'street side', reach: 'var(--line)' } : { says: 'blind to it', reach: 'var(--hold)' };
  };
  return (
    <RadioGroup
      value={value ?? null}
      onChange={(next) => {
        choose(next);
        onChange(next);
      }}
    >
      <Label>
        <FieldLabel>{label}</FieldLabel>
      </Label>
      <FieldHelp style={{ margin: '0 0 0.4rem' }}>
        On the line tail after the meter and before any split it sees every board. Arrow keys move it.
      </FieldHelp>
      <Conductors>
        {rows.map(({ id, name, lane }) => {
          const { says, reach } = words(id);
          return (
            <RadioField key={id} value={id}>
              <Conductor style={{ '--reach': reach, paddingLeft: `${0.8 + lane * 1.4}rem` }}>
                <Ring on={id === value} />
                <span>{name}</span>
                <span className="quiet" style={{ fontWeight: 400 }}>
                  {says}
                </span>
              </Conductor>
            </RadioField>
          );
        })}
      </Conductors>
    </RadioGroup>
  );
}

/** The nodes between a node and the street, itself left out. */
function wayOf(rows: ReturnType<typeof lineupOf>['rows'], id: string | undefined): ReadonlySet<string> {
  const way = new Set<string>();
  let at = rows.find((row) => row.id === id);
  while (at && at.parent !== null) {
    at = rows[at.parent];
    if (at) way.add(at.id);
  }
  return way;
}
