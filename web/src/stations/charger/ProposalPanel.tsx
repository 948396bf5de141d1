import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Panel } from '../../kit/Panel';
import { EquipmentEnd } from './EquipmentEnd';
import { FillIn } from './FillIn';
import { IdentityFields } from './IdentityFields';
import { OperatorFields } from './OperatorFields';
import { Field } from '../../fields/Field';

/** One charger: what it is, and what the operator will ask about it. */
export function ProposalPanel({ proposal }: { readonly proposal: Proposal }) {
  const path = ['proposals', proposal.id] as const;
  return (
    <>
      <Panel aria-label={proposal.label ?? 'Vehicle charger'}>
        <h2>{proposal.label ?? 'Vehicle charger'}</h2>
        <FillIn proposal={proposal} />
        <IdentityFields proposal={proposal} />
      </Panel>
      <Panel aria-label={`What the operator asks about ${proposal.label ?? 'it'}`}>
        <h2>What the operator asks</h2>
        <OperatorFields proposal={proposal} />
        <Field path={[...path, 'parking']} />
        <EquipmentEnd proposal={proposal} />
      </Panel>
    </>
  );
}
