import { createHash } from 'node:crypto';
import type { BrowserContext, Page } from '@playwright/test';
import sharp from 'sharp';
import { random } from '../core/chance/index.ts';
import { expect, test, type Workshop } from './fixtures.ts';

test.use({ serviceWorkers: 'allow' });

/** The short form; `CUT_LINES_ACTIONS=200 CUT_LINES_SEEDS=20` is the long one. */
const ACTIONS = Number(process.env.CUT_LINES_ACTIONS ?? 40);
const SEEDS = Number(process.env.CUT_LINES_SEEDS ?? 1);
const PATH = '/jobs/job-230/inspect';

/** A tablet whose line is cut at random, with what was done on it. */
class Station {
  readonly done: string[] = [];
  readonly #context: BrowserContext;
  readonly #workshop: Workshop;
  readonly #person: string;
  #page: Page | null = null;

  constructor(context: BrowserContext, workshop: Workshop, person: string) {
    this.#context = context;
    this.#workshop = workshop;
    this.#person = person;
  }
  async page(): Promise<Page> {
    if (this.#page !== null) return this.#page;
    const page = await this.#context.newPage();
    await this.#workshop.open(page, PATH, this.#person);
    await expect(page.getByRole('heading', { name: 'On the bench: inspect' })).toBeVisible();
    this.#page = page;
    return page;
  }
  async begin(): Promise<void> {
    await (await this.page()).evaluate(async () => void (await navigator.serviceWorker.ready));
  }
  line = (is: 'cut' | 'there'): Promise<void> => this.#context.setOffline(is === 'cut');
  async closeTab(): Promise<void> {
    await this.#page?.close();
    this.#page = null;
  }
  async note(text: string): Promise<void> {
    const page = await this.page();
    await page.keyboard.press('k');
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('textbox').fill(text);
    await dialog.getByRole('button', { name: 'Keep the note' }).click();
    await expect(dialog).toBeHidden();
    this.done.push(text);
  }
  async photo(red: number, green: number): Promise<void> {
    const page = await this.page();
    const buffer = await sharp({
      create: { width: 9, height: 9, channels: 3, background: { r: red, g: green, b: 90 } },
    })
      .png()
      .toBuffer();
    const input = page.locator('input[type="file"][accept*="image"]').first();
    await input.setInputFiles({ name: 'photo.png', mimeType: 'image/png', buffer });
    // Taken in, here or there: the field is empty again.
    await expect.poll(() => input.evaluate((field: HTMLInputElement) => field.files?.length)).toBe(0);
    this.done.push(createHash('sha256').update(buffer).digest('hex'));
  }
}

for (let seed = 1; seed <= SEEDS; seed += 1)
  test(`lines cut at random, tabs closed in between, photos among it: all is there, once, in order (${ACTIONS} actions, seed ${seed})`, async ({
    browser,
    workshop,
  }) => {
    test.setTimeout(420_000 + ACTIONS * 6000);
    const { uniform: chance } = random(seed);
    const contexts = [await browser.newContext(), await browser.newContext()];
    const stations = [new Station(contexts[0]!, workshop, 'tomas'), new Station(contexts[1]!, workshop, 'wen')];
    for (const station of stations) await station.begin();
    for (let nth = 0; nth < ACTIONS; nth += 1) {
      const station = stations[Math.floor(chance() * 2)]!;
      const turn = chance();
      if (turn < 0.1) await station.line('cut');
      else if (turn < 0.2) await station.line('there');
      else if (turn < 0.26) await station.closeTab();
      if (chance() < 0.25) await station.photo(Math.floor(chance() * 256), nth % 256);
      else await station.note(`seed ${seed}, action ${nth}`);
    }
    for (const station of stations) {
      await station.line('there');
      // A tab that was closed with something waiting is opened once more.
      await expect((await station.page()).getByTestId('waits')).toBeHidden({ timeout: 120_000 });
    }
    const there = (person: string): string[] =>
      workshop
        .rows<{ said: string }>(
          "SELECT coalesce(json_extract(data, '$.text'), json_extract(data, '$.hash')) AS said FROM event WHERE job_id = 'job-230' AND person = ? AND type IN ('note-made', 'picture-attached') ORDER BY seq",
          person,
        )
        .map(({ said }) => said);
    for (const [station, person] of [
      [stations[0]!, 'tomas'],
      [stations[1]!, 'wen'],
    ] as const) {
      await expect.poll(() => there(person).slice(-station.done.length), { timeout: 60_000 }).toEqual(station.done);
      expect(there(person).filter((said) => station.done.includes(said))).toHaveLength(station.done.length);
    }
    const photos = stations.flatMap(({ done }) => done.filter((said) => /^[0-9a-f]{64}$/.test(said)));
    for (const hash of photos) expect(workshop.rows('SELECT 1 FROM picture WHERE hash = ?', hash)).toHaveLength(1);
    for (const context of contexts) await context.close();
  });
