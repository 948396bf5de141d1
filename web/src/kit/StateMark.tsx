import { CheckCheck, CircleHelp, TriangleAlert } from 'lucide-react';
import styled from 'styled-components';

/** What came of holding something against its rule: a shape, a word and a colour for each. */
export type State = 'holds' | 'fails' | 'not-known';

const SHAPES = { holds: CheckCheck, fails: TriangleAlert, 'not-known': CircleHelp } as const;
const COLOURS: Readonly<Record<State, string>> = {
  holds: 'var(--fit)',
  fails: 'var(--hold)',
  'not-known': 'var(--ask)',
};
/** One word for each, the same on every screen. */
const WORDS: Readonly<Record<State, string>> = { holds: 'OK', fails: 'Fails', 'not-known': 'Not known yet' };

/** The state of a judgement that is yes, no or not known. */
export function stateOf(answer: boolean | null): State {
  return answer === null ? 'not-known' : answer ? 'holds' : 'fails';
}

const Mark = styled.span`
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
  font-weight: 700;
  & > svg {
    flex: none;
  }
  @media (min-width: 44rem) {
    &[data-short] {
      white-space: nowrap;
    }
  }
`;

export function StateMark({ state, words = WORDS[state] }: { readonly state: State; readonly words?: string }) {
  const Shape = SHAPES[state];
  return (
    // A sentence may be as long as it is.
    <Mark style={{ color: COLOURS[state] }} data-short={words === WORDS[state] ? '' : undefined}>
      <Shape size={18} aria-hidden /> {words}
    </Mark>
  );
}
