import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { STAGES } from '../core/job/index.ts';
import { expect, test } from './fixtures.ts';

const VIEWS = [
  '/bay', '/vehicles', '/vehicles/bus', '/vehicles/new', '/vehicles/van1/new-job', '/procedures', '/procedures/cable-rotary', '/stock', '/tools', '/nowhere',
  '/jobs/job-230/hands/refit', '/jobs/job-231/hands/strip', '/jobs/none',
  ...STAGES.map((stage) => `/jobs/job-230/${stage}`), ...['coolant', 'relearn', 'prove', 'hand-over', 'refit'].map((stage) => `/jobs/job-229/${stage}`), '/jobs/job-231/strip', '/jobs/job-231/prepare',
];

/** Nothing is loading any more and there is something to read. */
async function settled(page: Page): Promise<void> {
  await expect(page.locator('main').getByRole('heading').or(page.locator('main').getByText('goes back')).or(page.locator('main').getByText('comes off')).first()).toBeVisible();
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
}

for (const theme of ['light', 'dark'] as const) {
  test(`every view is accessible in the ${theme} theme, with no console error`, async ({ page, workshop }) => {
    test.setTimeout(240_000);
    const errors: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error' && !message.text().includes('404')) errors.push(message.text());
    });
    page.on('pageerror', (error) => errors.push(error.message));
    await page.addInitScript((chosen) => localStorage.setItem('unhurried-wrench.theme', chosen), theme);
    await page.emulateMedia({ reducedMotion: 'reduce' });
    for (const view of VIEWS) {
      await workshop.open(page, view);
      await settled(page);
      // The dark theme changes colours only: structure is judged once.
      const axe = new AxeBuilder({ page });
      const { violations } = await (theme === 'light' ? axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']) : axe.withRules(['color-contrast'])).analyze();
      expect.soft(violations.map(({ id, nodes }) => `${id}: ${nodes.slice(0, 3).map(({ target, failureSummary }) => `${target.join(' ')} ${failureSummary ?? ''}`).join(' | ')}`), view).toEqual([]);
    }
    expect(errors).toEqual([]);
  });
}

test('asks who is at the bench, in a dialog that is accessible', async ({ page, workshop }) => {
  await page.goto(`${workshop.address}/bay`);
  await expect(page.getByRole('heading', { name: 'Who is at the bench?' })).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(violations).toEqual([]);
  await page.getByRole('button', { name: /Isla Renn/ }).click();
  await expect(page.getByRole('button', { name: /Isla Renn/ })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('is usable upright on a tablet and in one hand: nothing runs over the edge', async ({ page, workshop }) => {
  for (const size of [{ width: 834, height: 1112 }, { width: 390, height: 844 }]) {
    await page.setViewportSize(size);
    for (const view of VIEWS) {
      await workshop.open(page, view);
      await settled(page);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      expect.soft(over, `${view} at ${size.width}`).toBeLessThanOrEqual(0);
    }
  }
});
