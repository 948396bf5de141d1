import { Pool } from 'pg';
import { prepareDatabase } from './db/prepare';
import { closeThreads } from './heavy/threads';
import { loadDemo } from './demo/load';

/**
 * Brings the database at DATABASE_URL up to date, with `--demo` loads the demo firm if no firm is there yet, and
 * prints the address the application connects with.
 */
async function prepare(): Promise<void> {
  const ownerUrl = process.env['DATABASE_URL'];
  if (!ownerUrl) throw new Error('DATABASE_URL is not set.');
  const appUrl = await prepareDatabase(ownerUrl);
  if (process.argv.includes('--demo')) {
    const [owner, app] = [new Pool({ connectionString: ownerUrl }), new Pool({ connectionString: appUrl })];
    try {
      await loadDemo(owner, app);
    } finally {
      await Promise.all([owner.end(), app.end(), closeThreads()]);
    }
  }
  console.log(appUrl);
}

prepare().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  if (error instanceof Error && error.cause instanceof Error) console.error(error.cause.message);
  process.exit(1);
});
