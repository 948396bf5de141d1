import { Plus } from 'lucide-react';
import { Button, MainButton } from '../../kit/Button';
import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { TrialPanel } from '../../trial/TrialPanel';
import { freshId } from '../bound';
import { StationFrame } from '../StationFrame';
import { OptionsPanel } from './OptionsPanel';
import { ProposalPanel } from './ProposalPanel';

/** What is to be connected, and how it is kept inside the supply. */
export default function ChargerStation() {
  const { survey, store } = useSurvey();
  const add = (): void => {
    const label = survey.proposals.length === 0 ? 'Vehicle charger' : `Vehicle charger ${survey.proposals.length + 1}`;
    const proposal = { id: freshId('charger'), kind: 'vehicle-charger', label, limiter: {} } as const;
    store.edit({ ...survey, proposals: [...survey.proposals, proposal] });
  };
  return (
    <StationFrame
      station="charger"
      lead="What is to be connected, and how it is kept inside the supply. Makers’ instructions come first."
    >
      {survey.proposals.map((proposal) => (
        <ProposalPanel key={proposal.id} proposal={proposal} />
      ))}
      {survey.proposals.length === 0 ? (
        <Panel>
          <p>No new equipment yet.</p>
          <div>
            <MainButton onPress={add}>
              <Plus size={18} aria-hidden /> Add a vehicle charger
            </MainButton>
          </div>
        </Panel>
      ) : (
        <div>
          <Button onPress={add}>
            <Plus size={18} aria-hidden /> Add another charger
          </Button>
        </div>
      )}
      {survey.proposals.length > 0 && <OptionsPanel />}
      {survey.proposals.slice(0, 1).map((proposal) => (
        <TrialPanel key={proposal.id} proposal={proposal} />
      ))}
    </StationFrame>
  );
}
