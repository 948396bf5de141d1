/** Signing off, with every instance killed so many milliseconds after it was asked: one pack, its files once, whatever the moment. */
import { randomUUID } from 'node:crypto';
import { setTimeout } from 'node:timers/promises';
import { query } from './sql.mjs';

/** From before the first transaction to after the document has been made, ms. */
export const MOMENTS = [0, 10, 20, 35, 50, 80, 120, 180, 260, 400, 600, 900, 1400];
const SHORT = [15, 150];

const PATIENCE_MS = 60_000;

/** Goes through the moments; what went wrong, in words, nothing where all is well. */
export async function killAtMoments({ urls, ownerUrl, person, replaceAll, short }) {
  const wrong = [];
  const moments = short ? SHORT : MOMENTS;
  process.stdout.write(`kill -9 of both instances ${moments.join(', ')} ms into signing off … `);
  for (const ms of moments) {
    const cookie = await signIn(urls, person);
    const asked = await prepare(urls, cookie);
    void post(urls[0], asked.path, cookie, asked.body).catch(() => undefined);
    await setTimeout(ms);
    await replaceAll();
    const answered = await insist(() => post(urls[1], asked.path, cookie, asked.body));
    if (answered?.status !== 201) wrong.push(`${ms} ms: sent again it answered ${answered?.status}`);
    const pdf = await insist(() => fetch(`${urls[0]}/api/packs/${asked.body.id}/notice.pdf`, { headers: { cookie } }));
    if (pdf?.status !== 200) wrong.push(`${ms} ms: the document answered ${pdf?.status}`);
    const counted = await query(
      ownerUrl,
      `SELECT (SELECT count(*)::int FROM packs WHERE job_id = '${asked.jobId}') AS packs,
              (SELECT count(*)::int FROM pack_files f JOIN packs k ON k.id = f.pack_id WHERE k.job_id = '${asked.jobId}') AS files`,
    );
    const { packs, files } = counted.rows[0];
    if (packs !== 1 || files !== 1) wrong.push(`${ms} ms: ${packs} packs and ${files} of their files`);
  }
  console.log(wrong.length === 0 ? 'one pack each, its files once' : 'NOT one pack each');
  return wrong;
}

async function signIn(urls, { email, password }) {
  const answer = await insist(() => post(urls[1], '/session', '', { email, password }));
  return answer.headers
    .getSetCookie()
    .find((each) => each.startsWith('keen.sid='))
    .split(';')[0];
}

/** A job as it was made, and what signs it. */
async function prepare(urls, cookie) {
  const jobId = randomUUID();
  const path = `/jobs/${jobId}/packs`;
  await told('id', () => post(urls[0], '/jobs', cookie, { id: jobId, place: 'Moments', wanted: 'faults' }));
  const { revisionId } = await told('revisionId', () =>
    fetch(`${urls[0]}/api/jobs/${jobId}/survey`, { headers: { cookie } }),
  );
  const { missing } = await told('missing', () => post(urls[0], path, cookie, { revisionId }));
  const reasons = missing
    .filter(({ safety }) => safety)
    .map(({ key }) => ({ key, reason: 'Under fault, on purpose.' }));
  return { jobId, path, body: { id: randomUUID(), revisionId, reason: 'Under fault, on purpose.', reasons } };
}

/** An answer that has a member; anything else is told whole. */
async function told(member, ask) {
  const answer = await insist(ask);
  const body = await answer?.json();
  if (body?.[member] === undefined)
    throw new Error(`${answer?.url} answered ${answer?.status}, without ${member}: ${JSON.stringify(body)}`);
  return body;
}

function post(url, path, cookie, body) {
  return fetch(`${url}/api${path}`, {
    method: 'POST',
    headers: { cookie, 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
}

/** Asks until something other than trouble at the server comes. */
async function insist(ask) {
  for (const until = Date.now() + PATIENCE_MS; Date.now() < until; await setTimeout(200)) {
    const answer = await ask().catch(() => undefined);
    if (answer && answer.status < 500) return answer;
  }
  return undefined;
}
