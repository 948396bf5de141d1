/** The bench beside the application: a made-up house, its clamp and its charge point, a process each. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { freePort } from './ports.mjs';
import { ROOT } from './root.mjs';

/** Starts the three on free ports, the house at the preferred one if it can be had; its address, and a way to stop them. */
export async function startLimiterBench(preferredPort, everyMs = 1000) {
  const housePort = await freePort(preferredPort);
  const house = `http://127.0.0.1:${housePort}`;
  const parts = [await part('house', ['--port', housePort])];
  const clampPort = await freePort(housePort + 1);
  const clamp = `http://127.0.0.1:${clampPort}`;
  parts.push(await part('clamp', ['--port', clampPort, '--house', house]));
  parts.push(await part('charge-point', ['--house', house, '--clamp', clamp, '--every', everyMs]));
  return {
    url: `http://localhost:${housePort}`,
    house,
    stop: () => {
      for (const each of parts) each.kill();
    },
  };
}

async function part(name, options) {
  const started = spawn(
    process.execPath,
    [join(ROOT, 'dist/server/bench-part.js'), '--part', name, ...options.map(String)],
    { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit', 'ipc'], detached: true },
  );
  await Promise.race([
    new Promise((resolve) => started.once('message', resolve)),
    new Promise((_resolve, reject) =>
      started.once('exit', () => reject(new Error(`The bench's ${name} did not start: see above.`))),
    ),
  ]);
  return started;
}
