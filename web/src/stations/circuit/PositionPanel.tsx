import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundAnswer, BoundNumber } from '../bound';

/** Where the equipment hangs: height, access, the lead's way to the inlet, and what is behind the wall. */
export function PositionPanel({ proposal }: { readonly proposal: Proposal }) {
  const { rules } = useSurvey();
  const path = ['proposals', proposal.id, 'position'] as const;
  const [low, high] = rules.circuit.heightBandM.value;
  const name = equipmentName(proposal);
  return (
    <Panel aria-label={`Its place: ${name}`}>
      <h2>{name}: its place</h2>
      <FieldGrid>
        <BoundNumber
          path={[...path, 'heightM']}
          label="Height of its outlet or controls"
          help={`${low} to ${high} m; its maker’s instructions decide.`}
        />
        <BoundNumber path={[...path, 'toInletM']} label="To the vehicle’s inlet, as the lead lies" />
        <BoundNumber path={[...path, 'leadM']} label="Length of the lead" usual={[5, 7.5, 10]} />
      </FieldGrid>
      <BoundAnswer path={[...path, 'reachable']} label="Can it be reached safely?" />
      <BoundAnswer path={[...path, 'obstructs']} label="Would it, or its lead, be in anybody’s way?" />
      <BoundAnswer
        path={[...path, 'otherSideLooked']}
        label="Was the other side of the wall looked at for pipes and cables?"
        help="Before drilling; a detector does not see everything."
      />
      <PhotoStrip subject="proposal" subjectId={proposal.id} of={name} />
    </Panel>
  );
}
