import { settlingPath } from '@keen-gauge/core/settling-path';
import { lookList } from '@keen-gauge/core/look-list';
import { questionKey } from '@keen-gauge/core/questions/question';
import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { fieldUrl } from '../stations/arrival';
import { STATION_NAMES } from '../stations/station-names';
import { useSurvey } from '../survey/SurveyContext';

const Questions = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.7rem;
  & li {
    display: grid;
    grid-template-columns: 1.3rem minmax(0, 1fr);
    gap: 0.1rem 0.7rem;
  }
`;

/** A box to tick on paper. */
const Box = styled.span`
  width: 1.1rem;
  height: 1.1rem;
  margin-top: 0.15rem;
  border: 2px solid var(--strong-line);
`;

/** Everything still to be looked at or asked, by where one stands for it, in the order that saves steps. */
export default function LookView() {
  const { survey, assessment, job } = useSurvey();
  const stops = lookList(survey, assessment);
  return (
    <Stack>
      <Row style={{ justifyContent: 'space-between', alignItems: 'end' }}>
        <div>
          <h1 id="station-name" tabIndex={-1}>
            Still to find out
          </h1>
          <p className="quiet">What is not known yet, place by place.</p>
        </div>
        {stops.length > 0 && (
          <Button
            className="no-print"
            onPress={() => {
              window.print();
            }}
          >
            <Printer size={18} aria-hidden /> Print
          </Button>
        )}
      </Row>
      {stops.length === 0 && <Notice kind="note" title="Nothing is left to look at or to ask." />}
      {stops.map(({ id, name, questions }, at) => (
        <Panel key={id} aria-label={name}>
          <h2>
            {at + 1}. {name}
          </h2>
          <Questions>
            {questions.map((question) => (
              <li key={questionKey(question)}>
                <Box aria-hidden />
                <div>
                  <div>{question.title}</div>
                  <div className="quiet">
                    {question.remedy} {question.why}
                    {question.photo !== undefined && ` Photograph: ${question.photo}.`}{' '}
                    <Link className="no-print" to={fieldUrl(job.id, question.station, settlingPath(question))}>
                      {STATION_NAMES[question.station]}
                    </Link>
                  </div>
                </div>
              </li>
            ))}
          </Questions>
        </Panel>
      ))}
    </Stack>
  );
}
