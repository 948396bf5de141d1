import { equipmentName, isGeneration } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { WAY_PLANS, WAY_PLAN_NAMES } from '@keen-gauge/core/survey/words/circuit-words';
import { withWayPlan } from '@keen-gauge/core/tree/planned-board';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { useSurvey } from '../../survey/SurveyContext';
import { At, BoundAnswer, BoundChoice, BoundNumber, BoundSelect, BoundText, freshId } from '../bound';

/** The device of the new circuit, its RCD, and where in the board it goes. */
export function DevicePanel({ proposal }: { readonly proposal: Proposal }) {
  const path = ['proposals', proposal.id] as const;
  const { survey, store } = useSurvey();
  const { rcd } = proposal;
  const name = equipmentName(proposal);
  return (
    <Panel aria-label={`Device and RCD: ${name}`}>
      <h2>{name}: device and RCD</h2>
      <FieldGrid>
        <BoundNumber
          path={[...path, 'circuit', 'deviceRatingA']}
          label="Device of the circuit"
          usual={[20, 32, 40]}
          help="For a 32 A charger 40 A is common, 32 A is allowed; the cable decides."
        />
        <BoundSelect
          path={[...path, 'circuit', 'curve']}
          label="Curve"
          options={[
            { value: 'B', label: 'B' },
            { value: 'C', label: 'C' },
            { value: 'D', label: 'D' },
          ]}
        />
        <At path={[...path, 'way', 'plan']}>
          <Select
            label="Where the device goes"
            value={proposal.way?.plan}
            options={WAY_PLANS.map((value) => ({ value, label: WAY_PLAN_NAMES[value] }))}
            onChange={(plan) => {
              store.edit(withWayPlan(survey, proposal.id, plan, freshId));
            }}
          />
        </At>
        {proposal.way?.plan !== undefined && <BoundText path={[...path, 'way', 'note']} label="How, in words" />}
      </FieldGrid>
      {(proposal.canExport === 'yes' || isGeneration(proposal)) && (
        <BoundAnswer
          path={[...path, 'circuit', 'bothDirections']}
          label="Are its device and RCD marked for both directions?"
          help="Power can flow back from this equipment."
        />
      )}
      <BoundChoice
        path={[...path, 'rcd', 'place']}
        label="Where is its own RCD?"
        tile="12rem"
        options={[
          { value: 'built-in', label: 'In the equipment', note: 'Counts if its maker declares it' },
          { value: 'at-board', label: 'Beside its device', note: 'Protects the cable too' },
        ]}
      />
      {rcd?.place !== undefined && (
        <>
          <BoundChoice
            path={[...path, 'rcd', 'rcdType']}
            label="RCD type, new equipment"
            tile="5.2rem"
            options={(['AC', 'A', 'F', 'B'] as const).map((value) => ({ value, label: value }))}
          />
          <FieldGrid>
            <BoundNumber path={[...path, 'rcd', 'residualMa']} label="Residual current, new equipment" usual={[30]} />
            {rcd.place === 'at-board' && (
              <BoundNumber path={[...path, 'rcd', 'ratedA']} label="Rated current of the RCD" usual={[40, 63]} />
            )}
            <BoundNumber
              path={[...path, 'leakageMa']}
              label="Standing leakage of the equipment"
              help="Only where an RCD is shared."
            />
          </FieldGrid>
          <BoundAnswer
            path={[...path, 'rcd', 'breaksNeutral']}
            label="Does it break the neutral as well as the line?"
          />
          {(rcd.rcdType === 'A' || rcd.rcdType === 'F') && (
            <BoundAnswer
              path={[...path, 'rcd', 'dcDetection']}
              label="Does the equipment detect 6 mA of direct current and disconnect?"
            />
          )}
          {rcd.place === 'built-in' && (
            <BoundAnswer path={[...path, 'rcd', 'declared']} label="Does its maker declare the built-in RCD?" />
          )}
        </>
      )}
    </Panel>
  );
}
