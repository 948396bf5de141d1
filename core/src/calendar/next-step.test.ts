import type { JobEvent } from './job-events';
import { nextStep } from './next-step';

/** Entries one after the other, a day each. */
const entries = (...kinds: readonly (JobEvent['kind'] | [JobEvent['kind'], JobEvent['details']])[]): JobEvent[] =>
  kinds.map((each, at) => {
    const [kind, details] = typeof each === 'string' ? [each, {}] : each;
    const day = `2026-12-${String(at + 1).padStart(2, '0')}`;
    return {
      id: `e${at}`,
      kind,
      day,
      details,
      enteredAt: `${day}T09:00:00Z`,
      by: 'Maren Oakhanger',
    } as unknown as JobEvent;
  });

const answered = (details: JobEvent['details']): [JobEvent['kind'], JobEvent['details']] => ['answered', details];

describe('what the operator’s answer makes the next step', () => {
  it('is nothing before there is an answer', () => {
    expect(nextStep(entries('sent'))).toBeNull();
  });

  it.each<[string, JobEvent['details'], string, string]>([
    ['accepted', { answer: 'accepted' }, 'commissioning', 'Fit and commission'],
    ['the fuse first', { answer: 'accepted-if', condition: 'fuse-visit' }, 'cut-out', 'comes to the fuse first'],
    [
      'a limit',
      { answer: 'accepted-if', condition: 'limit', limitA: 16 },
      'charger',
      'Set the equipment to 16 A at most',
    ],
    ['a limit without a figure', { answer: 'accepted-if', condition: 'limit' }, 'charger', 'Set the limit asked for'],
    ['another condition', { answer: 'accepted-if', condition: 'other' }, 'commissioning', 'See to the condition first'],
    ['more is asked', { answer: 'asks-for-more' }, 'pack', 'sign off again and send the new pack'],
    ['un-loop first', { answer: 'un-loop-first' }, 'pack', 'nothing is connected before it is done'],
    ['refused', { answer: 'refused' }, 'compare', 'Look at the options again'],
    ['an answer nobody wrote down', {}, 'commissioning', 'Fit and commission'],
  ])('%s', (_what, details, station, says) => {
    const step = nextStep(entries('sent', answered(details)));
    expect(step?.station).toBe(station);
    expect(step?.says).toContain(says);
  });

  it('moves on with what was done since', () => {
    const fuseFirst = answered({ answer: 'accepted-if', condition: 'fuse-visit' });
    expect(nextStep(entries('sent', fuseFirst, 'fuse-visited'))?.says).toContain('Fit and commission');
    const unLoop = answered({ answer: 'un-loop-first' });
    expect(nextStep(entries('sent', unLoop))?.letter).toBe('un-loop');
    expect(nextStep(entries('sent', unLoop, 'unloop-asked'))?.says).toContain('is asked for');
    expect(nextStep(entries('sent', unLoop, 'unloop-asked', 'unlooped'))?.station).toBe('loop');
  });

  it.each(['commissioned', 'sent', 'closed'] as const)('ends when it is %s', (kind) => {
    expect(nextStep(entries('sent', answered({ answer: 'refused' }), kind))).toBeNull();
  });

  it('goes by the newest answer', () => {
    const twice = entries('sent', answered({ answer: 'refused' }), answered({ answer: 'accepted' }));
    expect(nextStep(twice)?.says).toContain('Fit and commission');
  });
});
