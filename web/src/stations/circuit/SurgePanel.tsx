import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundNumber, BoundText } from '../bound';

/** Surge protection, offered by default; leaving it out is the owner's own decision, with a name and a reason. */
export function SurgePanel({ proposal }: { readonly proposal: Proposal }) {
  const { rules } = useSurvey();
  const path = ['proposals', proposal.id, 'surge'] as const;
  const decision = proposal.surge?.decision;
  return (
    <Panel aria-label="Surge protection">
      <h2>Surge protection</h2>
      <BoundChoice
        path={[...path, 'decision']}
        label="Offered to the owner: what was decided?"
        tile="13rem"
        options={[
          { value: 'there-already', label: 'There already' },
          { value: 'fit', label: 'To be fitted' },
          { value: 'owner-declined', label: 'Owner declined', note: 'In a single dwelling only' },
        ]}
      />
      {decision === 'fit' && (
        <BoundNumber
          path={[...path, 'leadsM']}
          label="Its leads, line and earth together"
          help={`${rules.circuit.longestSurgeLeadsM.value} m at most.`}
        />
      )}
      {decision === 'owner-declined' && (
        <FieldGrid>
          <BoundText path={[...path, 'decidedBy']} label="Decided by" />
          <BoundText path={[...path, 'reason']} label="The owner’s reason" />
        </FieldGrid>
      )}
    </Panel>
  );
}
