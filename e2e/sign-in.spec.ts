import AxeBuilder from '@axe-core/playwright';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import sharp from 'sharp';
import { plainItem } from '../core/procedure/index.ts';
import { expect, test, type Workshop } from './fixtures.ts';
import { launch } from './served.ts';

const passwordOf = (name: string): string => `${name} walks to the quay`;
const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });

async function accessible(page: Page): Promise<void> {
  for (const theme of ['light', 'dark']) {
    await page.evaluate((to) => document.documentElement.setAttribute('data-theme', to), theme);
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  }
}

/** The first password of the shop: from then on people sign in. */
async function begin(page: Page, workshop: Workshop): Promise<void> {
  await workshop.open(page, '/settings/access', 'isla');
  await page.getByLabel('New password').fill(passwordOf('isla'));
  await page.getByLabel('The same once more').fill('something else');
  await button(page, 'Begin with sign-in').click();
  await expect(page.getByText('The two are not the same.')).toBeVisible();
  await page.getByLabel('The same once more').fill(passwordOf('isla'));
  await button(page, 'Begin with sign-in').click();
  await expect(page.getByText('signed in by password')).toBeVisible();
}
async function letSignIn(page: Page, name: string): Promise<void> {
  await button(page, new RegExp(`Let sign in.*${name}`)).click();
  await page.getByLabel('New password').fill(passwordOf(name));
  await page.getByLabel('The same once more').fill(passwordOf(name));
  await button(page, `Set it for ${name}`).click();
  await expect(page.getByText(`${name} can sign in by it.`)).toBeVisible();
}
async function setPin(page: Page, name: string, pin: string): Promise<void> {
  await button(page, 'Set a PIN').click();
  await page.getByLabel('Your password', { exact: true }).fill(passwordOf(name));
  await page.getByLabel('New PIN').fill(pin);
  await button(page, 'Set the PIN').click();
  await expect(page.getByText('The PIN holds from now on')).toBeVisible();
}
async function byPassword(page: Page, name: string): Promise<void> {
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('Password', { exact: true }).fill(passwordOf(name));
  await button(page, 'Sign in').click();
}
async function typePin(page: Page, pin: string, done = 'Go on'): Promise<void> {
  for (const digit of pin) await button(page, digit).click();
  await button(page, done).click();
}
const hands = (page: Page) => button(page, /change who is at the bench/);
const onPhone = (browser: Browser): Promise<BrowserContext> =>
  browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-GB', serviceWorkers: 'block' });

test('a shop begins with sign-in; hands are changed at a station by PIN, and what was under it stays', async ({
  page,
  workshop,
}) => {
  await begin(page, workshop);
  await letSignIn(page, 'Wen Okafor');
  await setPin(page, 'isla', '2580');
  await page.getByLabel('Make this device a station called').fill('tablet at bay 1');
  await button(page, 'Make it a station').click();
  await expect(page.getByText('this device')).toBeVisible();
  await accessible(page);

  // Wen comes in by password, in the sheet of names, and gives himself a PIN.
  await hands(page).click();
  await button(page, 'Somebody else, by password').click();
  await byPassword(page, 'Wen Okafor');
  await expect(hands(page)).toContainText('Wen Okafor');
  await expect(page.getByRole('heading', { name: 'Who can sign in' })).toBeHidden();
  await setPin(page, 'Wen Okafor', '1470');

  // Something is typed when the session ends elsewhere.
  await page.goto(`${workshop.address}/jobs/job-230/inspect`);
  await expect(page.getByRole('heading', { name: 'On the bench: inspect' })).toBeVisible();
  await page.keyboard.press('k');
  await page.getByRole('dialog').getByRole('textbox').fill('shaft feels loose');
  await page.evaluate(() =>
    fetch('/api/session', {
      method: 'DELETE',
      headers: {
        'x-wrench-token': JSON.parse(localStorage.getItem('unhurried-wrench.signed-in') ?? '{}').token as string,
      },
    }),
  );
  await page.getByRole('dialog').getByRole('button', { name: 'Keep the note' }).click();
  const signIn = page.getByTestId('sign-in');
  await expect(signIn).toContainText('tablet at bay 1');
  await expect(signIn).toContainText('1 waiting here');
  await accessible(page);
  await button(page, 'Wen Okafor').click();
  await typePin(page, '9999');
  await expect(page.getByRole('alert').filter({ hasText: 'That is not the PIN.' })).toBeVisible();
  await accessible(page);
  await typePin(page, '1470');
  await expect(signIn).toBeHidden();
  await expect
    .poll(() =>
      workshop.rows(
        "SELECT person FROM event WHERE job_id = 'job-230' AND json_extract(data, '$.text') = 'shaft feels loose'",
      ),
    )
    .toEqual([{ person: 'wen' }]);

  // A change of hands: the sheet of names, a name, and go on. Three taps besides the digits.
  await hands(page).click();
  await accessible(page);
  await button(page, 'Isla Renn').click();
  await typePin(page, '2580');
  await expect(hands(page)).toContainText('Isla Renn');
  expect(workshop.rows("SELECT kind FROM access_line WHERE kind = 'changed-hands'")).toHaveLength(2);

  // The tablet is lost: struck out, whoever has it is nobody.
  await page.goto(`${workshop.address}/settings/access`);
  await button(page, /Lost/).click();
  await button(page, 'Strike it out').click();
  await expect(signIn).toBeVisible();
  await expect(signIn.getByLabel('Your name')).toBeVisible();
  await page.reload();
  await expect(signIn.getByLabel('Your name')).toBeVisible();
});

test('what an apprentice did has a technician’s name put beside it at the same station, and the sheet says so', async ({
  page,
  workshop,
}) => {
  const send = async (type: string, data: object): Promise<void> => {
    const [{ n: seen } = { n: 0 }] = workshop.rows<{ n: number }>(
      "SELECT count(*) AS n FROM event WHERE job_id = 'hers'",
    );
    const reply = await page.request.post(`${workshop.address}/api/jobs/hers/commands`, {
      data: { id: `hers-${seen}-${type}`, at: new Date().toISOString(), by: 'wen', seen, type, data },
    });
    expect(reply.ok(), await reply.text()).toBe(true);
  };
  await send('open-job', {
    vehicleId: 'van3',
    reading: { value: 400_000, unit: 'km' },
    readingReason: 'cluster replaced',
    complaint: 'It hunts at idle.',
  });
  const item = plainItem('hose', 'Lower coolant hose', 'coolant-hose');
  await send('add-item', { item });
  await send('remove-item', { itemId: 'hose', pocket: '', label: '', countedOut: null });
  await begin(page, workshop);
  for (const name of ['Wen Okafor', 'Tomas Virk']) await letSignIn(page, name);
  await page.getByLabel('Make this device a station called').fill('tablet at bay 1');
  await button(page, 'Make it a station').click();
  for (const [name, pin] of [
    ['Tomas Virk', '8520'],
    ['Wen Okafor', '1470'],
  ] as const) {
    await hands(page).click();
    await button(page, 'Somebody else, by password').click();
    await byPassword(page, name);
    await expect(hands(page)).toContainText(name);
    await setPin(page, name, pin);
  }
  await page.goto(`${workshop.address}/jobs/hers/hand-over`);
  await expect(page.getByText('Wen did these; nobody has looked at them yet:')).toBeVisible();
  await expect(page.locator('#countersign')).toContainText('Lower coolant hose off');
  // Countersign, a name, sign: three taps besides the digits.
  await button(page, 'Countersign').click();
  await expect(page.getByRole('dialog')).toContainText('1 entry and the hand-over of the job as it stands');
  await expect(button(page, 'Wen Okafor')).toBeHidden();
  await accessible(page);
  await button(page, 'Tomas Virk').click();
  await typePin(page, '8520', 'Sign');
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.locator('#countersign')).toBeHidden();
  await expect(page.getByText(/^1 entry and the hand-over/)).toBeVisible();
  await expect(hands(page)).toContainText('Wen Okafor');
  expect(workshop.rows("SELECT person FROM event WHERE job_id = 'hers' AND type = 'countersigned'")).toEqual([
    { person: 'tomas' },
  ]);
});

test('a customer reads an estimate through a link on a phone, answers it, and sees nothing else', async ({
  page,
  browser,
  workshop,
}) => {
  await begin(page, workshop);
  await page.goto(`${workshop.address}/jobs/job-230/decide`);
  await button(page, 'Make the estimate').click();
  await button(page, 'A link for the customer').click();
  await button(page, 'Make a link').click();
  const link = await page.getByTestId('link').innerText();
  await accessible(page);

  const phone = await onPhone(browser);
  const customer = await phone.newPage();
  await customer.goto(link);
  await expect(customer.getByText('May we go ahead?')).toBeVisible();
  await accessible(customer);
  await customer.getByRole('radio', { name: 'Yes, up to a sum' }).click();
  await button(customer, 'Send this answer').click();
  await expect(customer.getByText('Expected a sum, such as 120.')).toBeVisible();
  await customer.getByLabel('Up to how much').fill('150');
  await button(customer, 'Send this answer').click();
  await expect(customer.getByText('Who answers?')).toBeVisible();
  await customer.getByLabel('Your name').fill('Ferry library');
  await button(customer, 'Send this answer').click();
  await expect(customer.getByRole('status')).toContainText('Approved up to 150.00 cr by Ferry library');
  // Nothing else is answered to this phone.
  for (const path of ['/api/bay', '/api/jobs/job-230', '/api/shop'])
    expect((await customer.request.get(`${workshop.address}${path}`)).status()).toBe(401);
  await page.keyboard.press('Escape');
  await expect(page.getByText('Approved up to 150.00 cr')).toBeVisible();

  await button(page, 'A link for the customer').click();
  await expect(page.getByRole('dialog')).toContainText('last opened');
  await button(page, /^Withdraw/).click();
  await expect(page.getByRole('dialog')).toContainText('withdrawn');
  await customer.reload();
  await expect(customer.getByRole('alert')).toContainText('This link leads nowhere any more');
  await accessible(customer);
  await phone.close();
});

test('a phone joins a job by a code that counts once, and takes photos for it and nothing else', async ({
  page,
  browser,
  workshop,
}) => {
  await begin(page, workshop);
  await page.goto(`${workshop.address}/jobs/job-230/inspect`);
  await button(page, 'With a phone').first().click();
  await accessible(page);
  const address = (await page.getByTestId('phone-address').textContent()) ?? '';
  const context = await onPhone(browser);
  const phone = await context.newPage();
  await phone.goto(address);
  await expect(phone.getByRole('heading', { name: /job 230/ })).toBeVisible();
  await accessible(phone);
  const buffer = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a63' } })
    .jpeg()
    .toBuffer();
  const before = workshop.rows("SELECT 1 FROM event WHERE job_id = 'job-230' AND type = 'picture-attached'").length;
  await phone.locator('input[type="file"]').setInputFiles({ name: 'p.jpg', mimeType: 'image/jpeg', buffer });
  await expect(phone.getByRole('status')).toHaveText('1 photo on the job');
  expect(
    workshop.rows("SELECT person FROM event WHERE job_id = 'job-230' AND type = 'picture-attached'").slice(before),
  ).toEqual([{ person: 'isla' }]);
  // The same tab goes on; another phone does not come in by the same code.
  await phone.reload();
  await expect(phone.getByRole('heading', { name: /job 230/ })).toBeVisible();
  const other = await onPhone(browser);
  const second = await other.newPage();
  await second.goto(address);
  await expect(second.getByRole('alert')).toContainText('This code was used already');
  expect((await phone.request.get(`${workshop.address}/api/jobs/job-230`)).status()).toBe(403);
  for (const each of [context, other]) await each.close();
});

test('a tablet is brought in over the workshop’s own network, and works there by HTTPS', async ({
  page,
  browser,
  workshop,
}) => {
  await begin(page, workshop);
  await workshop.stop();
  const network = await launch(workshop.file, 0, 'dist', ['--network', '--name', 'localhost']);
  try {
    const [, joining = ''] = /bring a tablet in at (\S+)/.exec(network.said) ?? [];
    const [, secure = ''] = /on the network at (https:\/\/localhost:\S+)/.exec(network.said) ?? [];
    // The program shows the code of that page, and the fingerprint to compare.
    await page.goto(`${network.address}/settings/access`);
    await expect(page.getByTestId('sign-in')).toBeHidden();
    const fingerprint = await page.getByText(/^[0-9A-F]{2}(:[0-9A-F]{2}){31}$/).innerText();
    await expect(page.getByRole('img', { name: /brings a tablet in, as a code/ })).toBeVisible();
    await accessible(page);

    // Told to trust the authority, as the tablet is by hand.
    const context = await browser.newContext({
      viewport: { width: 834, height: 1112 },
      locale: 'en-GB',
      ignoreHTTPSErrors: true,
    });
    const tablet = await context.newPage();
    await tablet.goto(joining);
    await expect(tablet.getByText(fingerprint)).toBeVisible();
    await expect(tablet.getByRole('link', { name: 'Fetch the workshop’s certificate' })).toBeVisible();
    const { violations } = await new AxeBuilder({ page: tablet }).setLegacyMode(true).analyze();
    expect(violations.map(({ id }) => id)).toEqual([]);
    const address = await tablet.getByRole('link', { name: secure }).getAttribute('href');
    await tablet.goto(address ?? '');
    await expect(tablet.getByTestId('sign-in')).toBeVisible();
    await byPassword(tablet, 'isla');
    await expect(tablet.getByRole('heading', { name: 'Bay' }).or(tablet.getByText('TQ 417')).first()).toBeVisible();
    expect(await tablet.evaluate(() => window.isSecureContext)).toBe(true);
    // The cookie goes by HTTPS alone.
    const cookies = await context.cookies(`${secure}/api`);
    expect(cookies.map(({ name, secure: only, httpOnly, sameSite }) => [name, only, httpOnly, sameSite])).toEqual([
      ['wrench-session', true, true, 'Strict'],
    ]);
    await context.close();
  } finally {
    await network.stop();
  }
});
