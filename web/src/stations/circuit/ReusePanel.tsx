import { ownDevice } from '@keen-gauge/core/circuit/own-device';
import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { supplyTree } from '@keen-gauge/core/tree/supply-tree';
import { Field } from '../../fields/Field';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { useSurvey } from '../../survey/SurveyContext';

/** New equipment on a circuit that is there: what was seen of it, before it is believed. Shown where the equipment hangs on a device. */
export function ReusePanel({ proposal }: { readonly proposal: Proposal }) {
  const { survey } = useSurvey();
  const own = ownDevice(proposal, supplyTree(survey));
  const { reuse } = proposal;
  if (reuse?.used !== true && (own === null || own.node.planned === true)) return null;
  const name = equipmentName(proposal);
  const path = ['proposals', proposal.id, 'reuse'] as const;
  return (
    <Panel aria-label={`The old circuit: ${name}`}>
      <h2>{name}: the old circuit</h2>
      <Field path={[...path, 'used']} />
      {reuse?.used === true && (
        <>
          <Field path={[...path, 'look']} />
          {reuse.look === 'damaged' && <Field path={[...path, 'damage']} />}
          <FieldGrid>
            <Field path={[...path, 'cores']} />
            <Field path={[...path, 'insulationMOhm']} />
          </FieldGrid>
          <PhotoStrip subject="proposal" subjectId={proposal.id} of={`${name}, the old cable`} />
        </>
      )}
    </Panel>
  );
}
