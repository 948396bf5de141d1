import type { LogDay } from '@keen-gauge/core/demand/measured/log-days';
import type { Measurement } from '@keen-gauge/core/survey/measurement';
import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Phase } from '@keen-gauge/core/survey/words/words';
import type { LogDays } from '@keen-gauge/core/trial/log-year';
import { fetchLog, knownMapping } from '../api/logs';
import { LogSession } from '../measured/log-session';

/** The whole days of a log kept with a job on every line of the supply, read as the firm read files of its shape before. Says why where there are none. */
export async function loadLogDays(
  jobId: string,
  { fileId }: Measurement,
  phases: readonly Phase[],
  rules: Rules,
): Promise<LogDays> {
  if (fileId === undefined) throw new Error('The file of this log was not kept.');
  const session = new LogSession();
  try {
    const file = await fetchLog(jobId, fileId);
    const preview = await session.open(file);
    const known = (await knownMapping(preview.shape).catch(() => ({ mapping: null }))).mapping;
    const other = known?.sheet !== undefined && known.sheet !== preview.sheet ? known.sheet : undefined;
    const chosen = other === undefined ? preview : await session.open(file, other);
    const mapping = known ?? chosen.mapping;
    if (!mapping) throw new Error('It is not known how this log is read: open it at the loads and correct it there.');
    await session.analyse(mapping, rules, () => undefined);
    const days: Partial<Record<Phase, readonly LogDay[]>> = {};
    // A line nobody logged is not taken for an empty one.
    for (const phase of phases) {
      const whole = await session.days(phase);
      if (whole.length === 0) throw new Error(`The log has no whole day on ${phase}.`);
      days[phase] = whole;
    }
    return days;
  } finally {
    session.close();
  }
}
