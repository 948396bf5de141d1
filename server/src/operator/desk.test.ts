import { fc } from '@keen-gauge/core/testing/laws';
import {
  answered,
  judge,
  newDesk,
  resumed,
  take,
  told,
  today,
  wound,
  type Desk,
  type ReadPack,
} from '../../../standins/operator/desk';

const DAY = 86_400_000;
const NOW = Date.UTC(2026, 10, 25, 9);
const pack: ReadPack = {
  number: 'P-0001',
  title: 'Application',
  site: '1 Test Lane',
  fingerprint: 'f',
  looped: false,
  ratingEstablished: true,
  missing: 0,
  afterA: 50,
  ratingA: 100,
};

describe('the stand-in’s desk', () => {
  it('answers after its working days: ten from Wednesday 25 November are Wednesday 9 December', () => {
    const { desk, handed } = take(newDesk(NOW, 86_400), 'key-0001', pack, NOW);
    expect(handed.dueOn).toBe('2026-12-09');
    const ids = (at: Desk, ms: number) => answered(at, ms, () => 'id').handed[0]?.answers.map(({ on }) => on);
    expect(ids(desk, NOW + 13 * DAY)).toEqual([]);
    expect(ids(desk, NOW + 14 * DAY)).toEqual(['2026-12-09']);
  });
  it('runs its days as fast as it is told, and stands while it is stopped', () => {
    const desk = newDesk(NOW, 10);
    expect(today(desk, NOW + 50_000)).toBe('2026-11-30');
    const slower = wound(desk, NOW + 50_000, { secondsPerDay: 86_400 });
    expect(today(slower, NOW + 100_000)).toBe('2026-11-30');
    expect(today(wound(slower, NOW + 50_000, { skipDays: 3 }), NOW + 50_000)).toBe('2026-12-03');
    expect(today(resumed(slower, NOW + 400 * DAY), NOW + 400 * DAY)).toBe('2026-11-30');
  });
  it('law: whatever is done to the clock, its day never goes back', () => {
    const change = fc.record({
      afterMs: fc.nat(5_000),
      secondsPerDay: fc.integer({ min: 1, max: 86_400 }),
      skipDays: fc.nat(40),
    });
    fc.assert(
      fc.property(fc.array(change, { maxLength: 8 }), (changes) => {
        let [desk, at] = [newDesk(NOW, 60), NOW];
        let day = today(desk, at);
        for (const { afterMs, ...settings } of changes) {
          at += afterMs;
          desk = wound(desk, at, settings);
          const next = today(desk, at);
          if (next < day) return false;
          day = next;
        }
        return true;
      }),
    );
  });
  it('the same key again is the same submission, counted', () => {
    const first = take(newDesk(NOW, 60), 'key-0001', pack, NOW);
    const again = take(first.desk, 'key-0001', pack, NOW + 1000);
    expect(again).toMatchObject({ fresh: false, handed: { reference: first.handed.reference, times: 2 } });
    expect(again.desk.handed).toHaveLength(1);
  });
  it('judges the street before the fuse, and the fuse before the sum', () => {
    expect(judge({ ...pack, looped: true, ratingEstablished: false }).answer).toBe('un-loop-first');
    expect(judge({ ...pack, missing: 9 }).answer).toBe('asks-for-more');
    expect(judge({ ...pack, ratingEstablished: false })).toMatchObject({
      answer: 'accepted-if',
      condition: 'fuse-visit',
    });
    expect(judge({ ...pack, afterA: 120 }).answer).toBe('refused');
    expect(judge(pack)).toEqual({ answer: 'accepted' });
  });
  it('in the mood for it tells each answer again, under its id and under another', () => {
    const { desk } = take(newDesk(NOW, 86_400), 'key-0001', pack, NOW);
    const after = answered({ ...desk, mood: 'twice' }, NOW + 20 * DAY, () => 'a');
    const [handed] = after.handed;
    expect(handed && told(after, handed).map(({ id }) => id)).toEqual(['a', 'a', 'a-again']);
  });
});
