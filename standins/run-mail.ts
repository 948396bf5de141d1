/** `node dist/server/mail.js --smtp 4641 --port 4640`: the stand-in mail server as a process. */
import { parseArgs } from 'node:util';
import { startMail } from './mail/service';

const { values } = parseArgs({
  options: { smtp: { type: 'string', default: '0' }, port: { type: 'string', default: '0' } },
});

startMail({ smtp: Number(values.smtp), page: Number(values.port) })
  .then(() => process.send?.({ started: true }))
  .catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  });
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => process.exit(0));
// Whoever started it is gone: a mail server nobody minds closes.
process.on('disconnect', () => process.exit(0));
