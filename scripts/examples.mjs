/** `npm run examples`: two example packs, a notice and an application, made from the demo data into docs/examples. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './machine/build.mjs';
import { ensureDebian } from './machine/debian.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { prepareDatabase, startServer } from './machine/instance.mjs';
import { startThrowaway } from './machine/postgres.mjs';
import { ROOT } from './machine/root.mjs';

const OUT = join(ROOT, 'docs/examples');
/** Which job of the demo each is the pack of. */
const EXAMPLES = { notice: '9 Candlemas Road', application: '6 Chandler’s Way' };

ensureDebian({ postgres: true });
ensureDependencies();
ensureBuilt('server');
const database = await startThrowaway();
try {
  const server = await startServer(prepareDatabase(database.url, { demo: true }), 4980, 'error');
  const json = { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() };
  const signedIn = await fetch(`${server.url}/api/session`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify({ email: 'maren@fennel.example', password: 'keen-gauge-demo' }),
  });
  const headers = {
    cookie: signedIn.headers
      .getSetCookie()
      .map((each) => each.split(';')[0])
      .join('; '),
  };
  const get = async (path) => (await fetch(`${server.url}/api${path}`, { headers })).json();
  mkdirSync(OUT, { recursive: true });
  for (const [name, place] of Object.entries(EXAMPLES)) {
    const [job] = (await get(`/jobs?search=${encodeURIComponent(place)}`)).jobs;
    const [pack] = (await get(`/jobs/${job.id}/packs`)).packs;
    const pdf = await fetch(`${server.url}/api/packs/${pack.id}/notice.pdf`, { headers });
    if (!pdf.ok) throw new Error(`${place}: the server answered ${pdf.status}`);
    writeFileSync(join(OUT, `${name}.pdf`), Buffer.from(await pdf.arrayBuffer()));
    console.log(`docs/examples/${name}.pdf: ${pack.title}, ${place}`);
  }
  await server.stop();
} finally {
  database.stop();
}
