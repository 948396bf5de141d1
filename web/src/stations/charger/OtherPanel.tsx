import { equipmentName, KIND_NAMES } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Panel } from '../../kit/Panel';
import { EquipmentEnd } from './EquipmentEnd';
import { IdentityFields } from './IdentityFields';
import { OperatorFields } from './OperatorFields';

/** New equipment that is no charger: what it is and what the operator asks about it. It is counted in full. */
export function OtherPanel({ proposal }: { readonly proposal: Proposal }) {
  const name = equipmentName(proposal);
  return (
    <Panel aria-label={name}>
      <h2>{name}</h2>
      <p className="quiet">
        {KIND_NAMES[proposal.kind]}.{' '}
        {proposal.kind === 'pv'
          ? 'It adds nothing to the maximum demand and takes nothing off it: it may not be giving.'
          : 'Counted in full: it may run for hours while everything else does.'}
      </p>
      <IdentityFields proposal={proposal} />
      <h3>What the operator asks</h3>
      <OperatorFields proposal={proposal} />
      <EquipmentEnd proposal={proposal} />
    </Panel>
  );
}
