import { FAULT_NAMES } from '../intake/condition';
import { READING_FORMS } from '../intake/readings';
import { STEP_TITLES, stepSubject } from '../management/commissioning';
import type { Photo, PhotoMark } from '../survey/photo';
import type { Survey } from '../survey/survey';
import { COMMISSIONING_STEPS, nodeName } from '../survey/words/words';

/** A photograph as the pack shows it. */
export interface PackPhoto {
  readonly id: string;
  readonly caption: string;
  readonly under: string;
  readonly marks: readonly PhotoMark[];
}

/** What a photograph shows, in words; empty where nobody has said, or what it showed has gone. */
export function photoSubjectWords(survey: Survey, { subject, subjectId }: Photo): string {
  switch (subject) {
    case 'node': {
      const node = survey.supply.nodes.find(({ id }) => id === subjectId);
      return node ? nodeName(node) : '';
    }
    case 'fault': {
      const fault = survey.intake.faults.find(({ id }) => id === subjectId);
      return fault ? FAULT_NAMES[fault.fault] : '';
    }
    case 'reading': {
      const reading = survey.readings.find(({ id }) => id === subjectId);
      return reading ? READING_FORMS[reading.kind].name : '';
    }
    case 'load':
      return survey.loads.find(({ id }) => id === subjectId)?.label ?? '';
    case 'proposal':
      return survey.proposals.find(({ id }) => id === subjectId)?.label ?? 'New equipment';
    case 'commissioning':
      return stepWords(survey, subjectId);
    case 'loop':
      return 'Loop';
    case 'earthing':
      return 'Earthing';
    case 'place':
      return 'Place';
    default:
      return '';
  }
}

function stepWords({ proposals }: Survey, subjectId: string | undefined): string {
  for (const { id, label } of proposals)
    for (const step of COMMISSIONING_STEPS)
      if (stepSubject(step, id) === subjectId) return `${label ?? 'New equipment'}: ${STEP_TITLES[step]}`;
  return 'Commissioning';
}

/** Every photograph of the survey, in the order they were put in. */
export function packPhotos(survey: Survey): PackPhoto[] {
  return survey.photos.map((photo, at) => {
    const day = photo.takenAt?.slice(0, 10);
    const under = [photoSubjectWords(survey, photo), photo.takenBy, day].filter(Boolean).join(' · ');
    return { id: photo.id, caption: photo.caption ?? `Photograph ${at + 1}`, under, marks: photo.marks ?? [] };
  });
}
