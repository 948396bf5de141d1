import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundNumber } from '../bound';
import { Field } from '../../fields/Field';

/** Where the equipment hangs: height, access, the lead's way to the inlet, and what is behind the wall. */
export function PositionPanel({ proposal }: { readonly proposal: Proposal }) {
  const name = equipmentName(proposal);
  return (
    <Panel aria-label={`Its place: ${name}`}>
      <h2>{name}: its place</h2>
      <PositionFields proposal={proposal} />
      <PhotoStrip subject="proposal" subjectId={proposal.id} of={name} />
    </Panel>
  );
}

/** What has to be known of the place, each in its own field. */
export function PositionFields({ proposal }: { readonly proposal: Proposal }) {
  const { rules } = useSurvey();
  const path = ['proposals', proposal.id, 'position'] as const;
  const [low, high] = rules.circuit.heightBandM.value;
  return (
    <>
      <FieldGrid>
        <BoundNumber
          path={[...path, 'heightM']}
          label="Height of its outlet or controls"
          help={`${low} to ${high} m; its maker’s instructions decide.`}
        />
        <Field path={[...path, 'toInletM']} />
        <Field path={[...path, 'leadM']} />
      </FieldGrid>
      <Field path={[...path, 'reachable']} />
      <Field path={[...path, 'obstructs']} />
      <Field path={[...path, 'otherSideLooked']} />
    </>
  );
}
