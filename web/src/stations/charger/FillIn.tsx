import { USUAL_EQUIPMENT, withProfile } from '@keen-gauge/core/firm/equipment';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Link } from 'react-router';
import { useEquipment } from '../../api/firm';
import { Select } from '../../kit/Select';
import { useSurvey } from '../../survey/SurveyContext';

/** Fills new equipment in from a profile: one of the firm’s, or a usual kind. One change, so undo takes it back whole. */
export function FillIn({ proposal }: { readonly proposal: Proposal }) {
  const { survey, store } = useSurvey();
  const { data } = useEquipment();
  const profiles = [...(data?.profiles ?? []).filter(({ retired }) => retired !== true), ...USUAL_EQUIPMENT];
  return (
    <div style={{ maxWidth: '26rem' }}>
      <Select
        label="Choose a charger"
        placeholder={proposal.profile ?? 'The firm’s equipment, or a usual kind'}
        value={undefined}
        options={profiles.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => {
          const profile = profiles.find((each) => each.id === id);
          if (!profile) return;
          store.edit({
            ...survey,
            proposals: survey.proposals.map((each) => (each.id === proposal.id ? withProfile(each, profile) : each)),
          });
        }}
      />
      <p className="quiet">
        Its figures replace those here. <Link to="/firm">The firm’s equipment</Link>
      </p>
    </div>
  );
}
