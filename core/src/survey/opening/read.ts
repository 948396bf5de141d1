import { linkFaults } from './links';
import { isObject, plainFaults, shown, type Fault } from './plain';
import { Survey } from '../survey';
import { upgrade } from './upgrade';
import { validated } from './validated';

export type SurveyRead = { readonly survey: Survey } | { readonly faults: readonly Fault[] };

/**
 * A survey from parsed JSON: older versions are brought up to date, absent parts filled with empty ones, and every
 * fault reported with its path. Never throws; never returns a survey with a fault in it.
 */
export function readSurvey(input: unknown): SurveyRead {
  if (!isObject(input)) return { faults: [{ path: '$', wrong: `is ${shown(input)}`, expected: 'a survey object' }] };
  const shape = plainFaults(input);
  if (shape.length > 0) return { faults: shape };
  const upgraded = upgrade(input);
  if ('faults' in upgraded) return upgraded;
  const made = validated(Survey, upgraded.document);
  if ('faults' in made) return made;
  const links = linkFaults(made.value);
  return links.length > 0 ? { faults: links } : { survey: made.value };
}

/** The survey as plain JSON, fields in the order of the format, nothing that is not known. */
export function plainSurvey(survey: Survey): Survey {
  return JSON.parse(JSON.stringify(survey)) as Survey;
}
