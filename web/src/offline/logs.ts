import { deviceDb, type KeptLog } from './device-db';
import { keeping } from './full';

export async function keepLog(log: KeptLog): Promise<void> {
  await keeping(async () => (await deviceDb()).put('logs', log), log.file.size);
}

export async function forgetLog(id: string): Promise<void> {
  await (await deviceDb()).delete('logs', id);
}

/** The files of logs this person imported that the server does not have. */
export async function keptLogs(personId: string): Promise<KeptLog[]> {
  try {
    return await (await deviceDb()).getAllFromIndex('logs', 'person', personId);
  } catch {
    return [];
  }
}
