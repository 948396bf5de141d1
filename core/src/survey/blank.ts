import { plainToInstance } from 'class-transformer';
import { plainSurvey } from './opening/read';
import { Survey } from './survey';

/** The shape most homes have, from the street inwards, with nothing yet known about any of it. */
export const USUAL_SHAPE = [
  { id: 'service', kind: 'service' },
  { id: 'cut-out', kind: 'cut-out', fedFrom: 'service' },
  { id: 'meter', kind: 'meter', fedFrom: 'cut-out' },
  { id: 'isolator', kind: 'isolator', fedFrom: 'meter' },
  { id: 'board', kind: 'board', fedFrom: 'isolator' },
] as const;

/** A new survey: the usual shape, everything else unknown. Plain JSON. */
export function blankSurvey(): Survey {
  const survey = plainToInstance(Survey, { supply: { nodes: USUAL_SHAPE } }, { exposeDefaultValues: true });
  return plainSurvey(survey);
}
