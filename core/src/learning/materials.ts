/** What the firm’s jobs used against what was planned, item by item. */
import { spread, type Spread } from './rates';

/** How much of each item one finished job planned and used; only what somebody entered. */
export interface MaterialsUsed {
  readonly planned: Readonly<Record<string, number>>;
  readonly used: Readonly<Record<string, number>>;
}

export interface MaterialLesson extends Spread {
  readonly item: string;
}

/** The materials of a plan line by line, and what was entered as used of a line, added up by item. Lines of which nothing was entered are left out on both sides. */
export function usedByItem(
  lines: readonly { readonly id: string; readonly item: string | null; readonly quantity: number }[],
  entered: readonly { readonly id: string; readonly quantity?: number }[],
): MaterialsUsed {
  const planned: Record<string, number> = {};
  const used: Record<string, number> = {};
  for (const { id, item, quantity } of lines) {
    const took = entered.find((each) => each.id === id)?.quantity;
    if (item === null || took === undefined) continue;
    planned[item] = (planned[item] ?? 0) + quantity;
    used[item] = (used[item] ?? 0) + took;
  }
  return { planned, used };
}

/** Every item of which some job said what was used, the most told first. */
export function materialLessons(jobs: readonly MaterialsUsed[], learnFrom: number): MaterialLesson[] {
  const shares = new Map<string, number[]>();
  for (const { planned, used } of jobs)
    for (const [item, took] of Object.entries(used)) {
      const of = planned[item] ?? 0;
      if (of > 0) shares.set(item, [...(shares.get(item) ?? []), took / of]);
    }
  return [...shares]
    .map(([item, found]): MaterialLesson => ({ item, ...spread(found, learnFrom) }))
    .sort((a, b) => b.jobs - a.jobs || (a.item < b.item ? -1 : 1));
}
