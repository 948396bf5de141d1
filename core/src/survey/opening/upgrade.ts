import { shown, type Fault } from './plain';
import { SURVEY_FORMAT, SURVEY_VERSION } from '../survey';

type Document = Record<string, unknown>;

/**
 * Steps that bring a document of version N to N + 1, in order: the first takes version 1 to 2. Each new version adds
 * one here with a fixture of the old format beside its test.
 */
const STEPS: readonly ((document: Document) => Document)[] = [];

/** Every version that can be read. */
const VERSIONS = Array.from({ length: SURVEY_VERSION }, (_, index) => index + 1);

/** The document brought to the present version, or why it cannot be. */
export function upgrade(document: Document): { document: Document } | { faults: Fault[] } {
  const { format, version } = document;
  if (format !== SURVEY_FORMAT) return fault('$.format', format, `"${SURVEY_FORMAT}"`);
  if (typeof version !== 'number' || !VERSIONS.includes(version))
    return fault('$.version', version, VERSIONS.join(' or '));
  return { document: STEPS.slice(version - 1).reduce((at, step) => step(at), document) };
}

function fault(path: string, value: unknown, expected: string): { faults: Fault[] } {
  return { faults: [{ path, wrong: value === undefined ? 'is missing' : `is ${shown(value)}`, expected }] };
}
