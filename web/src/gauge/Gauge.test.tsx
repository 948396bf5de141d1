/** @jest-environment jsdom */
import { atSurvey, press, region } from '../testing/at-survey';

const gauge = (): string => region('Gauge').textContent;

describe('the gauge', () => {
  it('says once of a figure that it is not known, and that pressing it tells why', async () => {
    await atSurvey('loads', {
      changes: [
        (survey) => {
          survey.loads = [];
        },
      ],
    });
    expect(gauge()).toMatch(/MD now ?Not known ?press to see why/);
    expect(gauge()).toMatch(/MD after ?Not known ?press to see why/);
    expect(gauge()).toMatch(/Headroom ?Not known ?press to see why/);
    expect(gauge()).not.toMatch(/Not known.{0,2}Not known/);
    press('Gas-heated home');
    expect(gauge()).not.toContain('press to see why');
    // By circuits as the guide’s gas-heated home: 67.1 A × 230 V = 15 433 VA.
    expect(gauge()).toMatch(/MD now ?67\.1 A ?15\.43 kVA, circuits/);
  });
});
