import { missingItems } from '@keen-gauge/core/pack/missing';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Panel } from '../../kit/Panel';
import { RouteMark } from '../../kit/RouteMark';
import { OperatorPanel } from '../../operator/OperatorPanel';
import { useSurvey } from '../../survey/SurveyContext';
import { fieldUrl } from '../arrival';
import { ASK_WORDS, STATION_NAMES } from '../station-names';
import { StationFrame } from '../StationFrame';
import { LettersPanel } from './LettersPanel';
import { PacksPanel } from './PacksPanel';
import { SignOff } from './SignOff';

const TITLES = {
  'fit-then-notify': 'a notice, to be sent after commissioning',
  'ask-then-fit': 'an application, to be sent before fitting',
  hold: 'a report of a dangerous intake',
} as const;

const MissingList = styled.ol`
  margin: 0;
  padding-left: 1.3rem;
  display: grid;
  gap: 0.3rem;
`;

/** Signing off: what is missing, who signs, and what was frozen before. */
export default function PackStation() {
  const { survey, assessment, job } = useSurvey();
  const missing = missingItems(survey, assessment);
  return (
    <StationFrame
      station="pack"
      lead="Signing off freezes this survey as a numbered pack. Later edits never change it."
    >
      <Panel aria-label="What it will be">
        <p>
          <RouteMark way={assessment.route.way} /> This will be <strong>{TITLES[assessment.route.way]}</strong>.
        </p>
        {missing.length === 0 ? (
          <p>Nothing is missing.</p>
        ) : (
          <>
            <h2>Missing, in the order to fix it</h2>
            <MissingList>
              {missing.map((item, index) => (
                <li key={index}>
                  {item.text} <Link to={fieldUrl(job.id, item.station, item.field)}>{STATION_NAMES[item.station]}</Link>
                  <span className="quiet"> ({ASK_WORDS[item.askOf]})</span>
                </li>
              ))}
            </MissingList>
          </>
        )}
        <SignOff missing={missing.length} />
      </Panel>
      <PacksPanel />
      <OperatorPanel />
      <LettersPanel />
    </StationFrame>
  );
}
