import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import type { Survey } from '../survey/survey';
import { settledSurvey } from '../testing/settled-survey';
import { letter, LETTERS, usualLetter, type LetterFacts } from './letters';
import { isSigned } from './signature';

const facts = (change: (survey: Survey) => void = () => undefined, more: Partial<LetterFacts> = {}): LetterFacts => {
  const survey = settledSurvey(change);
  return {
    survey,
    assessment: assess(survey, gbDefault),
    rules: gbDefault,
    from: { firm: 'Firm', name: 'A. Person', registration: 'R-1' },
    jobNumber: 'KG-0007',
    today: '2026-11-26',
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
  it('a notice past its days says that it is late, and when it was due: 28 days after 1 October are 29 October', () => {
    const late = letter('notice', facts(undefined, { commissionedOn: '2026-10-01' })).body;
    expect(late).toContain('This notice is late: it was due within 28 days, by 2026-10-29.');
    expect(letter('notice', facts(undefined, { commissionedOn: '2026-11-20' })).body).not.toContain('late');
  });
  it('promises photographs and test results only where there are some', () => {
    for (const kind of ['application', 'notice'] as const) {
      const bare = letter(kind, facts()).body;
      expect(bare).not.toContain('photographs');
      expect(bare).not.toContain('test results');
    }
    const full = facts((s) => {
      s.photos = [{ id: 'p', subject: 'node', subjectId: 'cut-out' }];
      s.readings = [{ id: 'r', kind: 'r1-r2', value: 0.3, proposalId: 'car' }];
    });
    expect(letter('notice', full).body).toContain('particulars, test results, photographs and the supply drawn');
  });
  it('never gives a fallback for what is there now', () => {
    const unread = facts((s) => s.supply.nodes.forEach((node) => node.kind === 'cut-out' && delete node.evidence));
    const { body } = letter('fuse-upgrade', unread);
    expect(body).not.toMatch(/Now: /);
    expect(body).toContain('Its rating now is not known to us; we work with 60.0 A');
  });
  it('names every clamp with its place, set-point and fail-safe, and says where it is not counted', () => {
    const managed = facts((s) => {
      const [car] = s.proposals;
      if (car)
        car.limiter = {
          kind: 'clamp',
          clampNodeId: 'isolator',
          setPointA: 50,
          failSafeA: 6,
          moreClamps: [{ id: 'm', nodeId: 'board', setPointA: 30 }],
        };
    });
    const { body } = letter('application', managed);
    expect(body).toContain('clamp on Isolator, set-point 50 A; clamp on Board, set-point 30 A; fail-safe 6 A');
    expect(body).toContain('The clamp is not counted: it is not known to hold.');
  });
  it('is written under the firm’s address where it has set one', () => {
    const contact = { address: '1 Firm Road', telephone: '01632 960 001', email: 'office@firm.example' };
    const { body } = letter('notice', facts(undefined, { from: { firm: 'F', name: 'N', registration: 'R', contact } }));
    expect(body).toContain('1 Firm Road\nTelephone 01632 960 001\noffice@firm.example');
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
