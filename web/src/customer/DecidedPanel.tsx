import { saysWords } from '@keen-gauge/core/customer/answer';
import type { CustomerReply, FromCustomer } from '../api/customer';
import { More } from '../kit/More';

const STATE_WORDS: Readonly<Record<CustomerReply['state'], string>> = {
  came: 'To review',
  taken: 'Taken',
  again: 'Asked again',
  'set-aside': 'Set aside',
};

/** What has been decided, for whoever wants to see it. */
export function DecidedPanel({ from }: { readonly from: FromCustomer }) {
  const decided = from.answers.filter(({ state }) => state !== 'came');
  if (decided.length === 0) return null;
  return (
    <More label={`Decided: ${decided.length}`}>
      <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
        {decided.map(({ id, asked, says, state, reason, decidedBy }) => (
          <li key={id} style={{ margin: '0.5rem 0', overflowWrap: 'anywhere' }}>
            {asked.ask} <strong>{saysWords(asked, says, 0) || 'Photographs'}</strong>
            <br />
            <span className="quiet">
              {STATE_WORDS[state]} by {decidedBy ?? 'somebody'}
              {reason === null ? '' : `: ${reason}`}
            </span>
          </li>
        ))}
      </ul>
    </More>
  );
}
