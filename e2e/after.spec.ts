import { answerFor, expect, goTo, newJob, saved, signIn, signInByForm, signOff, test } from './journey';

test('every item that is missing leads to the field that has it', async ({ page }) => {
  test.slow();
  await signIn(page);
  await newJob(page, '7 Missing Lane');
  await goTo(page, 'New equipment');
  await page.getByRole('button', { name: 'Add something else' }).click();
  await page.getByRole('menuitem', { name: 'Heat pump' }).click();
  await saved(page);
  await goTo(page, 'Pack');
  const list = page.getByRole('region', { name: 'What it will be' });
  const targets = await list
    .getByRole('link')
    .evaluateAll((links) => links.map((link) => link.getAttribute('href') ?? ''));
  const fields = targets.filter((target) => target.includes('?at='));
  expect(fields.length).toBeGreaterThan(targets.length / 2);
  const lost: string[] = [];
  for (const target of new Set(fields)) {
    // Within the application, as a click on the link goes.
    await page.evaluate((address) => {
      history.pushState(null, '', address);
      dispatchEvent(new PopStateEvent('popstate'));
    }, target);
    const wanted = new URL(target, 'http://x').searchParams.get('at') ?? '';
    const arrived = await page
      .waitForFunction(
        (path) => {
          const at = document.activeElement?.closest('[data-field]')?.getAttribute('data-field') ?? '';
          return at !== '' && (path === at || path.startsWith(`${at}.`));
        },
        wanted,
        { timeout: 15_000 },
      )
      .then(
        () => true,
        () => false,
      );
    if (!arrived) lost.push(wanted);
  }
  expect(lost).toEqual([]);
});

test('rules of the firm’s own: rules copied, changed, compared, put over an area; house rule; the record says so', async ({
  page,
}) => {
  await signInByForm(page);
  await page.goto('/firm/rules');
  await page.getByRole('button', { name: 'Copy Great Britain, usual operator terms' }).click();
  const form = page.getByRole('region', { name: 'Rules being written' });
  await form.getByLabel('Name', { exact: true }).fill('The fell network');
  await form.getByLabel('Where its terms come from').fill('its letter of May');
  await form.getByRole('textbox', { name: /^Maximum demand from which the operator is asked/ }).fill('80');
  await form.getByRole('button', { name: 'Save as version 1' }).click();
  await expect(page.getByRole('group', { name: 'The fell network' })).toContainText('Version 1 over gb-default');

  const compare = page.getByRole('region', { name: 'Two sets of rules side by side' });
  await compare.getByRole('button', { name: /The other$/ }).click();
  await page.getByRole('option', { name: 'The fell network' }).click();
  await expect(compare).toContainText('1 line differs.');
  await expect(compare.getByRole('row', { name: /Maximum demand/ })).toContainText('80 A');

  const which = page.getByRole('region', { name: 'Which rules hold' });
  await which.getByLabel('Rules of their own for the area').fill('95');
  await expect(which).toContainText('held by nobody');
  await which.getByRole('button', { name: 'Add the area' }).click();
  await which.getByRole('button', { name: /^.*Area 95/ }).click();
  await page.getByRole('option', { name: 'The fell network' }).click();
  await which.getByRole('button', { name: 'Save which rules hold' }).click();
  await expect(which).toContainText('Saved.');
  await page.goto('/firm/record');
  await expect(page.getByRole('region', { name: 'Record of changes' })).toContainText(
    'Rules “The fell network” saved as version 1',
  );

  // A surveyor reads them and changes nothing.
  await page.getByRole('button', { name: /^Sign out/ }).click();
  await expect(page.getByLabel('Password')).toBeVisible();
  await signIn(page, 'isla');
  await page.goto('/firm/rules');
  await expect(page.getByText('Rules are changed by the firm’s supervisors.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Copy/ })).toHaveCount(0);
});

test('a signature is drawn, the second pack says what changed, an answer by hand keeps its letter', async ({
  page,
}) => {
  await signIn(page);
  await newJob(page, '10 Signed Lane');
  await page.getByLabel('Postcode').fill('ZZ1 1ZZ');
  await goTo(page, 'Pack');
  await answerFor(page, 'Early.');
  await expect(page.getByRole('button', { name: 'Sign off and freeze' })).toBeDisabled();
  await page.getByRole('radio', { name: 'Drawing' }).check({ force: true });
  const field = page.getByRole('img', { name: 'Draw your signature here' });
  await field.scrollIntoViewIfNeeded();
  const box = await field.boundingBox();
  if (!box) throw new Error('no field');
  await page.mouse.move(box.x + 40, box.y + 90);
  await page.mouse.down();
  for (let at = 0; at < 20; at += 1) await page.mouse.move(box.x + 40 + at * 12, box.y + 90 + 30 * Math.sin(at));
  await page.mouse.up();
  await page.getByRole('button', { name: 'Sign off and freeze' }).click();
  const packs = page.getByRole('region', { name: 'Packs' });
  await expect(packs.getByText(/^P-\d+/)).toHaveCount(1, { timeout: 20_000 });
  await goTo(page, 'Place and meter point');
  await page.getByLabel('Town').fill('Netherby');
  await saved(page);
  await goTo(page, 'Pack');
  // For the same reasons: only the survey differs.
  await signOff(page, 'Early.');
  await expect(packs.getByText(/^Changed since P-\d+: 1 lines?$/)).toBeVisible({ timeout: 20_000 });

  const letters = page.getByRole('region', { name: 'Letters to the operator' });
  await letters.getByText('Letters to the operator').click();
  await letters.getByRole('button', { name: /Which letter$/ }).click();
  await page.getByRole('option', { name: 'Request: un-looping' }).click();
  await expect(letters.getByLabel('Message')).toHaveValue(/service of its own/);

  await goTo(page, 'Route');
  const dates = page.getByRole('region', { name: 'Dates' });
  await dates.getByRole('button', { name: 'Enter it' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    dates.getByRole('button', { name: /^Attach to: Sent to the operator/ }).click(),
  ]);
  await chooser.setFiles({ name: 'letter.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.4 letter') });
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    dates.getByRole('link', { name: 'letter.pdf' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('letter.pdf');
});
