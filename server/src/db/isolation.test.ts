import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import { addressesOf, apiMounts, type Address } from '../http/mounts';
import { openMetrics } from '../signals/metrics';
import { makeJob, signAsItStands, testBench, type MadeJob, type TestBench } from '../testing/bench';
import { inFirm } from './firm-scope';

let bench: TestBench;
let anna: Agent;
let job: MadeJob;
/** Things of firm A, each put in the place of an address that its name says. */
const things: Record<string, string> = {};

beforeAll(async () => {
  bench = await testBench();
  anna = await bench.as('anna@a.example');
  job = await makeJob(anna);
  const [eventId, logId, profileId, instrumentId] = Array.from({ length: 4 }, () => randomUUID());
  await anna
    .post(`/api/jobs/${job.id}/events`)
    .send({ id: eventId, kind: 'vehicle-arrives', day: '2026-12-24' })
    .expect(201);
  const attached = await anna
    .post(`/api/jobs/${job.id}/events/${eventId ?? ''}/attachments`)
    .type('text/plain')
    .send('secret of A')
    .expect(201);
  const { events } = attached.body as { events: { attachments: { id: string }[] }[] };
  await anna
    .post(`/api/firm/equipment/${profileId ?? ''}`)
    .send({ name: 'Secret of A' })
    .expect(201);
  await anna
    .post(`/api/instruments/${instrumentId ?? ''}`)
    .send({ name: 'Secret of A', serial: '', retired: false })
    .expect(201);
  await anna.post('/api/diary/feeds').expect(201);
  const { feeds } = (await anna.get('/api/diary/feeds')).body as { feeds: { id: string }[] };
  const signed = await signAsItStands(anna, job.id, job.revisionId, 'Secret of A.');
  Object.assign(things, {
    jobId: job.id,
    eventId,
    attachmentId: events[0]?.attachments[0]?.id,
    logId,
    packId: (signed.body as { id: string }).id,
    profileId,
    instrumentId,
    feedId: feeds[0]?.id,
  });
});
afterAll(() => bench.close());

const firm = (index: number) => ({ firmId: bench.firms[index]?.firmId ?? '' });

/**
 * What each address answers: to nobody, to somebody of another firm who names this firm's things, and to each role of this firm. `own` is what of the other firm's
 * is shown where the address names nothing of anybody's. An address without a line here fails.
 */
type Answers = {
  readonly nobody: number;
  readonly other: number | readonly number[];
  readonly own?: Partial<Record<Role, number>>;
};
type Role = 'office' | 'surveyor' | 'supervisor';
const ofThing = (more: Partial<Answers> = {}): Answers => ({ nobody: 401, other: 404, ...more });
const ofFirm = (more: Partial<Answers> = {}): Answers => ({ nobody: 401, other: [200, 201, 204], ...more });
/** Refused before anything is looked for: what is sent here is empty. */
const EMPTY = [404, 422, 415];
const bySupervisor = { office: 403, surveyor: 403 };

const TABLE: Readonly<Record<string, Answers>> = {
  'POST /api/session': { nobody: 422, other: 422 },
  'DELETE /api/session': { nobody: 204, other: 204 },
  'POST /api/session/passkey/options': { nobody: 200, other: 200 },
  'POST /api/session/passkey': { nobody: 422, other: 422 },
  'GET /api/access': { nobody: 200, other: 200 },
  'POST /api/access/set-up': { nobody: 422, other: 422 },
  'POST /api/access/recovery': { nobody: 422, other: 422 },
  'POST /api/access/link': { nobody: 422, other: 422 },
  'POST /api/access/link/use': { nobody: 422, other: 422 },
  'POST /api/customer/open': { nobody: 422, other: 422 },
  'POST /api/customer/answer': { nobody: 422, other: 422 },
  'POST /api/customer/done': { nobody: 422, other: 422 },
  'POST /api/customer/pictures/:pictureId': { nobody: 415, other: 415 },
  'POST /api/quotation/open': { nobody: 422, other: 422 },
  'POST /api/quotation/quotation.pdf': { nobody: 422, other: 422 },
  'POST /api/quotation/picture': { nobody: 422, other: 422 },
  'POST /api/quotation/accept': { nobody: 422, other: 422 },
  'POST /api/quotation/decline': { nobody: 422, other: 422 },
  'POST /api/quotation/question': { nobody: 422, other: 422 },
  'POST /api/reports': { nobody: 422, other: 422 },
  'GET /api/feed/:key/diary.ics': { nobody: 404, other: 404 },
  'GET /api/me': ofFirm(),
  'GET /api/me/passkeys': ofFirm(),
  'POST /api/me/passkeys/options': ofThing({ other: EMPTY }),
  'POST /api/me/passkeys': ofThing({ other: EMPTY }),
  'DELETE /api/me/passkeys/:passkeyId': ofThing(),
  'POST /api/me/password': ofThing({ other: EMPTY }),
  'GET /api/me/sessions': ofFirm(),
  'DELETE /api/me/sessions': ofFirm(),
  'DELETE /api/me/sessions/:sessionId': ofThing(),
  'GET /api/people': ofFirm(),
  'GET /api/jobs': ofFirm(),
  'POST /api/jobs': ofThing({ other: EMPTY }),
  'GET /api/jobs/:jobId': ofThing(),
  'PATCH /api/jobs/:jobId': ofThing({ other: EMPTY }),
  'GET /api/jobs/:jobId/survey': ofThing(),
  'POST /api/jobs/:jobId/survey/revisions': ofThing({ other: EMPTY }),
  'GET /api/jobs/:jobId/survey/revisions': ofThing(),
  'GET /api/jobs/:jobId/customer': ofThing(),
  'POST /api/jobs/:jobId/customer': ofThing({ other: EMPTY }),
  'DELETE /api/jobs/:jobId/customer': ofThing(),
  'POST /api/jobs/:jobId/customer/link': ofThing(),
  'POST /api/jobs/:jobId/customer/answers/:answerId/take': ofThing(),
  'POST /api/jobs/:jobId/customer/answers/:answerId/again': ofThing({ other: EMPTY }),
  'POST /api/jobs/:jobId/customer/answers/:answerId/set-aside': ofThing(),
  'GET /api/jobs/:jobId/customer/pictures/:pictureId/full.jpg': ofThing(),
  'GET /api/jobs/:jobId/customer/pictures/:pictureId/thumb.jpg': ofThing(),
  'GET /api/jobs/:jobId/customer-data': ofThing(),
  'GET /api/jobs/:jobId/customer-data/everything.zip': ofThing({ own: { surveyor: 403 } }),
  'POST /api/jobs/:jobId/customer-data/erase': ofThing({ own: bySupervisor }),
  'GET /api/jobs/:jobId/mails': ofThing(),
  'POST /api/jobs/:jobId/mails': ofThing({ other: EMPTY }),
  'POST /api/jobs/:jobId/mails/:mailId/send': ofThing({ other: [404, 409] }),
  'GET /api/jobs/:jobId/quotations': ofThing(),
  'POST /api/jobs/:jobId/quotations': ofThing({ other: EMPTY }),
  'POST /api/jobs/:jobId/quotations/:quotationId/link': ofThing(),
  'POST /api/jobs/:jobId/quotations/:quotationId/withdraw': ofThing(),
  'GET /api/jobs/:jobId/quotations/:quotationId/quotation.pdf': ofThing(),
  'GET /api/jobs/:jobId/packs': ofThing(),
  'GET /api/jobs/:jobId/packs/since': ofThing(),
  'POST /api/jobs/:jobId/packs': ofThing({ other: EMPTY }),
  'ALL /api/jobs/:jobId/uploads/{*rest}': ofThing({ other: [404, 405] }),
  'GET /api/jobs/:jobId/photos/all.zip': ofThing(),
  'POST /api/jobs/:jobId/photos/:photoId': ofThing(),
  'GET /api/jobs/:jobId/photos/:photoId/full.jpg': ofThing(),
  'GET /api/jobs/:jobId/photos/:photoId/thumb.jpg': ofThing(),
  'POST /api/jobs/:jobId/logs/:logId': ofThing({ other: EMPTY }),
  'GET /api/jobs/:jobId/logs/:logId': ofThing(),
  'GET /api/jobs/:jobId/charge-points': ofThing({ other: [404, 200] }),
  'POST /api/jobs/:jobId/charge-points': ofThing({ other: EMPTY, own: { office: 422 } }),
  'DELETE /api/jobs/:jobId/charge-points/:pointId': ofThing({ own: { office: 403 } }),
  'POST /api/jobs/:jobId/charge-points/:pointId/ask': ofThing({ other: EMPTY }),
  'GET /api/jobs/:jobId/events': ofThing(),
  'POST /api/jobs/:jobId/events': ofThing({ other: EMPTY }),
  'POST /api/jobs/:jobId/events/:eventId/attachments': ofThing({ other: EMPTY }),
  'GET /api/jobs/:jobId/events/:eventId/attachments/:attachmentId': ofThing(),
  'GET /api/jobs/:jobId/submissions': ofThing(),
  'POST /api/jobs/:jobId/submissions': ofThing({ other: EMPTY }),
  'POST /api/jobs/:jobId/submissions/:submissionId/stop': ofThing(),
  'GET /api/jobs/:jobId/calendar.ics': ofThing(),
  'GET /api/jobs/:jobId/record': ofThing(),
  'GET /api/jobs/:jobId/record/record.csv': ofThing(),
  'GET /api/holidays/:nation': ofThing(),
  'GET /api/log-mappings/:shape': ofFirm(),
  'POST /api/log-mappings/:shape': ofThing({ other: EMPTY }),
  'GET /api/diary': ofFirm(),
  'GET /api/diary/feeds': ofFirm(),
  'POST /api/diary/feeds': ofFirm(),
  'DELETE /api/diary/feeds/:feedId': ofThing({ own: { surveyor: 403 } }),
  'GET /api/firm/record': ofFirm(),
  'GET /api/firm/record/record.csv': ofFirm(),
  'GET /api/firm/people': ofFirm({ own: bySupervisor }),
  'POST /api/firm/people/invitations': ofThing({ other: EMPTY, own: bySupervisor }),
  'POST /api/firm/people/invitations/:linkId': ofThing({ own: bySupervisor }),
  'DELETE /api/firm/people/invitations/:linkId': ofThing({ own: bySupervisor }),
  'POST /api/firm/people/:personId': ofThing({ own: bySupervisor }),
  'POST /api/firm/people/:personId/end': ofThing({ own: bySupervisor }),
  'POST /api/firm/people/:personId/return': ofThing({ own: bySupervisor }),
  'POST /api/firm/people/:personId/link': ofThing({ own: bySupervisor }),
  'GET /api/firm/rules': ofFirm(),
  'GET /api/firm/rules/own/:rulesId/versions': ofThing(),
  'POST /api/firm/rules/own/:rulesId': ofThing({ other: EMPTY }),
  'POST /api/firm/rules/house': ofFirm({ own: bySupervisor }),
  'GET /api/firm/tasks': ofFirm({ own: bySupervisor }),
  'POST /api/firm/tasks/:taskId/again': ofThing({ own: bySupervisor }),
  'GET /api/firm/equipment': ofFirm(),
  'POST /api/firm/equipment/:profileId': ofThing({ other: EMPTY }),
  'POST /api/firm/checklists': ofFirm({ own: bySupervisor }),
  'GET /api/firm/prices': ofFirm(),
  'POST /api/firm/prices': ofThing({ other: EMPTY }),
  'GET /api/firm/schemes': ofFirm(),
  'POST /api/firm/schemes': ofFirm({ own: { surveyor: 403 } }),
  'GET /api/firm/lessons': ofFirm(),
  'POST /api/firm/order': ofThing({ other: EMPTY }),
  'GET /api/firm/terms': ofFirm(),
  'POST /api/firm/terms': ofFirm({ own: { surveyor: 403 } }),
  'GET /api/instruments': ofFirm(),
  'POST /api/instruments/:instrumentId': ofThing({ other: EMPTY }),
  'GET /api/packs/:packId/notice.pdf': ofThing(),
  'GET /api/packs/:packId/pack.zip': ofThing(),
  'GET /api/packs/:packId/message': ofThing(),
  'GET /api/packs/:packId/survey.json': ofThing(),
};

const nameOf = ({ method, path }: Address): string => `${method} ${path}`;

function everyAddress(): Address[] {
  const { app: pool, log } = bench;
  return addressesOf(apiMounts({ pool, log, sessionSecret: '', metrics: openMetrics() }));
}

/** Asks at an address, firm A's things in its places. */
function ask(agent: Agent, { method, path }: Address) {
  const filled = path
    .replace('{*rest}', randomUUID())
    .replace(/:(\w+)/g, (_whole, name: string) => things[name] ?? (name === 'shape' ? 'a'.repeat(64) : randomUUID()));
  const verb = method === 'ALL' ? 'head' : (method.toLowerCase() as 'get');
  const asked = agent[verb](filled);
  return method === 'POST' ? asked.send({}) : method === 'ALL' ? asked.set('Tus-Resumable', '1.0.0') : asked;
}

describe('every address of the application', () => {
  it('has a line in the table, and no line is of an address that is not there', () => {
    expect(everyAddress().map(nameOf).sort()).toEqual(Object.keys(TABLE).sort());
  });

  it('answers nobody who is not signed in, but for those that are open', async () => {
    for (const address of everyAddress()) {
      const { status } = await ask(bench.anyone(), address);
      expect([nameOf(address), status]).toEqual([nameOf(address), TABLE[nameOf(address)]?.nobody]);
      if (!address.open) expect(status).toBe(401);
    }
  });

  it('shows another firm nothing of this one, whichever role asks', async () => {
    for (const role of ['supervisor', 'surveyor', 'office']) {
      await bench.owner.query("UPDATE people SET role = $1 WHERE email = 'bea@b.example'", [role]);
      const bea = await bench.as('bea@b.example');
      for (const address of everyAddress().filter(({ path }) => path !== '/api/session')) {
        const { status, text, body } = await ask(bea, address);
        const wanted = [TABLE[nameOf(address)]?.other ?? 0, role === 'supervisor' ? [] : 403].flat(2);
        expect([nameOf(address), role, wanted.includes(status) ? 'as in the table' : status]).toEqual([
          nameOf(address),
          role,
          'as in the table',
        ]);
        expect(JSON.stringify([text, body])).not.toMatch(/secret of A|Test Lane/i);
      }
    }
  });

  it.each([
    ['olga@a.example', 'office'],
    ['alan@a.example', 'surveyor'],
  ] as const)('lets %s, of the %s, do what the table says and no more', async (email, role) => {
    const agent = await bench.as(email);
    for (const address of everyAddress().filter(({ path }) => path !== '/api/session')) {
      const wanted = TABLE[nameOf(address)]?.own?.[role];
      const { status } = await ask(agent, address);
      const refused = wanted === 403;
      expect([nameOf(address), status === 403]).toEqual([nameOf(address), refused]);
    }
  });

  it('knows what each role may do in what it is sent', async () => {
    const [olga, alan] = [await bench.as('olga@a.example'), await bench.as('alan@a.example')];
    const instrument = { name: 'x', serial: '', retired: false };
    await olga.post(`/api/instruments/${randomUUID()}`).send(instrument).expect(403);
    await alan.post(`/api/instruments/${randomUUID()}`).send(instrument).expect(201);
    await olga.post(`/api/firm/equipment/${randomUUID()}`).send({ name: 'x' }).expect(403);
    await alan
      .post(`/api/firm/rules/own/${randomUUID()}`)
      .send({ title: 'x', source: 'x', basedOn: 'gb-default' })
      .expect(403);
    for (const agent of [olga, alan])
      await agent.post(`/api/jobs/${job.id}/packs`).send({ revisionId: job.revisionId, reason: 'x' }).expect(403);
  });
});

describe('what a firm owns', () => {
  it('cannot be written to: saving and signing off are not found', async () => {
    const other = await bench.as('bea@b.example');
    await other
      .post(`/api/jobs/${job.id}/survey/revisions`)
      .send({ id: randomUUID(), parentId: job.revisionId, changes: [{ kind: 'set', path: ['notes'], to: 'hello' }] })
      .expect(404);
    await other.post(`/api/jobs/${job.id}/packs`).send({ revisionId: job.revisionId, reason: 'x' }).expect(404);
  });

  it('is in nobody else’s list, however searched for', async () => {
    const other = await bench.as('bea@b.example');
    expect((await other.get('/api/jobs').expect(200)).body).toEqual({ jobs: [], total: 0, stages: {} });
    expect((await other.get('/api/jobs?search=Test').expect(200)).body).toEqual({ jobs: [], total: 0, stages: {} });
  });

  it('cannot be taken over by making a job of the same id', async () => {
    const other = await bench.as('bea@b.example');
    const refused = await other.post('/api/jobs').send({ id: job.id, place: 'x', wanted: 'y' }).expect(409);
    expect(JSON.stringify(refused.body)).not.toContain('Test Lane');
  });
});

const ADD_AND_READ = 'INSERT SELECT';

/** What the application's role may do with each table, and which columns of it change. A new table, or a right more, needs its line here. */
const GRANTED: Readonly<Record<string, string>> = {
  access_links: ADD_AND_READ,
  answered_requests: 'DELETE INSERT SELECT',
  audit_entries: ADD_AND_READ,
  calendar_feeds: ADD_AND_READ,
  charge_point_calls: ADD_AND_READ,
  charge_point_samples: 'DELETE INSERT SELECT',
  charge_points: ADD_AND_READ,
  customer_answers: ADD_AND_READ,
  customer_links: ADD_AND_READ,
  customer_pictures: 'DELETE INSERT SELECT',
  customer_tokens: ADD_AND_READ,
  diary_files: ADD_AND_READ,
  equipment_profiles: ADD_AND_READ,
  erasures: ADD_AND_READ,
  event_attachments: ADD_AND_READ,
  firm_checklists: ADD_AND_READ,
  firm_prices: ADD_AND_READ,
  firm_schemes: ADD_AND_READ,
  firm_storage: 'SELECT',
  firm_terms: ADD_AND_READ,
  firms: 'SELECT',
  house_rules: ADD_AND_READ,
  instruments: ADD_AND_READ,
  job_events: ADD_AND_READ,
  jobs: ADD_AND_READ,
  known_places: 'DELETE INSERT SELECT',
  log_mappings: ADD_AND_READ,
  logs: ADD_AND_READ,
  mails: ADD_AND_READ,
  operator_packs: ADD_AND_READ,
  pack_files: ADD_AND_READ,
  packs: ADD_AND_READ,
  passkeys: 'DELETE INSERT SELECT',
  people: 'SELECT',
  photos: ADD_AND_READ,
  pictures: ADD_AND_READ,
  quotation_answers: ADD_AND_READ,
  quotation_files: ADD_AND_READ,
  quotation_tokens: ADD_AND_READ,
  quotations: ADD_AND_READ,
  revisions: ADD_AND_READ,
  server_secrets: 'SELECT',
  session: 'DELETE INSERT SELECT UPDATE',
  sign_in_counts: 'DELETE INSERT SELECT UPDATE',
  submission_messages: ADD_AND_READ,
  submissions: ADD_AND_READ,
  tasks: 'DELETE INSERT SELECT',
  upload_parts: 'DELETE INSERT SELECT',
  uploads: 'DELETE INSERT SELECT',
};
const CHANGED: Readonly<Record<string, string>> = {
  access_links: 'digest expires_at revoked_at used_at',
  answered_requests: 'answer',
  calendar_feeds: 'revoked_at',
  charge_point_calls: 'answer answered_at sent_at',
  charge_points: 'connection ended_at status',
  customer_answers: 'came_at decided_at decided_by id reason says state',
  customer_links: 'done_at opened_at revoked_at',
  diary_files: 'body made_at version',
  equipment_profiles: 'changed_at changed_by profile',
  erasures: 'done_at packs_gone_at packs_until',
  firm_checklists: 'changed_at changed_by checklists',
  firm_prices: 'book changed_at changed_by version',
  firm_schemes: 'changed_at changed_by schemes',
  firm_terms: 'changed_at changed_by terms',
  firms: 'next_job_number next_pack_number next_quotation_number',
  house_rules: 'changed_at changed_by rules',
  instruments: 'calibration_due name retired serial',
  jobs: 'answer archived_at assigned_to changed_at due_on due_what fitting_on next_question place revision_id revision_seq route state survey survey_on',
  known_places: 'seen_at',
  log_mappings: 'changed_at mapping',
  mails: 'sent_at state trouble',
  passkeys: 'counter used_at',
  people: 'ended_at may_sign_off name password_hash registration role',
  quotations: 'state',
  submissions: 'reference state tries',
  tasks: 'again attempts claim claimed_until next_at person_id stuck_at trouble',
  uploads: 'received',
};

/** Tables that are nobody's in particular, and why the application's role sees all of them. */
const NO_FIRM = new Map([
  ['session', 'found by a secret id'],
  ['sign_in_counts', 'counts tries of people nobody knows yet'],
  ['server_secrets', 'read once by each instance'],
  ['migrations', 'the owner’s alone'],
  ['setup_codes', 'the owner’s alone: there is no firm yet'],
]);

describe('the database itself keeps firms apart', () => {
  const tables = async (): Promise<{ name: string; secured: boolean; policies: string[]; firm: string | null }[]> => {
    const found = await bench.owner.query<{ name: string; secured: boolean; policies: string[]; firm: string | null }>(
      `SELECT c.relname AS name, c.relrowsecurity AS secured,
              ARRAY(SELECT pg_get_expr(p.polqual, p.polrelid) FROM pg_policy p WHERE p.polrelid = c.oid) AS policies,
              (SELECT a.attname FROM pg_attribute a WHERE a.attrelid = c.oid AND a.attname = 'firm_id') AS firm
         FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace WHERE n.nspname = 'public' AND c.relkind IN ('r', 'p', 'm', 'v', 'f')`,
    );
    return found.rows;
  };

  it('has row security on every table there is, by the firm and nothing else, but for those named', async () => {
    const open = (await tables()).filter(
      ({ name, secured, policies, firm: column }) =>
        !secured ||
        policies.length !== 1 ||
        policies[0] !== `(${name === 'firms' ? 'id' : (column ?? '')} = current_firm())`,
    );
    expect(open.map(({ name }) => name).sort()).toEqual([...NO_FIRM.keys()].sort());
  });

  it('shows nothing without a firm, and nothing of another', async () => {
    for (const { name, firm: column } of (await tables()).filter((each) => !NO_FIRM.has(each.name))) {
      expect((await bench.app.query(`SELECT * FROM ${name}`)).rowCount).toBe(0);
      const seen = await inFirm(bench.app, firm(1), (db) => db.query<Record<string, string>>(`SELECT * FROM ${name}`));
      for (const row of seen.rows) expect(row[column ?? 'id']).toBe(firm(1).firmId);
    }
  });

  it('refuses a row put in for another firm', async () => {
    const insert = inFirm(bench.app, firm(1), (db) =>
      db.query(
        `INSERT INTO revisions (id, firm_id, job_id, seq, person_id, changes) VALUES ($1, $2, $3, 99, $4, '[]')`,
        [randomUUID(), firm(0).firmId, job.id, bench.firms[0]?.personIds[0]],
      ),
    );
    await expect(insert).rejects.toThrow(/row-level security/);
  });

  it('gives the application’s role what it uses and no more', async () => {
    const granted = await bench.owner.query<{ table: string; what: string }>(
      `SELECT table_name AS table, string_agg(DISTINCT privilege_type, ' ' ORDER BY privilege_type) AS what
         FROM information_schema.table_privileges WHERE grantee = 'keen_gauge_app' GROUP BY 1`,
    );
    const columns = await bench.owner.query<{ table: string; columns: string }>(
      `SELECT g.table_name AS table, string_agg(g.column_name, ' ' ORDER BY g.column_name) AS columns
         FROM information_schema.column_privileges g
        WHERE g.grantee = 'keen_gauge_app' AND g.privilege_type = 'UPDATE'
          AND NOT EXISTS (SELECT 1 FROM information_schema.table_privileges t
                           WHERE t.grantee = g.grantee AND t.table_name = g.table_name AND t.privilege_type = 'UPDATE')
        GROUP BY 1`,
    );
    expect(Object.fromEntries(granted.rows.map(({ table, what }) => [table, what]))).toEqual(GRANTED);
    expect(Object.fromEntries(columns.rows.map((row) => [row.table, row.columns]))).toEqual(CHANGED);
    const functions = await bench.owner.query<{ name: string }>(
      `SELECT p.proname AS name FROM pg_proc p JOIN pg_namespace n ON n.oid = p.pronamespace
        WHERE n.nspname = 'public' AND p.prosecdef AND has_function_privilege('keen_gauge_app', p.oid, 'EXECUTE')`,
    );
    expect(functions.rows.map(({ name }) => name).sort()).toEqual([
      'charge_point_by_name',
      'claim_task',
      'erase_job',
      'erase_packs',
      'erase_quotations',
      'firm_of_calendar_feed',
      'firm_of_customer',
      'firm_of_link',
      'firm_of_quotation',
      'firms_to_remind',
      'forget_customers',
      'is_set_up',
      'offer_setup',
      'passkey_for_sign_in',
      'person_for_sign_in',
      'set_up',
      'task_counts',
    ]);
  });

  it.each([
    ['history', 'UPDATE revisions SET seq = 5', /permission denied/],
    ['history', 'DELETE FROM revisions', /permission denied/],
    ['packs', 'UPDATE packs SET reason = $$x$$', /permission denied/],
    ['packs', 'DELETE FROM packs', /permission denied/],
    ['quotations', 'UPDATE quotations SET quote = $$x$$', /permission denied/],
    ['quotations', 'DELETE FROM quotations', /permission denied/],
    ['what a customer answered', 'UPDATE quotation_answers SET name = $$x$$', /permission denied/],
    ['a pack’s files', 'UPDATE pack_files SET pdf = $$x$$', /permission denied/],
    ['jobs', 'DELETE FROM jobs', /permission denied/],
    ['who somebody is', 'UPDATE people SET email = $$x@x.example$$', /permission denied/],
    ['sessions that have ended', 'UPDATE people SET generation = 1', /permission denied/],
    ['a firm’s last supervisor', 'UPDATE people SET ended_at = now()', /keeps a supervisor/],
    ['photographs', 'DELETE FROM photos', /permission denied/],
    ['pictures', 'UPDATE pictures SET bytes = $$x$$', /permission denied/],
    ['what is counted', 'UPDATE firm_storage SET bytes = 0', /permission denied/],
    ['the head of a survey', `UPDATE jobs SET survey = jsonb_set(survey, '{notes}', '"x"')`, /changes with a revision/],
    ['the head of a survey', 'UPDATE jobs SET revision_seq = 7', /changes with a revision/],
    [
      'the head of a survey',
      'UPDATE jobs SET revision_id = gen_random_uuid(), revision_seq = revision_seq + 1',
      /moves to the revision/,
    ],
    ['numbers', 'UPDATE firms SET next_job_number = 1', /counted up by one/],
    ['numbers', 'UPDATE firms SET next_pack_number = next_pack_number + 5', /counted up by one/],
  ])('keeps %s: %s', async (_what, sql, refusal) => {
    await expect(inFirm(bench.app, firm(0), (db) => db.query(sql))).rejects.toThrow(refusal);
  });

  it('keeps what was revoked revoked', async () => {
    const made = (await anna.post('/api/diary/feeds').expect(201)).body as { path: string };
    const { feeds } = (await anna.get('/api/diary/feeds')).body as { feeds: { id: string }[] };
    await anna.delete(`/api/diary/feeds/${feeds.at(-1)?.id ?? ''}`).expect(204);
    await expect(
      inFirm(bench.app, firm(0), (db) =>
        db.query('UPDATE calendar_feeds SET revoked_at = NULL WHERE revoked_at IS NOT NULL'),
      ),
    ).rejects.toThrow(/stays revoked/);
    await bench.anyone().get(made.path).expect(404);
  });

  it('does not let the application step around it', async () => {
    const role = await bench.owner.query(
      "SELECT rolsuper, rolbypassrls, rolcreaterole FROM pg_roles WHERE rolname = 'keen_gauge_app'",
    );
    expect(role.rows).toEqual([{ rolsuper: false, rolbypassrls: false, rolcreaterole: false }]);
    await expect(bench.app.query('SET ROLE postgres')).rejects.toThrow(/permission denied/);
    await expect(bench.app.query('ALTER TABLE jobs DISABLE ROW LEVEL SECURITY')).rejects.toThrow(/owner/);
  });

  it('carries no firm over to the next user of a pooled connection', async () => {
    await inFirm(bench.app, firm(0), (db) => db.query('SELECT 1'));
    expect((await bench.app.query('SELECT * FROM jobs')).rowCount).toBe(0);
  });

  it('takes nothing for stored that was not: a statement that failed within is not passed over', async () => {
    const swallowed = inFirm(bench.app, firm(0), async (db) => {
      await db.query('SELECT 1 / 0').catch(() => undefined);
    });
    await expect(swallowed).rejects.toThrow(/taken back/);
  });
});
