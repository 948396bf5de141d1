import { NoAnswer, ServerProblem } from '../api/client';
import { sendLog, sendLogAs } from '../api/logs';
import { forgetLog, keepLog, keptLogs } from '../offline/logs';

/** Keeps a log's file with the job at the server, or on this device until there is a connection; under which id. */
export async function sendOrKeepLog(personId: string, jobId: string, file: Blob, name: string): Promise<string> {
  try {
    return await sendLog(jobId, file, name);
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error;
    const id = crypto.randomUUID();
    await keepLog({ id, personId, jobId, name, file });
    return id;
  }
}

/** Sends the files of logs kept here for a job. One the server will not take stays, with why; rejects with NoAnswer where there is no connection. */
export async function sendKeptLogs(personId: string, jobId: string): Promise<void> {
  for (const log of (await keptLogs(personId)).filter((each) => each.jobId === jobId && each.refused === undefined))
    try {
      await sendLogAs(jobId, log.id, log.file, log.name);
      await forgetLog(log.id);
    } catch (error) {
      if (!(error instanceof ServerProblem) || error.status >= 500 || error.status === 401) throw error;
      await keepLog({ ...log, refused: error.detail === '' ? error.title : error.detail });
    }
}
