/** For tests: how many random cases a law is held to. All of those written, but where mutants are held against it: then a share of them (LAW_SHARE). */
export function lawRuns(all: number): number {
  return Math.max(2, Math.ceil(all * Number(process.env['LAW_SHARE'] ?? 1)));
}
