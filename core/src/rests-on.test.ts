import { assess } from './assess';
import { restsOn } from './rests-on';
import { gbDefault } from './rules/gb-default';
import { blankSurvey } from './survey/blank';
import type { Survey } from './survey/survey';
import { settledSurvey, type Change } from './testing/settled-survey';

const of = (survey: Survey) => restsOn(survey, assess(survey, gbDefault));
const settled = (...changes: Change[]) => of(settledSurvey(...changes));
const claim = (claims: ReturnType<typeof of>, id: string) => claims.find((each) => each.id === id);

describe('what a survey rests on', () => {
  it('of a blank survey nothing is confirmed', () => {
    expect(of(blankSurvey()).filter(({ confirmed }) => confirmed)).toEqual([]);
  });

  it('a settled home has its fuse, loop and earthing confirmed, each with how it is known', () => {
    const claims = settled();
    for (const id of ['fuse', 'loop', 'earthing']) {
      expect(claim(claims, id)).toMatchObject({ confirmed: true });
      expect(claim(claims, id)?.known).not.toMatch(/not recorded/);
    }
  });

  it.each<[string, string, Change]>([
    [
      'a rating read off the holder',
      'fuse',
      (s) => Object.assign(s.supply.nodes.find(({ kind }) => kind === 'cut-out') ?? {}, { evidence: 'moulding' }),
    ],
    [
      'a loop known by outward signs',
      'loop',
      (s) => (s.intake.loop = { status: 'not-looped', evidence: 'signs-only' }),
    ],
    ['an arrangement nobody says how was recognised', 'earthing', (s) => delete s.earthing.recognisedBy],
    [
      'an arrangement that the conductor followed contradicts',
      'earthing',
      (s) =>
        (s.earthing = {
          ...s.earthing,
          arrangement: 'tn-s',
          signs: [{ id: 'conductor-to-neutral-block', answer: 'yes' }],
        }),
    ],
    ['a loop next door that nothing shows', 'loop', (s) => (s.intake.loop = { status: 'feeds-next-door' })],
    ['equipment on the register without its reference', 'proposal', (s) => delete s.proposals[0]?.registerReference],
    ['a load from a usual set', 'loads', (s) => Object.assign(s.loads[0] ?? {}, { assumed: true })],
    ['equipment not known to be on the register', 'proposal', (s) => delete s.proposals[0]?.typeTested],
  ])('%s is assumed', (_name, id, change) => {
    expect(settled(change).find((each) => each.id.startsWith(id))).toMatchObject({ confirmed: false });
  });

  it('a hold that is lifted is told with whose name and why', () => {
    const claims = settled((s) =>
      s.intake.faults.push({
        id: 'f',
        fault: 'heat-damage',
        grade: 'make-safe-now',
        overriddenBy: 'M. Tester',
        overrideReason: 'Made safe on the day',
      }),
    );
    expect(claim(claims, 'override f')).toMatchObject({ confirmed: true, known: 'Made safe on the day. M. Tester' });
  });
});

describe('a survey that was handed back', () => {
  const comment = { id: 'c', station: 'loop', says: 'Which way does the second cable go?', by: 'Maren' };
  const asked = (change: Change) =>
    assess(settledSurvey(change), gbDefault).findings.filter(({ id }) => id === 'comment-open');

  it('asks the surveyor at the place it concerns, until it is settled; and moves no verdict', () => {
    const open = asked((s) => (s.comments = [comment]));
    expect(open).toMatchObject([
      { station: 'loop', askOf: 'surveyor', title: 'Maren asks: Which way does the second cable go?' },
    ]);
    expect(asked((s) => (s.comments = [{ ...comment, settledAt: '2026-11-27T09:00:00Z' }]))).toEqual([]);
    const [before, after] = [settledSurvey(), settledSurvey((s) => (s.comments = [comment]))].map((each) =>
      assess(each, gbDefault),
    );
    expect(after?.route.way).toBe(before?.route.way);
    expect(after?.verdicts.map(({ answer }) => answer)).toEqual(before?.verdicts.map(({ answer }) => answer));
  });

  it('at a station there is not is asked before signing', () => {
    expect(asked((s) => (s.comments = [{ ...comment, station: 'attic' }]))).toMatchObject([{ station: 'pack' }]);
  });
});
