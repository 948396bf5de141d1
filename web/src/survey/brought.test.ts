import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openStored } from '@keen-gauge/core/survey/opening/open-stored';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { SURVEY_VERSION, type Survey } from '@keen-gauge/core/survey/survey';
import { brought } from './brought';

const FIXTURES = join(__dirname, '../../../core/src/survey/opening/fixtures');
const fixture = (name: string): Survey => JSON.parse(readFileSync(join(FIXTURES, name), 'utf8')) as Survey;
const former = fixture('v1-before-photographs.json');
const pending = { id: 'sent', parentId: 'r1', changes: [] };

describe('typing kept on the device', () => {
  it('of the present version is taken up as it was left, with what was on its way', () => {
    const survey = blankSurvey();
    const kept = { base: survey, document: survey, conflicts: [], pending };
    expect(brought(kept)).toEqual(kept);
  });

  it('of a former version is brought to the present; what was on its way goes as new typing instead', () => {
    const document = { ...former, notes: 'typed in the cellar' };
    const opened = brought({ base: former, document, conflicts: [], pending, key: 'mine' });
    expect(opened).toMatchObject({
      key: 'mine',
      base: { version: SURVEY_VERSION },
      document: { version: SURVEY_VERSION, notes: 'typed in the cellar', photos: [] },
    });
    expect(opened).not.toHaveProperty('pending');
    expect(opened?.base).toEqual(openStored(former));
  });

  it.each(readdirSync(FIXTURES))(
    'of the former form in %s is brought to the present, and keeps what was typed',
    (name) => {
      const base = fixture(name);
      const opened = brought({ base, document: { ...base, notes: 'typed in the cellar' }, conflicts: [] });
      expect(opened?.base).toEqual(openStored(base));
      expect(opened?.document).toEqual({ ...openStored(base), notes: 'typed in the cellar' });
    },
  );

  it('that can be read no more is left where it is, and told', () => {
    const told = jest.fn<Promise<Response>, [string, RequestInit]>(() => Promise.resolve({} as Response));
    Object.assign(globalThis, { fetch: told, window: { location: { pathname: '/jobs' } } });
    expect(
      brought({ base: { ...former, version: 99 } as unknown as Survey, document: former, conflicts: [] }),
    ).toBeUndefined();
    expect(told).toHaveBeenCalledTimes(1);
    expect(told.mock.calls[0]?.[0]).toBe('/api/reports');
    Reflect.deleteProperty(globalThis, 'window');
  });
});
