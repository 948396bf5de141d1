export type PadKey = '0' | '1' | '2' | '3' | '4' | '5' | '6' | '7' | '8' | '9' | '.' | '−' | 'back' | 'clear';

/** What stands in a field once a key of the pad is pressed: one point at most, a minus only before it all. */
export function keyed(typed: string, key: PadKey): string {
  if (key === 'clear') return '';
  if (key === 'back') return typed.slice(0, -1);
  if (key === '−') return typed.startsWith('-') ? typed.slice(1) : `-${typed}`;
  if (key === '.') return typed.includes('.') ? typed : /\d$/.test(typed) ? `${typed}.` : `${typed}0.`;
  return typed === '0' ? key : typed + key;
}
