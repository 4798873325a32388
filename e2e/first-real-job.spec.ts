import AxeBuilder from '@axe-core/playwright';
import type { Locator, Page } from '@playwright/test';
import { expect, test } from './fixtures.ts';

test.use({ empty: true });

/** What the whole job may cost: presses of a pointer or of a key that writes nothing, and words typed. */
const MOST = { taps: 120, words: 80 } as const;

/** Works the page and counts what that costs. */
interface Hand {
  readonly name: string;
  /** Presses a button, a link or a choice. */
  readonly press: (on: Locator) => Promise<void>;
  /** Goes into a field. */
  readonly enter: (field: Locator) => Promise<void>;
}
const POINTER: Hand = {
  name: 'pointer',
  press: (on) => on.click(),
  enter: (field) => field.click(),
};
const KEYBOARD: Hand = {
  name: 'keyboard',
  press: async (on) => {
    await on.focus();
    const chosen = await on.evaluate((each) => each.matches('[role="radio"], input[type="radio"]'));
    await on.page().keyboard.press(chosen ? 'Space' : 'Enter');
  },
  enter: (field) => field.focus(),
};

/** Counts every press, Enter and other keys that write nothing too; a word is any run of signs between blanks. */
class Count {
  taps = 0;
  words = 0;
  readonly #page: Page;
  readonly #hand: Hand;

  constructor(page: Page, hand: Hand) {
    this.#page = page;
    this.#hand = hand;
  }
  async tap(on: Locator): Promise<void> {
    await expect(on.first()).toBeEnabled();
    this.taps += 1;
    await this.#hand.press(on.first());
  }
  async key(key: string): Promise<void> {
    this.taps += 1;
    await this.#page.keyboard.press(key);
  }
  async type(field: Locator, text: string): Promise<void> {
    await expect(field).toBeVisible();
    if (!(await field.evaluate((each) => each === document.activeElement))) {
      this.taps += 1;
      await this.#hand.enter(field);
    }
    this.words += text.split(/\s+/).filter((word) => word !== '').length;
    await this.#page.keyboard.type(text);
  }
}

const clean = async (page: Page): Promise<void> =>
  expect((await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag22aa']).analyze()).violations).toEqual([]);

for (const hand of [POINTER, KEYBOARD])
  test(`from an empty store to the sheet of a vehicle nobody knows, by ${hand.name}`, async ({ page, workshop }) => {
    test.setTimeout(240_000);
    const count = new Count(page, hand);
    const button = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
    const radio = (name: string) => page.getByRole('radio', { name, exact: true });
    const stop = (name: string) =>
      page.getByRole('navigation', { name: 'Stages of this job' }).getByRole('link', { name });
    const aside = page.getByRole('complementary', { name: 'Why' });
    const act = page.getByTestId('act');

    await page.addInitScript(() => localStorage.setItem('unhurried-wrench.hints', 'all'));
    await page.goto(`${workshop.address}/bay`);
    await test.step('who works here, and one wrench', async () => {
      await count.type(page.getByLabel('Your name'), 'Ida Holm');
      await count.tap(radio('Lead: signs off'));
      await count.tap(button('Add'));
      await expect(page.getByRole('list', { name: 'People' })).toContainText('Ida Holm');
      await count.tap(button('On to the wrenches'));
      await count.tap(button('Small click'));
      await count.type(page.getByLabel('As stamped'), '2-20Nm');
      await count.key('Enter');
      await expect(page.getByRole('list', { name: 'On the wall' })).toContainText('Small click');
    });
    await test.step('a vehicle and what its customer says', async () => {
      await count.tap(page.getByRole('link', { name: 'Vehicles', exact: true }));
      await count.tap(page.getByRole('link', { name: 'New vehicle' }));
      await count.type(page.getByLabel('Plate', { exact: true }), 'QX12');
      await count.tap(radio('Car, van, bus or pick-up'));
      await count.tap(radio('Cable'));
      await count.tap(radio('Rotary'));
      // Said, though it is what the form begins with: no default carries a fact.
      await count.tap(radio('Kilometres'));
      await count.tap(button('Keep the vehicle'));
      await count.tap(page.getByRole('link', { name: 'Open a job' }));
      await count.tap(radio('Something is wrong'));
      await count.type(page.getByLabel('What does the owner say?'), 'Hunts at idle.');
      await count.type(page.getByLabel('Odometer, km'), '61204');
      await count.key('Enter');
      await expect(page.getByRole('heading', { name: 'Complaint' })).toBeVisible();
    });
    const jobId = /jobs\/([^/]+)/.exec(page.url())![1]!;
    const rows = <T>(sql: string): T[] => workshop.rows<T>(sql, jobId);
    await test.step('decided, and worked without a procedure', async () => {
      await count.tap(stop('Decide'));
      await count.tap(button('All choices, one by one'));
      await count.tap(page.getByRole('dialog').getByRole('radio', { name: /Clean on the bench/ }));
      await count.key('Escape');
      await expect(page.getByRole('dialog')).toHaveCount(0);
      await count.type(page.getByLabel('Because'), 'stiff valve');
      await count.tap(button('Decide: clean on the bench'));
      await count.tap(button(/on to prepare/i));
      await count.tap(button('Work without one'));
      await count.tap(button(/on to strip/i));
    });
    await test.step('fourteen things come off, as they are said', async () => {
      const line = page.getByLabel('What came off?');
      await count.type(
        line,
        'engine cover; air duct; breather hose; vacuum hose; throttle cable; sensor connector; valve connector; upper coolant hose, bung; lower coolant hose, bung; bracket, 2 M6x16; 4 flange bolts M6x25; throttle body, cloth; 3 valve screws M5x14; idle valve',
      );
      await expect(page.getByText('read as 14 items')).toBeVisible();
      await count.key('Enter');
      await expect(line).toHaveValue('');
      await expect(act).toContainText('Plug idle air port');
      await count.tap(act);
      await expect(page.getByText('An opening gapes')).toHaveCount(0);
      await clean(page);
    });
    await test.step('a slip put right, an undo and a redo, put aside and taken up', async () => {
      await count.tap(
        page.getByRole('list', { name: 'Came off, in this order' }).getByRole('button', { name: /Bracket/ }),
      );
      await count.tap(button('Correct'));
      const many = page.getByLabel('How many', { exact: true });
      await count.type(many, '');
      await count.key('ControlOrMeta+A');
      await count.type(many, '3');
      await count.key('Enter');
      await expect(aside).toContainText('3 × M6×16 instead of 2 × M6×16');
      await count.tap(button(/^Undo: Bracket put right/));
      await expect(aside).not.toContainText('instead of 2 × M6×16');
      await count.tap(button(/^Redo: Bracket put right/));
      await expect(aside).toContainText('3 × M6×16 instead of 2 × M6×16');
      await count.tap(button(/^Job 1,/));
      await count.type(page.getByLabel('Put it aside, because'), 'seal');
      await count.key('Enter');
      await expect(button('Job 1, put aside')).toBeVisible();
      await count.tap(button(/^Job 1,/));
      await count.tap(button('Take it up again'));
      await expect(button(/^Job 1, day 1/)).toBeVisible();
    });
    await test.step('all of it goes back: two groups to a figure, one by feel', async () => {
      await count.tap(stop('Refit'));
      // Until then the margin still tells of what was strip's.
      await expect(page.getByRole('heading', { name: 'Refit', level: 2 })).toBeVisible();
      await expect(page.getByText('Start at the foot and work upward.')).toBeVisible();
      for (let steps = 0; steps < 40 && (await page.getByText('Everything is back.').count()) === 0; steps += 1) {
        const name = await aside.getByRole('heading').first().innerText();
        const before = await aside.innerText();
        if ((await aside.getByRole('heading', { name: 'Torque figure wanted' }).count()) === 0) await count.tap(act);
        else if (name === 'Bracket') {
          await count.type(page.getByLabel('Or by feel, because'), 'stiff');
          await count.tap(button('By feel'));
          await expect(aside.getByRole('heading', { name: 'Torque figure wanted' })).toHaveCount(0);
        } else {
          await count.type(page.getByLabel('Figure', { exact: true }), name === 'Valve screws' ? '5Nm' : '8-10Nm');
          await count.key('Enter');
          for (const pass of [1, 2]) {
            await expect(aside).toContainText(`Pass ${pass} of 2`);
            await count.tap(button(/^All \d of this pass reached it/));
          }
        }
        await expect.poll(() => aside.innerText()).not.toBe(before);
      }
      await expect(page.getByText('Everything is back.')).toBeVisible();
      await clean(page);
    });
    await test.step('coolant back, level right, handed over', async () => {
      await count.tap(stop('Coolant'));
      for (const kind of ['caught', 'Returned'] as const) {
        if (kind === 'Returned') await count.tap(radio(kind));
        await count.type(page.getByLabel('How much'), '0.5L');
        await count.key('Enter');
        await expect(page.getByLabel('How much')).toHaveValue('');
      }
      await count.tap(page.getByRole('group', { name: 'Level hot' }).getByRole('button', { name: 'Right' }));
      await expect(page.getByText('Engine may start')).toBeVisible();
      await count.tap(stop('Hand over'));
      await count.tap(button('Hand over and close'));
      await expect(page.getByRole('heading', { name: 'Handed over' })).toBeVisible();
      await clean(page);
    });
    await test.step('the sheet is printed, and the store holds what was done', async () => {
      count.taps += 1;
      const sheet = await page.request.get(`${workshop.address}/api/jobs/${jobId}/sheet.pdf`);
      expect((await sheet.body()).subarray(0, 5).toString()).toBe('%PDF-');
      await expect
        .poll(() => rows('SELECT status, held, items_off FROM job_summary WHERE job_id = ?'))
        .toEqual([{ status: 'closed', held: 0, items_off: 0 }]);
      expect(
        rows("SELECT name, state FROM strip_item WHERE job_id = ? AND origin = 'typed' ORDER BY strip_order"),
      ).toEqual(
        [
          'Engine cover',
          'Air duct',
          'Breather hose',
          'Vacuum hose',
          'Throttle cable',
          'Sensor connector',
          'Valve connector',
          'Upper coolant hose',
          'Lower coolant hose',
          'Bracket',
          'Flange bolts',
          'Throttle body',
          'Valve screws',
          'Idle valve',
        ].map((name) => ({ name, state: 'refitted' })),
      );
      expect(rows('SELECT name, text, by_feel, wanted FROM fastener_group WHERE job_id = ? ORDER BY name')).toEqual([
        { name: 'Bracket', text: null, by_feel: 'stiff', wanted: 0 },
        { name: 'Flange bolts', text: '8-10Nm', by_feel: null, wanted: 0 },
        { name: 'Valve screws', text: '5Nm', by_feel: null, wanted: 0 },
      ]);
      const torques = rows<{ verdict: string; n: number }>(
        'SELECT verdict, count(*) AS n FROM torque_result WHERE job_id = ? GROUP BY verdict',
      );
      expect(torques).toEqual([{ verdict: 'in band', n: 7 }]);
      const facts = rows<{ type: string }>('SELECT type FROM event WHERE job_id = ?').map(({ type }) => type);
      for (const type of ['item-corrected', 'undone', 'redone', 'job-put-aside', 'job-taken-up'])
        expect(facts).toContain(type);
    });
    // `npm run bench` prints this line.
    console.log(`first real job by ${hand.name}: ${count.taps} taps, ${count.words} words`);
    expect(count.taps).toBeLessThanOrEqual(MOST.taps);
    expect(count.words).toBeLessThanOrEqual(MOST.words);
  });
