import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './journey';

/**
 * Fails for anything axe finds on the page as it stands. The contrast of every colour on every ground in every light is worked out in
 * `light-colours.test.ts`; axe sees in Paper, and on one page in each other light, that nothing is written in any other colour.
 */
export async function axeFindsNothing(page: Page, view: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    // In the page itself, which has no frames: a page of its own for the results takes three times as long.
    .setLegacyMode()
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .options({ resultTypes: ['violations'], preload: false })
    .analyze();
  const found = violations.map(
    ({ id, nodes }) => `${view}: ${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`,
  );
  expect(found).toEqual([]);
}
