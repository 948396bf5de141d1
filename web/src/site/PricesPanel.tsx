import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { Panel } from '../kit/Panel';
import { BoundAnswer, BoundNumber } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

/** What feeding the bays from each supply costs, and the new supply that might be asked for. */
export function PricesPanel() {
  const { rules } = useSurvey();
  const [from, to] = rules.optionTerms.value['three-phase'].waitWeeks;
  return (
    <Panel aria-label="Prices and a new supply">
      <h2>Prices and a new supply</h2>
      <p className="quiet">With prices the cheapest plan comes first; without them, the soonest.</p>
      <More label="Own supplies" note="each bay, each metre of cable">
        <FieldGrid>
          <BoundNumber path={['site', 'own', 'eachPounds']} label="Each bay: charger and circuit" />
          <BoundNumber path={['site', 'own', 'metrePounds']} label="Each metre of cable" />
          <BoundNumber path={['site', 'own', 'helpEachPounds']} label="Grant for each dwelling" />
        </FieldGrid>
      </More>
      <More label="Landlord’s supply" note="shared cost, each bay, agreement">
        <Shared of="landlord" />
      </More>
      <More label="New supply" note="fuse, waiting time, costs, agreement">
        <FieldGrid>
          <BoundNumber path={['site', 'newFuseA']} label="Fuse (three-phase)" />
          <BoundNumber path={['site', 'newWeeks']} label={`Waiting time (${from} to ${to} weeks if left empty)`} />
        </FieldGrid>
        <Shared of="anew" />
      </More>
    </Panel>
  );
}

function Shared({ of }: { readonly of: 'landlord' | 'anew' }) {
  return (
    <>
      <BoundAnswer
        path={['site', of, 'agreed']}
        label={of === 'anew' ? 'Do the building manager and the operator agree?' : 'Does the building manager agree?'}
      />
      <Costs of={of} />
    </>
  );
}

function Costs({ of }: { readonly of: 'landlord' | 'anew' }) {
  return (
    <FieldGrid>
      <BoundNumber path={['site', of, 'oncePounds']} label="Shared cost: trunk, controller, connection" />
      <BoundNumber path={['site', of, 'eachPounds']} label="Each bay" />
      <BoundNumber path={['site', of, 'helpEachPounds']} label="Grant for each bay" />
      <BoundNumber path={['site', of, 'helpMostPounds']} label="Grant for the building, at most" />
      <BoundNumber path={['site', of, 'helpFromBays']} label="Least number of bays for the grant" />
    </FieldGrid>
  );
}
