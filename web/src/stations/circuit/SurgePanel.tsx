import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundNumber } from '../bound';
import { Field } from '../../fields/Field';

/** Surge protection, offered by default; leaving it out is the owner's own decision, with a name and a reason. */
export function SurgePanel({ proposal }: { readonly proposal: Proposal }) {
  const { rules } = useSurvey();
  const path = ['proposals', proposal.id, 'surge'] as const;
  const decision = proposal.surge?.decision;
  return (
    <Panel aria-label="Surge protection">
      <h2>Surge protection</h2>
      <Field path={[...path, 'decision']} />
      {decision === 'fit' && (
        <BoundNumber
          path={[...path, 'leadsM']}
          label="Its leads, line and earth together"
          help={`${rules.circuit.longestSurgeLeadsM.value} m at most.`}
        />
      )}
      {decision === 'owner-declined' && (
        <FieldGrid>
          <Field path={[...path, 'decidedBy']} />
          <Field path={[...path, 'reason']} />
        </FieldGrid>
      )}
    </Panel>
  );
}
