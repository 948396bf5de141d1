import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { readSurvey } from '@keen-gauge/core/survey/opening/read';
import Ajv2020 from 'ajv/dist/2020';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SCENARIOS } from '../demo/scenarios';
import { surveySchema } from './survey-schema';

const validate = new Ajv2020({ strict: false }).compile(surveySchema());
const head = { format: 'keen-gauge-survey', version: 2 };

describe('the survey’s JSON Schema', () => {
  it('is the one in docs/formats (npm run schema writes it)', () => {
    const written = readFileSync(join(__dirname, '../../../docs/formats/survey.schema.json'), 'utf8');
    expect(JSON.parse(written)).toEqual(surveySchema());
  });

  it('accepts every survey of the demo, at every stage', () => {
    for (const { stages } of SCENARIOS) {
      const survey = blankSurvey();
      for (const { change } of stages) {
        change(survey);
        expect({ valid: validate(JSON.parse(JSON.stringify(survey))), errors: validate.errors }).toEqual({
          valid: true,
          errors: null,
        });
      }
    }
  });

  it.each<[string, object]>([
    ['nothing but its head', head],
    ['a starting set', { ...head, loads: STARTING_SETS[0]?.loads }],
    ['another format', { ...head, format: 'x' }],
    ['no version', { format: head.format }],
    ['an unknown field', { ...head, colour: 'red' }],
    ['an unknown field inside', { ...head, place: { colour: 'red' } }],
    ['a word not in the list', { ...head, place: { premises: 'castle' } }],
    ['a negative size', { ...head, loads: [{ id: 'a', class: 'motor', powerW: -1 }] }],
    ['a load without a class', { ...head, loads: [{ id: 'a' }] }],
    ['an id with a space', { ...head, loads: [{ id: 'a b', class: 'motor' }] }],
    ['half a lamp', { ...head, loads: [{ id: 'a', class: 'lighting', quantity: 1.5 }] }],
    ['a list for a part', { ...head, earthing: [] }],
    ['a number in a list of things', { ...head, loads: [5] }],
  ])('agrees with the reader about %s', (_name, document) => {
    const plain = JSON.parse(JSON.stringify(document)) as unknown;
    expect(validate(plain)).toBe('survey' in readSurvey(plain));
  });
});
