import { spawn } from 'node:child_process';
import { expect, logIn, openCase, openKind, PASSWORD, press, saved, sheetOf, takeWay, test } from './helpers.mjs';

test('the summary says what is missing and does not hand in; undo takes back one step at a time', async ({ page }) => {
  await openKind(page, 'both');
  await takeWay(page, 'all');
  await press(page, 'p', 'h');
  await expect(page.locator('[data-summary-text]')).toContainText('27 faults have no call yet');
  await expect(page.locator('[data-summary-text]')).toContainText(
    'One present fault has no severity yet: uneven start',
  );
  await expect(page.locator('[data-hand-in-button]')).toBeDisabled();
  await press(page, 'Escape', '2', 'r');
  await expect(page.locator('[data-causes]')).toHaveText('uneven start');
  await press(page, 'u', 'u');
  await expect(page.locator('.fault.current [data-summary]')).toHaveText('present · 75 %');
  await press(page, 'u');
  await expect(page.locator('[data-count]')).toHaveText('0');
  await saved(page);
});

test('the rest of a station is absent by one key, and undo takes it back as one', async ({ page }) => {
  await openKind(page, 'both');
  await takeWay(page, 'stations');
  await expect(page.locator('.fault:visible')).toHaveCount(3);
  await press(page, ';');
  await expect(page.locator('[data-announce]')).toContainText('3 more of this station are absent');
  await expect(page.locator('[data-count]')).toHaveText('3');
  // The walk has gone on to the next station.
  await expect(page.locator('[data-station-name]')).not.toHaveText(/address/i);
  await press(page, 'h');
  await expect(page.locator('.missing')).toHaveCount(1);
  await page.locator('.missing button').click();
  await expect(page.locator('[data-summary-box]')).toBeHidden();
  await press(page, 'u');
  await expect(page.locator('[data-count]')).toHaveText('0');
  await saved(page);
});

test('ten calls made without a network are there after a reload, once and in order', async ({ page, context }) => {
  const address = await openKind(page, 'both');
  await takeWay(page, 'all');
  await expect(page.locator('[data-reading]')).toHaveAttribute('data-offline', 'kept', { timeout: 15_000 });
  await press(page, 'a');
  await saved(page);
  const before = (await sheetOf(page)).version;
  await context.setOffline(true);
  await press(page, 'a', 'a', 'p', '3', 'ArrowDown', 'c', 'a', 'a', 'a', 'a', 'a');
  await expect(page.locator('[data-saved]')).toHaveAttribute('data-state', 'waiting');
  // What waits is kept sealed: storage tells nobody what was called.
  const kept = () =>
    page.evaluate(() =>
      Object.entries({ ...localStorage }).filter(([k]) => k.startsWith('vc-change:') && !k.endsWith('-t')),
    );
  await expect.poll(async () => (await kept()).length).toBe(10);
  for (const [, text] of await kept()) expect(text).toMatch(/^s1:[A-Za-z0-9+/=]{16}:[A-Za-z0-9+/=]+$/);
  // The lid is closed and opened again, still without a network.
  await page.reload();
  await page.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
  await expect(page.locator('[data-count]')).toHaveText('10');
  await expect(page.locator('[data-saved]')).toHaveAttribute('data-state', 'waiting');
  const sent = [];
  page.on('request', (r) => {
    if (r.url().endsWith('/changes'))
      sent.push(
        ...r
          .postDataJSON()
          .changes.filter((c) => c.target !== 'time')
          .map((c) => c.id),
      );
  });
  await context.setOffline(false);
  await saved(page);
  expect(new Set(sent).size).toBe(10);
  await page.goto(address);
  const sheet = await sheetOf(page);
  expect(sheet.version).toBe(before + 10);
  expect(Object.keys(sheet.calls)).toHaveLength(10);
  expect(sheet.calls.sway).toMatchObject({ presence: 'present', severity: 3 });
  expect(sheet.calls['no-load'].presence).toBe('cannot-tell');
});

test('who logs out is told what has not reached the academy; it goes out with the next log-in, and shows nobody anything', async ({
  page,
}) => {
  const address = await openKind(page, 'both');
  await takeWay(page, 'all');
  const who = (await page.locator('.who a[href$="/account"]').textContent()).trim().split(' ')[0].toLowerCase();
  const before = (await sheetOf(page)).version;
  await page.route('**/changes', (route) => route.abort());
  await press(page, 'c', 'c');
  const stored = () =>
    page.evaluate(() =>
      Object.entries({ ...localStorage }).filter(([k]) => k.startsWith('vc-change:') && !k.endsWith('-t')),
    );
  await expect.poll(async () => (await stored()).length).toBe(2);
  await page.locator('form[action$="/logout"] button').click();
  await page.waitForURL('**/login');
  await expect(page.locator('[data-unsent]')).toContainText('2 calls of readings are kept in this browser');
  expect(JSON.stringify(await stored())).not.toContain('presence');
  // Nothing that is left here opens them: neither pages nor keys.
  expect(await page.evaluate(() => caches.has('vc-readings'))).toBe(false);
  await page.unroute('**/changes');
  await page.fill('#email', `${who}@fernhollow.example`);
  await page.fill('#password', PASSWORD);
  await page.keyboard.press('Enter');
  await page.waitForURL((url) => url.pathname === '/');
  await openCase(page, new URL(address).pathname);
  await saved(page);
  await expect.poll(async () => (await stored()).length).toBe(0);
  expect((await sheetOf(page)).version).toBe(before + 2);
});

test('calls outlive a server that is killed between two of them', async ({ page, env }, info) => {
  const port = 8391 + info.parallelIndex;
  const up = () =>
    fetch(`http://127.0.0.1:${port}/icon.svg`).then(
      () => true,
      () => false,
    );
  const serve = async () => {
    expect(await up(), 'another server answers at the port of this test').toBe(false);
    const run = spawn('php', ['-S', `127.0.0.1:${port}`, '-t', 'public', 'bin/lib/router.php'], {
      stdio: 'ignore',
      env: { ...env, PHP_CLI_SERVER_WORKERS: '1' },
    });
    for (let i = 0; i < 100; i++) {
      if (await up()) return run;
      await new Promise((done) => {
        setTimeout(done, 50);
      });
    }
    throw new Error('the second server did not start');
  };
  const kill = async (run) => {
    run.kill('SIGKILL');
    await expect.poll(up).toBe(false);
  };
  let server = await serve();
  try {
    const path = new URL(await openKind(page, 'both')).pathname;
    const user = await page.locator('.who a[href$="/account"]').textContent();
    await page.goto(`http://127.0.0.1:${port}/login`);
    if (page.url().endsWith('/login')) {
      await page.fill('#email', `${user.trim().split(' ')[0].toLowerCase()}@fernhollow.example`);
      await page.fill('#password', 'fernhollow-winter');
      await page.keyboard.press('Enter');
      await page.waitForURL((url) => url.pathname === '/');
    }
    await openCase(page, `http://127.0.0.1:${port}${path}`);
    await takeWay(page, 'all');
    const start = await sheetOf(page);
    const state = page.locator('[data-saved]');
    // What is called already, by whoever read here before, stays; twice the server dies between two calls of the rest.
    const left = 28 - Object.keys(start.calls).length;
    expect(left).toBeGreaterThanOrEqual(12);
    for (let n = 0; n < left; n++) {
      if (n === 2 || n === 7) await kill(server);
      await press(page, 'c');
      if (n === 4 || n === 9) {
        await expect(state).toHaveAttribute('data-state', 'waiting');
        server = await serve();
      }
      if (n === 1 || n === 6) await expect(state).toHaveAttribute('data-state', 'saved', { timeout: 20_000 });
    }
    await expect(state).toHaveAttribute('data-state', 'saved', { timeout: 20_000 });
    const sheet = await sheetOf(page);
    expect(Object.values(sheet.calls)).toHaveLength(28);
    expect(sheet.version).toBe(start.version + left);
  } finally {
    server.kill('SIGKILL');
  }
});

test('two windows on one case: different calls are joined, the same call is refused until somebody decides', async ({
  context,
}) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  const address = await openKind(one, 'both');
  await openCase(two, address);
  for (const page of [one, two]) await takeWay(page, 'all');
  const at = async (page, fault) => {
    await page.locator(`[data-fault="${fault}"] .name`).click();
  };
  await at(one, 'spin-out');
  await press(one, 'c');
  await saved(one);
  await at(two, 'fall-off');
  await press(two, 'c');
  await saved(two);
  await expect(two.locator('[data-fault="spin-out"] [data-summary]')).toHaveText('cannot tell');
  await at(one, 'toe-dive');
  await press(one, 'a');
  await saved(one);
  await at(two, 'toe-dive');
  await press(two, 'p');
  await expect(two.locator('[data-conflicts]')).toContainText(
    'Refused – falls toward the ball: This was changed in another window',
  );
  await expect(two.locator('[data-fault="toe-dive"] [data-summary]')).toContainText('absent');
  await two.getByRole('button', { name: 'put mine in its place' }).click();
  await saved(two);
  await expect(two.locator('[data-fault="toe-dive"] [data-summary]')).toContainText('present');
  expect((await sheetOf(one)).calls['toe-dive'].presence).toBe('present');
});
