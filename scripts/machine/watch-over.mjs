/**
 * Stops a database whose command has died: `node watch-over.mjs DATA [HOME]`, started beside it. Its input is a pipe that the command holds; it ends when the command does,
 * however that was. HOME, of a database that lasts only as long as its command, is removed.
 */
import { rmSync } from 'node:fs';
import { stopDatabase } from './postgres.mjs';

const [data, home] = process.argv.slice(2);
// A signal to the command's whole group is not for this: it still has something to do.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => undefined);
process.stdin.resume();
process.stdin.once('close', () => {
  stopDatabase(data);
  if (home) rmSync(home, { recursive: true, force: true });
});
