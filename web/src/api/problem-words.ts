import { ServerProblem } from './client';

/** What went wrong, with every field the server named, in words; nothing typed is ever lost by it. */
export function problemWords(failed: unknown): string {
  if (!(failed instanceof ServerProblem)) return 'The server did not answer. Nothing typed is lost.';
  const faults = failed.faults.map(({ path, wrong, expected }) => `${path} ${wrong}; ${expected} is expected.`);
  return [`${failed.title}. ${failed.detail}`, ...faults].join(' ');
}
