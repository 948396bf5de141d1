import { shown, type Fault } from './plain';
import { SURVEY_FORMAT, SURVEY_VERSION } from './survey';

type Document = Record<string, unknown>;

/**
 * Steps that bring a document of version N to N + 1, in order: the first takes version 1 to 2. Each new version adds
 * one here with a fixture of the old format beside its test.
 */
const STEPS: readonly ((document: Document) => Document)[] = [];

/** The document brought to the present version, or why it cannot be. */
export function upgrade(document: Document): { document: Document } | { faults: Fault[] } {
  const { format, version } = document;
  if (format !== SURVEY_FORMAT)
    return fault('$.format', format, `"${SURVEY_FORMAT}"`);
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1 || version > SURVEY_VERSION)
    return fault('$.version', version, SURVEY_VERSION === 1 ? '1' : `a whole number from 1 to ${SURVEY_VERSION}`);
  return { document: STEPS.slice(version - 1).reduce((at, step) => step(at), document) };
}

function fault(path: string, value: unknown, expected: string): { faults: Fault[] } {
  return { faults: [{ path, wrong: value === undefined ? 'is missing' : `is ${shown(value)}`, expected }] };
}
