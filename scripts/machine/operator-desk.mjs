/** The made-up operator beside the application: a process of its own, whose desk is kept in a file so that it survives being stopped. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { freePort } from './ports.mjs';
import { ROOT } from './root.mjs';

/** Starts the desk on a free port, the preferred one if it can be had. Its address is fixed before anybody is told of it. */
export async function startOperatorDesk(preferredPort, { file, secondsPerDay = 86_400 } = {}) {
  const port = await freePort(preferredPort);
  const options = ['--port', port, '--seconds-per-day', secondsPerDay, ...(file ? ['--file', file] : [])];
  const desk = spawn(process.execPath, [join(ROOT, 'dist/server/operator.js'), ...options.map(String)], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
  });
  const ended = new Promise((resolve) => desk.once('exit', resolve));
  await Promise.race([
    new Promise((resolve) => desk.once('message', resolve)),
    ended.then(() => Promise.reject(new Error('The operator’s desk did not start: see above.'))),
  ]);
  return {
    port,
    url: `http://localhost:${port}`,
    /** For the server: every area’s packs go there. */
    addresses: `*=http://127.0.0.1:${port}/`,
    stop: (signal = 'SIGTERM') => {
      desk.kill(signal);
      return ended;
    },
  };
}
