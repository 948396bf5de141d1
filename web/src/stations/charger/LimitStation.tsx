import { settingsOf } from '@keen-gauge/core/management/settings';
import { equipmentName, isCharger } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Link } from 'react-router';
import { Field } from '../../fields/Field';
import { Notice } from '../../kit/Notice';
import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { OneOf } from '../OneOf';
import { StationFrame } from '../StationFrame';
import { ClampPanel } from './ClampPanel';
import { GuardPanel } from './GuardPanel';
import { StepsTable } from './StepsTable';

/** How each charger is kept inside the supply, and what that leaves at every part of it. */
export default function LimitStation() {
  const { survey, job } = useSurvey();
  const chargers = survey.proposals.filter(isCharger);
  return (
    <StationFrame
      station="limit"
      lead="How each charger is kept inside the supply: full rate, a fixed limit, or a clamp."
    >
      {chargers.length === 0 && (
        <Notice kind="ask" title="No charger is recorded, so there is nothing to limit.">
          <Link to={`/jobs/${job.id}/charger`}>New equipment</Link>
        </Notice>
      )}
      {chargers.map((proposal) => (
        <OneOf
          key={proposal.id}
          id={proposal.id}
          name={equipmentName(proposal)}
          station="limit"
          of={chargers.map(({ id }) => id)}
          from={4}
        >
          <LimitPanel proposal={proposal} />
        </OneOf>
      ))}
    </StationFrame>
  );
}

function LimitPanel({ proposal }: { readonly proposal: Proposal }) {
  const { rules } = useSurvey();
  const path = ['proposals', proposal.id] as const;
  const { kind } = proposal.limiter;
  const least = rules.leastChargingA.value;
  const name = proposal.label ?? 'Vehicle charger';
  return (
    <>
      <Panel aria-label={`Limit: ${name}`}>
        <h2>{name}</h2>
        <Field path={[...path, 'limiter', 'kind']} />
        {kind === 'fixed' && (
          <Field
            path={[...path, 'limiter', 'fixedA']}
            usual={settingsOf(proposal, rules)
              .filter((step) => step >= least)
              .reverse()}
            help={`Never under ${least} A.`}
          />
        )}
        {kind === 'fixed' && proposal.stepsA && proposal.stepsA.length > 0 && <StepsTable proposal={proposal} />}
        {kind === 'clamp' && <ClampPanel proposal={proposal} />}
      </Panel>
      <GuardPanel proposal={proposal} />
    </>
  );
}
