import {
  apply,
  same,
  valueAt,
  type Change,
  type Conflict,
  type Path,
  type Value,
} from '@keen-gauge/core/record/changes';
import { confirmedByEdit } from '@keen-gauge/core/survey/assumed';
import type { Place, ValueAt } from '@keen-gauge/core/survey/schema/field-path';
import type { Survey } from '@keen-gauge/core/survey/survey';

/** What an edit makes of a survey: pure, and apart from who keeps and sends it. */

export const asValue = (survey: Survey): Value => survey as unknown as Value;
export const asSurvey = (value: Value): Survey => value as unknown as Survey;

/** What a field is to become; undefined, not known. */
export interface Setting {
  readonly path: Path;
  readonly value: Value | undefined;
}

/** One field of several that are set together. */
export function setting<const P extends Place>(path: P, value: ValueAt<P> | undefined): Setting {
  return { path, value: value as Value | undefined };
}

/** The survey with one field set, parts and lists it belongs in made where there are none. */
export function withField(survey: Survey, at: Path, to: Value | undefined): Survey {
  const { path, value } = placed(asValue(survey), at, to);
  const current = valueAt(asValue(survey), path);
  if (same(current, value)) return survey;
  const change: Change = {
    kind: 'set',
    path,
    ...(current === undefined ? {} : { from: current }),
    ...(value === undefined ? {} : { to: value }),
  };
  return confirmedByEdit(asSurvey(apply(asValue(survey), [change]).document), at);
}

/** A value with the parts around it that are missing: in a list where it has an id, in an object otherwise. */
function placed(document: Value, path: Path, value: Value | undefined): { path: Path; value: Value | undefined } {
  const missing = path.findIndex((_key, at) => valueAt(document, path.slice(0, at + 1)) === undefined);
  // A member that is not there is not made out of one of its fields.
  const inList = Array.isArray(valueAt(document, path.slice(0, Math.max(0, missing))));
  if (value === undefined || missing < 0 || missing === path.length - 1 || inList) return { path, value };
  const wrapped = path.slice(missing + 1).reduceRight<Value>((inner, key) => {
    const isMember = typeof inner === 'object' && 'id' in inner && inner.id === key;
    return isMember ? [inner] : { [key]: inner };
  }, value);
  return { path: path.slice(0, missing + 1), value: wrapped };
}

/** An edit inside something the others removed: what is to be decided is whether the whole of it comes back. */
export function wholeMember(conflict: Conflict, theirs: Survey, mine: Survey): Conflict {
  const { change } = conflict;
  for (let length = 1; length < change.path.length; length += 1) {
    const path = change.path.slice(0, length);
    if (valueAt(asValue(theirs), path) !== undefined) continue;
    const whole = valueAt(asValue(mine), path);
    return { change: { kind: 'set', path, ...(whole === undefined ? {} : { to: whole }) }, theirs: undefined };
  }
  return conflict;
}

/** Typing on in one field is one step of undo. */
export function sameField(before: readonly Change[], now: readonly Change[]): boolean {
  const [last, next] = [before.at(-1), now[0]];
  if (now.length !== 1 || last?.kind !== 'set' || next?.kind !== 'set') return false;
  const typed = (value: Value | undefined): boolean =>
    typeof value === 'string' || typeof value === 'number' || value === undefined;
  return same(last.path, next.path) && typed(last.to) && typed(next.to) && typed(next.from);
}
