import { spawn } from 'node:child_process';
import { expect, logIn, press, serious, test, watchErrors } from './helpers.mjs';

test('every role logs in and every page stands without an error', async ({ page }) => {
  const errors = watchErrors(page);
  for (const [who, paths] of Object.entries({
    maren: ['/', '/shelf', '/capture', '/rounds', '/panel', '/agreement', '/codebook', '/record'],
    odile: ['/', '/panel', '/codebook'],
    tam: ['/', '/agreement', '/codebook'],
  })) {
    await logIn(page, who);
    for (const path of paths) {
      await page.goto(path);
      await expect(page.locator('h1').first()).toBeVisible();
    }
    await page.getByRole('button', { name: 'Log out' }).click();
    await page.waitForURL('**/login');
  }
  expect(errors).toEqual([]);
});

test('nothing spills over at tablet and telephone width', async ({ page }) => {
  await logIn(page, 'tam');
  for (const [width, height] of [
    [820, 1180],
    [390, 844],
  ]) {
    await page.setViewportSize({ width, height });
    for (const path of ['/', '/agreement', '/codebook', '/read/next']) {
      await page.goto(path);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(over, `${path} at ${width}`).toBeLessThanOrEqual(1);
    }
  }
});

test('a foreign file is looked at, set right and put on the Shelf; a bad one is refused in a sentence', async ({
  page,
}) => {
  await logIn(page, 'maren');
  const rows = [];
  for (let i = 0; i < 400; i++) {
    const t = i / 100;
    const lead =
      t < 0.8
        ? 52
        : t < 1.4
          ? 52 - 45 * (t - 0.8)
          : t < 1.55
            ? 25
            : t < 1.95
              ? 25 + 155 * (t - 1.55)
              : 87 + Math.min(4, 8 * (t - 1.95));
    rows.push(
      [
        10 * i,
        (lead + Math.sin(i)).toFixed(1),
        (100 - lead - Math.sin(i)).toFixed(1),
        ((lead - 50) * 0.46).toFixed(2),
        (0.3 * Math.sin(i / 7)).toFixed(2),
      ].join(','),
    );
  }
  const csv = `Time (ms),Left %,Right %,COP X (cm),COP Y (cm)\n${rows.join('\n')}\n`;
  const send = async (text) => {
    await page.goto('/shelf');
    await page.selectOption('#golfer', { label: 'Wren (right-handed)' });
    await page.setInputFiles('#files', { name: 'swing.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    await page.getByRole('button', { name: 'Look at it' }).click();
    await page.waitForURL('**/imports/**');
  };
  await send(csv.replace('\n500,', '\nhalf,'));
  await expect(page.locator('.notice.refused')).toContainText("swing.csv, line 52, column t_s: 'half' is no number.");
  await page.getByRole('button', { name: 'Leave it' }).click();
  await send(csv);
  await expect(page.locator('#c-lead_pct')).toHaveValue('Left %');
  await expect(page.locator('.facts')).toContainText('100 samples a second');
  await expect(page.locator('.preview .curve')).toHaveAttribute('d', /^M/);
  await page.fill('#lead_x', '230');
  await page.fill('#trail_x', '-230');
  await page.fill('#club', 'hybrid');
  await page.getByRole('button', { name: 'Read it again' }).click();
  await expect(page.locator('.facts')).toContainText('46 cm between the feet');
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Put it on the Shelf' }).click();
  await expect(page).toHaveURL(/\/bench\//);
  await expect(page.locator('.notice').first()).toContainText('On the Shelf.');
  await expect(page.locator('.hidden-evidence')).toContainText('There is no film');
});

test('the Bench: a verdict opens to its curve, the lens switches, a station is marked and taken back', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/shelf?device=dual-plate');
  await page.locator('table a').first().click();
  await page.waitForSelector('[data-bench][data-ready]', { state: 'attached' });
  const group = page.locator('details.group').filter({ hasText: 'contradicted' });
  await group.locator('> summary').click();
  const verdict = group.locator('details.verdict').first();
  await verdict.locator('> summary').click();
  await expect(verdict.locator('.why-chart .curve').first()).toHaveAttribute('d', /^M/);
  await expect(verdict.locator('.why-chart .limit').first()).toBeAttached();
  await page.getByRole('link', { name: 'loaded top' }).click();
  await expect(page.locator('.lenses a[aria-current]')).toHaveText('loaded top');
  await page.waitForSelector('[data-bench][data-ready]', { state: 'attached' });
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('ArrowRight');
  const row = page.locator('.marks tr').filter({ has: page.getByRole('button', { name: 'TB', exact: true }) });
  const before = await row.locator('td').nth(1).textContent();
  await row.getByRole('button', { name: 'put here' }).click();
  await expect(row).toContainText('marked by hand');
  await expect(row.locator('td').nth(1)).not.toHaveText(before);
  await row.getByRole('button', { name: 'take back' }).click();
  await expect(row.locator('td').nth(1)).toHaveText(before);
  expect(errors).toEqual([]);
});

test('a simulated device is registered, seen live, and its swing caught and put on the Shelf', async ({ page }) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/capture');
  await expect(page.locator('h1')).toContainText('No device has sent anything yet');
  await page.fill('input[name="name"]', 'bench mat');
  await page.getByRole('button', { name: 'Register' }).click();
  const token = await page.locator('code').textContent();
  const device = spawn('php', [
    ...(process.env.VC_CA ? ['-d', `curl.cainfo=${process.env.VC_CA}`] : []),
    'artisan',
    'device:simulate',
    `--url=${new URL(page.url()).origin}`,
    `--token=${token}`,
    '--device=mat',
    '--swings=1',
    '--twice=0.2',
    '--lose=0.1',
    '--shuffle',
    '--clock=-7300',
  ]);
  const ended = new Promise((done) => device.on('exit', done));
  await expect(async () => {
    await page.goto('/capture');
    await expect(page.locator('[data-state]')).toContainText('live', { timeout: 2000 });
  }).toPass();
  await expect(page.locator('[data-lead]')).toHaveText(/^\d+$/);
  await expect(page.locator('[data-strip]')).toHaveAttribute('d', /^M/);
  // The feet are there to be seen, not squeezed to a line.
  expect((await page.locator('[data-feet]').boundingBox()).height).toBeGreaterThan(120);
  await expect(page.locator('[data-warnings]')).toContainText('hours slow');
  expect(await ended).toBe(0);
  await expect(page.locator('.caught')).toHaveCount(1, { timeout: 8000 });
  await expect(page.locator('[data-state]')).toContainText('closed by the device');
  expect(await serious(page)).toEqual([]);
  await page.fill('.caught input[name="club"]', 'hybrid');
  await page.getByRole('button', { name: 'Put it on the Shelf' }).click();
  await expect(page.locator('.notice').first()).toContainText('On the Shelf.');
  await page.locator('.caught').getByRole('link', { name: 'on the Shelf' }).click();
  await expect(page).toHaveURL(/\/bench\//);
  expect(errors).toEqual([]);
});

test('the head coach closes and publishes a round, and an instructor sees figures that were not there', async ({
  page,
}) => {
  await logIn(page, 'tam');
  await page.goto('/agreement');
  await expect(page.locator('h1')).toContainText('Spring round');
  await page.getByRole('button', { name: 'Log out' }).click();

  await logIn(page, 'maren');
  await page.getByRole('link', { name: 'Watch, close' }).first().click();
  await page.getByRole('button', { name: 'Close the round' }).click();
  await expect(page.locator('.notice')).toContainText('nothing is published yet');
  await page.getByRole('button', { name: 'Publish' }).click();
  await expect(page.locator('h1')).toContainText('is published');
  await page.getByRole('link', { name: 'See the figures' }).click();
  await expect(page.locator('h1')).toContainText('The staff agree least on');
  await expect(page.getByText('Tam Brackley').first()).toBeVisible();
  await page.getByRole('button', { name: 'Log out' }).click();

  await logIn(page, 'tam');
  await page.goto('/agreement');
  await expect(page.locator('h1')).toContainText('Autumn round');
  await page.goto('/read/next');
  await expect(page.locator('.notice')).toContainText('Nothing is waiting for you');
});

test('a conflict is ruled on with a reason, in a new version of the frozen key', async ({ page }) => {
  await logIn(page, 'maren');
  await page.goto('/panel');
  await page
    .locator('input[name="reason"]')
    .first()
    .fill('The trace settles it: the share had arrived before the ball.');
  await page.locator('select[name="ruling"]').first().selectOption('absent');
  await page.getByRole('button', { name: 'Rule' }).first().click();
  await expect(page.getByText('Ruled absent')).toBeVisible();
  await expect(page.locator('main p.quiet').first()).toContainText('key version 4');
  await page.goto('/record');
  await expect(page.getByRole('cell', { name: 'ruled on a contested call' }).first()).toBeVisible();
});

test('from everywhere "/" looks for something: typed, gone through by the arrows, opened by enter', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/rounds');
  await page.keyboard.press('/');
  const box = page.locator('[data-search]');
  await expect(box).toBeVisible();
  await page.keyboard.type('no such thing at all');
  await expect(box).toContainText('Nothing you may see is called');
  await page.locator('#search-q').fill('kit');
  await expect(box.locator('.hits a').first()).toHaveText('Kit Marlpit');
  await page.keyboard.press('ArrowDown');
  await expect(box.locator('.hits a').first()).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await expect(page.locator('#search-q')).toBeFocused();
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/people\/\d+$/);
  // A field of the page keeps its stroke.
  await page.goto('/shelf');
  await page.locator('input[name=find]').focus();
  await page.keyboard.press('/');
  await expect(box).toBeHidden();
  expect(errors).toEqual([]);
});

test('on a narrow screen the places fold under a button', async ({ page }) => {
  await logIn(page, 'maren');
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto('/');
  const shelf = page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Library' });
  await expect(shelf).toBeHidden();
  await page.getByRole('button', { name: 'Menu' }).click();
  await expect(page.getByRole('button', { name: 'Menu' })).toHaveAttribute('aria-expanded', 'true');
  await shelf.click();
  await page.waitForURL(/\/shelf/);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
});
