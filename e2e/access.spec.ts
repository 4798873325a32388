import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { STAGES } from '../core/job/index.ts';
import { expect, test } from './fixtures.ts';

const VIEWS = [
  '/bay',
  '/bench/wen',
  '/records/due',
  '/records/lasting',
  '/records/lessons',
  '/practice',
  '/practice/progress',
  '/practice/drills/way-back',
  '/practice/drills/relearn',
  '/practice/drills/trace',
  '/practice/drills/look',
  '/practice/drills/wrench',
  '/practice/drills/still-in',
  '/practice/drills/mix',
  '/shops',
  '/arrivals',
  '/price-lists',
  '/records/report',
  '/vehicles',
  '/vehicles/bus',
  '/vehicles/new',
  '/vehicles/van1/new-job',
  '/procedures',
  '/procedures/cable-rotary',
  '/procedures/new',
  '/procedures/new?job=job-228',
  '/procedures/multi-bank-v8/edit',
  '/procedures/cable-rotary/difference?from=3&to=4&job=job-230',
  '/tools/torque',
  '/stock',
  '/tools',
  '/nowhere',
  '/knowledge',
  '/settings',
  '/settings/access',
  '/first-day',
  '/families',
  '/families/norrland-25',
  '/families/fresh?new=1',
  '/units',
  '/jobs',
  '/units/bus-tb',
  '/jobs/job-233/complaint',
  '/jobs/job-233/diagnose',
  '/jobs/job-233/decide',
  '/jobs/job-230/hands/refit',
  '/jobs/job-231/hands/strip',
  '/recipes',
  '/recipes/wick-tool',
  '/recipes/new',
  '/jobs/none',
  ...STAGES.map((stage) => `/jobs/job-230/${stage}`),
  ...['coolant', 'relearn', 'prove', 'hand-over', 'refit'].map((stage) => `/jobs/job-229/${stage}`),
  '/jobs/job-234/prepare',
  '/jobs/job-234/strip',
  '/jobs/job-234/tags',
  '/jobs/job-235/tray',
  '/jobs/job-235/refit',
  '/jobs/job-231/strip',
  '/jobs/job-231/prepare',
  '/stock/s-1107',
  '/stock/s-clean',
  '/stock/fresh',
  '/returns',
  '/tools/advice',
  '/tools/air',
  '/tools/coolant',
  '/jobs/job-236/inspect',
  '/jobs/job-236/clean',
  '/jobs/job-236/rebuild',
  '/jobs/job-236/hands/clean',
  '/jobs/job-235/inspect',
  '/jobs/job-232/inspect',
  '/jobs/job-232/seized',
  '/jobs/job-232/replace',
  '/jobs/job-228/inspect',
];

/** Nothing is loading any more and there is something to read. */
async function settled(page: Page): Promise<void> {
  await expect(
    page
      .locator('main')
      .getByRole('heading')
      .or(page.locator('main').getByText('goes back'))
      .or(page.locator('main').getByText('comes off'))
      .first(),
  ).toBeVisible();
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
}

/** Without frames there is nothing to gather in a page of its own, which takes longer than the looking. */
const looking = (page: Page): AxeBuilder => new AxeBuilder({ page }).setLegacyMode(true);
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
const said = (violations: { id: string; nodes: { target: unknown[]; failureSummary?: string }[] }[]): string[] =>
  violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .slice(0, 3)
        .map(({ target, failureSummary }) => `${target.join(' ')} ${failureSummary ?? ''}`)
        .join(' | ')}`,
  );

// In parts, so that two browsers share the work and none takes long.
for (const part of [0, 1, 2, 3]) {
  test(`every view is accessible in both themes and fits a tablet and a phone, ${part + 1} of 4`, async ({
    page,
    workshop,
  }) => {
    test.setTimeout(600_000);
    const errors: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error' && !message.text().includes('404')) errors.push(message.text());
    });
    page.on('pageerror', (error) => errors.push(error.message));
    await page.emulateMedia({ reducedMotion: 'reduce', colorScheme: 'light' });
    await workshop.open(page, '/stock');
    for (const view of VIEWS.filter((_, index) => index % 4 === part)) {
      await page.goto(workshop.address + view);
      await settled(page);
      const light = await looking(page).withTags(RULES).analyze();
      expect.soft(said(light.violations), view).toEqual([]);
      // The dark theme changes colours only: structure is judged once.
      await page.evaluate(() => (document.documentElement.dataset.theme = 'dark'));
      const dark = await looking(page).withRules(['color-contrast']).analyze();
      expect.soft(said(dark.violations), `${view}, dark`).toEqual([]);
      for (const size of [
        { width: 834, height: 1112 },
        { width: 390, height: 844 },
      ]) {
        await page.setViewportSize(size);
        const over = await page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        );
        expect.soft(over, `${view} at ${size.width}`).toBeLessThanOrEqual(0);
      }
      await page.setViewportSize({ width: 1280, height: 800 });
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
