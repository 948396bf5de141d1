import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { settledSurvey } from '../testing/settled-survey';
import { composePack } from './compose';
import { coveringMessage, csv, packTexts } from './files';

const survey = settledSurvey((s) => {
  s.loads.push({ id: 'odd', class: 'motor', label: '=HYPERLINK("x"), "quoted"', currentA: 3 });
});
const assessment = assess(survey, gbDefault);
const signedBy = { firm: 'Fennel', name: 'Isla', registration: 'R-1', at: '2026-11-25T20:00:00Z' };
const content = composePack(survey, assessment, gbDefault, signedBy);
const texts = new Map(packTexts('{}\n', survey, assessment, content, 'P-0001').map(({ name, text }) => [name, text]));

describe('the files of a pack', () => {
  it('are the survey to the letter, the assessment, the supply drawn, tables and the words to send it with', () => {
    expect([...texts.keys()]).toEqual([
      'survey.json',
      'assessment.json',
      'line-up.svg',
      'loads.csv',
      'nodes.csv',
      'readings.csv',
      'message.txt',
    ]);
    expect(texts.get('survey.json')).toBe('{}\n');
    expect(JSON.parse(texts.get('assessment.json') ?? '')).toMatchObject({ rules: { id: 'gb-default' } });
    expect(texts.get('line-up.svg')).toMatch(/^<svg|^<\?xml/);
  });
  it('no cell is a formula, and what would break a row is quoted', () => {
    expect(texts.get('loads.csv')).toContain('"\'=HYPERLINK(""x""), ""quoted"""');
    expect(
      csv([
        ['a', 'b,c'],
        ['d"e', 'f\ng'],
      ]),
    ).toBe('a,"b,c"\r\n"d""e","f\ng"\r\n');
  });
  it('a node has its rating and its demand before and after: 23.5 A, then 55.5 A', () => {
    // 20.52 A of loads and the 3 A motor; 32 A of charger.
    const row = texts
      .get('nodes.csv')
      ?.split('\r\n')
      .find((line) => line.startsWith('Cut-out'));
    expect(row?.split(',').slice(3)).toEqual(['100', 'label', '23.5', 'exact', '55.5', 'exact', '']);
  });
  it('the covering message says where, what and by whom', () => {
    const message = coveringMessage(content);
    expect(message).toContain('Notice of new equipment');
    expect(message).toContain('Site: 1 Test Lane');
    expect(message).toContain('Cut-out fuse: 100 A');
    expect(message).toContain('Signed for by: Isla');
    expect(message).not.toContain('undefined');
  });
});
