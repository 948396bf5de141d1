import { isObject } from '@keen-gauge/core/survey/opening/plain';
import { validated } from '@keen-gauge/core/survey/opening/validated';
import { invalid } from './problem';

/** The request body as an instance of its model, every field checked and unknown ones refused. */
export function bodyAs<T extends object>(model: new () => T, body: unknown): T {
  const made = validated(model, body);
  if ('faults' in made) throw invalid(made.faults);
  return made.value;
}

/** The request body as an object whose fields nobody has looked at yet, for what is put together with something of the address before it is checked. */
export function bodyObject(body: unknown): Record<string, unknown> {
  if (!isObject(body)) throw invalid([{ path: '$', wrong: 'is no object', expected: 'an object' }]);
  return body;
}
