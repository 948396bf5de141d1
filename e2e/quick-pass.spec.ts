import { expect, newJob, saved, signIn, test } from './journey';
import { endOfPass, passHome, startPass } from './home-pass';

test.use({ viewport: { width: 360, height: 740 } });

test('a usual home, from a new job to a signed pack: one thumb, at most 35 cards and 75 taps, every card in view', async ({
  page,
}) => {
  await signIn(page);
  const job = await newJob(page, '3 Test Lane, Netherby, ZZ1 1AA');
  await startPass(page);
  const { cards, thumb, tall } = await passHome(page);
  expect(tall, 'cards taller than the screen').toEqual([]);
  await endOfPass(page).getByRole('link', { name: 'Check and sign the pack' }).click();
  thumb.taps += 1;
  await saved(page);
  await page.getByLabel('Type your name to sign').fill('Maren Oakhanger');
  await page.getByRole('button', { name: 'Sign off and freeze' }).click();
  thumb.taps += 2;
  await expect(page.getByText(/^P-\d+/).first()).toBeVisible();
  console.log(`  a usual home: ${cards} cards, ${thumb.taps} taps, ${thumb.typed} typed fields, ${job}`);
  expect(cards).toBeLessThanOrEqual(35);
  expect(thumb.taps).toBeLessThanOrEqual(75);
});
