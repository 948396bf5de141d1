import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { FirmChecklists } from '@keen-gauge/core/firm/checklists';
import { HouseRules, type OperatorRules } from '@keen-gauge/core/firm/operator-rules';
import { openHouse } from '@keen-gauge/core/firm/stored-house';
import { FirmTerms } from '@keen-gauge/core/firm/option-terms';
import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';

/** Every rule the firm in scope works to, in one read: saves, sign-offs and clocks all begin with it. */
export async function firmRules(db: PoolClient): Promise<FirmRules> {
  const found = await db.query<{
    defaultRulesId: string;
    house: unknown;
    terms: FirmTerms | null;
    checklists: FirmChecklists | null;
    own: OperatorRules[];
  }>(
    `SELECT f.rule_pack_id AS "defaultRulesId", h.rules AS house, t.terms, c.checklists,
            coalesce((SELECT jsonb_agg(newest.pack ORDER BY newest.pack->>'title')
                        FROM (SELECT DISTINCT ON (id) pack FROM operator_packs ORDER BY id, version DESC) newest), '[]') AS own
       FROM firms f LEFT JOIN house_rules h ON h.firm_id = f.id LEFT JOIN firm_terms t ON t.firm_id = f.id
            LEFT JOIN firm_checklists c ON c.firm_id = f.id`,
  );
  const [row] = found.rows;
  return {
    house: row?.house
      ? openHouse(row.house)
      : { ...new HouseRules(), defaultRulesId: row?.defaultRulesId ?? new HouseRules().defaultRulesId },
    own: row?.own ?? [],
    terms: row?.terms ?? new FirmTerms(),
    checklists: row?.checklists ?? new FirmChecklists(),
  };
}

/** Appends a version of a firm’s own rules: the first, or one after the newest; undefined where the id is another firm's. */
export async function addRulesVersion(
  db: PoolClient,
  asker: Actor,
  id: string,
  own: OperatorRules,
): Promise<OperatorRules | undefined> {
  const newest = await db.query<{ version: number | null }>(
    'SELECT max(version) AS version FROM operator_packs WHERE id = $1',
    [id],
  );
  const saved = { ...own, version: (newest.rows[0]?.version ?? 0) + 1 };
  const added = await db.query(
    `INSERT INTO operator_packs (id, version, firm_id, pack, made_by) VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT (firm_id, id, version) DO NOTHING`,
    [id, saved.version, asker.firmId, JSON.stringify(saved), asker.personId],
  );
  return added.rowCount === 1 ? saved : undefined;
}

export interface RulesVersion {
  readonly rules: OperatorRules;
  readonly madeBy: string;
  readonly madeAt: Date;
}

/** Every version of one set of a firm’s own rules, newest first. */
export async function rulesVersions(db: PoolClient, id: string): Promise<RulesVersion[]> {
  const found = await db.query<RulesVersion>(
    `SELECT o.pack AS rules, p.name AS "madeBy", o.made_at AS "madeAt"
       FROM operator_packs o JOIN people p ON p.id = o.made_by WHERE o.id = $1 ORDER BY o.version DESC`,
    [id],
  );
  return found.rows;
}

export async function putHouseRules(db: PoolClient, asker: Actor, house: HouseRules): Promise<void> {
  await db.query(
    `INSERT INTO house_rules (firm_id, rules, changed_by) VALUES ($1, $2, $3)
     ON CONFLICT (firm_id) DO UPDATE SET rules = $2, changed_by = $3, changed_at = now()`,
    [asker.firmId, JSON.stringify(house), asker.personId],
  );
}

export async function putChecklists(db: PoolClient, asker: Actor, checklists: FirmChecklists): Promise<void> {
  await db.query(
    `INSERT INTO firm_checklists (firm_id, checklists, changed_by) VALUES ($1, $2, $3)
     ON CONFLICT (firm_id) DO UPDATE SET checklists = $2, changed_by = $3, changed_at = now()`,
    [asker.firmId, JSON.stringify(checklists), asker.personId],
  );
}
