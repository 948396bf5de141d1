import { isEmail } from 'class-validator';
import { parseArgs } from 'node:util';
import { Pool } from 'pg';
import { drawToken, insertInvitation } from '../people/access-links';

const HOW = `DATABASE_URL=… node dist/server/firm.js --firm "Saltmarsh Electrical" --name "Wren Ashdown" --email wren@saltmarsh.example
Makes a firm in the database at DATABASE_URL and prints the link with which its first supervisor chooses a password. PUBLIC_URL is where the application is.`;

/** What is to be made, or what is wrong with how it was said. */
export function firmAsked(
  args: readonly string[],
): { readonly firm: string; readonly name: string; readonly email: string } | { readonly wrong: string } {
  try {
    const { values } = parseArgs({
      args: [...args],
      options: { firm: { type: 'string' }, name: { type: 'string' }, email: { type: 'string' } },
    });
    const [firm, name, email] = [values.firm, values.name, values.email?.toLowerCase()].map(
      (text) => text?.trim() ?? '',
    );
    if (!firm || firm.length > 100 || !name || name.length > 100)
      return { wrong: '--firm and --name are needed, each of at most 100 characters.' };
    if (!email || !isEmail(email) || email.length > 200) return { wrong: '--email is not an e-mail address.' };
    return { firm, name, email };
  } catch (error) {
    return { wrong: error instanceof Error ? error.message : String(error) };
  }
}

/** Makes a firm, as the database’s owner, with an invitation to its first supervisor; what stands in the link. */
export async function makeInvitedFirm(
  owner: Pool,
  { firm, name, email }: { readonly firm: string; readonly name: string; readonly email: string },
): Promise<string> {
  const db = await owner.connect();
  try {
    await db.query('BEGIN');
    const made = await db.query<{ id: string }>('INSERT INTO firms (name) VALUES ($1) RETURNING id', [firm]);
    const invited = { email, name, role: 'supervisor', maySignOff: true, registration: '' } as const;
    const linkId = await insertInvitation(db, made.rows[0]?.id ?? '', null, invited);
    const token = await drawToken(db, linkId);
    await db.query('COMMIT');
    return token ?? '';
  } catch (error) {
    await db.query('ROLLBACK');
    throw error;
  } finally {
    db.release();
  }
}

/** The command; its exit code. */
export async function runFirm(
  args: readonly string[],
  env: Readonly<Record<string, string | undefined>>,
): Promise<number> {
  const asked = firmAsked(args);
  const { DATABASE_URL: url, PUBLIC_URL: publicUrl = 'http://localhost:4600' } = env;
  if ('wrong' in asked || !url) {
    console.error('wrong' in asked ? asked.wrong : 'DATABASE_URL is not set.');
    console.error(HOW);
    return 2;
  }
  const owner = new Pool({ connectionString: url });
  try {
    const token = await makeInvitedFirm(owner, asked);
    console.log(
      `${asked.firm} is made. For ${asked.name}, once, within seven days:\n${publicUrl.replace(/\/+$/, '')}/link#${token}`,
    );
    return 0;
  } finally {
    await owner.end();
  }
}
