import { sealedText } from '@keen-gauge/core/pack/sealed-text';
import type { Signature } from '@keen-gauge/core/pack/signature';
import type { Survey } from '@keen-gauge/core/survey/survey';
import type { SigningReasons } from '../../api/packs';
import { keepSignature } from '../../offline/signatures';
import { waitingFor } from '../../photos/waiting';

/** The SHA-256 of a text, in hexadecimal. Needs a secure page. */
export async function sha256(text: string): Promise<string> {
  const bytes = new Uint8Array(await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text)));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** Fixes a survey as it stands on this device, with time and fingerprint: it becomes a numbered pack at the next contact. Rejects where this browser keeps nothing. */
export async function signHere(
  of: { readonly packId: string; readonly jobId: string; readonly personId: string; readonly survey: Survey },
  { reason, reasons }: SigningReasons,
  signature: Signature,
  now = new Date(),
): Promise<void> {
  const text = sealedText(of.survey);
  if (text === undefined) throw new Error('The survey has a fault: put it right first.');
  const photos = await waitingFor(of.personId, of.jobId);
  await keepSignature({
    id: of.packId,
    personId: of.personId,
    jobId: of.jobId,
    at: now.toISOString(),
    fingerprint: await sha256(text),
    photos: photos.filter(({ refused }) => refused === undefined).map(({ id }) => id),
    reason,
    reasons,
    signature,
  });
}
