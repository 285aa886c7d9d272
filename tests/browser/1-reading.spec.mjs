import { spawn } from 'node:child_process';
import AxeBuilder from '@axe-core/playwright';
import { expect, logIn, openCase, press, saved, test, watchErrors } from './helpers.mjs';

const sheetOf = (page) =>
  page.evaluate(async () => (await fetch(document.querySelector('[data-reading]').dataset.sheetUrl)).json());
const serious = async (page) =>
  (await new AxeBuilder({ page }).analyze()).violations
    .filter((v) => ['serious', 'critical'].includes(v.impact))
    .map((v) => [v.id, v.nodes[0].html.slice(0, 120)]);

/** Logs in somebody who has such a case before him, nothing called in it yet, and opens it. */
async function openKind(page, kind) {
  for (const who of ['kit', 'dov', 'arlo', 'vesna', 'tam']) {
    await logIn(page, who);
    for (const link of await page
      .locator('table a', { hasText: /^read$/ })
      .evaluateAll((all) => all.map((a) => a.href))) {
      const shown = await (
        await page.request.get(`${link}/evidence/1`, { headers: { Accept: 'application/json' } })
      ).json();
      const { calls } = await (await page.request.get(`${link}/sheet`)).json();
      if (Object.keys(calls).length) continue;
      const film = shown.motion !== null || shown.films.length > 0;
      if (kind === (film && shown.trace ? 'both' : film ? 'film' : 'trace')) {
        await openCase(page, link);
        return link;
      }
    }
  }
  throw new Error(`nobody has a ${kind} case left`);
}

async function takeWay(page, way) {
  if ((await page.locator(`[data-way="${way}"]`).getAttribute('aria-pressed')) !== 'true') await press(page, 'v');
  await expect(page.locator(`[data-way="${way}"]`)).toHaveAttribute('aria-pressed', 'true');
}

for (const kind of ['film', 'trace', 'both']) {
  for (const way of ['stations', 'all']) {
    test(`an instructor reads by keyboard alone: ${kind}, ${way === 'all' ? 'all at once' : 'station by station'}`, async ({
      page,
    }) => {
      const errors = watchErrors(page);
      const address = await openKind(page, kind);
      await takeWay(page, way);
      await expect(page.locator('.fault.current .name')).toHaveText('Uneven start');
      if (way === 'stations') {
        await expect(page.locator('[data-station-name]')).toHaveText(/address/i);
        await expect(page.locator('.fault:visible')).toHaveCount(2);
      } else await expect(page.locator('.fault:visible')).toHaveCount(23);

      await press(page, 'a', 'a');
      if (way === 'stations') await expect(page.locator('[data-clock]')).toContainText('· LB ·');
      await press(page, 'p', '2', ']', ']', 'w', 'r', kind === 'trace' ? 't' : 'f', 'e');
      await page.keyboard.type('hip beyond the foot');
      await press(page, 'Enter');
      const row = page.locator('.fault.current');
      await expect(row.locator('[data-summary]')).toHaveText('present 2 · 85 %');
      await expect(row.locator('input[value="later"]')).toBeChecked();
      await expect(row.locator('[data-pins]')).toContainText(kind === 'trace' ? 'trace' : 'film');
      await expect(row.locator('[data-pins] input')).toHaveValue('hip beyond the foot');
      await expect(row.locator('[data-definition]')).toBeHidden();
      await press(page, 'd');
      await expect(row.locator('[data-definition]')).toContainText('counter-example');
      await press(page, 'b', 'ArrowDown', 'p', '1', 'b');
      expect(await serious(page)).toEqual([]);
      await press(page, 'ArrowDown', ...Array(7).fill('a'), 'c', ...Array(11).fill('a'));
      await expect(page.locator('[data-count]')).toHaveText('23');
      await press(page, 'n');
      await page.keyboard.type('Turn over a quiet foot');
      await press(page, 'Enter', 'y', 'b', 'Tab', 'r', 'Escape');
      await press(page, ...Array(3).fill('Shift+ArrowRight'), 'k', 'i');
      if (way === 'stations') expect(await serious(page)).toEqual([]);
      await saved(page);
      expect(await sheetOf(page)).toMatchObject({
        causes: ['sway'],
        chain: [['sway', 'no-load']],
        cue: 'Turn over a quiet foot',
        drill: { key: 'brush-ahead', stop: 'rehearsal' },
      });

      await press(page, 'h');
      await expect(page.locator('[data-summary-text]')).toContainText(
        'Present: drifting off the ball (2), never loads the trail side (1).',
      );
      await expect(page.locator('[data-summary-text]')).toContainText('Left out, and may be: the miss to expect.');
      await expect(page.locator('[data-hand-in-button]')).toBeFocused();
      await press(page, 'Enter');
      await page.waitForURL((url) => url.href !== address);
      await expect(page.locator('.notice').first()).toContainText('Handed in and locked.');
      await page.goto(address);
      await expect(page.locator('[data-saved]')).toHaveText('handed in, locked');
      await press(page, 'p', 'c');
      await expect(page.locator('[data-count]')).toHaveText('23');
      expect(errors).toEqual([]);
    });
  }
}

/** A round of one recording, shown so, for somebody who then has it before him. */
async function ownRound(browser, kind, who, name) {
  const page = await (await browser.newContext()).newPage();
  await logIn(page, 'maren');
  await page.goto('/rounds/plan');
  await page.locator('input[name="recordings[]"]').nth(2).check();
  await page.getByRole('button', { name: 'Next: People' }).click();
  await page.fill('#name', name);
  await page.selectOption('#show', kind);
  await page.getByLabel(who).check();
  await page.getByRole('link', { name: '4 Check' }).click();
  await page.getByRole('button', { name: 'Keep as a draft' }).click();
  await page.getByRole('button', { name: 'Open the round' }).click();
  await expect(page.locator('h1')).toContainText('is open');
  await page.context().close();
}

test.describe('on a tablet, by touch', () => {
  test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true });
  // Every kind and every way; each with each is what the keyboard's tests walk through.
  for (const [kind, ways] of Object.entries({ film: ['stations'], trace: ['all'], both: ['all'] })) {
    for (const way of ways) {
      test(`a case is read by tapping, with nothing too small to hit: ${kind}, ${way === 'all' ? 'all at once' : 'station by station'}`, async ({
        page,
        browser,
      }) => {
        const name = `By touch, ${kind}, ${way}`;
        await ownRound(browser, kind, 'Hanne Oldacre', name);
        await logIn(page, 'hanne');
        await page.locator(`h1:has-text("${name}") ~ table a`).first().tap();
        await page.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
        await expect(page.locator('.hidden-evidence')).toHaveCount(kind === 'both' ? 0 : 1);
        await page.locator(`[data-way="${way}"]`).tap();
        const small = () =>
          page
            .locator('.side button:visible, .side select:visible, .side .pick:visible, .transport button:visible')
            .evaluateAll((all) =>
              all
                .map((e) => [e.textContent.trim().slice(0, 20), e.getBoundingClientRect()])
                .filter(([, r]) => r.height < 43.5)
                .map(([t, r]) => `${t} ${Math.round(r.width)}×${Math.round(r.height)}`),
            );
        await page.locator('.fault.current label', { hasText: 'present' }).tap();
        await page.locator('.fault.current label', { hasText: 'clear' }).tap();
        await page.locator(`.fault.current [data-do="pin-${kind === 'trace' ? 'trace' : 'film'}"]`).tap();
        expect(await small()).toEqual([]);
        await page.locator('.fault.current [data-cause]').tap();
        await page.locator('[data-fault="locked-feet"] .name').tap();
        for (let i = 1; i < 23; i++) await page.locator('.fault.current label', { hasText: 'absent' }).tap();
        await expect(page.locator('[data-count]')).toHaveText('23');
        expect(await small()).toEqual([]);
        expect(await serious(page)).toEqual([]);
        await page.locator('[data-drill]').selectOption('heel-plant');
        await page.locator('[data-stop]').selectOption('short-iron');
        await expect(page.locator('[data-drill-text="heel-plant"]')).toContainText('stop on pain');
        await page.getByRole('button', { name: /Check and hand in/ }).tap();
        await page.locator('[data-hand-in-button]').tap();
        await expect(page.locator('.notice').first()).toContainText('Handed in and locked.');
        expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
      });
    }
  }
});

test('the summary says what is missing and does not hand in; undo takes back one step at a time', async ({ page }) => {
  await openKind(page, 'both');
  await takeWay(page, 'all');
  await press(page, 'p', 'h');
  await expect(page.locator('[data-summary-text]')).toContainText('22 faults have no call yet');
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
  await expect(page.locator('.fault:visible')).toHaveCount(2);
  await press(page, ';');
  await expect(page.locator('[data-announce]')).toContainText('2 more of this station are absent');
  await expect(page.locator('[data-count]')).toHaveText('2');
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
  await press(page, 'a', 'p', '3', 'ArrowDown', 'c', 'a', 'a', 'a', 'a', 'a', 'a');
  await expect(page.locator('[data-saved]')).toHaveAttribute('data-state', 'waiting');
  const made = await page.evaluate(() =>
    Object.keys(localStorage)
      .filter((k) => k.startsWith('vc-change:'))
      .sort()
      .map((k) => JSON.parse(localStorage.getItem(k)))
      .filter((c) => c.target !== 'time')
      .map((c) => c.id),
  );
  expect(made).toHaveLength(10);
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
  expect([...new Set(sent)]).toEqual(made);
  await page.goto(address);
  const sheet = await sheetOf(page);
  expect(sheet.version).toBe(before + 10);
  expect(Object.keys(sheet.calls)).toHaveLength(10);
  expect(sheet.calls.sway).toMatchObject({ presence: 'present', severity: 3 });
  expect(sheet.calls['no-load'].presence).toBe('cannot-tell');
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
    const user = await page.locator('.who span').textContent();
    await page.goto(`http://127.0.0.1:${port}/login`);
    if (page.url().endsWith('/login')) {
      await page.fill('#email', `${user.split(' ')[0].toLowerCase()}@fernhollow.example`);
      await page.fill('#password', 'fernhollow-winter');
      await page.keyboard.press('Enter');
      await page.waitForURL((url) => url.pathname === '/');
    }
    await openCase(page, `http://127.0.0.1:${port}${path}`);
    await takeWay(page, 'all');
    const start = await sheetOf(page);
    const state = page.locator('[data-saved]');
    // What is called already, by whoever read here before, stays; twice the server dies between two calls of the rest.
    const left = 23 - Object.keys(start.calls).length;
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
    expect(Object.values(sheet.calls)).toHaveLength(23);
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

test('a key is given another place, kept with the account, and a taken one is refused', async ({ page }) => {
  await openKind(page, 'both');
  await takeWay(page, 'all');
  await press(page, '?');
  await page.getByRole('button', { name: /^absent: A/ }).click();
  await press(page, 'p');
  await expect(page.locator('[data-keys-say]')).toHaveText('That key is taken: present.');
  await page.getByRole('button', { name: /^absent: A/ }).click();
  await press(page, '8');
  await expect(page.locator('[data-keys-say]')).toHaveText('Kept with your account.');
  await page.reload();
  await page.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
  const said = page.locator('[data-fault="sway"] [data-summary]');
  await page.locator('[data-fault="sway"] .name').click();
  await press(page, 'c', 'ArrowUp', 'a');
  await expect(said).toHaveText('cannot tell');
  await press(page, '8');
  await expect(said).toContainText('absent');
  await press(page, 'u', '?');
  await page.getByRole('button', { name: 'As they were made' }).click();
  await expect(page.locator('[data-keys-say]')).toHaveText('Kept with your account.');
});

test('one clock: ribbon, keys, pictures and trace move together', async ({ page }) => {
  await openKind(page, 'both');
  const clock = page.locator('[data-clock]');
  const picture = () => page.locator('canvas[data-view="face-on"]').evaluate((c) => c.toDataURL());
  const start = await picture();
  for (const code of ['TB', 'LB', 'TP']) {
    await press(page, 'Shift+ArrowRight');
    await expect(clock).toContainText(`· ${code} ·`);
  }
  await expect.poll(picture).not.toBe(start);
  const top = await clock.textContent();
  await press(page, 'ArrowRight');
  await expect(clock).not.toHaveText(top);
  const before = await clock.textContent();
  await press(page, 'ArrowRight');
  await expect(clock).not.toHaveText(before);
  await press(page, 'ArrowLeft');
  await expect(clock).toHaveText(before);
  const box = await page.locator('[data-ribbon]').boundingBox();
  const pad = box.width * 0.055;
  await page.mouse.click(box.x + pad + ((box.width - 2 * pad) * 6) / 8, box.y + 20);
  await expect(clock).toContainText(/at impact|· [01] ms/);
  await page.locator('.trace-box .plot').click({ position: { x: 120, y: 60 } });
  await expect(clock).toContainText('before impact');
  await press(page, ' ');
  await page.waitForTimeout(400);
  await press(page, ' ');
  await page.waitForTimeout(250);
  const after = await clock.textContent();
  await page.waitForTimeout(250);
  await expect(clock).toHaveText(after);
});
