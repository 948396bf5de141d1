import { settledSurvey, type Change } from '../testing/settled-survey';
import { evidenceId, judgeScheme } from './meets';
import { Scheme } from './scheme';

const flats: Scheme = {
  ...new Scheme(),
  id: 'flats',
  name: 'Scheme for flats',
  who: ['landlord', 'owner'],
  offStreet: true,
  sharePercent: 75,
  outletCapPence: 35000,
  preparedPence: 5000,
  buildingCapPence: 300000,
  leastBays: 5,
  from: '2026-04-01',
  to: '2027-03-31',
  evidence: [
    { id: 'parking', text: 'Proof of parking' },
    { id: 'photos', text: 'Photographs after' },
  ],
};
const row: Change = (survey) => {
  survey.help = { applicant: 'landlord', offStreet: 'yes', outlets: 4, preparedBays: 6 };
};
const judge = (totalPence: number, day = '2026-12-01', ...changes: Change[]) =>
  judgeScheme(flats, { survey: settledSurvey(row, ...changes), totalPence, day });

describe('money help', () => {
  it('by hand: 75 % of £3,000 is £2,250, four outlets cap it at £1,400, six prepared bays add £300', () => {
    const { met, sum } = judge(300000);
    expect([met, sum?.pence]).toEqual([true, 140000 + 30000]);
    expect(sum?.working().at(-1)?.substituted).toBe(
      'min(£2,250.00, £1,400.00) + 6 × £50.00, at most £3,000.00 = £1,700.00',
    );
  });
  it('is the share where that is less than the cap, and never more than the job costs', () => {
    // 75 % of £1,000 and £300 for six bays are £1,050.
    expect(judge(100000).sum?.pence).toBe(100000);
  });
  it('stops at what a building may have', () => {
    const many: Change = (survey) => {
      survey.help = { ...survey.help, outlets: 12 };
    };
    expect(judge(900000, '2026-12-01', many).sum?.pence).toBe(300000);
  });
  it.each<[string, Change, string?]>([
    ['somebody who may not claim', (s) => void (s.help = { ...s.help, applicant: 'business' })],
    ['too few bays', (s) => void (s.help = { ...s.help, outlets: 1, preparedBays: 3 })],
    ['parking in the street', (s) => void (s.help = { ...s.help, offStreet: 'no' })],
    ['the day after it closed', () => undefined, '2027-04-01'],
    ['the day before it opened', () => undefined, '2026-03-31'],
  ])('is not met by %s, and gives no sum', (_who, change, day = '2026-12-01') => {
    expect(judge(300000, day, change)).toMatchObject({ met: false, sum: null });
  });
  it('is met on its first and its last day', () => {
    expect(judge(300000, '2026-04-01').met).toBe(true);
    expect(judge(300000, '2027-03-31').met).toBe(true);
  });
  it('is not known while who asks, or where the parking is, is not recorded; the sum says what it would be', () => {
    expect(judge(300000, '2026-12-01', (s) => void delete s.help?.applicant)).toMatchObject({
      met: null,
      sum: { pence: 170000 },
    });
    expect(judge(300000, '2026-12-01', (s) => void (s.help = { ...s.help, offStreet: 'unknown' })).met).toBeNull();
  });
  it('names the evidence that is missing', () => {
    const had: Change = (s) =>
      void (s.help = { ...s.help, evidence: [{ id: evidenceId('flats', 'parking'), there: true }] });
    expect(judge(300000, '2026-12-01', had).missingEvidence).toEqual([{ id: 'photos', text: 'Photographs after' }]);
  });
  it('counts the bays of a row, prepared ones apart', () => {
    const pool: Change = (s) => {
      s.help = { applicant: 'owner', offStreet: 'yes' };
      s.pool = { outlets: [1, 2, 3, 4, 5].map((at) => ({ id: `b${at}`, ...(at > 3 ? { prepared: true } : {}) })) };
    };
    expect(judge(300000, '2026-12-01', pool).sum?.pence).toBe(3 * 35000 + 2 * 5000);
  });
});
