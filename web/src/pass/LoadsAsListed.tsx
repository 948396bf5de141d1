import { allConfirmed } from '@keen-gauge/core/survey/assumed';
import { CLASS_NAMES } from '@keen-gauge/core/demand/maximum-demand';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Stack } from '../kit/Panel';
import { sizeWords } from '../stations/loads/load-words';
import { useSurvey } from '../survey/SurveyContext';
import { BigAnswers } from './BigAnswers';

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 10.5rem;
  overflow: auto;
  & li {
    display: flex;
    justify-content: space-between;
    gap: 0.8rem;
    padding: 0.2rem 0;
    border-bottom: 1px solid var(--line);
    font-size: 0.92rem;
  }
`;

/** The loads that nobody has confirmed, to be confirmed together or corrected at their station. */
export function LoadsAsListed() {
  const { survey, store, job } = useSurvey();
  const assumed = survey.loads.filter((load) => load.assumed === true);
  return (
    <Stack style={{ '--gap': '0.5rem' }}>
      {/* Scrolled with the keyboard too. */}
      <List tabIndex={0} aria-label="Loads assumed">
        {assumed.map((load) => (
          <li key={load.id}>
            <span>{load.label ?? CLASS_NAMES[load.class]}</span>
            <span className="figures">{sizeWords(load)}</span>
          </li>
        ))}
      </List>
      <BigAnswers
        answers={[
          {
            id: 'all',
            says: 'All are as listed',
            take: () => {
              store.edit(allConfirmed(survey));
            },
          },
        ]}
      />
      <Link to={`/jobs/${job.id}/loads`}>Correct them</Link>
    </Stack>
  );
}
