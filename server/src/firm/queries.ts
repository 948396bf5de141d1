import type { EquipmentProfile } from '@keen-gauge/core/firm/equipment';
import { FirmTerms } from '@keen-gauge/core/firm/option-terms';
import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';

/** The firm's kinds of charging equipment, by name. */
export async function profilesOf(db: PoolClient): Promise<EquipmentProfile[]> {
  const found = await db.query<{ profile: EquipmentProfile }>(
    "SELECT profile FROM equipment_profiles ORDER BY profile->>'name', id",
  );
  return found.rows.map(({ profile }) => profile);
}

/** Adds a profile, or changes the one of that id; one of another firm is not touched and not told of. */
export async function putProfile(db: PoolClient, asker: Actor, id: string, profile: EquipmentProfile): Promise<void> {
  await db.query(
    `INSERT INTO equipment_profiles (id, firm_id, profile, changed_by) VALUES ($1, $2, $3, $4)
     ON CONFLICT (firm_id, id) DO UPDATE SET profile = $3, changed_by = $4, changed_at = now()`,
    [id, asker.firmId, JSON.stringify(profile), asker.personId],
  );
}

/** The firm's own terms; empty where it has set none. */
export async function termsOf(db: PoolClient): Promise<FirmTerms> {
  const found = await db.query<{ terms: FirmTerms }>('SELECT terms FROM firm_terms');
  return found.rows[0]?.terms ?? new FirmTerms();
}

export async function putTerms(db: PoolClient, asker: Actor, terms: FirmTerms): Promise<void> {
  await db.query(
    `INSERT INTO firm_terms (firm_id, terms, changed_by) VALUES ($1, $2, $3)
     ON CONFLICT (firm_id) DO UPDATE SET terms = $2, changed_by = $3, changed_at = now()`,
    [asker.firmId, JSON.stringify(terms), asker.personId],
  );
}
