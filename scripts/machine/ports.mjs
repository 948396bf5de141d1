import { createServer } from 'node:net';

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen({ port, host: '127.0.0.1', exclusive: true }, () => probe.close(() => resolve(true)));
  });
}

/** The first free loopback port at or after the one preferred. */
export async function freePort(preferred) {
  for (let port = preferred; port < preferred + 200; port += 1) if (await isFree(port)) return port;
  throw new Error(`No free port between ${preferred} and ${preferred + 199}.`);
}
