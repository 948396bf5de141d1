import { assess } from '@keen-gauge/core/assess';
import { JOB_STATES } from '@keen-gauge/core/calendar/job-list';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { readSurvey } from '@keen-gauge/core/survey/opening/read';
import { randomUUID } from 'node:crypto';
import { copyFileSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Client, Pool } from 'pg';
import { loadDemo } from '../demo/load';
import { packArchive, packDocument } from '../packs/queries';
import { inFirm } from './firm-scope';
import { prepareDatabase } from './prepare';

const MIGRATIONS = join(__dirname, 'migrations');

async function emptyDatabase(): Promise<string> {
  const url = new URL(process.env['TEST_DATABASE_URL'] ?? '');
  const admin = new Client({ connectionString: url.toString() });
  await admin.connect();
  url.pathname = `/t_${randomUUID().replaceAll('-', '')}`;
  await admin.query(`CREATE DATABASE ${url.pathname.slice(1)}`);
  await admin.end();
  return url.toString();
}

const [FIRM, PERSON, JOB, REVISION, PACK, SUBMISSION] = Array.from({ length: 6 }, () => randomUUID()) as [
  string,
  string,
  string,
  string,
  string,
  string,
];

/** What a database of before the migrations of one queue had in it: a job signed off and in the outbox, and a picture. */
const OF_BEFORE = `
  INSERT INTO firms (id, name) VALUES ('${FIRM}', 'Before');
  INSERT INTO people (id, firm_id, email, name, role, password_hash) VALUES ('${PERSON}', '${FIRM}', 'b@b.example', 'B', 'surveyor', 'x');
  INSERT INTO jobs (id, firm_id, number, place, wanted, created_by, survey, revision_id, route)
    VALUES ('${JOB}', '${FIRM}', 1, 'x', 'x', '${PERSON}', '{}', '${REVISION}', 'ask-then-fit');
  INSERT INTO revisions (id, firm_id, job_id, seq, person_id, changes) VALUES ('${REVISION}', '${FIRM}', '${JOB}', 0, '${PERSON}', '[]');
  INSERT INTO packs (id, firm_id, job_id, number, revision_id, revision_seq, route, title, survey, assessment, content, pdf, fingerprint,
                     signed_by, signed_at, bundle, pictures)
    VALUES ('${PACK}', '${FIRM}', '${JOB}', 1, '${REVISION}', 0, 'ask-then-fit', 'x', '{}', '{}', '{}', 'pdf', 'x', '${PERSON}', now(), 'zip', '[{"name": "n", "key": "k"}]');
  INSERT INTO submissions (id, firm_id, job_id, pack_id, area, asked_by, attempts) VALUES ('${SUBMISSION}', '${FIRM}', '${JOB}', '${PACK}', '10', '${PERSON}', 3);
  INSERT INTO pictures (firm_id, key, bytes) VALUES ('${FIRM}', 'k', 'picture');
`;

describe('preparing a database', () => {
  it('may be done by several instances at once, and again: each migration runs once, all get the same address', async () => {
    const url = await emptyDatabase();
    const addresses = await Promise.all([1, 2, 3].map(() => prepareDatabase(url, MIGRATIONS)));
    addresses.push(await prepareDatabase(url, MIGRATIONS));
    expect(new Set(addresses).size).toBe(1);
    const client = new Client({ connectionString: url });
    await client.connect();
    const run = await client.query<{ name: string }>('SELECT name FROM migrations');
    expect(run.rows.map(({ name }) => name)).toEqual([
      '001_foundations.sql',
      '002_photographs.sql',
      '003_logs.sql',
      '004_charge_points.sql',
      '005_firm_own.sql',
      '006_pack_bundle.sql',
      '007_job_events.sql',
      '008_audit.sql',
      '009_calendar_feeds.sql',
      '010_rules.sql',
      '011_submissions.sql',
      '012_checklists.sql',
      '013_pack_pictures.sql',
      '014_job_place.sql',
      '015_job_answer.sql',
      '016_access.sql',
      '017_tasks.sql',
      '018_storage_and_answers.sql',
      '019_found_by.sql',
      '020_job_list.sql',
      '021_pack_of_supply.sql',
      '022_people_and_mail.sql',
      '023_customer.sql',
      '024_passkeys.sql',
      '025_reminders.sql',
      '026_erasure.sql',
      '027_prices_and_quotations.sql',
    ]);
    await client.end();
  });

  it('brings a database of before along: packs with their files to the byte, what was in the outbox, everybody’s work', async () => {
    const url = await emptyDatabase();
    const before = mkdtempSync(join(tmpdir(), 'migrations-'));
    for (const name of readdirSync(MIGRATIONS))
      if (name < '016') copyFileSync(join(MIGRATIONS, name), join(before, name));
    await prepareDatabase(url, before);
    const owner = new Pool({ connectionString: url });
    await owner.query(OF_BEFORE);
    const app = new Pool({ connectionString: await prepareDatabase(url, MIGRATIONS) });
    const firm = { firmId: FIRM };
    const archive = await inFirm(app, firm, (db) => packArchive(db, PACK));
    expect(archive).toMatchObject({
      bundle: Buffer.from('zip'),
      pdf: { bytes: Buffer.from('pdf') },
      pictures: [{ key: 'k' }],
    });
    expect(await inFirm(app, firm, (db) => packDocument(db, PACK))).toEqual(Buffer.from('pdf'));
    const tasks = await owner.query('SELECT kind, about, attempts FROM tasks ORDER BY kind');
    expect(tasks.rows).toEqual([
      { kind: 'hand-in', about: SUBMISSION, attempts: 3 },
      // What the list of jobs is ordered by is worked out once for every job.
      { kind: 'resummarise', about: FIRM, attempts: 0 },
    ]);
    const stored = await owner.query('SELECT bytes::int FROM firm_storage');
    expect(stored.rows).toEqual([{ bytes: 7 }]);
    const people = await owner.query('SELECT generation, ended_at FROM people');
    expect(people.rows).toEqual([{ generation: 1, ended_at: null }]);
    await Promise.all([owner.end(), app.end()]);
    rmSync(before, { recursive: true });
  });

  it('loads the demo once: a week of jobs at every stage, some late, every survey valid, none signed with anything missing', async () => {
    const url = await emptyDatabase();
    const [owner, app] = [
      new Pool({ connectionString: url }),
      new Pool({ connectionString: await prepareDatabase(url, MIGRATIONS) }),
    ];
    await loadDemo(owner, app);
    await loadDemo(owner, app);
    const jobs = await owner.query<{ survey: unknown; state: string; route: string }>(
      'SELECT survey, state, route FROM jobs',
    );
    expect(jobs.rows.length).toBeGreaterThanOrEqual(24);
    expect(new Set(jobs.rows.map(({ state }) => state))).toEqual(new Set(JOB_STATES));
    const late = await owner.query("SELECT 1 FROM jobs WHERE state <> 'closed' AND due_on < current_date");
    expect(late.rowCount).toBeGreaterThan(1);
    for (const { survey, route } of jobs.rows) {
      const read = readSurvey(survey);
      expect('survey' in read && assess(read.survey, gbDefault).route.way).toBe(route);
    }
    expect((await owner.query('SELECT 1 FROM people')).rowCount).toBe(4);
    const packs = await owner.query<{ reason: string | null }>('SELECT reason FROM packs');
    expect(packs.rows.length).toBeGreaterThan(8);
    expect(packs.rows.filter(({ reason }) => reason !== null)).toEqual([]);
    await Promise.all([owner.end(), app.end()]);
    // Twenty-seven jobs with their photographs and packs: a machine four times slower takes minutes.
  }, 240_000);
});
