/**
 * Loads that cannot run together. The demand of an interlocked group is that of whichever member makes the total
 * greatest: within one class that is simply the largest; across classes a smaller load with a smaller allowance can
 * count for more, so each is tried.
 */

interface Locked {
  readonly class: string;
  readonly currentA: number;
  readonly count: number;
  readonly controlSockets: number;
  readonly interlock: string | undefined;
}

/** More combinations than this are not tried; every member then counts, which can only overstate. */
const MOST_COMBINATIONS = 256;

/** The loads of the worst moment: free ones, and of each group the member that makes `demandA` greatest. */
export function worstTogether<L extends Locked>(loads: readonly L[], demandA: (running: readonly L[]) => number): L[] {
  const free: L[] = [];
  const groups = new Map<string, L[]>();
  for (const load of loads) {
    if (load.interlock === undefined || load.interlock === '') free.push(load);
    else groups.set(load.interlock, [...(groups.get(load.interlock) ?? []), load]);
  }
  const open: L[][] = [];
  for (const group of groups.values()) {
    const plain = group.every(
      (load) => load.class === group[0]?.class && load.count === 1 && load.controlSockets === 0,
    );
    if (plain) free.push(largest(group));
    else open.push(group);
  }
  if (open.reduce((product, group) => product * group.length, 1) > MOST_COMBINATIONS) return [...free, ...open.flat()];
  let worst = free;
  let worstA = -1;
  for (const running of combinations(open)) {
    const candidate = [...free, ...running];
    const currentA = demandA(candidate);
    if (currentA > worstA) [worst, worstA] = [candidate, currentA];
  }
  return worst;
}

function largest<L extends Locked>(group: readonly L[]): L {
  return group.reduce((best, load) => (load.currentA > best.currentA ? load : best));
}

function combinations<L>(groups: readonly (readonly L[])[]): L[][] {
  return groups.reduce<L[][]>((made, group) => made.flatMap((start) => group.map((load) => [...start, load])), [[]]);
}
