import { assess } from '@keen-gauge/core/assess';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import { missingItems } from '@keen-gauge/core/pack/missing';
import { sentBackFor } from '@keen-gauge/core/pack/sent-back';
import { suppliesOfSite } from '@keen-gauge/core/site/supplies';
import { surveyOfSupply } from '@keen-gauge/core/site/supply-survey';
import { Link, useSearchParams } from 'react-router';
import { Verdicts } from '../../grounds/Grounds';
import { More } from '../../kit/More';
import { Notice } from '../../kit/Notice';
import { Panel } from '../../kit/Panel';
import { RouteMark } from '../../kit/RouteMark';
import { Select } from '../../kit/Select';
import { OperatorPanel } from '../../operator/OperatorPanel';
import { SurveyProvider, useSurvey, type SurveyAtHand } from '../../survey/SurveyContext';
import { StationFrame } from '../StationFrame';
import { ApplicationsNote } from './ApplicationsNote';
import { MailsPanel } from '../../mail/MailsPanel';
import { LettersPanel } from './LettersPanel';
import { PacksPanel } from './PacksPanel';
import { SignedHere } from './SignedHere';
import { SignOff } from './SignOff';

const TITLES = {
  'fit-then-notify': 'a notice, to be sent after commissioning',
  'ask-then-fit': 'an application, to be sent before fitting',
  hold: 'a report of a dangerous intake',
} as const;

/** Signing off: what is missing, who signs, and what was frozen before; of the whole survey, or of one supply of a building. */
export default function PackStation() {
  const at = useSurvey();
  const [search, setSearch] = useSearchParams();
  const supplies = suppliesOfSite(at.survey, at.assessment);
  const chosen = supplies.find(({ nodeId }) => nodeId === search.get('supply'));
  const scope = chosen ? scopedTo(at, chosen.nodeId) : null;
  return (
    <StationFrame
      station="pack"
      lead="Signing off freezes this survey as a numbered pack. Later edits never change it."
    >
      {supplies.length > 1 && (
        <Select
          label="Pack for"
          value={chosen?.nodeId ?? WHOLE}
          options={[
            { value: WHOLE, label: 'The whole site' },
            ...supplies.map(({ nodeId, label, customerName }) => ({
              value: nodeId,
              label: customerName === undefined ? label : `${label}, ${customerName}`,
            })),
          ]}
          onChange={(to) => {
            setSearch(to === WHOLE ? {} : { supply: to }, { replace: true });
          }}
        />
      )}
      {supplies.length > 1 && <ApplicationsNote wants={at.rules.siteApplications} isWhole={chosen === undefined} />}
      <SurveyProvider value={scope ?? at}>
        <ToSign supplyId={chosen?.nodeId} />
      </SurveyProvider>
      <PacksPanel />
      <OperatorPanel />
      <LettersPanel />
      <MailsPanel jobId={at.job.id} />
    </StationFrame>
  );
}

const WHOLE = 'whole';

/** The survey at hand as that of one supply of the building. */
function scopedTo(at: SurveyAtHand, deviceId: string): SurveyAtHand {
  const survey = surveyOfSupply(at.survey, deviceId, at.assessment);
  const rules = rulesFor(survey.place.meterPointNumber, at.me.rules);
  return { ...at, survey, rules, assessment: assess(survey, rules) };
}

/** What the pack will be, what it still needs, and the signature. */
function ToSign({ supplyId }: { readonly supplyId: string | undefined }) {
  const { assessment, survey, me } = useSurvey();
  const missing = missingItems(assessment);
  const back = sentBackFor(survey, { registration: me.registration, contact: me.rules.terms.contact });
  return (
    <>
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
        <SignOff missing={missing} supplyId={supplyId} />
      </Panel>
      <Panel aria-label="What this rests on">
        <More label={<h2 style={{ display: 'inline' }}>What this rests on</h2>}>
          <Verdicts verdicts={assessment.verdicts} />
        </More>
      </Panel>
    </>
  );
}
