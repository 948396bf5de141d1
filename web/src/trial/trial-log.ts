import type { LogDay } from '@keen-gauge/core/demand/measured/log-days';
import type { Measurement } from '@keen-gauge/core/survey/measurement';
import type { RulePack } from '@keen-gauge/core/rules/rule-pack';
import type { Phase } from '@keen-gauge/core/survey/words';
import { fetchLog, knownMapping } from '../api/logs';
import { LogSession } from '../measured/log-session';

/** The whole days of a log kept with a job, read as the firm read files of its shape before. Says why where there are none. */
export async function loadLogDays(
  jobId: string,
  { fileId }: Measurement,
  phase: Phase,
  pack: RulePack,
): Promise<LogDay[]> {
  if (fileId === undefined) throw new Error('The file of this log was not kept.');
  const session = new LogSession();
  try {
    const preview = await session.open(await fetchLog(jobId, fileId));
    const mapping = (await knownMapping(preview.shape).catch(() => ({ mapping: null }))).mapping ?? preview.mapping;
    if (!mapping) throw new Error('It is not known how this log is read: open it at the loads and correct it there.');
    await session.analyse(mapping, pack, () => undefined);
    const days = await session.days(phase);
    if (days.length === 0) throw new Error(`The log has no whole day on ${phase}.`);
    return days;
  } finally {
    session.close();
  }
}
