/** The mail server that delivers nothing, beside the application: a process of its own with a page that shows what came. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { freePort } from './ports.mjs';
import { ROOT } from './root.mjs';

/** Starts it on free ports, the preferred ones if they can be had. */
export async function startMailServer(preferredPort) {
  const port = await freePort(preferredPort);
  const smtp = await freePort(port + 1);
  const options = ['--port', port, '--smtp', smtp];
  const mail = spawn(process.execPath, [join(ROOT, 'dist/server/mail.js'), ...options.map(String)], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
  });
  const ended = new Promise((resolve) => mail.once('exit', resolve));
  await Promise.race([
    new Promise((resolve) => mail.once('message', resolve)),
    ended.then(() => Promise.reject(new Error('The mail server did not start: see above.'))),
  ]);
  return {
    url: `http://localhost:${port}`,
    /** For the server’s settings. */
    smtpUrl: `smtp://127.0.0.1:${smtp}`,
    stop: (signal = 'SIGTERM') => {
      mail.kill(signal);
      return ended;
    },
  };
}
