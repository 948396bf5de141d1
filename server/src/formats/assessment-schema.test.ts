import { assess } from '@keen-gauge/core/assess';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import Ajv2020 from 'ajv/dist/2020';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SCENARIOS } from '../demo/scenarios';

const schema = JSON.parse(
  readFileSync(join(__dirname, '../../../docs/formats/assessment.schema.json'), 'utf8'),
) as object;
const validate = new Ajv2020({ strict: false, allErrors: true }).compile(schema);
const plain = (value: unknown): Record<string, unknown> => JSON.parse(JSON.stringify(value)) as Record<string, unknown>;

describe('the assessment’s JSON Schema', () => {
  it('describes the assessment of every demo job at every stage', () => {
    for (const { stages } of SCENARIOS) {
      const survey = blankSurvey();
      for (const { change } of [{ change: () => undefined }, ...stages]) {
        change(survey);
        validate(plain(assess(survey, gbDefault)));
        expect(validate.errors).toBeNull();
      }
    }
  });

  it.each<[string, (found: ReturnType<typeof plain>) => void]>([
    ['another version', (found) => (found['version'] = 1)],
    ['a verdict without grounds', (found) => (found['verdicts'] = [{ id: 'fuse', name: 'x', answer: true, why: '' }])],
    ['an answer that is none', (found) => ((found['supply'] as Record<string, unknown>)['ratingEstablished'] = 'yes')],
    ['a way there is not', (found) => ((found['route'] as Record<string, unknown>)['way'] = 'fit')],
  ])('refuses %s', (_name, spoil) => {
    const found = plain(assess(blankSurvey(), gbDefault));
    expect(validate(found)).toBe(true);
    spoil(found);
    expect(validate(found)).toBe(false);
  });
});
