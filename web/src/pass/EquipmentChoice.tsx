import { USUAL_EQUIPMENT, withProfile, type EquipmentProfile } from '@keen-gauge/core/firm/equipment';
import { KIND_NAMES, PROPOSAL_KINDS, type ProposalKind } from '@keen-gauge/core/survey/words/kinds';
import { useEquipment } from '../api/firm';
import { MenuButton } from '../kit/MenuButton';
import { Button } from '../kit/Button';
import { Row, Stack } from '../kit/Panel';
import { freshProposal } from '../stations/charger/fresh-proposal';
import { useSurvey } from '../survey/SurveyContext';
import { BigAnswers } from './BigAnswers';

const OTHERS = PROPOSAL_KINDS.filter((kind) => kind !== 'vehicle-charger').map((value) => ({
  value,
  label: KIND_NAMES[value],
}));

/** How many kinds of charger fit a card; the rest are at the station. */
const MOST = 3;

/** What is to go in: one of the firm’s chargers or a usual one, filled in with its data, or something else. */
export function EquipmentChoice() {
  const { survey, store } = useSurvey();
  const { data } = useEquipment();
  const profiles = [...(data?.profiles ?? []).filter(({ retired }) => retired !== true), ...USUAL_EQUIPMENT].slice(
    0,
    MOST,
  );
  const add = (kind: ProposalKind, profile?: EquipmentProfile): void => {
    // A second tap before the card goes.
    if (store.get().survey.proposals.length > 0) return;
    const bare = freshProposal(kind, survey.proposals);
    store.edit({ ...survey, proposals: [...survey.proposals, profile ? withProfile(bare, profile) : bare] });
  };
  return (
    <Stack style={{ '--gap': '0.45rem' }}>
      <BigAnswers
        answers={[
          ...profiles.map((profile) => ({
            id: profile.id,
            says: profile.name,
            take: () => {
              add('vehicle-charger', profile);
            },
          })),
        ]}
      />
      <Row>
        <Button
          onPress={() => {
            add('vehicle-charger');
          }}
        >
          Another charger
        </Button>
        <MenuButton
          label="Something else"
          options={OTHERS}
          onChoose={(kind) => {
            add(kind);
          }}
        />
      </Row>
    </Stack>
  );
}
