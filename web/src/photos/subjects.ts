import type { Survey } from '@keen-gauge/core/survey/survey';
import { FAULT_NAMES } from '@keen-gauge/core/intake/condition';
import { READING_FORMS } from '@keen-gauge/core/intake/readings';
import type { Photo, PhotoSubject } from '@keen-gauge/core/survey/photo';
import { STEP_TITLES, stepSubject } from '@keen-gauge/core/management/commissioning';
import { COMMISSIONING_STEPS, nodeName } from '@keen-gauge/core/survey/words/words';

export interface SubjectOption {
  readonly value: string;
  readonly label: string;
  readonly subject: PhotoSubject;
  readonly subjectId?: string;
}

/** Everything in a survey a photograph may show, to choose from. */
export function subjectOptions(survey: Survey): SubjectOption[] {
  const option = (subject: PhotoSubject, label: string, subjectId?: string): SubjectOption => ({
    value: subjectKey({ subject, ...(subjectId === undefined ? {} : { subjectId }) }),
    label,
    subject,
    ...(subjectId === undefined ? {} : { subjectId }),
  });
  return [
    option('place', 'The place'),
    ...survey.supply.nodes.map(({ id, label, kind }) => option('node', nodeName({ label, kind }), id)),
    ...survey.intake.faults.map(({ id, fault }) => option('fault', `Fault: ${FAULT_NAMES[fault]}`, id)),
    option('loop', 'Loop'),
    option('earthing', 'Earthing'),
    ...survey.readings.map(({ id, kind }) => option('reading', `Reading: ${READING_FORMS[kind].name}`, id)),
    ...survey.loads.map(({ id, label, class: kind }) => option('load', `Load: ${label ?? kind}`, id)),
    ...survey.proposals.map(({ id, label }) => option('proposal', label ?? 'New equipment', id)),
    ...survey.proposals
      .filter(({ limiter }) => limiter.kind === 'clamp')
      .flatMap(({ id }) =>
        COMMISSIONING_STEPS.map((step) =>
          option('commissioning', `Commissioning: ${STEP_TITLES[step]}`, stepSubject(step, id)),
        ),
      ),
  ];
}

export function subjectKey({ subject, subjectId }: Pick<Photo, 'subject' | 'subjectId'>): string {
  return subject === undefined ? '' : `${subject}/${subjectId ?? ''}`;
}
