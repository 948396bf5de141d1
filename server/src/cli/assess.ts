import { assess } from '@keen-gauge/core/assess';
import { rulePack, RULE_PACKS } from '@keen-gauge/core/rules/catalogue';
import { readSurvey } from '@keen-gauge/core/survey/read';
import { isUtf8 } from 'node:buffer';
import { readFile } from 'node:fs/promises';
import { buffer } from 'node:stream/consumers';
import { parseArgs } from 'node:util';

const USAGE = 'usage: npm run -s assess -- FILE.json [--rules ID]   (- reads standard input)';

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

async function read(file: string): Promise<unknown> {
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

async function main(): Promise<void> {
  let options;
  try {
    options = parseArgs({ options: { rules: { type: 'string' } }, allowPositionals: true });
  } catch (error) {
    throw new Refusal([error instanceof Error ? error.message : 'unknown option', USAGE]);
  }
  const [file, ...others] = options.positionals;
  if (file === undefined || others.length > 0) throw new Refusal([USAGE]);
  const id = options.values.rules ?? RULE_PACKS[0]?.id ?? '';
  const pack = rulePack(id);
  if (!pack)
    throw new Refusal([`--rules: is "${id}"; expected one of ${RULE_PACKS.map((each) => each.id).join(', ')}`]);
  const reading = readSurvey(await read(file));
  if ('faults' in reading)
    throw new Refusal(reading.faults.map(({ path, wrong, expected }) => `${path}: ${wrong}; expected ${expected}`));
  process.stdout.write(`${JSON.stringify(assess(reading.survey, pack), null, 2)}\n`);
}

main().catch((error: unknown) => {
  if (error instanceof Refusal) for (const line of error.lines) console.error(line);
  else console.error(error);
  process.exitCode = error instanceof Refusal ? 2 : 1;
});
