/** `node dist/server/operator.js --port 4620 --file .run/operator.json --seconds-per-day 10`: the stand-in operator as a process. */
import { parseArgs } from 'node:util';
import { startOperator } from './operator/service';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '0' },
    file: { type: 'string' },
    'seconds-per-day': { type: 'string', default: '86400' },
  },
});

startOperator({
  port: Number(values.port),
  secondsPerDay: Number(values['seconds-per-day']),
  ...(values.file === undefined ? {} : { file: values.file }),
})
  .then(() => process.send?.({ started: true }))
  .catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  });
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => process.exit(0));
// Whoever started it is gone: a desk nobody minds closes.
process.on('disconnect', () => process.exit(0));
