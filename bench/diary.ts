import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { Client } from 'pg';
import { openPage } from './browser';
import { quantile, report } from './report';

/** Ten thousand jobs, half of them with a clock running, put in behind the application's back; what reading them costs then. */
export async function benchDiary(base: string): Promise<void> {
  const owner = new Client({ connectionString: process.env['BENCH_OWNER_URL'] ?? '' });
  await owner.connect();
  const { page, close } = await openPage(base);
  try {
    await owner.query(
      `INSERT INTO jobs (id, firm_id, number, place, wanted, created_by, survey, revision_id, route)
       SELECT gen_random_uuid(), p.firm_id, 100000 + n, n || ' ' || (ARRAY['Mill','Weir','Beck','Quern'])[1 + n % 4] || ' Lane, Bench',
              'Vehicle charger', p.id, $1, gen_random_uuid(), 'ask-then-fit'
         FROM generate_series(1, 10000) AS n, (SELECT id, firm_id FROM people ORDER BY email LIMIT 1) AS p`,
      [JSON.stringify(blankSurvey())],
    );
    await owner.query(
      `INSERT INTO job_events (id, firm_id, job_id, kind, day, person_id)
       SELECT gen_random_uuid(), j.firm_id, j.id, 'sent', DATE '2026-11-01' + (j.number % 30), j.created_by
         FROM jobs j WHERE j.number > 100000 AND j.number % 2 = 0`,
    );
    await owner.query(
      `UPDATE jobs SET due_on = DATE '2026-11-15' + (number % 40), due_what = 'reply' WHERE number > 100000 AND number % 2 = 0`,
    );
    await owner.query('ANALYZE');
    // Not through the browser’s own client, which takes longer over a large answer than the server over making it.
    const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
    const timed = async (path: string): Promise<number> => {
      const times: number[] = [];
      for (let at = 0; at < 12; at += 1) {
        const begun = performance.now();
        const answer = await fetch(`${base}${path}`, { headers: { cookie } });
        await answer.arrayBuffer();
        times.push(performance.now() - begun);
        if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
      }
      return quantile(times.slice(2), 0.5);
    };
    report('diary of 5 000 open jobs, request to answer, median', await timed('/api/diary'), 'ms', 150);
    report(
      'search among 10 000 jobs by words, request to answer, median',
      await timed('/api/jobs?search=weir+4321'),
      'ms',
      100,
    );
    report('  by a job’s number', await timed('/api/jobs?search=KG-104321'), 'ms', 100);
    report('  the list unfiltered', await timed('/api/jobs'), 'ms', 100);
    report('  by the next date, page 100', await timed('/api/jobs?order=next&page=99'), 'ms', 100);
    report('  grouped by stage, sorted by person', await timed('/api/jobs?group=stage&order=person'), 'ms', 100);
    report('  late only, with a word', await timed('/api/jobs?late=yes&search=weir'), 'ms', 100);
    await benchFeed(base, cookie);
  } finally {
    await close();
    await owner.end();
  }
}

/** A calendar asking for a diary of ten thousand entries that has never been written, and others meanwhile. */
async function benchFeed(base: string, cookie: string): Promise<void> {
  const made = await fetch(`${base}/api/diary/feeds`, { method: 'POST', headers: { cookie, origin: base } });
  const { path } = (await made.json()) as { path: string };
  const state = { going: true };
  const begun = performance.now();
  const written = feedOf(`${base}${path}`).finally(() => (state.going = false));
  const waits: number[] = [];
  while (state.going) {
    const asked = performance.now();
    await (await fetch(`${base}/api/me`, { headers: { cookie } })).arrayBuffer();
    waits.push(performance.now() - asked);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  const tag = await written;
  console.log(
    `a diary of 5 000 jobs written for calendars: ${((performance.now() - begun) / 1000).toFixed(1)} s, in the background`,
  );
  report('  another request meanwhile, longest', quantile(waits, 1), 'ms', 250);
  const again = performance.now();
  const same = await fetch(`${base}${path}`, { headers: { 'if-none-match': tag } });
  if (same.status !== 304) throw new Error(`asked again it answered ${same.status}`);
  report('  asked again by a calendar that has it', performance.now() - again, 'ms', 50);
}

/** Asks until it has been written; the tag of what came. */
async function feedOf(url: string): Promise<string> {
  for (;;) {
    const answer = await fetch(url);
    await answer.arrayBuffer();
    if (answer.ok) return answer.headers.get('etag') ?? '';
    if (answer.status !== 503) throw new Error(`the feed answered ${answer.status}`);
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
}
