import { meterPoint } from '@keen-gauge/core/route/meter-point';
import { answeredWords } from '@keen-gauge/core/route/answered-words';
import type { Trigger } from '@keen-gauge/core/route/trigger';
import { areaName } from '@keen-gauge/core/rules/areas';
import { Link } from 'react-router';
import styled from 'styled-components';
import { DatesPanel } from '../../calendar/DatesPanel';
import { Verdicts } from '../../grounds/Grounds';
import { FieldGrid } from '../../kit/fields';
import { More, MoreOnPhone } from '../../kit/More';
import { Notice } from '../../kit/Notice';
import { Panel, Stack } from '../../kit/Panel';
import { RouteMark } from '../../kit/RouteMark';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundDay } from '../bound';
import { STATION_NAMES } from '../station-names';
import { StationFrame } from '../StationFrame';
import { Field } from '../../fields/Field';

const Way = styled.div`
  font-size: 1.5rem;
`;

/** Which way to the operator, every reason, and what would move it. */
export default function RouteStation() {
  const { assessment, rules, survey, job } = useSurvey();
  const { route } = assessment;
  return (
    <StationFrame
      station="route"
      lead="Two ways to the operator: fit and then notify, or ask and then fit. And hold, while it is not safe."
    >
      <Panel aria-label="Route">
        <Way>
          <RouteMark way={route.way} words={answeredWords(route, job.answer)} size={34} />
        </Way>
        <p>
          {route.way === 'fit-then-notify' &&
            `Nothing asks for permission first. Send the notice within ${rules.noticeWithinDays.value} days of commissioning. `}
          {route.way === 'ask-then-fit' &&
            !route.operatorFirst &&
            'Nothing of it is the operator’s to allow. What is listed is yours to settle before anything is fitted. '}
          {route.way === 'ask-then-fit' &&
            route.operatorFirst &&
            `Apply and wait for the reply, usually ${rules.replyWorkingDays.value} working days for one dwelling. `}
          {route.way === 'hold' &&
            `Keep clear and phone ${rules.emergencyNumber.value}. No work until the operator has made it safe. `}
          <strong>{route.wouldMove}</strong>
        </p>
        <Stack as="ol" style={{ '--gap': '0.5rem', padding: 0, margin: 0, listStyle: 'none' }}>
          {route.triggers.map((trigger) => (
            <li key={trigger.id}>
              <TriggerNotice trigger={trigger} />
            </li>
          ))}
        </Stack>
        <p className="quiet" style={{ fontSize: '0.9rem' }}>
          Rules: {assessment.rules.title}, version {assessment.rules.version}
          {areaText(survey.place.meterPointNumber)}. Wiring rules, the operator’s requirements and makers’ instructions
          come first.
        </p>
      </Panel>
      <Panel aria-label="What this rests on">
        <MoreOnPhone label={<h2 style={{ display: 'inline' }}>What this rests on</h2>}>
          <p className="quiet">
            Each verdict is OK only with everything behind it known and right. Open one to see its grounds.
          </p>
          <Verdicts verdicts={assessment.verdicts} />
        </MoreOnPhone>
      </Panel>
      <DatesPanel />
      <Panel aria-label="Asked of the operator">
        <More
          label={<h2 style={{ display: 'inline' }}>Also asked of the operator</h2>}
          open={Object.keys(survey.request).length > 0}
        >
          <FieldGrid>
            <BoundDay path={['request', 'plannedOn']} label="Work planned for" />
            <Field path={['request', 'fuseUpgrade']} />
            {survey.request.fuseUpgrade && <Field path={['request', 'wantedFuseA']} />}
            <Field path={['request', 'newPhases']} />
            <Field path={['request', 'importLimitation']} />
            <Field path={['request', 'exportLimitation']} />
            <Field path={['request', 'installationsOnDevelopment']} />
          </FieldGrid>
        </More>
      </Panel>
    </StationFrame>
  );
}

function TriggerNotice({ trigger }: { readonly trigger: Trigger }) {
  const { job } = useSurvey();
  return (
    <Notice
      kind={trigger.leadsTo === 'hold' ? 'danger' : trigger.state === 'met' ? 'act' : 'ask'}
      title={trigger.title}
    >
      {trigger.evidence} Lifted by: {trigger.clearedBy}.{trigger.source !== undefined && ` Source: ${trigger.source}.`}
      {trigger.station !== 'route' && (
        <>
          {' '}
          <Link to={`/jobs/${job.id}/${trigger.station}`}>{STATION_NAMES[trigger.station]}</Link>
        </>
      )}
    </Notice>
  );
}

/** The distributor's area, once the meter point number says it. */
function areaText(typed: string | undefined): string {
  const number = meterPoint(typed);
  return number.state === 'good' ? `; area ${number.distributor}, ${areaName(number.distributor)}` : '';
}
