import { backPlan } from '@keen-gauge/core/calendar/back-plan';
import { clocksOf, type Clock } from '@keen-gauge/core/calendar/clocks';
import { daysOf, type JobEvent } from '@keen-gauge/core/calendar/job-events';
import { OPERATOR_ANSWER_NAMES } from '@keen-gauge/core/calendar/operator-answers';
import { nextStep } from '@keen-gauge/core/calendar/next-step';
import { Link } from 'react-router';
import { STATION_NAMES } from '../stations/station-names';
import { addEvent, calendarUrl, useEvents, useHolidays } from '../api/events';
import { Waiting } from '../app/Waiting';
import { ButtonLink } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { MoreOnPhone } from '../kit/More';
import { Panel, Row, Stack } from '../kit/Panel';
import { useSurvey } from '../survey/SurveyContext';
import { BackPlanPicture } from './BackPlanPicture';
import { dayWords } from './day-words';
import { Entries } from './Entries';
import { EventForm } from './EventForm';

const STATE_WORDS: Readonly<Record<Clock['state'], string>> = {
  running: 'due',
  today: 'due today',
  late: 'was due',
  done: 'done',
};

/** What happened between firm and operator, every clock that runs from it, and the days counted back from the vehicle's arrival. */
export function DatesPanel() {
  const { job, survey, assessment, rules } = useSurvey();
  const { data, error, mutate } = useEvents(job.id);
  const nation = survey.place.nation ?? 'england';
  const { data: calendar } = useHolidays(nation);
  if (!data || !calendar)
    return (
      <Panel aria-label="Dates">
        <h2>Dates</h2>
        {error ? <Notice kind="act" title={`The dates could not be loaded. ${error.message}`} /> : <Waiting />}
      </Panel>
    );
  const { today } = calendar;
  const holidays = new Set(calendar.holidays);
  const days = daysOf(data.events);
  const step = nextStep(data.events);
  const clocks = clocksOf(days, today, holidays, rules);
  const put = async (event: Pick<JobEvent, 'kind' | 'day' | 'details'>): Promise<void> => {
    await mutate(await addEvent(job.id, event), false);
  };
  const visitWeeks = survey.request.fuseUpgrade
    ? rules.optionTerms.value['fuse-upgrade'].waitWeeks[1]
    : days.answer === 'un-loop-first'
      ? rules.optionTerms.value['un-loop'].waitWeeks[1]
      : 0;
  const plan =
    days.arrivesOn === undefined
      ? null
      : backPlan(
          {
            arrivesOn: days.arrivesOn,
            today,
            route: assessment.route.way,
            visitWeeks,
            sentOn: days.sentOn,
            answeredOn: days.answeredOn,
            visitedOn: days.fuseVisitedOn ?? days.unloopedOn,
            fittedOn: days.commissionedOn,
          },
          holidays,
          rules,
        );
  return (
    <Panel aria-label="Dates">
      <h2>Dates</h2>
      {days.answer !== undefined && (
        <Notice
          kind={days.answer === 'accepted' ? 'note' : 'act'}
          title={`The operator’s answer: ${OPERATOR_ANSWER_NAMES[days.answer].toLowerCase()}.`}
        >
          {step && (
            <>
              {step.says} <Link to={`/jobs/${job.id}/${step.station}`}>{STATION_NAMES[step.station]}</Link>
            </>
          )}
        </Notice>
      )}
      <p className="quiet">
        Working days are those of{' '}
        {nation === 'northern-ireland' ? 'Northern Ireland' : nation.replace(/^./, (first) => first.toUpperCase())}
        {survey.place.nation === undefined ? ', taken until the place says which nation' : ''}.
      </p>
      {clocks.length > 0 && (
        <Stack as="ul" style={{ '--gap': '0.4rem', listStyle: 'none', padding: 0, margin: 0 }} aria-label="Clocks">
          {clocks.map((clock) => (
            <li key={clock.id}>
              <strong style={clock.state === 'late' ? { color: 'var(--hold)' } : undefined}>{clock.title}</strong>:{' '}
              {STATE_WORDS[clock.state]} {dayWords(clock.doneOn ?? clock.dueOn)}
              {clock.fromOn !== clock.dueOn && <span className="quiet">, counted from {dayWords(clock.fromOn)}</span>}
            </li>
          ))}
        </Stack>
      )}
      {clocks.some(({ state }) => state !== 'done') && (
        <Row>
          <ButtonLink href={calendarUrl(job.id)} download>
            To a calendar, ICS
          </ButtonLink>
        </Row>
      )}
      {plan && <BackPlanPicture plan={plan} today={today} />}
      <MoreOnPhone label="Enter a date">
        <EventForm today={today} onAdd={put} />
      </MoreOnPhone>
      <Entries
        jobId={job.id}
        events={data.events}
        onChanged={(events) => void mutate({ events: [...events] }, false)}
        onWithdraw={(withdraws) => put({ kind: 'withdrawn', day: today, details: { withdraws } })}
      />
    </Panel>
  );
}
