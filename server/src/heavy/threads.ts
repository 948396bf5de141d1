import { join } from 'node:path';
import Piscina from 'piscina';
import type * as thread from './thread';

/** Where the threads' program is, seen from the project's root, in which every program of it runs. */
const PROGRAM = join(process.cwd(), 'dist/server/heavy.js');

const IDLE_MS = 20_000;

type Work = typeof thread;
type NameOf = keyof Work;

/** Documents and reckoning, two at a time; pictures one at a time, since each unfolds into as much as a few hundred megabytes. */
const LANES = { documents: 2, pictures: 1 } as const;
const LANE_OF: Readonly<Record<NameOf, keyof typeof LANES>> = {
  diaryText: 'documents',
  failsUnder: 'documents',
  summaryUnder: 'documents',
  makePackFiles: 'documents',
  linesOfJobs: 'documents',
  quoteOf: 'documents',
  quotationPdf: 'documents',
  pictureOf: 'pictures',
  printedOf: 'pictures',
};

const open = new Map<keyof typeof LANES, Piscina>();

function threadsOf(lane: keyof typeof LANES): Piscina {
  const known = open.get(lane);
  if (known) return known;
  const made = new Piscina({
    filename: PROGRAM,
    minThreads: 0,
    maxThreads: LANES[lane],
    idleTimeout: IDLE_MS,
    // A thread that runs out of memory ends, and the work fails; the process goes on.
    resourceLimits: { maxOldGenerationSizeMb: 768 },
  });
  open.set(lane, made);
  return made;
}

/** Has heavy work done in a thread. Bytes come back as they went: as a `Uint8Array` that is the caller's alone. */
export async function heavy<K extends NameOf>(
  name: K,
  input: Parameters<Work[K]>[0],
): Promise<Awaited<ReturnType<Work[K]>>> {
  return (await threadsOf(LANE_OF[name]).run(input, { name })) as Awaited<ReturnType<Work[K]>>;
}

/** Ends the threads; what is under way is dropped, and done again by whoever takes its task up. */
export async function closeThreads(): Promise<void> {
  const ending = [...open.values()].map((threads) => threads.destroy());
  open.clear();
  await Promise.all(ending);
}
