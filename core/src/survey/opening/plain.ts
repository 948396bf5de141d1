/** Plain JSON values, and a check that a value from outside is one before anything else touches it. */

export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };
export type JsonObject = { readonly [key: string]: Json };

/** Something wrong with a survey handed in: where (JSON path from `$`), what is wrong, what is expected. */
export interface Fault {
  readonly path: string;
  readonly wrong: string;
  readonly expected: string;
}

/** Keys that would reach past an object's own data. */
const FORBIDDEN_KEYS = new Set(['__proto__', 'constructor', 'prototype']);

/** Deeper than any survey; a guard against documents built to exhaust the stack. */
const DEEPEST = 12;

export function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** A short rendering of a value for a message; never the whole of a long one. */
export function shown(value: unknown): string {
  if (value === undefined) return 'nothing';
  // What is nested deeper than any survey is named, not spelled out: spelling it out may never come back.
  if (isDeeper(value, DEEPEST)) return Array.isArray(value) ? 'a deeply nested list' : 'a deeply nested object';
  // Not a JSON value at all (a function, say) has no text; its kind is named instead.
  const text = (JSON.stringify(value) as string | undefined) ?? typeof value;
  return text.length > 40 ? `${text.slice(0, 37)}…` : text;
}

function isDeeper(value: unknown, levels: number): boolean {
  if (typeof value !== 'object' || value === null) return false;
  return levels === 0 || Object.values(value).some((member) => isDeeper(member, levels - 1));
}

/** The JSON path of a member: `$.loads[3].powerW`. */
export function memberPath(path: string, key: string | number): string {
  return typeof key === 'number' || /^\d+$/.test(key) ? `${path}[${key}]` : `${path}.${key}`;
}

/** More faults than this help nobody. */
export const MOST_FAULTS = 100;

/** Text that is none: the nul character, which PostgreSQL cannot hold, and half of a pair that stands for one character. */
// oxlint-disable-next-line no-control-regex
const NO_TEXT = /[\u0000\p{Cs}]/u;

/** Whether a text can be kept and shown as it is. */
export function isText(text: string): boolean {
  return !NO_TEXT.test(text);
}

/**
 * Faults of shape that no field check would see: nulls, forbidden keys, text that is none, too deep a nesting. Stops at the hundredth, so that a
 * document of nothing but faults costs no more than one with a few.
 */
export function plainFaults(value: unknown): Fault[] {
  const faults: Fault[] = [];
  gather(value, '$', 0, faults);
  return faults;
}

function gather(value: unknown, path: string, depth: number, faults: Fault[]): void {
  if (faults.length >= MOST_FAULTS) return;
  if (value === null)
    faults.push({ path, wrong: 'is null', expected: 'a value, or the field left out when not known' });
  else if (typeof value === 'string') {
    if (!isText(value)) faults.push({ path, wrong: `is ${shown(value)}`, expected: 'text that can be kept and shown' });
  } else if (typeof value === 'object') {
    if (depth >= DEEPEST) faults.push({ path, wrong: 'is nested too deeply', expected: `at most ${DEEPEST} levels` });
    else gatherMembers(value, path, depth, faults);
  }
}

function gatherMembers(value: object, path: string, depth: number, faults: Fault[]): void {
  const isList = Array.isArray(value);
  for (const [key, member] of Object.entries(value)) {
    if (faults.length >= MOST_FAULTS) return;
    const at = memberPath(path, isList ? Number(key) : key);
    if (FORBIDDEN_KEYS.has(key) || !isText(key))
      faults.push({ path: at, wrong: 'is not a known field', expected: 'a known field' });
    else gather(member, at, depth + 1, faults);
  }
}
