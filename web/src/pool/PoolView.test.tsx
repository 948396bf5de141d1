/** @jest-environment jsdom */
import { nodeOf } from '@keen-gauge/core/testing/settled-survey';
import { fireEvent, screen, within } from '@testing-library/react';
import { atSurvey, press, region, settled, type } from '../testing/at-survey';
import { carsWords, yearWords } from './pool-words';

async function laidOut(count: string): Promise<Awaited<ReturnType<typeof atSurvey>>> {
  const at = await atSurvey('pool');
  await settled();
  type('Bays', count, region('The row of bays'));
  press('Lay out the row');
  return at;
}

describe('bays and cars', () => {
  it('lays out a row of alike bays, and makes it shorter and longer at its end', async () => {
    const { survey } = await laidOut('5');
    expect(survey().pool?.outlets).toMatchObject(
      [0, 2.5, 5, 7.5, 10].map((alongM) => ({ alongM, mostA: 32, phases: 1 })),
    );
    const [first] = survey().pool?.outlets ?? [];
    type('Bays', '3', region('The row of bays'));
    expect(region('The row of bays').textContent).toContain('The last 2 go');
    press('Make it 3 bays');
    type('Bays', '4', region('The row of bays'));
    press('Make it 4 bays');
    expect(survey().pool?.outlets.map(({ alongM }) => alongM)).toEqual([0, 2.5, 5, 7.5]);
    expect(survey().pool?.outlets[0]).toEqual(first);
  });

  it('says what is guaranteed, and which part a set-point would pass by how much', async () => {
    await laidOut('4');
    const held = region('Set-point and sharing');
    // A fuse of 100 A: 100 × 0.98 − 1 = 97 A; held to 115 A its clamps let (115 + 1) ÷ 0.98 = 118.4 A through.
    expect(within(held).getByText('97 A')).toBeTruthy();
    type('Set-point, each phase', '115', held);
    type('Each outlet’s fail-safe current', '0', held);
    expect(held.textContent).toContain('18.4 A over 100 A');
    expect(held.textContent).toContain('Lower the set-point.');
    type('Set-point, each phase', '97', held);
    expect(held.textContent).toContain('Every part of the supply is kept within its rating');
    type('Each outlet’s fail-safe current', '32', held);
    expect(held.textContent).toContain('with a clamp lost');
  });

  it('guarantees nothing beside a part whose rating is not known', async () => {
    await atSurvey('pool', {
      changes: [
        (survey) => (survey.loads = []),
        (survey) => (survey.pool = { outlets: [{ id: 'a' }, { id: 'b' }] }),
        (survey) => delete nodeOf(survey, 'cut-out').ratingA,
      ],
    });
    await settled();
    expect(region('Set-point and sharing').textContent).not.toContain('Every part');
    expect(region('How many cars').textContent).toContain('To be played it still needs');
  });

  it('puts its outlets among the new equipment, under the row’s clamps', async () => {
    const { survey } = await laidOut('3');
    const before = survey().proposals.length;
    type('Set-point, each phase', '60', region('Set-point and sharing'));
    press('Add 3 outlets to new equipment');
    expect(survey().proposals).toHaveLength(before + 3);
    expect(survey().proposals.at(-1)).toMatchObject({ limiter: { kind: 'clamp', setPointA: 60 }, ratedA: 32 });
    expect(region('The row of bays').textContent).toContain('All outlets are in new equipment');
  });

  it('takes drivers one by one, or begins with the usual three', async () => {
    const { survey } = await laidOut('2');
    const cars = region('How many cars');
    press('Start from the usual three', cars);
    expect(survey().pool?.drivers).toMatchObject([{ label: 'Commuters', share: 7 }, {}, { label: 'Visitors' }]);
    press('Add a type of driver', cars);
    expect(survey().pool?.drivers).toHaveLength(4);
    for (const _each of [1, 2, 3, 4])
      fireEvent.click(within(cars).getAllByRole('button', { name: 'Remove', hidden: true })[0] as HTMLElement);
    expect(survey().pool?.drivers).toBeUndefined();
  });

  it('takes cars year by year instead of the curve, beginning with it', async () => {
    const { survey } = await laidOut('8');
    const cars = region('How many cars');
    type('First year', '2030', cars);
    type('Cars in the first year', '1', cars);
    type('Year in which half of the others have come', '2034', cars);
    press('Start from the curve', cars);
    expect(survey().pool?.carsByYear).toHaveLength(10);
    expect(survey().pool?.carsByYear?.[0]).toMatchObject({ year: 2030, cars: 1 });
    press('Add a year', cars);
    expect(survey().pool?.carsByYear?.at(-1)).toMatchObject({ year: 2040 });
    press('Back to the curve', cars);
    expect(survey().pool?.carsByYear).toBeUndefined();
  });

  it('finds the smallest trunk for the row and takes it', async () => {
    const { survey } = await laidOut('6');
    type('Set-point, each phase', '60', region('Set-point and sharing'));
    const trunk = region('The trunk along the row');
    press(/^Use \d+ mm²$/, trunk);
    expect(survey().pool?.trunk?.capacityA).toBeGreaterThanOrEqual(60);
    expect(trunk.textContent).toContain('At the last tap');
  });

  it('judges the trunk with the set-point drawn at its far end', async () => {
    await laidOut('3');
    type('Set-point, each phase', '48', region('Set-point and sharing'));
    const trunk = region('The trunk along the row');
    type('Volt drop of the cable or bus', '1.75', trunk);
    type('Current-carrying capacity, as laid', '40', trunk);
    expect(trunk.textContent).toContain('It carries 40 A and is to carry 48 A.');
    // 32 A at 5 m and 16 A at 2.5 m: 200 A·m × 1.75 mV = 0.35 V, 0.15 % of 230 V.
    expect(trunk.textContent).toContain('At the last tap 0.15 % is lost');
    expect(trunk.textContent).toContain('The loop there is not known.');
    expect(within(trunk).getByRole('list', { name: 'Taps in the worst case' }).textContent).toContain('32 A');
    expect(screen.getByRole('heading', { name: 'Bays and cars' })).toBeTruthy();
  });
});

describe('billing back', () => {
  it('says the price that covers the row and what an outlet costs a month, beside an own supply', async () => {
    await laidOut('5');
    const billing = region('Billing back');
    expect(billing.textContent).toContain('give the price');
    for (const [label, value] of [
      ['Energy', '24'],
      ['Standing charge', '60'],
      ['Upkeep', '400'],
      ['Installation', '12000'],
      ['Earned back in, years', '10'],
      ['From an own supply: energy', '25'],
      ['From an own supply: installation', '960'],
    ] as const)
      type(label, value, billing);
    // 5 cars × 8 000 miles × 0.28 kWh = 11 200 kWh: 24 + (21 900 + 40 000 + 120 000) ÷ 11 200 = 40.24 p.
    expect(billing.textContent).toContain('40.24 p a kilowatt-hour');
    // 8 000 × 0.28 ÷ 12 = 186.67 kWh: × 40.241 p = £75.12; from an own supply × 25 p + £960 ÷ 10 ÷ 12 = £54.67.
    const row = within(billing).getByRole('rowheader', { name: '8000' }).closest('tr');
    expect(row?.textContent).toBe('8000187£75.12£54.67');
  });
});

describe('in words', () => {
  it('how many cars, in how wide a range of luck', () => {
    expect(carsWords({ least: 11, median: 12, most: 13 }, 40)).toBe('12 cars (11 to 13)');
    expect(carsWords({ least: 1, median: 1, most: 1 }, 40)).toBe('1 car');
    expect(carsWords({ least: 40, median: 40, most: 40 }, 40)).toBe('a car in every bay, 40');
  });
  it('until when', () => {
    expect(yearWords(2031, 2041)).toBe('too few from 2031');
    expect(yearWords(null, 2041)).toBe('enough until 2041 and beyond');
  });
});
