import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { FieldPath } from '@keen-gauge/core/survey/schema/field-path';
import { SURVEY_SCHEMA } from '@keen-gauge/core/survey/schema/survey-schema';
import { wordsOf } from './words-of';

const FIELDS = [...SURVEY_SCHEMA].flatMap(([path, spec]) => {
  const words = wordsOf(path);
  return words ? [{ path, spec, words }] : [];
});

describe('the words of fields', () => {
  it.each(FIELDS.map((each) => [each.path, each] as const))(
    '%s offers exactly what it can hold, in the schema’s own values',
    (_path, { spec, words: { options } }) => {
      if (spec.kind !== 'choice' || !options) {
        if (options) expect(spec.kind).toBe('yes-no');
        return;
      }
      const offered = options.map(({ value }) => value);
      expect(new Set(offered).size).toBe(offered.length);
      expect(spec.choices.map(String)).toEqual(expect.arrayContaining(offered));
    },
  );

  it.each(FIELDS.flatMap(({ path, spec, words: { usual } }) => (usual ? [[path, spec, usual] as const] : [])))(
    '%s has usual figures within its bounds',
    (_path, spec, usual) => {
      if (spec.kind !== 'number') throw new Error('holds no number');
      for (const figure of usual) {
        expect(figure).toBeGreaterThanOrEqual(spec.least);
        expect(figure).toBeLessThanOrEqual(spec.most);
      }
    },
  );

  it('has words for every field that a station draws by them, wherever its path may start', () => {
    const stations = join(__dirname, '../stations');
    const files = readdirSync(stations, { recursive: true, encoding: 'utf8' }).filter(
      (name) => name.endsWith('.tsx') && !name.includes('.test.'),
    );
    const drawn = files.flatMap((name) => {
      const text = readFileSync(join(stations, name), 'utf8');
      const bases = [...text.matchAll(/(?:const path = |readonly )\[([^\]]*)\](?: as const|;| \|)/g)].map(
        ([, base = '']) => keysOf(base),
      );
      if (text.includes('Place<SupplyNode>')) bases.push(['supply', 'nodes']);
      return [...text.matchAll(/<Field path=\{\[(\.\.\.path, )?(.*?)\]\}/g)].flatMap(([, within, keys = '']) =>
        (within === undefined ? [[]] : bases).map((base) => [...base, ...keysOf(keys)].join('.')),
      );
    });
    const inSchema = new Set(drawn.filter((path) => SURVEY_SCHEMA.has(path as FieldPath)));
    expect(inSchema.size).toBeGreaterThan(80);
    expect([...inSchema].filter((path) => !wordsOf(path as FieldPath))).toEqual([]);
  });
});

/** The keys of a path as written: those that are words of the schema and no ids. */
function keysOf(written: string): string[] {
  return [...written.matchAll(/'(\w+)'/g)].map(([, key = '']) => key);
}
