import { gbDefault } from '../rules/gb-default';
import { clocksOf } from './clocks';
import { clockEntries } from './ics-events';
import { daysOf, standing, type EventKind, type JobEvent } from './job-events';

let at = 0;
const event = (kind: EventKind, day: string, details: JobEvent['details'] = {}): JobEvent => ({
  id: `e${(at += 1)}`,
  kind,
  day,
  details,
  by: 'anna',
  madeAt: '2026-11-25T20:00:00Z',
});

describe('what happened to a job', () => {
  it('the newest entry of a kind counts, and one withdrawn counts no more', () => {
    const [first, second] = [event('sent', '2026-11-20'), event('sent', '2026-11-25')];
    expect(daysOf([first, second]).sentOn).toBe('2026-11-25');
    const all = [first, second, event('withdrawn', '2026-11-26', { withdraws: second.id })];
    expect(daysOf(all).sentOn).toBe('2026-11-20');
    expect(standing(all)).toEqual([first]);
  });
  it('an answer to what was sent before does not answer what was sent after', () => {
    const asked = event('answered', '2026-11-24', { answer: 'asks-for-more' });
    const before = [event('sent', '2026-11-20'), asked];
    expect(daysOf(before)).toMatchObject({ answeredOn: '2026-11-24', answer: 'asks-for-more' });
    const again = [...before, event('sent', '2026-11-26')];
    expect(daysOf(again)).toEqual({ sentOn: '2026-11-26' });
    expect(daysOf([...again, event('answered', '2026-12-01', { answer: 'accepted' })])).toMatchObject({
      answeredOn: '2026-12-01',
      answer: 'accepted',
    });
  });
  it('the clocks that run are entries of a calendar, those done are not', () => {
    const days = daysOf([
      event('sent', '2026-11-25'),
      event('commissioned', '2026-11-20'),
      event('notice-sent', '2026-11-24'),
    ]);
    const clocks = clocksOf(days, '2026-11-25', new Set(), gbDefault);
    expect(clockEntries({ id: 'j', number: 'KG-0001', place: '1 Test Lane' }, clocks)).toEqual([
      {
        uid: 'reply-j@keen-gauge',
        day: '2026-12-09',
        title: 'KG-0001 1 Test Lane: Operator’s reply',
        about: 'Operator’s reply, counted from 2026-11-25.',
      },
      expect.objectContaining({ uid: 'chase-j@keen-gauge', day: '2026-12-10' }),
    ]);
  });
});
