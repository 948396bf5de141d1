import type { PackContent } from '@keen-gauge/core/pack/compose';
import type { PoolClient } from 'pg';
import { bytesOf } from '../db/bytes';
import type { Actor } from '../db/firm-scope';
import { packNumber } from '../jobs/numbers';
import type { StoredBundle } from './bundle';
import type { Making } from './make-files';

export interface PackRow {
  readonly id: string;
  readonly number: number;
  readonly revisionSeq: number;
  readonly route: string;
  readonly title: string;
  readonly fingerprint: string;
  readonly signedBy: string;
  readonly signedAt: Date;
  readonly reason: string | null;
  /** Of one supply of a building: the node of its own fuse, and what it is called. Null where it is of the whole survey. */
  readonly supplyId: string | null;
  readonly supplyName: string | null;
  /** Its document and archive have been made. */
  readonly made: boolean;
}

const COLUMNS = `k.id, k.number, k.revision_seq AS "revisionSeq", k.route, k.title, k.fingerprint,
  p.name AS "signedBy", k.signed_at AS "signedAt", k.reason,
  k.supply_id AS "supplyId", k.supply_name AS "supplyName",
  EXISTS (SELECT 1 FROM pack_files f WHERE f.pack_id = k.id) AS made`;

/** A job's packs, newest first. */
export async function packsOf(db: PoolClient, jobId: string): Promise<PackRow[]> {
  const found = await db.query<PackRow>(
    `SELECT ${COLUMNS} FROM packs k JOIN people p ON p.id = k.signed_by WHERE k.job_id = $1 ORDER BY k.number DESC`,
    [jobId],
  );
  return found.rows;
}

/** Of packs that are listed newest first, the newest of the whole survey and of each supply: those that count. */
export function newestOfEach(packs: readonly PackRow[]): PackRow[] {
  return packs.filter(({ supplyId }, at) => packs.findIndex((each) => each.supplyId === supplyId) === at);
}

export async function packById(db: PoolClient, id: string): Promise<PackRow | undefined> {
  const found = await db.query<PackRow>(
    `SELECT ${COLUMNS} FROM packs k JOIN people p ON p.id = k.signed_by WHERE k.id = $1`,
    [id],
  );
  return found.rows[0];
}

/** The survey of a pack, to the letter. */
export async function packSurvey(
  db: PoolClient,
  id: string,
): Promise<{ readonly number: number; readonly survey: string } | undefined> {
  const found = await db.query<{ number: number; survey: string }>('SELECT number, survey FROM packs WHERE id = $1', [
    id,
  ]);
  return found.rows[0];
}

/** What of a pack has been made: nothing yet, or its document and perhaps an archive, which one signed before there were any does not have. */
export interface PackMade {
  readonly number: number;
  readonly signedAt: Date;
  readonly made: boolean;
  readonly hasArchive: boolean;
  readonly pictures: StoredBundle['pictures'];
}

export async function packMade(db: PoolClient, id: string): Promise<PackMade | undefined> {
  const found = await db.query<PackMade>(
    `SELECT k.number, k.signed_at AS "signedAt", f.pack_id IS NOT NULL AS made, f.bundle IS NOT NULL AS "hasArchive",
            coalesce(f.pictures, '[]') AS pictures
       FROM packs k LEFT JOIN pack_files f ON f.pack_id = k.id WHERE k.id = $1`,
    [id],
  );
  return found.rows[0];
}

/** A pack's document; undefined while it is being made. */
export function packDocument(db: PoolClient, id: string): Promise<Buffer | undefined> {
  return bytesOf(db, 'pdf', 'pack_files WHERE pack_id = $1', id);
}

/** A pack's archive as it is stored; undefined while it is being made, or where there is none. */
export async function packArchive(db: PoolClient, id: string): Promise<StoredBundle | undefined> {
  const made = await packMade(db, id);
  if (!made?.hasArchive) return undefined;
  const bundle = await bytesOf(db, 'bundle', 'pack_files WHERE pack_id = $1', id);
  const pdf = await packDocument(db, id);
  const { number, pictures, signedAt } = made;
  return bundle && pdf && { bundle, pdf: { name: `${packNumber(number)}.pdf`, bytes: pdf }, pictures, signedAt };
}

/** Adds what was made of a pack; what is there already stays, since it was made of the same. */
export async function insertPackFiles(
  db: PoolClient,
  firmId: string,
  made: {
    readonly packId: string;
    readonly pdf: Buffer;
    readonly bundle: Buffer;
    readonly pictures: StoredBundle['pictures'];
  },
): Promise<void> {
  await db.query(
    `INSERT INTO pack_files (pack_id, firm_id, pdf, bundle, pictures) VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT (pack_id) DO NOTHING`,
    [made.packId, firmId, made.pdf, made.bundle, JSON.stringify(made.pictures)],
  );
}

/** What a pack's document says, as it was composed. */
export async function packContent(db: PoolClient, id: string): Promise<PackContent | undefined> {
  const found = await db.query<{ content: PackContent }>('SELECT content FROM packs WHERE id = $1', [id]);
  return found.rows[0]?.content;
}

/** The next number of the firm's packs; held until the transaction ends. */
export async function takePackNumber(db: PoolClient, firmId: string): Promise<number> {
  const taken = await db.query<{ number: number }>(
    'UPDATE firms SET next_pack_number = next_pack_number + 1 WHERE id = $1 RETURNING next_pack_number - 1 AS number',
    [firmId],
  );
  return taken.rows[0]?.number ?? 0;
}

export interface NewPack {
  readonly id: string;
  readonly jobId: string;
  readonly number: number;
  readonly revisionId: string;
  readonly revisionSeq: number;
  readonly route: string;
  /** The survey as it is downloaded and fingerprinted, to the letter. */
  readonly surveyText: string;
  readonly assessment: object;
  readonly content: PackContent;
  readonly making: Making;
  readonly fingerprint: string;
  readonly signedAt: string;
  readonly reason: string | null;
  readonly supply: { readonly id: string; readonly name: string } | null;
}

/** Stores a pack, which nothing changes afterwards, and marks the job signed off; a closed one stays closed. */
export async function insertPack(db: PoolClient, asker: Actor, pack: NewPack): Promise<void> {
  await db.query(
    `INSERT INTO packs (id, firm_id, job_id, number, revision_id, revision_seq, route, title, survey, assessment,
                        content, making, fingerprint, signed_by, signed_at, reason, supply_id, supply_name)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18)`,
    [
      pack.id,
      asker.firmId,
      pack.jobId,
      pack.number,
      pack.revisionId,
      pack.revisionSeq,
      pack.route,
      pack.content.title,
      pack.surveyText,
      JSON.stringify(pack.assessment),
      JSON.stringify(pack.content),
      JSON.stringify(pack.making),
      pack.fingerprint,
      asker.personId,
      pack.signedAt,
      pack.reason,
      pack.supply?.id ?? null,
      pack.supply?.name ?? null,
    ],
  );
  await db.query(
    "UPDATE jobs SET state = CASE state WHEN 'closed' THEN state ELSE 'signed-off' END, changed_at = now() WHERE id = $1",
    [pack.jobId],
  );
}
