import { assess } from '@keen-gauge/core/assess';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { readSurvey } from '@keen-gauge/core/survey/read';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { Client, Pool } from 'pg';
import { loadDemo } from '../demo/load';
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
    ]);
    await client.end();
  });

  it('loads the demo once: ten jobs at different stages, every survey valid, one signed off', async () => {
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
    expect(jobs.rows).toHaveLength(10);
    expect(new Set(jobs.rows.map(({ state }) => state))).toEqual(new Set(['to-survey', 'surveying', 'signed-off']));
    for (const { survey, route } of jobs.rows) {
      const reading = readSurvey(survey);
      expect('survey' in reading && assess(reading.survey, gbDefault).route.way).toBe(route);
    }
    expect((await owner.query('SELECT 1 FROM people')).rowCount).toBe(4);
    expect((await owner.query('SELECT reason FROM packs')).rows).toEqual([{ reason: null }]);
    await Promise.all([owner.end(), app.end()]);
  });
});
