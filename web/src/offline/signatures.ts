import { deviceDb, type KeptSignature } from './device-db';
import { keeping } from './full';

export async function keepSignature(signature: KeptSignature): Promise<void> {
  await keeping(async () => (await deviceDb()).put('signatures', signature));
}

export async function forgetSignature(id: string): Promise<void> {
  await (await deviceDb()).delete('signatures', id);
}

/** What this person signed here that has not become a pack yet, oldest first. */
export async function keptSignatures(personId: string): Promise<KeptSignature[]> {
  try {
    const found = await (await deviceDb()).getAllFromIndex('signatures', 'person', personId);
    return found.sort((a, b) => a.at.localeCompare(b.at));
  } catch {
    return [];
  }
}
