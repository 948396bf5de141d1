import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Trash2 } from 'lucide-react';
import { BareButton } from '../../kit/Button';
import { useSet } from '../../survey/SurveyContext';
import { BoundText } from '../bound';

/** What ends the panel of any new equipment: what it cannot run together with, and taking it out again. */
export function EquipmentEnd({ proposal }: { readonly proposal: Proposal }) {
  const set = useSet();
  const path = ['proposals', proposal.id] as const;
  return (
    <>
      <div style={{ maxWidth: '22rem' }}>
        <BoundText
          path={[...path, 'interlock']}
          label="Interlock"
          help="Loads with the same word cannot run together with it."
        />
      </div>
      <div>
        <BareButton
          aria-label={`Remove ${equipmentName(proposal)}`}
          onPress={() => {
            set(path, undefined);
          }}
        >
          <Trash2 size={18} aria-hidden /> Remove it
        </BareButton>
      </div>
    </>
  );
}
