import type { Assessment } from '../assessment';
import { daysOf, standing, type JobEvent } from '../calendar/job-events';
import { nextStep } from '../calendar/next-step';
import { CHECKLIST_NAMES, checklistOf, tickId, type FirmChecklists } from '../firm/checklists';
import type { Station } from '../finding';
import { commissioningSteps } from '../management/commissioning';
import type { Rules } from '../rules/rules';
import { CHECKLISTS } from '../survey/after';
import { equipmentName } from '../survey/words/kinds';
import { isUpgradeOnly } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { allTests } from './tests';

/** Something still to be done before a job can be closed. */
export interface Owed {
  readonly id: string;
  readonly text: string;
  readonly station: Station;
}

/** What a job is judged by when it is to be closed. */
export interface OwedFacts {
  readonly survey: Survey;
  readonly assessment: Assessment;
  readonly rules: Rules;
  readonly events: readonly JobEvent[];
  readonly checklists: FirmChecklists;
  /** Packs signed so far. */
  readonly packs: number;
}

/** Everything a job still owes, in the order it is done: the operator, the fitting, its tests, what is handed over. */
export function owedOf({ survey, assessment, rules, events, checklists, packs }: OwedFacts): Owed[] {
  const days = daysOf(events);
  const owed: Owed[] = [];
  const owe = (id: string, text: string, station: Station): void => {
    owed.push({ id, text, station });
  };
  for (const { grade, title, station } of assessment.findings) if (grade === 'danger') owe('danger', title, station);
  if (packs === 0) owe('not-signed', 'The survey is not signed off.', 'pack');
  // What is only the firm's own to settle asks nothing of the operator.
  if (assessment.route.way === 'ask-then-fit' && assessment.route.operatorFirst) {
    if (days.sentOn === undefined) owe('not-sent', 'The application was not sent.', 'pack');
    else if (days.answeredOn === undefined) owe('not-answered', 'The operator has not answered.', 'route');
  }
  const step = nextStep(events);
  const waits = days.answer !== undefined && days.answer !== 'accepted';
  if (step && waits) owe('next-step', step.says, step.station);
  if (days.fuseVisitAskedOn !== undefined && days.fuseVisitedOn === undefined)
    owe('fuse-visit', 'The visit to the fuse is still to come.', 'route');
  if (days.unloopAskedOn !== undefined && days.unloopedOn === undefined)
    owe('un-loop', 'The un-looping is still to come.', 'route');
  // A request for the supply alone has nothing to fit.
  if (isUpgradeOnly(survey)) return [...owed, ...listed(survey, checklists)];
  if (days.commissionedOn === undefined)
    owe('not-commissioned', 'The day it was commissioned is not entered.', 'commissioning');
  if (days.noticeSentOn === undefined) owe('notice', 'The notice to the operator was not sent.', 'pack');
  for (const { name, tests } of allTests(survey, assessment.circuits, rules))
    for (const { id, title, state } of tests)
      if (state !== 'passes')
        owe(`test-${id}`, `${name}: ${title} ${state === 'fails' ? 'fails' : 'is not judged'}.`, 'tests');
  for (const proposal of survey.proposals.filter(({ limiter }) => limiter.kind === 'clamp'))
    for (const { id, title, state } of commissioningSteps(proposal, survey, rules))
      if (state !== 'holds')
        owe(
          `limiter-${id}`,
          `${equipmentName(proposal)}: limiter not commissioned, ${title.toLowerCase()}.`,
          'commissioning',
        );
  return [...owed, ...listed(survey, checklists)];
}

/** Items of the firm’s lists nobody has seen to. */
function listed({ after }: Survey, checklists: FirmChecklists): Owed[] {
  const seen = new Set(after?.ticks?.filter(({ answer }) => answer !== undefined).map(({ id }) => id));
  const owed: Owed[] = CHECKLISTS.filter((list) => list !== 'funding' || after?.fundingClaimed === true).flatMap(
    (list) =>
      checklistOf(list, checklists)
        .filter(({ id }) => !seen.has(tickId(list, id)))
        .map(({ id, text }): Owed => ({
          id: `${list}-${id}`,
          text: `${CHECKLIST_NAMES[list]}: ${text}.`,
          station: 'after',
        })),
  );
  if (after?.fundingClaimed === undefined)
    owed.push({ id: 'funding-not-said', text: 'Is funding claimed?', station: 'after' });
  if (after?.nextInspectionOn === undefined)
    owed.push({ id: 'next-inspection', text: 'The day of the next inspection is not entered.', station: 'after' });
  return owed;
}

/** Whether the job stands closed, and with what words where something was owed. */
export function closedBy(events: readonly JobEvent[]): JobEvent | undefined {
  const found = standing(events).filter(({ kind }) => kind === 'closed' || kind === 'reopened');
  const last = found.at(-1);
  return last?.kind === 'closed' ? last : undefined;
}
