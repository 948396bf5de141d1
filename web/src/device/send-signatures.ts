import { ServerProblem } from '../api/client';
import { signOff } from '../api/packs';
import { readHead } from '../api/surveys';
import { waitingFor } from '../photos/waiting';
import { forgetSignature, keepSignature, keptSignatures } from '../offline/signatures';

/**
 * Whether no signature of the job waits for a decision. One the server will not take stays, with why, and is tried again only where somebody asks for it; all wait
 * until the pictures have gone, which the pack is to have. Rejects with NoAnswer where there is no connection.
 */
export async function sendSignatures(personId: string, jobId: string, again: boolean): Promise<boolean> {
  const pictures = await waitingFor(personId, jobId);
  if (pictures.some(({ refused }) => refused === undefined)) return true;
  let all = true;
  for (const kept of (await keptSignatures(personId)).filter((each) => each.jobId === jobId)) {
    if (kept.problem !== undefined && !again) {
      all = false;
      continue;
    }
    const { id, at, fingerprint, photos, reason, reasons, signature } = kept;
    try {
      // Signed as it stands there now: the server says whether that is what was signed.
      const { revisionId } = await readHead(jobId);
      await signOff(jobId, { id, revisionId }, { reason, reasons }, signature, { at, fingerprint, photos });
      await forgetSignature(id);
    } catch (error) {
      if (!(error instanceof ServerProblem) || error.status >= 500 || error.status === 401) throw error;
      await keepSignature({ ...kept, problem: error.detail === '' ? error.title : error.detail });
      all = false;
    }
  }
  return all;
}
