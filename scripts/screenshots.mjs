// npm run screenshots: makes every picture of docs/screenshots/ anew from the demo data, at a fixed moment.
// With names as arguments only those; with --out DIR elsewhere; --theme and --size for looking while working.
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuilt } from './lib/build.mjs';
import { chromiumArgs, ensureChromium } from './lib/chromium.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { root, say } from './lib/say.mjs';
import { seed } from './lib/seed.mjs';
import { startServer } from './lib/serve.mjs';

const MOMENT = '2026-05-13T13:09:00.000Z';
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    out: { type: 'string', default: 'docs/screenshots' },
    theme: { type: 'string' },
    size: { type: 'string' },
  },
});

/** Looks at something in a practice job, and says what it is. */
async function look(page, name, outcome) {
  await page.getByRole('button', { name }).first().click();
  await page.getByRole('radio', { name: outcome, exact: true }).check();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await page.getByRole('heading', { name: 'What do you look at?' }).waitFor();
}
/** Begins a practice job on a valve that sticks, with some looks and tags laid. */
async function practise(page) {
  const id = await page.evaluate(async () => {
    const post = async (path, body) =>
      (
        await fetch(`/api/practice/${path}`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ by: 'isla', ...body }),
        })
      ).json();
    const teaches = 'A valve that clicks and does not turn is driven well, and stuck.';
    const scenario = { group: 'cable', faults: ['valve-stuck'], seed: 1, difficulty: 1, teaches, tried: [] };
    const { key } = await post('scenarios', { format: 'unhurried-wrench-scenario', version: 1, scenario });
    return (await post('jobs', { scenario: key, seed: 1 })).id;
  });
  await page.goto(new URL(`/practice/at/${id}/jobs/${id}/diagnose`, page.url()).href);
  await page.getByRole('heading', { name: 'What do you look at?' }).waitFor();
  await look(page, /^Smoke into/, 'No smoke');
  await look(page, /^Valve moves/, 'Clicks, does not move');
  await page.getByRole('combobox', { name: 'A cause' }).pressSequentially('idle valve st');
  await page.getByRole('option', { name: /Idle valve sticks/ }).click();
  for (let tag = 0; tag < 5; tag += 1) await page.getByRole('button', { name: /^One tag more/ }).click();
  await page.getByRole('combobox', { name: 'Another cause' }).pressSequentially('deposit');
  await page.getByRole('option', { name: /Deposit/ }).click();
  await page.getByRole('button', { name: /^One tag more on deposit/ }).click();
  await page.waitForTimeout(900);
}

/** name → where, theme, size. Both themes are shown among them. */
const VIEWS = {
  bay: {
    path: '/bay',
    prepare: (page) => page.locator('input[name="way-out"]').first().waitFor({ state: 'attached' }),
  },
  complaint: { path: '/jobs/job-233/complaint' },
  diagnose: { path: '/jobs/job-233/diagnose', theme: 'dark' },
  decide: {
    path: '/jobs/job-230/decide',
    prepare: (page) =>
      page
        .getByRole('heading', { level: 2, name: 'Decide', exact: true })
        .waitFor({ state: 'detached', timeout: 20_000 }),
  },
  prepare: { path: '/jobs/job-234/prepare' },
  strip: { path: '/jobs/job-234/strip', theme: 'dark' },
  inspect: { path: '/jobs/job-230/inspect?at=light' },
  clean: { path: '/jobs/job-236/clean', theme: 'dark' },
  rebuild: { path: '/jobs/job-230/rebuild' },
  refit: { path: '/jobs/job-230/refit' },
  'hands-busy': { path: '/jobs/job-230/hands/refit', theme: 'dark' },
  coolant: { path: '/jobs/job-230/coolant' },
  prove: { path: '/jobs/job-229/prove' },
  'hand-over': { path: '/jobs/job-229/hand-over' },
  editor: { path: '/procedures/multi-bank-v8/edit', person: 'isla' },
  due: { path: '/records/due', prepare: (page) => page.getByRole('radio', { name: 'half a year' }).click() },
  practice: {
    path: '/practice',
    person: 'isla',
    theme: 'dark',
    prepare: async (page) => {
      await practise(page);
      await page.getByRole('button', { name: 'Run', exact: true }).click();
      await page.waitForTimeout(12_000);
      await page.getByRole('button', { name: /^Duct off, look/ }).click();
      await page.getByRole('heading', { level: 3, name: /^Duct off, look/ }).waitFor();
    },
  },
  'practice-review': {
    path: '/practice',
    person: 'isla',
    prepare: async (page) => {
      await practise(page);
      await look(page, /^Duct off, look/, 'Thin even film');
      await page.getByRole('button', { name: /^Say what it was/ }).click();
      await page.getByRole('button', { name: 'Say so, and end it' }).click();
      await page.getByTestId('sum').waitFor({ timeout: 20_000 });
    },
  },
  // Near the end: it begins a run, which the pictures of that job must not show.
  relearn: {
    path: '/jobs/job-233/relearn',
    prepare: async (page) => {
      await page
        .getByRole('listitem')
        .filter({ hasText: 'throttle stops by the tool, or timed' })
        .getByRole('button', { name: 'Start' })
        .click();
      await page.getByLabel('Battery, V').fill('12.5');
      await page.getByLabel('Battery, V').press('Enter');
      await page.getByRole('button', { name: 'Lights, fan and heater off' }).click();
      await page.waitForTimeout(600);
    },
  },
};
/** Looked at, but not kept. */
const LOOKED_AT = {
  'arrivals-light': { path: '/arrivals' },
  'price-lists': { path: '/price-lists', person: 'isla' },
  'price-lists-dark': { path: '/price-lists', person: 'isla', theme: 'dark', size: '834x1112' },
  'shops-dark': {
    path: '/shops',
    person: 'isla',
    theme: 'dark',
    prepare: async (page) => {
      const life = await page.evaluate(() => fetch('/api/vehicles/bus/life?by=isla').then((reply) => reply.text()));
      const buffer = Buffer.from(life);
      await page
        .locator('input[type="file"]')
        .setInputFiles({ name: 'life.json', mimeType: 'application/json', buffer });
      await page.waitForTimeout(800);
    },
  },
  'decide-below': {
    path: '/jobs/job-233/decide',
    prepare: async (page) => {
      await page.getByText('All choices, one by one').waitFor();
      await page.getByText('All choices, one by one').scrollIntoViewIfNeeded();
      await page.mouse.wheel(0, 500);
      await page.waitForTimeout(400);
    },
  },
  'decide-below-dark': {
    path: '/jobs/job-230/decide',
    theme: 'dark',
    prepare: async (page) => {
      const ask = page.getByRole('button', { name: /Ask the supplier/ });
      await ask.waitFor();
      await ask.click();
      await page.waitForTimeout(900);
      await ask
        .or(page.getByRole('button', { name: 'Ask again' }))
        .first()
        .scrollIntoViewIfNeeded();
    },
  },
  'unit-elsewhere': { path: '/units/bus-tb', person: 'isla', theme: 'dark' },
  'vehicle-dark': { path: '/vehicles/bus', person: 'isla', theme: 'dark', size: '834x1112' },
  arrivals: { path: '/arrivals', theme: 'dark' },
  ...Object.fromEntries(
    ['Opening hours', 'Calendars for other programs', 'People'].map((title, nth) => [
      `settings-${nth + 1}`,
      {
        path: '/settings',
        person: 'isla',
        theme: nth === 1 ? 'dark' : 'light',
        prepare: (page) =>
          page
            .getByRole('heading', { name: title })
            .first()
            .evaluate((each) => each.scrollIntoView()),
      },
    ]),
  ),
  shops: { path: '/shops', person: 'isla' },
  elsewhere: {
    path: '/vehicles/bus',
    person: 'isla',
    prepare: async (page) => {
      const row = page.locator('details summary').filter({ hasText: 'North Pier' }).last();
      await row.click();
      await row.scrollIntoViewIfNeeded();
    },
  },
  lessons: { path: '/records/lessons', person: 'isla' },
  'lessons-dark': { path: '/records/lessons', person: 'isla', theme: 'dark', size: '834x1112' },
  report: { path: '/records/report/2026-05' },
  'report-year': { path: '/records/report/2025', theme: 'dark' },
  bench: { path: '/bench/wen' },
  'bay-dark': { path: '/bay', theme: 'dark' },
  'bay-tablet': { path: '/bay', size: '834x1112' },
  promise: {
    path: '/jobs/job-230/refit',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^ready/ }).click();
      await page.getByText('earliest honest').waitFor();
    },
  },
  air: { path: '/tools/air', theme: 'dark' },
  recipe: { path: '/recipes/wick-tool', person: 'isla' },
  'refit-tablet': { path: '/jobs/job-230/refit', size: '834x1112', theme: 'dark' },
  vehicles: { path: '/vehicles', theme: 'dark' },
  jobs: { path: '/jobs' },
  units: { path: '/units' },
  returns: { path: '/returns', theme: 'dark' },
  'decide-bus': { path: '/jobs/job-230/decide' },
  torque: { path: '/tools/torque' },
  advice: { path: '/tools/advice' },
  'relearn-bus': { path: '/jobs/job-229/relearn' },
  'refit-bank': { path: '/jobs/job-236/refit?item=trumpet-look' },
  'rebuild-part': {
    path: '/jobs/job-236/rebuild',
    prepare: (page) => page.getByRole('tab', { name: /Injector, cylinder 3/ }).click(),
  },
  procedures: { path: '/procedures' },
  'vehicle-new': { path: '/vehicles/new' },
  'job-new': { path: '/vehicles/bus/new-job' },
  family: { path: '/families/norrland-25' },
  families: { path: '/families' },
  unit: { path: '/units/bus-tb' },
  settings: { path: '/settings', person: 'isla' },
  knowledge: { path: '/knowledge', theme: 'dark', person: 'isla' },
  vehicle: { path: '/vehicles/farm' },
  tray: { path: '/jobs/job-235/tray', theme: 'dark' },
  difference: { path: '/procedures/cable-rotary/difference?from=3&to=4&job=job-230' },
  'clean-bus': { path: '/jobs/job-230/clean' },
  'coolant-done': { path: '/jobs/job-229/coolant' },
  tools: { path: '/tools' },
  procedure: { path: '/procedures/cable-rotary', theme: 'dark' },
  'refit-minibus': { path: '/jobs/job-235/refit' },
  tags: { path: '/jobs/job-234/tags' },
  'procedure-saloon': { path: '/procedures/multi-bank-v8' },
  'editor-new': { path: '/procedures/new', person: 'isla' },
  'editor-job': { path: '/procedures/new?job=job-228', person: 'isla' },
  'vehicle-saloon': { path: '/vehicles/saloon' },
  'inspect-van': { path: '/jobs/job-228/inspect' },
  'inspect-flap': { path: '/jobs/job-235/inspect' },
  'inspect-bank': { path: '/jobs/job-236/inspect' },
  'inspect-plastic': { path: '/jobs/job-232/inspect' },
  seized: { path: '/jobs/job-232/seized' },
  'hands-clean': { path: '/jobs/job-236/hands/clean' },
  'rebuild-bank': { path: '/jobs/job-236/rebuild' },
  replace: { path: '/jobs/job-232/replace' },
  'coolant-tool': { path: '/tools/coolant' },
  'stock-item': { path: '/stock/s-1107' },
  'stock-cleaner': { path: '/stock/s-clean' },
  'complaint-bus': { path: '/jobs/job-230/complaint' },
  'clock-off': { path: '/jobs/job-230/refit', clockOff: 86_400_000 },
  'settings-figures': {
    path: '/settings',
    person: 'isla',
    prepare: (page) => page.getByLabel('Currency').scrollIntoViewIfNeeded(),
  },
  'asks-back': {
    path: '/jobs/job-230/coolant',
    prepare: async (page) => {
      await page.getByLabel('How much').fill('2 qt');
      await page.getByLabel('How much').blur();
    },
  },
  'writing-up': {
    path: '/jobs/job-230/coolant',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Write up for another time' }).click();
      await page.getByLabel('Time', { exact: true }).fill('16:40');
    },
  },
  backups: {
    path: '/settings#backups',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Back up now' }).click();
      await page.getByText(/^Backed up:/).waitFor();
    },
  },
  'lost-photo': {
    path: '/jobs/job-229/inspect',
    before: loseOnePhoto,
    prepare: async (page) => page.getByRole('heading', { name: 'Pictures' }).scrollIntoViewIfNeeded(),
  },
  'lost-photo-sheet': {
    path: '/jobs/job-229/prove',
    before: loseOnePhoto,
    prepare: async (page) => page.getByText('No photo here').first().scrollIntoViewIfNeeded(),
  },
  'backups-long': {
    path: '/settings#backups',
    before: ageBackups,
    theme: 'dark',
    person: 'isla',
    prepare: async (page) => page.getByText('Keep where they go').scrollIntoViewIfNeeded(),
  },
  'bay-old-backup': { path: '/bay', before: ageBackups },
  'sheet-years': { path: '/jobs/job-229/hand-over', theme: 'dark' },
  'complaint-asks': {
    path: '/jobs/job-233/complaint',
    person: 'isla',
    prepare: async (page) => {
      await page.getByLabel('And what else?').fill('New throttle body; it does the tango when parked.');
      await page.getByRole('button', { name: 'Tell' }).click();
      await page.getByText('which is meant?').waitFor();
    },
  },
  'diagnose-proof': {
    path: '/jobs/job-233/diagnose',
    prepare: (page) => checkOff(page, 'Duct off, look at the plate', /^Something lies there/),
  },
  'diagnose-banks': {
    path: '/jobs/job-234/diagnose',
    prepare: async (page) => {
      await checkOff(page, /valve.*by hand/i, null);
      await page.getByText('On which one').scrollIntoViewIfNeeded();
    },
  },
  estimate: {
    path: '/jobs/job-228/decide',
    prepare: async (page) => page.getByRole('region', { name: 'Estimate for the owner' }).scrollIntoViewIfNeeded(),
  },
  'hands-strip': { path: '/jobs/job-231/hands/strip' },
  // Last: from here on everybody signs in.
  access: {
    path: '/settings/access',
    person: 'isla',
    prepare: async (page) => {
      const set = async (words, done) => {
        await page.getByLabel('New password').fill(words);
        await page.getByLabel('The same once more').fill(words);
        await page.getByRole('button', { name: done }).click();
      };
      await set('three words and a quay', 'Begin with sign-in');
      for (const name of ['Tomas Virk', 'Wen Okafor']) {
        await page.getByRole('button', { name: new RegExp(`Let sign in.*${name}`) }).click();
        await set('three words and a quay', `Set it for ${name}`);
        await page.getByText(`${name} can sign in by it.`).waitFor();
      }
      await page.getByLabel('Make this device a station called').fill('tablet at bay 1');
      await page.getByRole('button', { name: 'Make it a station' }).click();
      await page.getByText('this device').waitFor();
    },
  },
};

/** Opens a check of the list, and answers it unless the answer is what is to be seen. */
async function checkOff(page, name, answer) {
  await page.getByRole('button', { name: 'All checks' }).click();
  await page.getByRole('dialog').getByRole('button', { name }).first().click();
  for (const read = page.getByRole('button', { name: 'I have read it' }).first(); await read.isVisible();)
    await read.click();
  if (answer !== null) await page.getByRole('button', { name: answer }).click();
}

/** Takes the files of a photo away, as a disk that rots would. */
async function loseOnePhoto() {
  const { default: Sqlite } = await import('better-sqlite3');
  const db = new Sqlite(join(folder, 'shop.sqlite'), { readonly: true });
  const { hash } = db
    .prepare("SELECT hash FROM picture_link WHERE job_id = 'job-229' AND subject = 'throttle-body' AND phase = 'after'")
    .get();
  db.close();
  for (const tail of ['', '.shown.webp', '.small.webp']) rmSync(join(folder, 'pictures', hash + tail), { force: true });
}

/** As if this shop had been at work for a year, and its backup disk had been away since yesterday morning. */
async function ageBackups() {
  const made = join(folder, 'backups');
  if (existsSync(made) && readdirSync(made).length > 9) return;
  const first = await fetch(`${server.address}/api/backups`, { method: 'POST' }).then((reply) => reply.json());
  for (let status = first; status.running !== null;)
    status = await fetch(`${server.address}/api/keeping`).then((reply) => reply.json());
  const [name] = readdirSync(made).filter((each) => each.endsWith('.zip'));
  const stamped = (at) =>
    name.replace(
      /\d{4}-\d\d-\d\dT\d\d-\d\d-\d\dZ/,
      at
        .toISOString()
        .replace(/\.\d+Z$/, 'Z')
        .replaceAll(':', '-'),
    );
  for (let back = 2; back < 300; back += back < 9 ? 1 : 7)
    cpSync(join(made, name), join(made, stamped(new Date(Date.parse('2026-05-13T02:00:00Z') - back * 86_400_000))));
  rmSync(join(made, name));
}

await ensureInstalled();
await ensureBuilt();
const executablePath = await ensureChromium();
const { chromium } = await import('@playwright/test');
const folder = mkdtempSync(join(tmpdir(), 'unhurried-wrench-'));
const out = resolve(root, values.out);
mkdirSync(out, { recursive: true });
const started = Date.now();
const server = await startServer({ data: join(folder, 'shop.sqlite'), clock: MOMENT });
await seed(server.address, Date.parse(MOMENT));
const browser = await chromium.launch({ executablePath, args: chromiumArgs });
try {
  const wanted =
    positionals.length > 0
      ? positionals.map((name) => [name, { ...VIEWS, ...LOOKED_AT }[name]])
      : Object.entries(VIEWS);
  for (const [name, view] of wanted) {
    const [width, height] = (values.size ?? view.size ?? '1280x800').split('x').map(Number);
    const theme = values.theme ?? view.theme ?? 'light';
    const context = await browser.newContext({
      serviceWorkers: 'block',
      viewport: { width, height },
      timezoneId: 'Europe/London',
      locale: 'en-GB',
      reducedMotion: 'reduce',
    });
    await context.addInitScript(
      ([chosen, person]) => {
        localStorage.setItem('unhurried-wrench.person', person);
        localStorage.setItem('unhurried-wrench.hints', 'all');
        localStorage.setItem('unhurried-wrench.theme', chosen);
      },
      [theme, view.person ?? 'tomas'],
    );
    // The tablet's clock goes with the shop's; how a wrong one is told stands in a picture of its own.
    await context.clock.setSystemTime(new Date(Date.parse(MOMENT) + Date.now() - started + (view.clockOff ?? 0)));
    if (view.before) await view.before();
    const page = await context.newPage();
    page.on('console', (message) => message.type() === 'error' && say(`  ${name}: ${message.text()}`));
    page.on('pageerror', (error) => say(`  ${name}: ${error.message}`));
    await page.goto(server.address + view.path);
    await page
      .locator('main')
      .getByRole('heading')
      .or(page.locator('main').getByText(/goes back|comes off/))
      .first()
      .waitFor();
    await page.waitForFunction(() => document.querySelector('[aria-busy="true"]') === null);
    if (view.prepare) await view.prepare(page);
    await page.waitForTimeout(300);
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(out, `${name}.png`) });
    await context.close();
    say(`${name}.png`);
  }
} finally {
  await browser.close();
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(0);
