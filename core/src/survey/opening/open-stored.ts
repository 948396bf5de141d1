import { Survey, SURVEY_FORMAT, SURVEY_VERSION } from '../survey';
import { isObject, type Fault } from './plain';
import { plainSurvey, readSurvey } from './read';

/** A document that was stored and can be read no more: it stays where it is, whoever looks after it is told what is wrong. */
export class Unreadable extends Error {
  override readonly name = 'Unreadable';
  constructor(readonly faults: readonly Fault[]) {
    super(`A stored survey could not be read: ${faults[0]?.path ?? '$'} ${faults[0]?.wrong ?? ''}`);
  }
}

/**
 * A survey from where it was stored: the one door for the database, what a browser kept, packs and files. One of a former version is upgraded by
 * the named steps and then checked whole; one of the present version was checked when it was stored, by the same models, and is taken as it is,
 * so that a save costs what was typed and not what the survey holds.
 * @throws Unreadable where it is no survey, or a former one that no step brings to the present.
 */
export function openStored(document: unknown): Survey {
  if (isObject(document) && document['format'] === SURVEY_FORMAT && document['version'] === SURVEY_VERSION)
    return document as unknown as Survey;
  const read = readSurvey(document);
  if ('faults' in read) throw new Unreadable(read.faults);
  return plainSurvey(read.survey);
}
