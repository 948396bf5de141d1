import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { linkFaults } from './links';
import { isObject, memberPath, plainFaults, shown, type Fault } from './plain';
import { Survey } from './survey';
import { upgrade } from './upgrade';

export type Reading = { readonly survey: Survey } | { readonly faults: readonly Fault[] };

/** More faults than this help nobody. */
const MOST_FAULTS = 100;

/**
 * A survey from parsed JSON: older versions are brought up to date, absent parts filled with empty ones, and every
 * fault reported with its path. Never throws; never returns a survey with a fault in it.
 */
export function readSurvey(input: unknown): Reading {
  if (!isObject(input)) return { faults: [{ path: '$', wrong: `is ${shown(input)}`, expected: 'a survey object' }] };
  const shape = plainFaults(input);
  if (shape.length > 0) return { faults: shape.slice(0, MOST_FAULTS) };
  const upgraded = upgrade(input);
  if ('faults' in upgraded) return upgraded;
  const survey = plainToInstance(Survey, upgraded.document, { exposeDefaultValues: true });
  const errors = validateSync(survey, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
    validationError: { target: false },
  });
  if (errors.length > 0) return { faults: errors.flatMap((error) => faultsOf(error, '$')).slice(0, MOST_FAULTS) };
  const links = linkFaults(survey);
  return links.length > 0 ? { faults: links.slice(0, MOST_FAULTS) } : { survey };
}

function faultsOf(error: ValidationError, path: string): Fault[] {
  const at = memberPath(path, error.property);
  if (error.children && error.children.length > 0) return error.children.flatMap((child) => faultsOf(child, at));
  const [kind, expected] = Object.entries(error.constraints ?? {})[0] ?? ['', 'a valid value'];
  if (kind === 'whitelistValidation')
    return [{ path: at, wrong: 'is not a known field', expected: 'a field of the format' }];
  return [{ path: at, wrong: error.value === undefined ? 'is missing' : `is ${shown(error.value)}`, expected }];
}

/** The survey as plain JSON, fields in the order of the format, nothing that is not known. */
export function plainSurvey(survey: Survey): Survey {
  return JSON.parse(JSON.stringify(survey)) as Survey;
}
