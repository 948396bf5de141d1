import { makeJob, testBench, type MadeJob, type TestBench } from '../testing/bench';
import { inFirm } from './firm-scope';

let bench: TestBench;
let job: MadeJob;

beforeAll(async () => {
  bench = await testBench();
  job = await makeJob(await bench.as('anna@a.example'));
});
afterAll(() => bench.close());

const firm = (index: number) => ({
  firmId: bench.firms[index]?.firmId ?? '',
  personId: bench.firms[index]?.personIds[0] ?? '',
});

describe('what a firm owns is invisible to another', () => {
  it.each([
    ['get', ''],
    ['get', '/survey'],
    ['get', '/survey/revisions'],
    ['get', '/packs'],
  ] as const)('%s job%s', async (method, path) => {
    const own = await bench.as('alan@a.example');
    await own[method](`/api/jobs/${job.id}${path}`).expect(200);
    const other = await bench.as('bea@b.example');
    const refused = await other[method](`/api/jobs/${job.id}${path}`).expect(404);
    expect(refused.headers['content-type']).toContain('application/problem+json');
  });

  it('cannot be written to: saving and signing off are not found', async () => {
    const other = await bench.as('bea@b.example');
    await other
      .post(`/api/jobs/${job.id}/survey/revisions`)
      .send({
        id: crypto.randomUUID(),
        parentId: job.revisionId,
        changes: [{ kind: 'set', path: ['notes'], to: 'hello' }],
      })
      .expect(404);
    await other.post(`/api/jobs/${job.id}/packs`).send({ revisionId: job.revisionId, reason: 'x' }).expect(404);
  });

  it('is in nobody else’s list, however searched for', async () => {
    const other = await bench.as('bea@b.example');
    expect((await other.get('/api/jobs').expect(200)).body).toEqual({ jobs: [], total: 0 });
    expect((await other.get('/api/jobs?search=Test').expect(200)).body).toEqual({ jobs: [], total: 0 });
  });

  it('cannot be taken over by making a job of the same id', async () => {
    const other = await bench.as('bea@b.example');
    const refused = await other.post('/api/jobs').send({ id: job.id, place: 'x', wanted: 'y' }).expect(409);
    expect(JSON.stringify(refused.body)).not.toContain('Test Lane');
  });
});

describe('the database itself keeps firms apart', () => {
  it.each([
    'firms',
    'people',
    'jobs',
    'revisions',
    'packs',
    'photos',
    'pictures',
    'uploads',
    'upload_parts',
    'instruments',
    'logs',
    'log_mappings',
    'charge_points',
    'charge_point_samples',
    'charge_point_calls',
    'equipment_profiles',
    'firm_terms',
    'job_events',
    'audit_entries',
    'calendar_feeds',
    'house_rules',
    'operator_packs',
    'submissions',
    'submission_messages',
    'event_attachments',
    'firm_checklists',
  ])('%s: nothing without a firm, nothing of another', async (table) => {
    expect((await bench.app.query(`SELECT * FROM ${table}`)).rowCount).toBe(0);
    const seen = await inFirm(bench.app, firm(1), (db) => db.query(`SELECT * FROM ${table}`));
    const column = table === 'firms' ? 'id' : 'firm_id';
    for (const row of seen.rows as Record<string, string>[]) expect(row[column]).toBe(firm(1).firmId);
  });

  it('refuses a row put in for another firm', async () => {
    const insert = inFirm(bench.app, firm(1), (db) =>
      db.query(
        `INSERT INTO revisions (id, firm_id, job_id, seq, person_id, changes) VALUES ($1, $2, $3, 99, $4, '[]')`,
        [crypto.randomUUID(), firm(0).firmId, job.id, firm(0).personId],
      ),
    );
    await expect(insert).rejects.toThrow(/row-level security/);
  });

  it.each([
    'UPDATE revisions SET seq = 5',
    'DELETE FROM revisions',
    'UPDATE packs SET reason = $$x$$',
    'DELETE FROM packs',
    'DELETE FROM jobs',
    'UPDATE people SET may_sign_off = true',
    'DELETE FROM photos',
    'UPDATE pictures SET bytes = $$x$$',
  ])('keeps history: %s is denied', async (sql) => {
    await expect(inFirm(bench.app, firm(0), (db) => db.query(sql))).rejects.toThrow(/permission denied/);
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
});
