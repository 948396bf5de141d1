import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Survey } from '../survey/survey';
import { settledSurvey } from '../testing/settled-survey';
import { composePack } from './compose';
import { frontOf, type FrontPart } from './front';

const contentOf = (survey: Survey) =>
  composePack(survey, assess(survey, gbDefault), gbDefault, {
    name: 'A. Tester',
    firm: 'Test Electric',
    registration: 'T-1',
    at: '2026-11-27T09:00:00Z',
  });
const said = (parts: readonly FrontPart[]): string[] =>
  parts.flatMap(({ title, rows }) => rows.map(({ label, value }) => `${title}: ${label}: ${value}`));

describe('the first page of a pack', () => {
  it('has site, equipment, supply with its evidence, demand before and after, and the route', () => {
    const parts = frontOf(contentOf(settledSurvey()).sections);
    expect(parts.map(({ title }) => title)).toEqual([
      'Site',
      'New equipment',
      'Existing supply',
      'Maximum demand',
      'Route and why',
    ]);
    expect(said(parts)).toEqual(
      expect.arrayContaining([
        'Site: Meter point number (MPAN): 97 0000 0012 340',
        'Existing supply: Cut-out fuse: 100 A',
        'Maximum demand: Before the work: 20.5 A',
        'Maximum demand: After the work, unmanaged: 52.5 A',
        'Route and why: Route: Fit, then notify',
      ]),
    );
    expect(
      parts.find(({ title }) => title === 'Existing supply')?.rows.find(({ id }) => id === 'cut-out-fuse')?.note,
    ).toBe('Evidence: label');
  });

  it('says nothing that the document behind it does not', () => {
    const { sections } = contentOf(settledSurvey((s) => (s.intake.loop = { status: 'feeds-next-door' })));
    const lines = new Set(sections.flatMap(({ rows }) => rows.map(({ label, value }) => `${label}: ${value}`)));
    for (const part of frontOf(sections))
      for (const { label, value } of part.rows)
        expect(label === 'And more' || lines.has(`${label}: ${value}`)).toBe(true);
  });

  it('of a survey of which little is known it says what the case rests on is not known', () => {
    const lines = said(frontOf(contentOf(blankSurvey()).sections));
    expect(lines).toEqual(expect.arrayContaining(['Site: Address: Not known']));
    expect(lines.some((line) => line.startsWith('Route and why: Route: Ask, then fit'))).toBe(true);
  });

  it('of several pieces of equipment each has a line, and it says how many more there are', () => {
    const four = settledSurvey((s) => {
      const [first] = s.proposals;
      if (first)
        s.proposals = ['a', 'b', 'c', 'd', 'e', 'f', 'g'].map((id) => ({ ...first, id, label: `Charger ${id}` }));
    });
    const part = frontOf(contentOf(four).sections).find(({ title }) => title === 'New equipment');
    expect(part?.rows).toHaveLength(6);
    expect(part?.rows[0]).toMatchObject({ label: 'Charger a', value: expect.stringContaining('32 A') as string });
    expect(part?.rows.at(-1)?.value).toBe('2 more, behind this page');
  });
});
