import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import type { Survey } from '../survey/survey';
import { settledSurvey } from '../testing/settled-survey';
import { changesSince } from './changes';
import { letter, LETTERS, usualLetter, type LetterFacts } from './letters';
import { isSigned } from './signature';

const facts = (change: (survey: Survey) => void = () => undefined, more: Partial<LetterFacts> = {}): LetterFacts => {
  const survey = settledSurvey(change);
  return {
    survey,
    assessment: assess(survey, gbDefault),
    pack: gbDefault,
    from: { firm: 'Firm', name: 'A. Person', registration: 'R-1' },
    jobNumber: 'KG-0007',
    ...more,
  };
};

describe('letters to the operator', () => {
  it.each(LETTERS)('%s: where it is, who asks, and what the operator called it', (kind) => {
    const { subject, body } = letter(
      kind,
      facts((s) => (s.place.operatorName = 'Hill Networks'), { reference: 'OP-9' }),
    );
    expect(subject).toContain('1 Test Lane');
    expect(body).toContain('To Hill Networks');
    expect(body).toContain('97 0000 0012 340');
    expect(body).toContain('A. Person, Firm, R-1');
    expect(body).toContain('KG-0007');
  });
  it('claim nothing that is not recorded', () => {
    const blank = facts((s) => {
      s.place = {};
      s.proposals = [{ id: 'c', kind: 'vehicle-charger', limiter: {} }];
    });
    for (const kind of LETTERS) expect(letter(kind, blank).body).toContain('not recorded yet');
    expect(letter('application', blank).body).toContain('rating not known');
  });
  it('a report lists every fault with its grade and photographs', () => {
    const { body } = letter(
      'fault-report',
      facts((s) => {
        s.intake.faults.push({ id: 'f', fault: 'heat-damage', grade: 'make-safe-now', note: 'brown carrier' });
        s.photos.push({ id: 'p', subject: 'fault', subjectId: 'f', caption: 'the carrier' } as never);
      }),
    );
    expect(body).toContain('- Scorching, discolouration or smell of heat; make safe now; brown carrier');
    expect(body).toContain('Photograph 1: the carrier');
    expect(body).toContain('105');
  });
  it('a notice says when it was commissioned; a request which fuse', () => {
    expect(letter('notice', facts(undefined, { commissionedOn: '2026-11-20' })).body).toContain(
      'commissioned on 2026-11-20',
    );
    const larger = facts((s) => (s.request = { fuseUpgrade: true, wantedFuseA: 100 }));
    expect(letter('fuse-upgrade', larger).body).toContain('to 100 A');
  });
  it('the one that suits comes first', () => {
    expect(usualLetter(facts())).toBe('notice');
    expect(usualLetter(facts((s) => (s.intake.loop = { status: 'feeds-next-door', evidence: 'cable-traced' })))).toBe(
      'un-loop',
    );
    expect(usualLetter(facts((s) => (s.request = { fuseUpgrade: true })))).toBe('fuse-upgrade');
    expect(usualLetter(facts((s) => (s.request = { importLimitation: true })))).toBe('application');
    expect(
      usualLetter(facts((s) => s.intake.faults.push({ id: 'f', fault: 'heat-damage', grade: 'make-safe-now' }))),
    ).toBe('fault-report');
  });
});

describe('what changed since the last pack', () => {
  const rows = (...values: [string, string][]) => [
    { title: 'Site', rows: values.map(([label, value]) => ({ label, value })) },
  ];
  it('is each line that says something else, is new or is gone, and nothing else', () => {
    expect(
      changesSince(rows(['Name', 'A'], ['Town', 'B']), rows(['Name', 'A'], ['Town', 'C'], ['Nation', 'D'])),
    ).toEqual([
      { section: 'Site', label: 'Town', was: 'B', is: 'C' },
      { section: 'Site', label: 'Nation', is: 'D' },
    ]);
    expect(changesSince(rows(['Name', 'A']), rows())).toEqual([{ section: 'Site', label: 'Name', was: 'A' }]);
  });
  it('of several lines with one label, which came and which went', () => {
    const before = rows(['Because', 'looped'], ['Because', 'large']);
    expect(changesSince(before, rows(['Because', 'large'], ['Because', 'unknown']))).toMatchObject([
      { label: 'Because', is: 'unknown' },
      { label: 'Because', was: 'looped' },
    ]);
    expect(changesSince(before, before)).toEqual([]);
  });
});

it('a signature is the signer’s own name or a line longer than a dot', () => {
  const signed = (name: string): boolean => isSigned({ kind: 'typed', name }, 'Anna Përson-Smith');
  expect(['Anna Përson-Smith', '  anna  person smith ', 'ANNA PERSON-SMITH'].map(signed)).toEqual([true, true, true]);
  expect([' ', 'xx', 'Anna', 'Somebody Else'].map(signed)).toEqual([false, false, false, false]);
  expect(isSigned({ kind: 'drawn', strokes: [[[1, 1]]] }, 'Anna')).toBe(false);
  expect(
    isSigned(
      {
        kind: 'drawn',
        strokes: [
          [
            [1, 1],
            [2, 2],
            [3, 3],
            [4, 4],
            [5, 5],
          ],
        ],
      },
      'Anna',
    ),
  ).toBe(true);
});
