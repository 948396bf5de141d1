/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { atSurvey, choose, openHere, type } from '../../testing/at-survey';

const NUMBER = 'Meter point number (MPAN)';

describe('the place station', () => {
  it('takes a meter point number with spaces, tells its area, and says which digit is wrong', async () => {
    const { survey } = await atSurvey('place');
    type(NUMBER, '97 0000 0012 340');
    expect(survey().place.meterPointNumber).toContain('97');
    expect(screen.getByText(/^Good: .*distributor 97/)).toBeTruthy();
    type(NUMBER, '9700000012341');
    expect(screen.queryByText(/^Good:/)).toBeNull();
    expect(screen.getByLabelText(NUMBER).getAttribute('aria-invalid')).toBe('true');
    type(NUMBER, '');
    expect(survey().place).not.toHaveProperty('meterPointNumber');
    expect(openHere()).toContain('eter point number');
  });
  it('asks for what the form needs, and stops asking once it is typed', async () => {
    const { survey } = await atSurvey('place', {
      changes: [({ place }) => delete place.customerName, ({ place }) => delete place.postcode],
    });
    const before = openHere();
    type('Customer', 'A. Tester');
    type('Postcode', 'ZZ1 1TL');
    expect(openHere().length).toBeLessThan(before.length);
    expect(survey().place).toMatchObject({ customerName: 'A. Tester', postcode: 'ZZ1 1TL' });
  });
  it('the kind of premises decides the allowances: 20 A of sockets are 20 A in a home, and as much in a guest house', async () => {
    const { assessment } = await atSurvey('place');
    const home = assessment().demand.before.L1?.value;
    choose('Kind of premises', 'Guest house');
    expect(assessment().demand.before.L1?.value).not.toBe(home);
    choose('Kind of premises', 'Household');
    expect(assessment().demand.before.L1?.value).toBe(home);
  });
});
