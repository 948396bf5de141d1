import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { assess } from '../../assess';
import { gbDefault } from '../../rules/gb-default';
import { settledSurvey } from '../../testing/settled-survey';
import { SURVEY_VERSION, type Survey } from '../survey';
import { openStored, Unreadable } from './open-stored';
import { plainSurvey, readSurvey } from './read';
import { STEPS } from './upgrade';

const FIXTURES = join(__dirname, 'fixtures');
const fixture = (name: string): unknown => JSON.parse(readFileSync(join(FIXTURES, name), 'utf8'));

describe('opening what was stored', () => {
  it('has a step for every version but the present one, each with a name of its own, and a fixture of every former one', () => {
    expect(STEPS.map(({ from }) => from)).toEqual(Array.from({ length: SURVEY_VERSION - 1 }, (_, at) => at + 1));
    expect(new Set(STEPS.map(({ name }) => name)).size).toBe(STEPS.length);
    const kept = readdirSync(FIXTURES).map((name) => Number(/^v(\d+)-/.exec(name)?.[1]));
    expect([...new Set(kept)].sort()).toEqual(STEPS.map(({ from }) => from));
  });

  it.each(readdirSync(FIXTURES))('%s opens at the present version, can be read and reckoned', (name) => {
    const survey = openStored(fixture(name));
    expect(survey.version).toBe(SURVEY_VERSION);
    expect(readSurvey(JSON.parse(JSON.stringify(survey)))).toHaveProperty('survey');
    expect(assess(survey, gbDefault).route.way).not.toBe('fit-then-notify');
  });

  it('keeps what was said: of three with two ids the first two ids stay, and the one between takes a free number', () => {
    const survey = openStored(fixture('v1-ids-twice.json'));
    expect(survey.trials?.[0]?.loads?.map(({ id, count }) => [id, count])).toEqual([
      ['shower', 1],
      ['shower-2', 2],
      ['shower-2-2', 3],
    ]);
    expect(survey.proposals[0]?.limiter.test?.places).toMatchObject([
      { id: 'board-L1', knownLoadA: 10 },
      { id: 'board-L1-2', knownLoadA: 12 },
    ]);
    expect(survey.after?.ticks?.map(({ text }) => text)).toEqual(['t', 'u']);
  });

  it('puts lists that did not exist yet in as empty ones', () => {
    expect(openStored(fixture('v1-before-photographs.json'))).toMatchObject({
      readings: [],
      photos: [],
      measurements: [],
    });
    expect(openStored(fixture('v1-before-logs.json'))).toMatchObject({ measurements: [], readings: [{ id: 'r1' }] });
  });

  it('takes one of the present version as it is, without reading it again', () => {
    const stored = plainSurvey(settledSurvey());
    expect(openStored(stored)).toBe(stored);
  });

  it.each<[string, unknown]>([
    ['nothing', undefined],
    ['a list', []],
    ['another format', { format: 'else', version: 1 }],
    ['a version to come', { format: 'keen-gauge-survey', version: SURVEY_VERSION + 1 }],
    ['a former one with a fault in it', { ...(fixture('v1-before-logs.json') as Survey), loads: 'none' }],
  ])('of %s it says what is wrong, and makes nothing up', (_what, document) => {
    expect(() => openStored(document)).toThrow(Unreadable);
  });
});
