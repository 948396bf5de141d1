import { readSurvey } from '../survey/opening/read';
import type { Survey } from '../survey/survey';

/**
 * A survey as the text that what is signed on a device is held to: the same for the same survey whatever order its fields were set in, on the device and
 * at the server. Undefined where it has faults.
 */
export function sealedText(input: unknown): string | undefined {
  const read = readSurvey(input);
  return 'faults' in read ? undefined : JSON.stringify(inOrder(read.survey));
}

/** A survey without the photographs named: what it was before they were put to it. */
export function withoutPhotos(survey: Survey, ids: readonly string[]): Survey {
  const left = new Set(ids);
  return { ...survey, photos: survey.photos.filter(({ id }) => !left.has(id)) };
}

function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (typeof value !== 'object' || value === null) return value;
  const fields = Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1));
  return Object.fromEntries(fields.map(([name, each]) => [name, inOrder(each)]));
}
