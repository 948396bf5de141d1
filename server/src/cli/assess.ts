import { assess } from '@keen-gauge/core/assess';
import type { Assessment } from '@keen-gauge/core/assessment';
import { measurementOf } from '@keen-gauge/core/demand/measured/summary';
import { lookList } from '@keen-gauge/core/look-list';
import { guardTable } from '@keen-gauge/core/options/guard-table';
import { options } from '@keen-gauge/core/options/options';
import { playedPool } from './pool';
import { printedSite } from './site';
import { whatWouldChange } from '@keen-gauge/core/options/what-would-change';
import { ruleSet, RULE_SETS } from '@keen-gauge/core/rules/catalogue';
import type { Rules } from '@keen-gauge/core/rules/rules';
import { isCharger } from '@keen-gauge/core/survey/words/kinds';
import { readSurvey } from '@keen-gauge/core/survey/opening/read';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { isUtf8 } from 'node:buffer';
import { readFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { parseArgs } from 'node:util';
import { analyseFile, type LogReport } from './log-file';

const USAGE =
  'usage: npm run -s assess -- FILE.json [--rules ID] [--log LOGFILE] [--cars SEEDS] [--site SEEDS]   (- reads standard input)';

/** Larger than any survey, small enough not to hurt. */
const MOST_BYTES = 20_000_000;

/** Something wrong with what was handed in: one line a fault on standard error, exit status 2. */
class Refusal extends Error {
  constructor(readonly lines: readonly string[]) {
    super(lines.join('\n'));
  }
}

const refuse = (line: string): never => {
  throw new Refusal([line]);
};

async function parsed(file: string): Promise<unknown> {
  const bytes = await (file === '-' ? buffer(process.stdin) : readFile(file)).catch((error: unknown) =>
    refuse(
      `$: cannot be read (${error instanceof Error && 'code' in error ? String(error.code) : 'error'}); expected a file`,
    ),
  );
  if (bytes.length > MOST_BYTES) refuse(`$: is ${bytes.length} bytes; expected at most ${MOST_BYTES}`);
  if (!isUtf8(bytes)) refuse('$: is not UTF-8 text; expected UTF-8 JSON');
  try {
    return JSON.parse(bytes.toString('utf8').replace(/^\uFEFF/, '')) as unknown;
  } catch (error) {
    return refuse(
      `$: is not JSON (${error instanceof Error ? error.message.replaceAll('\n', ' ') : 'error'}); expected JSON`,
    );
  }
}

async function logOf(path: string, rules: Rules): Promise<LogReport> {
  try {
    return await analyseFile(path, rules);
  } catch (error) {
    return refuse(
      `--log: ${error instanceof Error ? error.message : 'cannot be read'}; expected a log of amperes, watts or energy`,
    );
  }
}

/** An id no measurement of the survey has. */
function freshLogId({ measurements }: Survey): string {
  const taken = new Set(measurements.map(({ id }) => id));
  for (let at = 1; ; at += 1) if (!taken.has(`log-${at}`)) return `log-${at}`;
}

/** What is left to look at and ask, by place, in the order that saves steps. */
function stopsOf(survey: Survey, assessment: Assessment): object[] {
  return lookList(survey, assessment).map(({ name, questions }) => ({
    name,
    questions: questions.map(({ id, title, remedy, subjectId }) => ({ id, title, remedy, subjectId })),
  }));
}

/** How many seeds something is to be played under. */
function seedsOf(option: string, said: string | undefined): number {
  const seeds = Number(said ?? 0);
  if (!Number.isInteger(seeds) || seeds < 0 || seeds > 100)
    throw new Refusal([`${option}: is "${said ?? ''}"; expected a whole number of seeds from 0 to 100`]);
  return seeds;
}

function siteOf(survey: Survey, assessment: Assessment, rules: Rules, seeds: number): { readonly site?: object } {
  const site = printedSite(survey, assessment, rules, seeds);
  return site === null ? {} : { site };
}

async function main(): Promise<void> {
  let asked;
  try {
    asked = parseArgs({
      options: {
        rules: { type: 'string' },
        log: { type: 'string' },
        cars: { type: 'string' },
        site: { type: 'string' },
      },
      allowPositionals: true,
    });
  } catch (error) {
    throw new Refusal([error instanceof Error ? error.message : 'unknown option', USAGE]);
  }
  const [file, ...others] = asked.positionals;
  if (file === undefined || others.length > 0) throw new Refusal([USAGE]);
  const id = asked.values.rules ?? RULE_SETS[0]?.id ?? '';
  const rules = ruleSet(id);
  if (!rules)
    throw new Refusal([`--rules: is "${id}"; expected one of ${RULE_SETS.map((each) => each.id).join(', ')}`]);
  const seeds = seedsOf('--cars', asked.values.cars);
  const siteSeeds = seedsOf('--site', asked.values.site);
  const read = readSurvey(await parsed(file));
  if ('faults' in read)
    throw new Refusal(read.faults.map(({ path, wrong, expected }) => `${path}: ${wrong}; expected ${expected}`));
  const { survey } = read;
  const log = asked.values.log === undefined ? undefined : await logOf(asked.values.log, rules);
  if (log)
    survey.measurements.push({
      ...measurementOf(log.analysis, freshLogId(survey), log.openDoubts),
      fileName: basename(asked.values.log ?? ''),
    });
  const assessment = assess(survey, rules);
  const printed = {
    ...assessment,
    guards: survey.proposals
      .filter(isCharger)
      .map((each) => ({ proposalId: each.id, ...guardTable(survey, assessment, each, rules) })),
    options: options(survey, rules).map(({ survey: _under, ...option }) => option),
    whatWouldChange: whatWouldChange(survey, rules),
    toLookAt: stopsOf(survey, assessment),
    ...(survey.pool ? { pool: playedPool(survey, assessment, rules, seeds) } : {}),
    ...siteOf(survey, assessment, rules, siteSeeds),
    ...(log ? { log } : {}),
  };
  process.stdout.write(`${JSON.stringify(printed, null, 2)}\n`);
}

// Whoever reads may have had enough: a pipe that is closed is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
});

main().catch((error: unknown) => {
  if (error instanceof Refusal) for (const line of error.lines) console.error(line);
  else console.error(error);
  process.exitCode = error instanceof Refusal ? 2 : 1;
});
