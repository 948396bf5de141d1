import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import type { EventKind, JobEvent } from '../calendar/job-events';
import { stageOf } from '../calendar/job-events';
import { nextStep } from '../calendar/next-step';
import { composePack } from '../pack/compose';
import { checklistOf, FirmChecklists, tickId } from '../firm/checklists';
import { gbDefault } from '../rules/gb-default';
import { CHECKLISTS } from '../survey/after';
import type { Reading } from '../survey/reading';
import type { Survey } from '../survey/survey';
import { settledSurvey } from '../testing/settled-survey';
import { closedBy, owedOf } from './owed';
import { judgeTests } from './tests';

const reading = (kind: Reading['kind'], value: number, bound?: Reading['bound']): Reading => ({
  id: `${kind}-${value}`.replace('.', '_'),
  kind,
  value,
  proposalId: 'car',
  instrument: 'Tester 1',
  takenBy: 'Isla',
  ...(bound ? { bound } : {}),
});
function verdicts(readings: Reading[], change: (survey: Survey) => void = () => undefined): Record<string, string> {
  const survey = settledSurvey((s) => s.readings.push(...readings), change);
  const [proposal] = survey.proposals;
  if (!proposal) throw new Error('no charger');
  const { circuits } = assess(survey, gbDefault);
  return Object.fromEntries(judgeTests(survey, circuits[0], proposal, gbDefault).map(({ id, state }) => [id, state]));
}
const event = (kind: EventKind, details: JobEvent['details'] = {}, id: string = kind): JobEvent => ({
  id,
  kind,
  day: '2026-11-25',
  details,
  by: 'Isla',
  madeAt: '2026-11-25T10:00:00Z',
});

describe('tests of a new circuit', () => {
  // B40 from 230 V: 0.95 × 230 ÷ (5 × 40) = 1.0925 Ω; Ze 0.4 Ω leaves 0.6925 Ω warm, 0.6925 ÷ 1.2 = 0.577 Ω as it is measured cold.
  it.each([
    ['r1-r2', 0.57, 'passes'],
    ['r1-r2', 0.59, 'not-known'],
    ['r1-r2', 0.69, 'not-known'],
    ['r1-r2', 0.7, 'fails'],
    ['loop-impedance-circuit', 0.97, 'passes'],
    ['loop-impedance-circuit', 0.99, 'not-known'],
    ['loop-impedance-circuit', 1.09, 'not-known'],
    ['loop-impedance-circuit', 1.1, 'fails'],
  ] as const)('%s of %d Ω cold: %s', (kind, value, state) => {
    expect(verdicts([reading(kind, value)])[kind]).toBe(state);
  });
  it('R1 + Rn above R1 + R2 wants a reason, and is no failure by itself', () => {
    expect(verdicts([reading('r1-r2', 0.3), reading('r1-rn', 0.31)])['r1-rn']).toBe('passes');
    expect(verdicts([reading('r1-r2', 0.3), reading('r1-rn', 0.4)])['r1-rn']).toBe('not-known');
  });
  it('insulation from 1 MΩ; “> 999” passes, “< 0.5” fails, “> 0.5” says nothing', () => {
    const insulation = (value: number, bound?: Reading['bound']) =>
      verdicts([reading('insulation-resistance', value, bound)])['insulation-resistance'];
    expect(insulation(1)).toBe('passes');
    expect(insulation(0.99)).toBe('fails');
    expect(insulation(999, 'above')).toBe('passes');
    expect(insulation(0.5, 'below')).toBe('fails');
    expect(insulation(0.5, 'above')).toBe('not-known');
  });
  it('an RCD within 300 ms; one that did not trip in that time fails', () => {
    expect(verdicts([reading('rcd-time', 28)])['rcd-time']).toBe('passes');
    expect(verdicts([reading('rcd-time', 300, 'above')])['rcd-time']).toBe('not-known');
    expect(verdicts([reading('rcd-time', 301, 'above')])['rcd-time']).toBe('fails');
  });
  it('fault current up to 6 kA is sure, up to 16 kA the board’s data decide, above that it fails', () => {
    const at = (value: number) => {
      const own = { ...reading('prospective-fault-current', value) };
      return verdicts([own])['prospective-fault-current'];
    };
    expect([at(6), at(6.1), at(16), at(16.1)]).toEqual(['passes', 'not-known', 'not-known', 'fails']);
  });
  it('the worst of several counts', () => {
    const two = [reading('rcd-time', 28), reading('rcd-time', 340)];
    expect(verdicts(two)['rcd-time']).toBe('fails');
  });
  it('nothing taken, or no limit known, is never a pass', () => {
    for (const state of Object.values(verdicts([]))) expect(state).toBe('not-known');
    const open = verdicts([reading('loop-impedance-circuit', 0.3)], (s) => delete s.proposals[0]?.circuit);
    expect(open['loop-impedance-circuit']).toBe('not-known');
  });
  it('polarity and working are as they were answered', () => {
    const seen = (polarity: 'yes' | 'no' | 'unknown') =>
      verdicts([], (s) => s.proposals.forEach((each) => (each.tested = { polarity })))['polarity'];
    expect([seen('yes'), seen('no'), seen('unknown')]).toEqual(['passes', 'fails', 'not-known']);
  });
  it('law: a higher loop impedance never turns a failure into a pass', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (zs, more) => {
          const at = (value: number) => verdicts([reading('loop-impedance-circuit', value)])['loop-impedance-circuit'];
          return at(zs) !== 'fails' || at(zs + more) === 'fails';
        },
      ),
      { numRuns: lawRuns(40) },
    );
  });
  it('are printed with their limits, instrument and who', () => {
    const survey = settledSurvey((s) => s.readings.push(reading('rcd-time', 28)));
    const signedBy = { firm: 'F', name: 'N', registration: 'R', at: '2026-11-25T09:00:00Z' };
    const { sections } = composePack(survey, assess(survey, gbDefault), gbDefault, signedBy);
    const tests = sections.find(({ title }) => title.startsWith('Tests'));
    expect(tests?.rows).toContainEqual({
      id: 'test',
      subject: 'rcd-time',
      label: 'RCD trip time',
      value: '28 ms',
      note: 'at most 300 ms at its rated residual current: passes',
    });
    expect(tests?.rows.at(-1)).toEqual({ id: 'taken-by', label: 'Taken by', value: 'Isla', note: 'Tester 1' });
  });
});

/** A home where everything was measured, seen to and handed over. */
const done = settledSurvey((s) => {
  s.readings.push(
    reading('r1-r2', 0.2),
    reading('r1-rn', 0.15),
    reading('insulation-resistance', 999, 'above'),
    reading('loop-impedance-circuit', 0.6),
    reading('prospective-fault-current', 0.9),
    reading('rcd-time', 28),
  );
  for (const each of s.proposals) each.tested = { polarity: 'yes', works: 'yes' };
  s.after = {
    fundingClaimed: false,
    nextInspectionOn: '2036-11-25',
    ticks: CHECKLISTS.flatMap((list) =>
      checklistOf(list, new FirmChecklists()).map(({ id, text }) => ({
        id: tickId(list, id),
        list,
        text,
        answer: 'done' as const,
      })),
    ),
  };
});
const owed = (survey: Survey, events: JobEvent[], packs = 1): string[] =>
  owedOf({
    survey,
    assessment: assess(survey, gbDefault),
    rules: gbDefault,
    events,
    checklists: new FirmChecklists(),
    packs,
  }).map(({ id }) => id);

describe('what a job owes', () => {
  it('nothing, once it is fitted, tested, handed over and notified', () => {
    expect(owed(done, [event('commissioned'), event('notice-sent')])).toEqual([]);
  });
  it('the day, the notice, the pack, each by itself', () => {
    expect(owed(done, [])).toEqual(['not-commissioned', 'notice']);
    expect(owed(done, [event('commissioned')], 0)).toEqual(['not-signed', 'notice']);
  });
  it('every test that was not taken or failed, and every item nobody has seen to', () => {
    const open = owed(settledSurvey(), [event('commissioned'), event('notice-sent')]);
    expect(open).toEqual(
      expect.arrayContaining([
        'test-r1-r2',
        'test-polarity',
        'labels-circuit-label',
        'funding-not-said',
        'next-inspection',
      ]),
    );
    expect(open.filter((id) => id.startsWith('funding-') && id !== 'funding-not-said')).toEqual([]);
  });
  it('the evidence for funding only where it is claimed, by the list the firm wrote', () => {
    const claimed = structuredClone(done);
    claimed.after = { ...claimed.after, fundingClaimed: true };
    const checklists = { lists: [{ list: 'funding' as const, items: [{ id: 'form', text: 'Form 4' }] }] };
    const found = owedOf({
      survey: claimed,
      assessment: assess(claimed, gbDefault),
      rules: gbDefault,
      events: [event('commissioned'), event('notice-sent')],
      checklists,
      packs: 1,
    });
    expect(found).toEqual([{ id: 'funding-form', text: 'Evidence for funding: Form 4.', station: 'after' }]);
  });
  it('the answer, and what it asked for', () => {
    const asks = structuredClone(done);
    asks.request = { installationsOnDevelopment: 4 };
    expect(owed(asks, [event('commissioned'), event('notice-sent')])).toEqual(['not-sent']);
    const sent = [event('sent')];
    expect(owed(asks, sent).slice(0, 1)).toEqual(['not-answered']);
    const visit = [...sent, event('answered', { answer: 'accepted-if', condition: 'fuse-visit' })];
    expect(owed(asks, visit).slice(0, 2)).toEqual(['next-step', 'fuse-visit']);
    expect(owed(asks, [...visit, event('fuse-visited')]).includes('fuse-visit')).toBe(false);
  });
  it('is closed by the newest of closing and opening again', () => {
    expect(closedBy([event('closed', {}, '1'), event('reopened', {}, '2')])).toBeUndefined();
    expect(closedBy([event('closed', {}, '1'), event('reopened', {}, '2'), event('closed', {}, '3')])?.id).toBe('3');
  });
});

describe('the next step', () => {
  const after = (details: JobEvent['details'], ...since: EventKind[]) =>
    nextStep([event('sent'), event('answered', details), ...since.map((kind) => event(kind))]);
  it.each([
    [{ answer: 'accepted' }, [], /^Fit and commission/],
    [{ answer: 'accepted-if', condition: 'fuse-visit' }, [], /comes to the fuse first/],
    [{ answer: 'accepted-if', condition: 'fuse-visit' }, ['fuse-visited'], /^Fit and commission/],
    [{ answer: 'accepted-if', condition: 'limit', limitA: 16 }, [], /16 A at most/],
    [{ answer: 'accepted-if' }, [], /condition first/],
    [{ answer: 'asks-for-more' }, [], /sign off again/],
    [{ answer: 'un-loop-first' }, [], /^Ask for the un-looping/],
    [{ answer: 'un-loop-first' }, ['unloop-asked'], /is asked for/],
    [{ answer: 'un-loop-first' }, ['unloop-asked', 'unlooped'], /as it is now/],
    [{ answer: 'refused' }, [], /options again/],
  ] as const)('%j after %j', (details, since, says) => {
    expect(after(details, ...since)?.says).toMatch(says);
  });
  it('is none before an answer, after sending again, and once it is fitted', () => {
    expect(nextStep([event('sent')])).toBeNull();
    expect(after({ answer: 'asks-for-more' }, 'sent')).toBeNull();
    expect(after({ answer: 'accepted' }, 'commissioned')).toBeNull();
  });
  it('a job’s stage follows what happened', () => {
    const stages = (['sent', 'answered', 'commissioned', 'closed'] as const).map((_kind, at, all) =>
      stageOf(all.slice(0, at + 1).map((kind) => event(kind))),
    );
    expect(stages).toEqual(['with-operator', 'answered', 'fitted', 'closed']);
    expect(stageOf([event('sent'), event('answered'), event('sent', {}, 'again')])).toBe('with-operator');
  });
});
