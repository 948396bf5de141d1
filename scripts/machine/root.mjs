import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout this script belongs to. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..', '..');

/** What a run leaves behind: built stamps, logs, the port and password of the local database. Never committed. */
export const RUN = join(ROOT, '.run');
