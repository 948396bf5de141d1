import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { Panel } from '../kit/Panel';
import { BoundNumber } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

/** What feeding the bays from each supply costs, and the new supply that might be asked for. */
export function PricesPanel() {
  const { rules } = useSurvey();
  const [from, to] = rules.optionTerms.value['three-phase'].waitWeeks;
  return (
    <Panel aria-label="Prices and a new supply">
      <h2>Prices and a new supply</h2>
      <p className="quiet">Typed here, they order the combinations above; without them the soonest comes first.</p>
      <More label="From own supplies" note="each bay, each metre of its way">
        <FieldGrid>
          <BoundNumber path={['site', 'own', 'eachPounds']} label="Each bay, its charger and circuit" />
          <BoundNumber path={['site', 'own', 'metrePounds']} label="Each metre of its way" />
          <BoundNumber path={['site', 'own', 'helpEachPounds']} label="Money help, each dwelling" />
        </FieldGrid>
      </More>
      <More label="From the landlord’s" note="once, and each bay">
        <Shared of="landlord" />
      </More>
      <More label="From a new supply" note="its fuse, how long it takes, once, and each bay">
        <FieldGrid>
          <BoundNumber path={['site', 'newFuseA']} label="Its fuse, three-phase" />
          <BoundNumber path={['site', 'newWeeks']} label={`How long it takes (left out, ${from} to ${to} weeks)`} />
        </FieldGrid>
        <Shared of="anew" />
      </More>
    </Panel>
  );
}

function Shared({ of }: { readonly of: 'landlord' | 'anew' }) {
  return (
    <FieldGrid>
      <BoundNumber path={['site', of, 'oncePounds']} label="Once: trunk, controller, connection" />
      <BoundNumber path={['site', of, 'eachPounds']} label="Each bay" />
      <BoundNumber path={['site', of, 'helpEachPounds']} label="Money help, each bay" />
      <BoundNumber path={['site', of, 'helpMostPounds']} label="Money help, the building at most" />
      <BoundNumber path={['site', of, 'helpFromBays']} label="Money help from so many bays" />
    </FieldGrid>
  );
}
