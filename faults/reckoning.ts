import type { Pool } from 'pg';
import type { Acknowledged } from './person';

/** What the database has of what was acknowledged, kind by kind. */
export interface Reckoned {
  readonly kind: string;
  readonly acknowledged: number;
  readonly present: number;
  readonly doubled: number;
  readonly lost: number;
}

/** By what a stored thing is found: its own words, so that the same under another id is seen as doubled. */
const FOUND_BY: Readonly<Record<Acknowledged['kind'], string>> = {
  job: 'SELECT id::text AS mark FROM jobs',
  revision: "SELECT changes->0->>'to' AS mark FROM revisions WHERE seq > 0",
  event: "SELECT details->>'note' AS mark FROM job_events",
  pack: 'SELECT k.id::text AS mark FROM packs k JOIN pack_files f ON f.pack_id = k.id',
};

/** Looks for each acknowledged thing: there once, there twice, or not there. */
export async function reckon(owner: Pool, told: readonly Acknowledged[]): Promise<Reckoned[]> {
  const reckoned: Reckoned[] = [];
  for (const [kind, sql] of Object.entries(FOUND_BY)) {
    const found = await owner.query<{ mark: string }>(sql);
    const counts = new Map<string, number>();
    for (const { mark } of found.rows) counts.set(mark, (counts.get(mark) ?? 0) + 1);
    const marks = told.filter((each) => each.kind === kind).map(({ mark }) => mark);
    reckoned.push({
      kind,
      acknowledged: marks.length,
      present: marks.filter((mark) => counts.has(mark)).length,
      doubled: [...counts.values()].filter((times) => times > 1).length,
      lost: marks.filter((mark) => !counts.has(mark)).length,
    });
  }
  return reckoned;
}

/** What else has to hold: numbers given once and without a gap, heads that are what their revisions made, one pack for each revision signed, no work left over. */
export async function brokenLaws(owner: Pool): Promise<string[]> {
  const laws: readonly (readonly [string, string])[] = [
    ['a job’s number is given twice', 'SELECT 1 FROM jobs GROUP BY firm_id, number HAVING count(*) > 1'],
    ['a pack’s number is given twice', 'SELECT 1 FROM packs GROUP BY firm_id, number HAVING count(*) > 1'],
    ['packs’ numbers have a gap', 'SELECT 1 FROM packs GROUP BY firm_id HAVING max(number) <> count(*)'],
    [
      'a head is not what its newest revision made',
      `SELECT 1 FROM jobs j JOIN revisions r ON r.id = j.revision_id
        WHERE r.job_id <> j.id OR r.seq <> j.revision_seq OR (r.seq > 0 AND j.survey->>'notes' IS DISTINCT FROM r.changes->0->>'to')`,
    ],
    ['revisions have a gap', 'SELECT 1 FROM revisions GROUP BY job_id HAVING max(seq) + 1 <> count(*)'],
    ['a task is left over', 'SELECT 1 FROM tasks'],
  ];
  const broken: string[] = [];
  for (const [law, sql] of laws) if ((await owner.query(sql)).rowCount !== 0) broken.push(law);
  return broken;
}
