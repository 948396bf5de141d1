/** The frames of OCPP 1.6-J: JSON arrays over a WebSocket, of three kinds. Nothing of a frame is believed until it is read here. */
export type Frame =
  | { readonly kind: 'call'; readonly id: string; readonly action: string; readonly payload: Payload }
  | { readonly kind: 'result'; readonly id: string; readonly payload: Payload }
  | { readonly kind: 'error'; readonly id: string; readonly code: string; readonly description: string };

export type Payload = Readonly<Record<string, unknown>>;

/** The codes of the protocol that are used here. */
export type ErrorCode =
  'NotImplemented' | 'FormationViolation' | 'TypeConstraintViolation' | 'ProtocolError' | 'InternalError';

/** Longest identifier the protocol allows. */
const LONGEST_ID = 36;

export function isPayload(value: unknown): value is Payload {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** A frame from its text, or null where it is not one. */
export function readFrame(text: string): Frame | null {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  if (!Array.isArray(value)) return null;
  const [type, id, third, fourth] = value as unknown[];
  if (typeof id !== 'string' || id === '' || id.length > LONGEST_ID) return null;
  if (type === 2 && typeof third === 'string' && isPayload(fourth))
    return { kind: 'call', id, action: third, payload: fourth };
  if (type === 3 && isPayload(third)) return { kind: 'result', id, payload: third };
  if (type === 4 && typeof third === 'string')
    return { kind: 'error', id, code: third, description: typeof fourth === 'string' ? fourth : '' };
  return null;
}

export function callText(id: string, action: string, payload: Payload): string {
  return JSON.stringify([2, id, action, payload]);
}

export function resultText(id: string, payload: Payload): string {
  return JSON.stringify([3, id, payload]);
}

export function errorText(id: string, code: ErrorCode, description = ''): string {
  return JSON.stringify([4, id, code, description.slice(0, 255), {}]);
}
