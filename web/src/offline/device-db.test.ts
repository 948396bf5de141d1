/** @jest-environment jsdom */
import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { keepFor, keptAnswer, keptPaths } from './answers';

it('what a device kept in the form of before is found, newest first', async () => {
  const before = await openDB('keen-gauge-device', 1, {
    upgrade: (db) => {
      db.createObjectStore('answers', { keyPath: 'key' }).createIndex('person', 'personId');
      db.createObjectStore('person', { keyPath: 'key' });
      for (const name of ['newJobs', 'logs', 'signatures'])
        db.createObjectStore(name, { keyPath: 'id' }).createIndex('person', 'personId');
      db.createObjectStore('chosen', { keyPath: 'key' }).createIndex('person', 'personId');
    },
  });
  for (const [path, at] of [
    ['/old', 1],
    ['/new', 2],
  ] as const)
    await before.put('answers', { key: `anna ${path}`, personId: 'anna', path, body: path, at });
  before.close();
  keepFor('anna');
  expect(await keptPaths()).toEqual([
    { path: '/new', at: 2 },
    { path: '/old', at: 1 },
  ]);
  expect((await keptAnswer('/old'))?.body).toBe('/old');
});
