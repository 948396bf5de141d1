import { fixed } from '@keen-gauge/core/rules/rounding';
import { exceeds } from '@keen-gauge/core/worked';
import { ROUTE_WORDS } from '@keen-gauge/core/route/ways';
import { useState } from 'react';
import { Button } from '../../kit/Button';
import { Panel } from '../../kit/Panel';
import { Meanwhile } from '../../what-if/Meanwhile';
import { useWhatIf } from '../../what-if/use-what-if';

const TITLE = 'What it means for the decision';

/** How far the decision depends on the basis, and what is best found out next. Reckoned when asked for. */
export function DecisionPanel() {
  const [open, setOpen] = useState(false);
  return (
    <Panel aria-label={TITLE}>
      {open ? (
        <Decision />
      ) : (
        <>
          <h2>{TITLE}</h2>
          <div>
            <Button
              onPress={() => {
                setOpen(true);
              }}
            >
              Compare methods
            </Button>
          </div>
        </>
      )}
    </Panel>
  );
}

const amperes = (value: number | null): string =>
  value === null ? 'not known' : exceeds(0, value) ? `${(-value).toFixed(1)} A over` : `${fixed(value, 1)} A left`;

function Decision() {
  const { answer: outcomes, ...told } = useWhatIf('basisOutcomes');
  const { answer: missing, isCurrent, hasFailed } = useWhatIf('missingKnowledge');
  return (
    <Meanwhile
      title={TITLE}
      isThere={outcomes !== null && missing !== null}
      isCurrent={told.isCurrent && isCurrent}
      hasFailed={told.hasFailed || hasFailed}
    >
      <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
        {outcomes?.map(({ basis, headroomA, route }) => (
          <li key={basis}>
            By {basis}: <strong className="figures">{amperes(headroomA)}</strong> after the work; {ROUTE_WORDS[route]}.
          </li>
        ))}
      </ul>
      {missing?.length === 0 ? (
        <p className="quiet">Nothing that is still open moves the headroom.</p>
      ) : (
        <>
          <h3>What would move it most</h3>
          <ol style={{ margin: 0, paddingLeft: '1.4rem' }}>
            {missing?.map(({ id, label, lowA, highA, movesRoute }) => (
              <li key={id}>
                {label}: from <span className="figures">{amperes(lowA)}</span> to{' '}
                <span className="figures">{amperes(highA)}</span>
                {movesRoute && <strong>; the route depends on it</strong>}
              </li>
            ))}
          </ol>
        </>
      )}
    </Meanwhile>
  );
}
