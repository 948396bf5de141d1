import { equipmentName, isGeneration } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { WAY_PLANS, WAY_PLAN_NAMES } from '@keen-gauge/core/survey/words/circuit-words';
import { withWayPlan } from '@keen-gauge/core/tree/planned-board';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { useSurvey } from '../../survey/SurveyContext';
import { AsLine } from '../AsLine';
import { BoundText, freshId } from '../bound';
import { Field } from '../../fields/Field';

/** The device of the new circuit, its RCD, and where in the board it goes. */
export function DevicePanel({ proposal }: { readonly proposal: Proposal }) {
  const path = ['proposals', proposal.id] as const;
  const { survey, store } = useSurvey();
  const name = equipmentName(proposal);
  return (
    <Panel aria-label={`Device and RCD: ${name}`}>
      <h2>{name}: device and RCD</h2>
      <FieldGrid>
        <Field path={[...path, 'circuit', 'deviceRatingA']} />
        <Field path={[...path, 'circuit', 'curve']} />
        <AsLine
          field={[...path, 'way', 'plan'].join('.')}
          label="Where the device goes"
          says={proposal.way?.plan && WAY_PLAN_NAMES[proposal.way.plan]}
        >
          <Select
            label="Where the device goes"
            value={proposal.way?.plan}
            options={WAY_PLANS.map((value) => ({ value, label: WAY_PLAN_NAMES[value] }))}
            onChange={(plan) => {
              store.edit(withWayPlan(survey, proposal.id, plan, freshId));
            }}
          />
        </AsLine>
        {proposal.way?.plan !== undefined && <BoundText path={[...path, 'way', 'note']} label="How, in words" />}
      </FieldGrid>
      {(proposal.canExport === 'yes' || isGeneration(proposal)) && (
        <Field path={[...path, 'circuit', 'bothDirections']} />
      )}
      <OwnRcdFields proposal={proposal} />
    </Panel>
  );
}

/** The RCD of new equipment: where it is, its type, and what its maker declares of it. */
export function OwnRcdFields({ proposal }: { readonly proposal: Proposal }) {
  const path = ['proposals', proposal.id] as const;
  const { rcd } = proposal;
  return (
    <>
      <Field path={[...path, 'rcd', 'place']} />
      {rcd?.place !== undefined && (
        <>
          <Field path={[...path, 'rcd', 'rcdType']} />
          <FieldGrid>
            <Field path={[...path, 'rcd', 'residualMa']} />
            {rcd.place === 'at-board' && <Field path={[...path, 'rcd', 'ratedA']} />}
            <Field path={[...path, 'leakageMa']} />
          </FieldGrid>
          <Field path={[...path, 'rcd', 'breaksNeutral']} />
          {(rcd.rcdType === 'A' || rcd.rcdType === 'F') && <Field path={[...path, 'rcd', 'dcDetection']} />}
          {rcd.place === 'built-in' && <Field path={[...path, 'rcd', 'declared']} />}
        </>
      )}
    </>
  );
}
