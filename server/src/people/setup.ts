import { createHash, randomInt } from 'node:crypto';
import type { Pool } from 'pg';
import type { Asker } from '../db/firm-scope';

/** Without what is read wrong: no 0 and O, no 1 and I. */
const SIGNS = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';

/** As typed by somebody who reads it off a screen: small letters, blanks and hyphens count for nothing. */
const digestOf = (code: string): Buffer =>
  createHash('sha256')
    .update(`setup ${code.toUpperCase().replace(/[^0-9A-Z]/g, '')}`)
    .digest();

/** Draws a code to set the server up with, good for a day; undefined where a firm is there already. 80 bits: nobody guesses it in a day. */
export async function offerSetup(pool: Pool): Promise<string | undefined> {
  const code = Array.from({ length: 4 }, () =>
    Array.from({ length: 4 }, () => SIGNS[randomInt(SIGNS.length)]).join(''),
  ).join('-');
  const found = await pool.query<{ offered: boolean }>('SELECT offer_setup($1) AS offered', [digestOf(code)]);
  return found.rows[0]?.offered ? code : undefined;
}

export async function isSetUp(pool: Pool): Promise<boolean> {
  const found = await pool.query<{ is: boolean }>('SELECT is_set_up() AS is');
  return found.rows[0]?.is ?? true;
}

/** Makes the first firm and its supervisor; undefined where the code is none, or a firm is there already. */
export async function setUp(
  pool: Pool,
  code: string,
  first: { readonly firm: string; readonly email: string; readonly name: string; readonly registration: string },
  passwordHash: string,
): Promise<Asker | undefined> {
  const made = await pool.query<Asker>(
    'SELECT firm_id AS "firmId", person_id AS "personId", generation FROM set_up($1, $2, $3, $4, $5, $6)',
    [digestOf(code), first.firm, first.email, first.name, first.registration, passwordHash],
  );
  return made.rows[0];
}
