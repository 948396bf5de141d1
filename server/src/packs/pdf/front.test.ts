import { assess } from '@keen-gauge/core/assess';
import { composePack } from '@keen-gauge/core/pack/compose';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { settledSurvey } from '@keen-gauge/core/testing/settled-survey';
import { frontOn } from './front';
import { Page } from './page';

const WORDS = 'long words of several syllables '.repeat(16).slice(0, 500);
const AT = '2026-11-27T09:00:00Z';

/** How many pages are begun once the first page is written: itself, and the one that the document goes on with. */
function pagesOf(survey: Survey): number {
  const signedBy = { name: 'A. Tester', firm: 'Test Electric', registration: 'T-1', at: AT };
  const content = composePack(survey, assess(survey, gbDefault), gbDefault, signedBy);
  const page = new Page({ title: content.title, author: 'x', subject: 'x', at: AT });
  page.heading(1, content.title);
  page.paragraph('Pack P-0001 · job KG-0001 · signed 27 November 2026 at 09:00');
  page.paragraph(content.purpose);
  frontOn(page, content);
  return page.doc.bufferedPageRange().count;
}

describe('the first page of the document', () => {
  it.each<[string, Survey]>([
    ['a settled home', settledSurvey()],
    ['a survey of which nothing is known', blankSurvey()],
    [
      'a home with words as long as they may be',
      settledSurvey((s) => {
        s.intake.loop = { status: 'not-looped', evidence: 'cable-traced', note: WORDS };
        s.earthing = { ...s.earthing, recognisedBy: WORDS };
        s.declaration = { basis: 'appliances', reason: WORDS, declaredBy: 'A. Tester' };
        s.request = { fuseUpgrade: true, wantedFuseA: 100 };
        for (const node of s.supply.nodes) if (node.kind === 'cut-out') node.evidenceNote = WORDS;
        for (const proposal of s.proposals) proposal.makeAndModel = WORDS.slice(0, 100);
      }),
    ],
    [
      'seven chargers, words as long as they may be, and every reason to ask',
      settledSurvey((s) => {
        const [first] = s.proposals;
        if (first)
          s.proposals = [1, 2, 3, 4, 5, 6, 7].map((id) => ({
            ...first,
            id: `charger-${id}`,
            label: `Charger ${id} ${WORDS}`.slice(0, 100),
            makeAndModel: WORDS.slice(0, 100),
          }));
        s.request = { fuseUpgrade: true, wantedFuseA: 100, newPhases: true, plannedOn: '2027-01-15' };
        s.intake.loop = { status: 'feeds-next-door', note: WORDS };
        s.earthing = { ...s.earthing, recognisedBy: WORDS };
        s.declaration = { basis: 'appliances', reason: WORDS, declaredBy: 'A. Tester' };
        for (const node of s.supply.nodes) if (node.kind === 'cut-out') node.evidenceNote = WORDS;
      }),
    ],
  ])('holds the whole case of %s', (_name, survey) => {
    expect(pagesOf(survey)).toBe(2);
  });
});
