/** What the browser gives and what of it is taken, in bytes; whether it keeps it when it runs short itself. */
export interface Room {
  readonly taken: number;
  readonly given: number;
  readonly isLasting: boolean;
}

/** Null where the browser does not say. */
export async function roomHere(): Promise<Room | null> {
  if (!('storage' in navigator) || !('estimate' in navigator.storage)) return null;
  const { usage = 0, quota = 0 } = await navigator.storage.estimate();
  if (quota === 0) return null;
  return { taken: usage, given: quota, isLasting: await navigator.storage.persisted() };
}

/** Asks the browser to keep what is here even when it runs short. It may say no. */
export const askToLast = (): Promise<boolean> => navigator.storage.persist();

/** From here on little more fits. */
export const isNearlyFull = ({ taken, given }: Room): boolean => taken > given * 0.8 || given - taken < 100_000_000;

/** Bytes as people say them: 820 kB, 14 MB, 1.2 GB. */
export function sizeWords(bytes: number): string {
  if (bytes < 1e6) return `${Math.round(bytes / 1e3)} kB`;
  if (bytes < 1e9) return `${Math.round(bytes / 1e6)} MB`;
  return `${(bytes / 1e9).toFixed(1)} GB`;
}
