import express from 'express';
import type { Server } from 'node:http';
import { houseA, type World } from './world';

/** What a clamp on the tails reads of the world: everything, to a tenth of an ampere, a little off; null with its lead pulled. */
export function clampReading(world: World, errorPercent: number): number | null {
  if (world.clampLead === 'pulled') return null;
  const amperes = (houseA(world) + world.chargerA) * (1 + errorPercent / 100);
  return Math.round((world.clampArrow === 'against' ? -amperes : amperes) * 10) / 10;
}

/** The stand-in clamp: a process of its own that looks at the house and gives its reading, or 503 where it has none. */
export function startClamp(port: number, houseUrl: string, errorPercent = -1): Promise<Server> {
  const app = express();
  app.disable('x-powered-by');
  app.get('/reading', async (_request, response) => {
    const looked = await fetch(`${houseUrl}/world`).catch(() => null);
    const world = looked?.ok ? ((await looked.json()) as World) : null;
    const amperes = world && clampReading(world, errorPercent);
    if (amperes === null) response.status(503).json({ title: 'No reading.' });
    else response.json({ amperes });
  });
  return new Promise((resolve) => {
    const server = app.listen(port, '127.0.0.1', () => {
      resolve(server);
    });
  });
}
