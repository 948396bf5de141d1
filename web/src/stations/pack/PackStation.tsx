import { missingItems } from '@keen-gauge/core/pack/missing';
import { sentBackFor } from '@keen-gauge/core/pack/sent-back';
import { Link } from 'react-router';
import { Verdicts } from '../../grounds/Grounds';
import { More } from '../../kit/More';
import { Notice } from '../../kit/Notice';
import { Panel } from '../../kit/Panel';
import { RouteMark } from '../../kit/RouteMark';
import { OperatorPanel } from '../../operator/OperatorPanel';
import { useSurvey } from '../../survey/SurveyContext';
import { StationFrame } from '../StationFrame';
import { LettersPanel } from './LettersPanel';
import { PacksPanel } from './PacksPanel';
import { SignedHere } from './SignedHere';
import { SignOff } from './SignOff';

const TITLES = {
  'fit-then-notify': 'a notice, to be sent after commissioning',
  'ask-then-fit': 'an application, to be sent before fitting',
  hold: 'a report of a dangerous intake',
} as const;

/** Signing off: what is missing, who signs, and what was frozen before. */
export default function PackStation() {
  const { assessment, survey, me } = useSurvey();
  const missing = missingItems(assessment);
  const back = sentBackFor(survey, { registration: me.registration, contact: me.rules.terms.contact });
  return (
    <StationFrame
      station="pack"
      lead="Signing off freezes this survey as a numbered pack. Later edits never change it."
    >
      <Panel aria-label="What it will be">
        <p>
          <RouteMark way={assessment.route.way} words={assessment.route.words} /> This will be{' '}
          <strong>{TITLES[assessment.route.way]}</strong>.
        </p>
        {missing.length === 0 && <p>Nothing is missing.</p>}
        {back.length > 0 && (
          <Notice kind="ask" title="Operators send a pack back without:">
            <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
              {back.map(({ id, says, at }) => (
                <li key={id}>
                  <Link to={at === 'firm' ? '/firm/address' : `../${at}`} relative="path">
                    {says}
                  </Link>
                </li>
              ))}
            </ul>
          </Notice>
        )}
        <SignedHere />
        <SignOff missing={missing} />
      </Panel>
      <Panel aria-label="What this rests on">
        <More label={<h2 style={{ display: 'inline' }}>What this rests on</h2>}>
          <Verdicts verdicts={assessment.verdicts} />
        </More>
      </Panel>
      <PacksPanel />
      <OperatorPanel />
      <LettersPanel />
    </StationFrame>
  );
}
