import { validated } from '@keen-gauge/core/survey/validated';
import { invalid } from './problem';

/** The request body as an instance of its model, every field checked and unknown ones refused. */
export function bodyAs<T extends object>(model: new () => T, body: unknown): T {
  const made = validated(model, body);
  if ('faults' in made) throw invalid(made.faults);
  return made.value;
}
