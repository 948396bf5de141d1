import { poolGuarantees, type PoolGuarantees } from '@keen-gauge/core/pool/guarantees';
import { poolOnSupply } from '@keen-gauge/core/pool/on-supply';
import { POLICIES, POLICY_WORDS } from '@keen-gauge/core/pool/policies';
import { shown } from '@keen-gauge/core/rules/rounding';
import { FieldGrid } from '../kit/fields';
import { Notice } from '../kit/Notice';
import { Panel, Stack } from '../kit/Panel';
import { BoundChoice, BoundNumber } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

/** How the pool is held, and whether every part it shares is kept within its rating. */
export function SettingPanel() {
  const { survey, assessment, rules } = useSurvey();
  const { setPointA, failSafeA } = survey.pool ?? {};
  const { outlets, parts } = poolOnSupply(survey, assessment, rules);
  const found = poolGuarantees(parts, outlets, { setPointA: setPointA ?? 0, failSafeA: failSafeA ?? 0 }, rules);
  return (
    <Panel aria-label="Set-point and sharing">
      <h2>Set-point and sharing</h2>
      <FieldGrid>
        <BoundNumber path={['pool', 'setPointA']} label="Set-point, each phase" />
        <BoundNumber path={['pool', 'failSafeA']} label="Each outlet’s fail-safe current" />
      </FieldGrid>
      <BoundChoice
        path={['pool', 'policy']}
        label="Where not all can charge at once"
        options={POLICIES.map((value) => ({ value, label: POLICY_WORDS[value].name, note: POLICY_WORDS[value].does }))}
      />
      <Bounds found={found} />
      {setPointA !== undefined && failSafeA !== undefined && <Guards found={found} />}
    </Panel>
  );
}

function Bounds({
  found: { mostSetPointA, mostFailSafeA, sureA, atOnce, unknown },
}: {
  readonly found: PoolGuarantees;
}) {
  if (unknown.length > 0)
    return (
      <Notice kind="ask" title="Nothing can be guaranteed yet.">
        Its rating, or what else is drawn there, is not known at{' '}
        {[...new Set(unknown.map(({ label }) => label))].join(', ')}.
      </Notice>
    );
  if (mostSetPointA === null)
    return <p className="quiet">The fuse rating is needed before anything can be guaranteed.</p>;
  return (
    <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
      <li>
        Largest set-point: <strong>{mostSetPointA} A</strong>
      </li>
      <li>
        Largest fail-safe current: <strong>{mostFailSafeA} A</strong> each
        {mostFailSafeA !== null && mostFailSafeA < 6 ? ', so outlets that fall back stop' : ''}
      </li>
      <li>
        {sureA !== null && sureA > 0 ? (
          <>
            With all of them charging each is sure of <strong>{sureA} A</strong>
          </>
        ) : (
          <>
            With everything else at its most <strong>{atOnce}</strong> can charge at once on the fullest phase; the
            others take turns
          </>
        )}
      </li>
    </ul>
  );
}

function Guards({ found: { guards, unknown } }: { readonly found: PoolGuarantees }) {
  const failing = guards.filter(({ holds }) => !holds);
  if (guards.length === 0) return null;
  // What is not known anywhere stands against a yes everywhere.
  if (failing.length === 0 && unknown.length > 0) return null;
  if (failing.length === 0)
    return (
      <p>
        Every part of the supply is kept within its rating, clamps working and lost, with the survey’s other new
        equipment drawing beside the row.
      </p>
    );
  return (
    <Stack style={{ '--gap': '0.5rem' }}>
      {failing.map(({ partId, label, line, ratingA, overA, failSafeOverA }) => (
        <Notice
          key={`${partId} ${line}`}
          kind="act"
          title={`${label}, ${line}: ${overA > 0 ? `${shown(overA)} A over ${ratingA} A` : `${shown(failSafeOverA)} A over ${ratingA} A with a clamp lost`}`}
        >
          {overA > 0 ? 'Lower the set-point.' : 'Lower the fail-safe current.'}
        </Notice>
      ))}
    </Stack>
  );
}
