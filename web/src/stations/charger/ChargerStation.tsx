import {
  equipmentName,
  isCharger,
  KIND_NAMES,
  PROPOSAL_KINDS,
  type ProposalKind,
} from '@keen-gauge/core/survey/words/kinds';
import { Plus } from 'lucide-react';
import { Button, MainButton } from '../../kit/Button';
import { MenuButton } from '../../kit/MenuButton';
import { Panel, Row } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { At } from '../bound';
import { OneOf } from '../OneOf';
import { StationFrame } from '../StationFrame';
import { freshProposal } from './fresh-proposal';
import { OtherPanel } from './OtherPanel';
import { ProposalPanel } from './ProposalPanel';
import { SiteEquipmentPanel } from './SiteEquipmentPanel';
import { Field } from '../../fields/Field';

const OTHERS = PROPOSAL_KINDS.filter((kind) => kind !== 'vehicle-charger').map((value) => ({
  value,
  label: KIND_NAMES[value],
}));

/** What is to be connected. */
export default function ChargerStation() {
  const { survey } = useSurvey();
  const { proposals, request } = survey;
  return (
    <StationFrame station="charger" lead="What is to be connected. Makers’ instructions come first.">
      {proposals.map((proposal) => (
        <OneOf
          key={proposal.id}
          id={proposal.id}
          name={equipmentName(proposal)}
          station="charger"
          of={proposals.map(({ id }) => id)}
          from={4}
        >
          {isCharger(proposal) ? (
            <>
              <ProposalPanel proposal={proposal} />
              <SiteEquipmentPanel proposal={proposal} />
            </>
          ) : (
            <OtherPanel proposal={proposal} />
          )}
        </OneOf>
      ))}
      {proposals.length === 0 ? (
        <Panel aria-label="No equipment yet">
          <p>
            {request.upgradeOnly
              ? 'Nothing is to be connected now: the supply alone is asked about.'
              : 'No new equipment yet.'}
          </p>
          <AddButtons />
          <Field path={['request', 'upgradeOnly']} />
        </Panel>
      ) : (
        <AddButtons />
      )}
    </StationFrame>
  );
}

function AddButtons() {
  const { survey, store } = useSurvey();
  const { proposals } = survey;
  const add = (kind: ProposalKind): void => {
    store.edit({ ...survey, proposals: [...proposals, freshProposal(kind, proposals)] });
  };
  const charger = (): void => {
    add('vehicle-charger');
  };
  return (
    <At path={['proposals']}>
      <Row>
        {proposals.length === 0 ? (
          <MainButton onPress={charger}>
            <Plus size={18} aria-hidden /> Add a vehicle charger
          </MainButton>
        ) : (
          <Button onPress={charger}>
            <Plus size={18} aria-hidden /> Add another charger
          </Button>
        )}
        <MenuButton label="Add something else" options={OTHERS} onChoose={add} />
      </Row>
    </At>
  );
}
