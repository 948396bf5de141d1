/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { atSurvey, choose, openHere, press, type } from '../../testing/at-survey';

const CAUTION = 'Stop, keep clear, and phone the operator’s emergency line: 105.';
const gauge = (): string => screen.getByRole('region', { name: 'Gauge' }).textContent;

describe('the intake station', () => {
  it('a fault to be made safe holds the job and comes first; without it the job goes on', async () => {
    const { survey, goTo } = await atSurvey('cut-out');
    expect(gauge()).toContain('Fit, then notify');
    press('Add a fault');
    choose('How grave?', 'Make safe now');
    expect(gauge()).toContain('Hold: make safe');
    expect(screen.getByText(CAUTION)).toBeTruthy();
    // At every station, not here alone.
    await goTo('loads');
    expect(screen.getByText(CAUTION)).toBeTruthy();
    await goTo('cut-out');
    press('Remove this fault');
    expect(survey().intake.faults).toEqual([]);
    expect(gauge()).not.toContain('Hold: make safe');
  });

  it('a hold is released with a name and a reason, by who may sign, and put back; undo takes back either', async () => {
    const { survey, undo } = await atSurvey('cut-out');
    press('Add a fault');
    choose('How grave?', 'Make safe now');
    press('Override the hold …');
    const confirm = 'Override the hold as Isla Tester';
    expect(screen.getByRole('button', { name: confirm }).hasAttribute('disabled')).toBe(true);
    type('Why the hold is overridden', 'The operator made it safe, W-88.');
    press(confirm);
    expect(survey().intake.faults[0]).toMatchObject({
      overriddenBy: 'Isla Tester',
      overrideReason: 'The operator made it safe, W-88.',
    });
    expect(gauge()).toContain('Ask, then fit');
    expect(screen.getByText(CAUTION)).toBeTruthy();
    press('Put the hold back');
    expect(survey().intake.faults[0]).not.toHaveProperty('overriddenBy');
    expect(gauge()).toContain('Hold: make safe');
    undo();
    expect(survey().intake.faults[0]?.overriddenBy).toBe('Isla Tester');
  });

  it('nobody releases a hold who may not sign', async () => {
    await atSurvey('cut-out', { me: { maySignOff: false } });
    press('Add a fault');
    choose('How grave?', 'Make safe now');
    expect(screen.queryByRole('button', { name: 'Override the hold …' })).toBeNull();
    expect(screen.getByText('A hold is overridden by someone who may sign surveys off.')).toBeTruthy();
  });

  it('looked over fault by fault: what is there gets an entry of its own, and the rest is said at once', async () => {
    const { survey } = await atSurvey('cut-out');
    press('Look fault by fault');
    choose('Compound leaking', 'Could not see');
    choose('Scorching, discolouration or smell of heat', 'There');
    expect(survey().intake.faults).toHaveLength(1);
    // Said again it is not entered a second time.
    choose('Scorching, discolouration or smell of heat', 'There');
    expect(survey().intake.faults).toHaveLength(1);
    press(/^Looked for the other \d+, none there$/);
    const looks = survey().intake.looks ?? [];
    expect(looks.filter(({ answer }) => answer === 'fine').length).toBe(looks.length - 2);
    expect(screen.queryByRole('button', { name: /none there$/ })).toBeNull();
  });

  it('a moulded rating establishes nothing: the fallback is used and the operator is asked', async () => {
    const { assessment } = await atSurvey('cut-out');
    expect(assessment().supply.ratingEstablished).toBe(true);
    choose('How is the rating known?', 'Moulding');
    expect(assessment().supply.ratingEstablished).not.toBe(true);
    press('Ask the operator for the fuse rating');
    const message = within(screen.getByRole('dialog')).getByLabelText<HTMLTextAreaElement>('Message');
    expect(message.value).toContain('Please tell us the rating of the fuse');
    expect(message.value).toContain('1 Test Lane');
  });

  it('a reading is a number or a bound, doubted where it is unlikely, and stands once it is taken again', async () => {
    const { survey } = await atSurvey('cut-out');
    press('Voltage');
    type('Voltage, V', 'abc');
    expect(screen.getByText('A number, or a bound such as > 999, is expected.')).toBeTruthy();
    expect(survey().readings[0]).not.toHaveProperty('value');
    type('Voltage, V', '263');
    expect(survey().readings[0]).toMatchObject({ value: 263, takenBy: 'Isla Tester' });
    press('Taken again, it stands');
    expect(openHere()).not.toContain('unlikely');
    // Another value is doubted anew.
    type('Voltage, V', '> 260');
    expect(survey().readings[0]).toMatchObject({ value: 260, bound: 'above' });
    expect(survey().readings[0]).not.toHaveProperty('confirmed');
    expect(screen.getAllByText(/Voltage of > 260 V is unlikely/).length).toBeGreaterThan(0);
    press(/^Remove the reading Voltage/);
    expect(survey().readings).toEqual([]);
  });

  it('a reading tells the instrument in the hand, and its date', async () => {
    const instrument = { id: 'i1', name: 'Clamp meter', serial: 'CM-4', calibrationDue: '2020-01-31', retired: false };
    localStorage.setItem('keen-gauge-last-instrument', 'i1');
    const { survey } = await atSurvey('cut-out', { answers: { '/instruments': { instruments: [instrument] } } });
    press('Voltage');
    expect(survey().readings[0]).toMatchObject({ instrument: 'Clamp meter, CM-4', calibrationDue: '2020-01-31' });
    type('Voltage, V', '236');
    expect(openHere()).toContain('was due for calibration on 2020-01-31');
    localStorage.clear();
  });

  it('without a cut-out it says where to begin', async () => {
    await atSurvey('cut-out', { changes: [({ supply }) => (supply.nodes = [])] });
    expect(screen.getByText('This survey has no cut-out in its supply.')).toBeTruthy();
  });
});
