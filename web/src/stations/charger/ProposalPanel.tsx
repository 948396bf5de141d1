import { settingsOf } from '@keen-gauge/core/management/settings';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Trash2 } from 'lucide-react';
import { BareButton } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { BoundAnswer, BoundChoice, BoundCode, BoundNumber, BoundSelect, BoundText } from '../bound';
import { placesToHang } from '../places';
import { ClampPanel } from './ClampPanel';
import { CommissioningPanel } from './CommissioningPanel';
import { FillIn } from './FillIn';
import { GuardPanel } from './GuardPanel';
import { StepsTable } from './StepsTable';

/** One charger: what it is, how it is limited, and what the operator will ask about it. */
export function ProposalPanel({ proposal }: { readonly proposal: Proposal }) {
  const { survey, pack } = useSurvey();
  const set = useSet();
  const path = ['proposals', proposal.id];
  const places = placesToHang(survey);
  const { kind } = proposal.limiter;
  const least = pack.leastChargingA.value;
  return (
    <>
      <Panel aria-label={proposal.label ?? 'Vehicle charger'}>
        <h2>{proposal.label ?? 'Vehicle charger'}</h2>
        <FillIn proposal={proposal} />
        <FieldGrid>
          <BoundText path={[...path, 'label']} label="Name" maxLength={100} />
          <BoundText
            path={[...path, 'makeAndModel']}
            label="Make and model"
            help="As its plate says."
            maxLength={100}
          />
          <BoundNumber
            path={[...path, 'ratedA']}
            label="Rated current, each phase"
            unit="A"
            least={1}
            most={1000}
            usual={[16, 32]}
          />
          {places.length > 1 && <BoundSelect path={[...path, 'nodeId']} label="Fed from" options={places} />}
        </FieldGrid>
        <BoundCode
          path={[...path, 'phases']}
          label="Phases"
          codes={[
            { value: 1, label: 'Single-phase' },
            { value: 3, label: 'Three-phase' },
          ]}
        />
        {survey.supply.phases === 3 && proposal.phases !== 3 && (
          <BoundChoice
            path={[...path, 'phase']}
            label="On which phase?"
            tile="5rem"
            options={[
              { value: 'L1', label: 'L1' },
              { value: 'L2', label: 'L2' },
              { value: 'L3', label: 'L3' },
            ]}
          />
        )}
        <BoundChoice
          path={[...path, 'limiter', 'kind']}
          label="How is it kept inside the supply?"
          tile="13rem"
          options={[
            { value: 'none', label: 'Full rate', note: 'The headroom suffices' },
            { value: 'fixed', label: 'Fixed limit', note: 'A setting it never exceeds' },
            { value: 'clamp', label: 'Clamp management', note: 'It gives way to the house' },
          ]}
        />
        {kind === 'fixed' && (
          <BoundNumber
            path={[...path, 'limiter', 'fixedA']}
            label="Held to"
            unit="A"
            least={0}
            most={1000}
            usual={settingsOf(proposal, pack)
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
        <BoundAnswer path={[...path, 'typeTested']} label="On the type-tested register?" />
        {proposal.typeTested === 'yes' && (
          <div style={{ maxWidth: '22rem' }}>
            <BoundText path={[...path, 'registerReference']} label="Register reference" maxLength={60} />
          </div>
        )}
        <BoundAnswer path={[...path, 'canExport']} label="Can it send power back to the supply?" />
        <BoundChoice
          path={[...path, 'parking']}
          label="Where do vehicles charge?"
          options={[
            { value: 'outdoors', label: 'Outdoors' },
            { value: 'indoors-only', label: 'Indoors only' },
          ]}
        />
        <div style={{ maxWidth: '22rem' }}>
          <BoundText
            path={[...path, 'interlock']}
            label="Interlock"
            help="Loads with the same word cannot run together with it."
            maxLength={40}
          />
        </div>
        <div>
          <BareButton
            onPress={() => {
              set(path, undefined);
            }}
          >
            <Trash2 size={18} aria-hidden /> Remove this charger
          </BareButton>
        </div>
      </Panel>
    </>
  );
}
