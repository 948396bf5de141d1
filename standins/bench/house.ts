import express from 'express';
import type { Server } from 'node:http';
import { benchPage } from './page';
import { changed, houseA, quietWorld } from './world';

/** The stand-in house: keeps the world, tells it to whoever asks on loopback, and has a page to switch things by hand. */
export function startHouse(port: number): Promise<Server> {
  let world = quietWorld();
  const app = express();
  app.disable('x-powered-by');
  app.use(express.json({ limit: '10kb' }));
  app.get('/', (_request, response) => {
    response.type('html').send(benchPage());
  });
  app.get('/world', (_request, response) => {
    response.json({ ...world, houseA: houseA(world) });
  });
  app.patch('/world', (request, response) => {
    const next = changed(world, request.body);
    if (!next) {
      response.status(422).json({ title: 'The world has no such thing, or not that much of it.' });
      return;
    }
    world = next;
    response.json({ ...world, houseA: houseA(world) });
  });
  return new Promise((resolve) => {
    const server = app.listen(port, '127.0.0.1', () => {
      resolve(server);
    });
  });
}
