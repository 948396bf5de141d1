import { missingItems } from '@keen-gauge/core/pack/missing';
import { Verdicts } from '../../grounds/Grounds';
import { Panel } from '../../kit/Panel';
import { RouteMark } from '../../kit/RouteMark';
import { OperatorPanel } from '../../operator/OperatorPanel';
import { useSurvey } from '../../survey/SurveyContext';
import { StationFrame } from '../StationFrame';
import { LettersPanel } from './LettersPanel';
import { PacksPanel } from './PacksPanel';
import { SignOff } from './SignOff';

const TITLES = {
  'fit-then-notify': 'a notice, to be sent after commissioning',
  'ask-then-fit': 'an application, to be sent before fitting',
  hold: 'a report of a dangerous intake',
} as const;

/** Signing off: what is missing, who signs, and what was frozen before. */
export default function PackStation() {
  const { assessment } = useSurvey();
  const missing = missingItems(assessment);
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
        <SignOff missing={missing} />
      </Panel>
      <Panel aria-label="What this rests on">
        <h2>What this rests on</h2>
        <Verdicts verdicts={assessment.verdicts} />
      </Panel>
      <PacksPanel />
      <OperatorPanel />
      <LettersPanel />
    </StationFrame>
  );
}
