/** Marks the keys of a pad. */
export const PAD = { 'data-pad': true } as const;

/** Marks a button that looks pressed once it is, such as a usual value of a field. */
export const SHOWS_ITSELF = { 'data-shows-itself': true } as const;

/** Whether that is a key of a pad, which is typed with, and no button that does something. */
export const isOnPad = (target: EventTarget | null): boolean => isIn(target, '[data-pad]');

/** Whether what is pressed or typed in there shows itself what came of it: a field, an answer, a tick, a key of a pad, a usual value, a big answer. What stands around it may follow. */
export const showsItself = (target: EventTarget | null): boolean =>
  isIn(target, 'input, textarea, label, [data-pad], [data-shows-itself]');

const isIn = (target: EventTarget | null, which: string): boolean =>
  target instanceof Element && target.closest(which) !== null;
