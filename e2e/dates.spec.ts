import { expect, goTo, newJob, signIn, test, typeDay } from './journey';

test('sent by hand, answered, counted back from the vehicle’s arrival; a mistake is withdrawn, the calendar file taken', async ({
  page,
}) => {
  await signIn(page, 'isla');
  // A second go finds what the first left.
  const place = `12 Split Lane ${Date.now()}`;
  await newJob(page, place);
  await goTo(page, 'Route');
  const dates = page.getByRole('region', { name: 'Dates' });
  await expect(dates).toContainText('Nothing is entered yet.');
  const enter = async (what: string, day: string, more?: () => Promise<void>): Promise<void> => {
    await dates.getByRole('button', { name: /What happened$/ }).click();
    await page.getByRole('option', { name: what, exact: true }).click();
    await typeDay(dates, 'On', day);
    await more?.();
    await dates.getByRole('button', { name: 'Enter it' }).click();
  };

  // Wednesday 3 June 2026 and ten working days: the 17th, long past by now.
  await enter('Sent to the operator', '2026-06-03', async () => {
    await dates.getByLabel('The operator’s reference').fill('OP-4711');
  });
  await expect(dates.getByRole('list', { name: 'Entered' })).toContainText('reference OP-4711');
  const clocks = dates.getByRole('list', { name: 'Clocks' });
  await expect(clocks).toContainText('Operator’s reply: was due Wed, 17 Jun 2026');
  await expect(clocks).toContainText('Ask the operator where it is');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    dates.getByRole('link', { name: 'To a calendar, ICS' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^KG-\d+\.ics$/);

  // The answer makes the next step; the chase is over.
  await enter('Answered by the operator', '2026-06-20', async () => {
    await dates.getByRole('button', { name: /The answer$/ }).click();
    await page.getByRole('option', { name: 'Un-loop first' }).click();
  });
  await expect(dates).toContainText('Ask for the un-looping; nothing is connected before it is done.');
  await expect(clocks).not.toContainText('Ask the operator where it is');

  // Withdrawn, the reply is late again.
  await dates.getByRole('button', { name: /^Withdraw: Answered/ }).click();
  await expect(clocks).toContainText('Operator’s reply: was due');

  // The vehicle arrives far too soon: what is late, and when it can be.
  await enter('The vehicle arrives', '2026-06-10');
  const plan = dates.getByRole('region', { name: 'Counted back from the vehicle’s arrival' });
  await expect(plan).toContainText('Not in time: it can be ready on');
  await expect(plan.getByRole('listitem').filter({ hasText: 'Fit and commission' })).toContainText('late');

  // Nothing is lost on reload; the record has who did what.
  await page.reload();
  await expect(dates.getByRole('list', { name: 'Entered' })).toContainText('reference OP-4711');
  await page.getByRole('link', { name: 'History' }).click();
  const record = page.getByRole('region', { name: 'Record of decisions' });
  await expect(record).toContainText('Answered by the operator: un-loop first, Sat, 20 Jun 2026');
  await expect(record).toContainText('Isla');

  // The firm's diary has the late reply before everything else, and in its month; filtered away it is gone.
  await page.getByRole('link', { name: 'Diary' }).click();
  const week = page.getByRole('region', { name: 'Late' });
  await expect(week).toContainText('Wed, 17 Jun 2026, late');
  await page.goto('/diary?view=month&on=2026-06-01');
  const month = page.getByRole('region', { name: 'Month' });
  await expect(month.getByRole('heading')).toHaveText('June 2026');
  await expect(month.getByRole('link', { name: new RegExp(`^Operator’s reply: ${place}`) })).toBeVisible();
  await page.getByRole('button', { name: 'The month after' }).click();
  await expect(month.getByRole('heading')).toHaveText('July 2026');
  await page.getByRole('button', { name: /Type$/ }).click();
  await page.getByRole('option', { name: 'Replies due' }).click();
  await expect(week).toContainText(place);
  await page.getByRole('button', { name: /Type$/ }).click();
  await page.getByRole('option', { name: 'Notices due' }).click();
  await expect(week).not.toContainText(place);
  const own = page.getByRole('region', { name: 'In your own calendar' });
  await own.getByRole('button', { name: 'Make an address' }).click();
  const address = (await own.locator('.figures').textContent()) ?? '';
  // It is written when it is first asked for, and says so meanwhile, as calendars understand.
  await expect.poll(async () => (await page.request.get(address)).text()).toContain('BEGIN:VCALENDAR');
  await own.getByRole('button', { name: 'Revoke address 1' }).click();
  await expect(own.getByRole('button', { name: 'Revoke address 1' })).toBeHidden();
  expect((await page.request.get(address)).status()).toBe(404);
});
