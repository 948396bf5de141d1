/**
 * One part of the bench, a process each: `node dist/server/bench-part.js --part house|clamp|charge-point`, with `--port` for
 * the first two, `--house` and `--clamp` for the addresses of the others.
 */
import { parseArgs } from 'node:util';
import { ChargePoint } from './bench/charge-point';
import { startClamp } from './bench/clamp';
import { startHouse } from './bench/house';

const { values } = parseArgs({
  options: {
    part: { type: 'string' },
    port: { type: 'string', default: '0' },
    house: { type: 'string', default: '' },
    clamp: { type: 'string', default: '' },
    every: { type: 'string', default: '1000' },
  },
});

async function run(): Promise<void> {
  if (values.part === 'house') await startHouse(Number(values.port));
  else if (values.part === 'clamp') await startClamp(Number(values.port), values.house);
  else if (values.part === 'charge-point')
    new ChargePoint({
      houseUrl: values.house,
      clampUrl: values.clamp,
      ratedA: 32,
      everyMs: Number(values.every),
    }).start();
  else throw new Error('--part: house, clamp or charge-point');
  process.send?.({ started: true });
}

run().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => process.exit(0));
// Whoever started it is gone: a bench nobody minds ends.
process.on('disconnect', () => process.exit(0));
