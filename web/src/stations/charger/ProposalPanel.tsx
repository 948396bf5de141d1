import { settingsOf } from '@keen-gauge/core/management/settings';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { ClampPanel } from './ClampPanel';
import { CommissioningPanel } from './CommissioningPanel';
import { EquipmentEnd } from './EquipmentEnd';
import { FillIn } from './FillIn';
import { GuardPanel } from './GuardPanel';
import { IdentityFields } from './IdentityFields';
import { OperatorFields } from './OperatorFields';
import { StepsTable } from './StepsTable';
import { Field } from '../../fields/Field';

/** One charger: what it is, how it is limited, and what the operator will ask about it. */
export function ProposalPanel({ proposal }: { readonly proposal: Proposal }) {
  const { rules } = useSurvey();
  const path = ['proposals', proposal.id] as const;
  const { kind } = proposal.limiter;
  const least = rules.leastChargingA.value;
  return (
    <>
      <Panel aria-label={proposal.label ?? 'Vehicle charger'}>
        <h2>{proposal.label ?? 'Vehicle charger'}</h2>
        <FillIn proposal={proposal} />
        <IdentityFields proposal={proposal} />
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
      {kind === 'clamp' && <CommissioningPanel proposal={proposal} />}
      <Panel aria-label={`What the operator asks about ${proposal.label ?? 'it'}`}>
        <h2>What the operator asks</h2>
        <OperatorFields proposal={proposal} />
        <Field path={[...path, 'parking']} />
        <EquipmentEnd proposal={proposal} />
      </Panel>
    </>
  );
}
