/** A stretch of a log as it is drawn: for each step the lowest and highest reading in it, so that no peak is lost. */
export interface Trace {
  /** Seconds of universal time at the start of each step. */
  readonly at: Float64Array;
  readonly low: Float32Array;
  readonly high: Float32Array;
}

/** The readings between two moments in at most so many steps. A step nothing was logged in is NaN, and drawn as a gap. */
export function traceOf(times: Float64Array, values: Float32Array, from: number, to: number, steps: number): Trace {
  const at = Float64Array.from({ length: steps }, (_, step) => from + ((to - from) * step) / steps);
  const low = new Float32Array(steps).fill(NaN);
  const high = new Float32Array(steps).fill(NaN);
  for (let index = firstAtOrAfter(times, from); index < times.length; index += 1) {
    const time = times[index] ?? 0;
    if (time >= to) break;
    const value = values[index] ?? NaN;
    if (Number.isNaN(value)) continue;
    const step = Math.min(steps - 1, Math.floor(((time - from) / (to - from)) * steps));
    if (!(value >= (low[step] ?? NaN))) low[step] = value;
    if (!(value <= (high[step] ?? NaN))) high[step] = value;
  }
  return { at, low, high };
}

function firstAtOrAfter(times: Float64Array, from: number): number {
  let [low, high] = [0, times.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((times[middle] ?? 0) < from) low = middle + 1;
    else high = middle;
  }
  return low;
}
