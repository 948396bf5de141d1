import styled from 'styled-components';
import { Panel } from '../../kit/Panel';
import { StateMark } from '../../kit/StateMark';
import { useSurvey } from '../../survey/SurveyContext';

const Boards = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.4rem;
  & li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 0.8rem;
    border-bottom: 1px solid var(--line);
    padding-bottom: 0.4rem;
  }
`;

const STATES = { covered: 'holds', 'not-covered': 'fails', 'not-known': 'not-known' } as const;
const WORDS = { covered: 'Covered', 'not-covered': 'Not covered', 'not-known': 'No RCD recorded' } as const;

/** On TT: which boards have an RCD before every circuit, found from the line-up. */
export function RcdCoverPanel() {
  const { rcdCover } = useSurvey().assessment.earthing;
  if (rcdCover.length === 0) return null;
  return (
    <Panel aria-label="RCD cover">
      <h2>RCD cover of every board</h2>
      <p className="quiet">
        On TT an electrode passes too little current for a fuse: every circuit needs an RCD before it.
      </p>
      <Boards>
        {rcdCover.map(({ boardId, label, state, by }) => (
          <li key={boardId}>
            <strong>{label}</strong>
            <StateMark state={STATES[state]} words={WORDS[state]} />{' '}
            {by !== '' && <span className="quiet">{state === 'covered' ? `by ${by}` : `nothing before ${by}`}</span>}
          </li>
        ))}
      </Boards>
    </Panel>
  );
}
