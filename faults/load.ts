/**
 * Thirty people at work while faults happen around them. Started by `scripts/faults.mjs`, which says when it is over; then counts what was acknowledged against what is
 * there, and says so.
 */
import { setTimeout } from 'node:timers/promises';
import { Pool } from 'pg';
import { tally } from './insist';
import { PASSWORD, thirtyPeople } from './people';
import { work, type Acknowledged } from './person';
import { brokenLaws, reckon } from './reckoning';

const bases = (process.env['FAULTS_URLS'] ?? '').split(',');
const ownerUrl = process.env['FAULTS_OWNER_URL'] ?? '';
const count = Number(process.env['FAULTS_PEOPLE'] ?? 30);

const over = new AbortController();
const acknowledged: Acknowledged[] = [];
const refusals: string[] = [];
/** When each person was last acknowledged something, ms. */
const lastAt = new Map<string, number>();

async function main(): Promise<void> {
  const setUp = new Pool({ connectionString: ownerUrl });
  const emails = await thirtyPeople(setUp, count);
  await setUp.end();
  const working = emails.map((email) =>
    work(
      bases,
      email,
      over.signal,
      (what) => {
        acknowledged.push(what);
        lastAt.set(email, Date.now());
      },
      (what) => refusals.push(what),
    ),
  );
  process.on('message', (asked: { since?: number; over?: true }) => {
    if (asked.over) over.abort();
    // How many have been acknowledged something since a moment.
    else process.send?.({ back: [...lastAt.values()].filter((at) => at >= (asked.since ?? 0)).length, of: count });
  });
  process.send?.({ started: true, person: { email: emails[0], password: PASSWORD } });
  await Promise.all(working);
  const owner = new Pool({ connectionString: ownerUrl });
  // Documents are made by themselves a moment later; what was taken up by an instance that was killed, once its claim has run out.
  for (let waited = 0; waited < 90; waited += 1) {
    const left = await owner.query('SELECT 1 FROM tasks');
    if (left.rowCount === 0) break;
    await setTimeout(1000);
  }
  process.send?.({ reckoned: await reckon(owner, acknowledged), broken: await brokenLaws(owner), refusals, tally });
  await owner.end();
  process.disconnect();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
