/** A place on a picture, in shares of its width and height. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A press without a drag still makes something to be seen. */
export function reach(kind: 'arrow' | 'ring', from: Point, end: Point): { toX: number; toY: number } {
  if (Math.hypot(end.x - from.x, end.y - from.y) > 0.01) return { toX: end.x, toY: end.y };
  const away = kind === 'ring' ? 0.08 : 0.14;
  return {
    toX: from.x + (from.x > 0.5 ? -away : away),
    toY: kind === 'ring' ? from.y : from.y + (from.y > 0.5 ? -away : away),
  };
}
