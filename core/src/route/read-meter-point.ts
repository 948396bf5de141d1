import { meterPoint } from './meter-point';

/** Digits to the two rows under the large S: the upper has eight, the lower is the core. */
const UPPER = 8;
const CORE = 13;
/** How the core is grouped where it is printed. */
const GROUPS = [2, 4, 4, 3] as const;

/**
 * The meter point numbers in lines of text as they were read off a picture: thirteen digits that stand by themselves, or after the eight of the upper row, whose check digit holds. Nothing is
 * put right: a letter among the digits makes it none.
 *
 * @example readMeterPoints(['S 01 801 100', '10 1234 5678 903']) // ['1012345678903'], its check digit permitting
 */
export function readMeterPoints(lines: readonly string[]): string[] {
  const found = lines.flatMap((line) =>
    (line.match(/\d+(?:[\s.|-]{1,4}\d+)*/g) ?? []).flatMap((run) => coresIn(run.match(/\d+/g) ?? [])),
  );
  return [...new Set(found)].filter((core) => meterPoint(core).state === 'good');
}

/** Thirteen digits among groups that stand in a row. */
function coresIn(groups: readonly string[]): string[] {
  const all = groups.join('');
  if (all.length === CORE) return [all];
  if (all.length === UPPER + CORE) return [all.slice(UPPER)];
  // Other numbers stand beside it: only as it is grouped in print.
  return groups.flatMap((_group, at) => {
    const some = groups.slice(at, at + GROUPS.length);
    return some.length === GROUPS.length && some.every(({ length }, n) => length === GROUPS[n]) ? [some.join('')] : [];
  });
}

/**
 * Of several readings of one picture, the numbers that at least two of them agree on. One check digit lets one wrong number in eleven by: a reading alone is not offered.
 */
export function agreedMeterPoints(readings: readonly (readonly string[])[]): string[] {
  const all = [...new Set(readings.flat())];
  return all.filter((core) => readings.filter((reading) => reading.includes(core)).length >= 2);
}
