import type { Missing } from '@keen-gauge/core/pack/missing';
import { Link } from 'react-router';
import styled from 'styled-components';
import { TextInput } from '../../kit/TextInput';
import { useSurvey } from '../../survey/SurveyContext';
import { fieldUrl } from '../arrival';
import { ASK_WORDS, STATION_NAMES } from '../station-names';

const List = styled.ol`
  margin: 0;
  padding-left: 1.3rem;
  display: grid;
  gap: 0.5rem;
`;

/** What is open, and beside it at a desk why it is signed although. */
const Beside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.2rem 1rem;
  align-items: center;
  @media (min-width: 60rem) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
`;

export interface MissingListProps {
  readonly missing: readonly Missing[];
  /** Reasons given so far for what touches safety, by key. Left out where nobody signs. */
  readonly reasons?: Readonly<Record<string, string>>;
  readonly onReason?: (key: string, reason: string) => void;
}

/** What is open or wrong before signing: what touches safety first, each with a reason of its own; then the rest. */
export function MissingList({ missing, reasons, onReason }: MissingListProps) {
  const safety = missing.filter((item) => item.safety);
  const rest = missing.filter((item) => !item.safety);
  return (
    <>
      {safety.length > 0 && (
        <section aria-label="Safety">
          <h2>Safety: settle each, or answer for it by name</h2>
          <List>
            {safety.map((item) => (
              <li key={item.key}>
                <Beside>
                  <span>
                    <Item item={item} />
                  </span>
                  {onReason && (
                    <div role="group" aria-label={item.text}>
                      <TextInput
                        labelInside
                        label={`Reason to sign although this is ${item.state}`}
                        value={reasons?.[item.key] ?? ''}
                        maxLength={1000}
                        onChange={(next) => {
                          onReason(item.key, next);
                        }}
                      />
                    </div>
                  )}
                </Beside>
              </li>
            ))}
          </List>
        </section>
      )}
      {rest.length > 0 && (
        <section aria-label="Missing">
          <h2>Missing, in the order to fix it</h2>
          <List>
            {rest.map((item) => (
              <li key={item.key}>
                <Item item={item} />
              </li>
            ))}
          </List>
        </section>
      )}
    </>
  );
}

function Item({ item: { text, station, field, askOf, state } }: { readonly item: Missing }) {
  const { job } = useSurvey();
  return (
    <>
      {state === 'wrong' && <strong>Wrong: </strong>}
      {text} <Link to={fieldUrl(job.id, station, field)}>{STATION_NAMES[station]}</Link>
      <span className="quiet"> ({ASK_WORDS[askOf]})</span>
    </>
  );
}
