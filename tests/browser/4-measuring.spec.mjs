import { expect, logIn, test, watchErrors } from './helpers.mjs';

/** Opens the Bench on the first recording of a device. */
async function openBench(page, device) {
  await page.goto(`/shelf?device=${device}`);
  await page.locator('table a').first().click();
  await page.waitForSelector('[data-bench][data-ready]', { state: 'attached' });
}

test('every measure is on the Bench once, with a value and its ± or the reason it has none', async ({ page }) => {
  await logIn(page, 'maren');
  for (const device of ['mat', 'plate', 'dual-plate']) {
    await openBench(page, device);
    const rows = await page.locator('.measure').evaluateAll((list) =>
      list.map((row) => ({
        label: row.querySelector('a').textContent,
        value: row.querySelector('.value').textContent.trim(),
        why: row.querySelector('.why')?.textContent.trim() ?? '',
      })),
    );
    expect(rows.length).toBe(77);
    expect(new Set(rows.map((r) => r.label)).size).toBe(rows.length);
    for (const row of rows) {
      if (row.value === 'none') expect(row.why.length, row.label).toBeGreaterThan(8);
      else if (/\d/.test(row.value)) expect(row.value, row.label).toContain('±');
    }
    // A mat has no newtons, and says so; two plates know every one of them.
    const rise = rows.find((r) => r.label === 'rise of vertical force');
    expect(rise.value === 'none', device).toBe(device === 'mat');
  }
});

test('a word on the Bench leads to its meaning in the codebook', async ({ page }) => {
  await logIn(page, 'maren');
  await openBench(page, 'mat');
  await page.locator('.measure a', { hasText: 'recentring before the top' }).click();
  await expect(page).toHaveURL(/codebook#m-recentre_lead$/);
  await expect(page.locator('#m-recentre_lead')).toBeInViewport();
  await page.getByRole('link', { name: 'quiet centre' }).click();
  await expect(page.locator('.lenses a[aria-current]')).toHaveText('quiet centre');
  await expect(page.locator('h2', { hasText: 'Loads too long' })).toHaveCount(0);
});

test('the Bench goes to a station and to a fault of the instrument at a press', async ({ page }) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await openBench(page, 'dual-plate');
  await page.locator('.marks').getByRole('button', { name: 'IM', exact: true }).click();
  await expect(page.locator('[data-clock]')).toContainText('at impact');
  await page.locator('.marks').getByRole('button', { name: 'TP', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-clock]')).toContainText('· TP ·');
  expect(errors).toEqual([]);
});

test("the film's clock is moved by a frame and back, and says so", async ({ page }) => {
  await logIn(page, 'maren');
  await openBench(page, 'plate');
  const clock = page.locator('h2:has-text("Clocks") + p');
  await expect(clock).toContainText('clock stands 0.0 ms');
  await page.getByRole('button', { name: '+ frame' }).click();
  await expect(page.locator('.notice').first()).toContainText('now stands +8.3 ms');
  await expect(clock).toContainText('clock stands +8.3 ms');
  await page.getByRole('button', { name: '− frame' }).click();
  await expect(clock).toContainText('clock stands 0.0 ms');
});

test("a drift of the film's clock is taken up and taken back, and stations seen in the film move with it", async ({
  page,
}) => {
  await logIn(page, 'maren');
  await openBench(page, 'plate');
  const said = page.locator('h2:has-text("Clocks") + p');
  await expect(said).toContainText('drift 0 parts per million');
  const time = async (code) => {
    const row = page
      .locator('tr')
      .filter({ has: page.locator('form[data-mark]') })
      .filter({ hasText: code });
    return Number((await row.textContent()).match(/\d+\.\d{3}/)[0]);
  };
  const codes = ['AD', 'TP', 'FI'];
  const before = [];
  for (const code of codes) before.push(await time(code));
  await page.getByRole('button', { name: 'drift + a frame by the end' }).click();
  await expect(said).toContainText(/drift [1-9][\d,]* parts per million/);
  await expect(page.locator('.notice').first()).toContainText('stands 0.0 ms');
  const moved = [];
  for (const [i, code] of codes.entries()) moved.push((await time(code)) - before[i]);
  // Less than a frame, and the more the later.
  expect(moved[0]).toBeGreaterThan(0);
  expect(moved[1]).toBeGreaterThan(moved[0]);
  expect(moved[2]).toBeGreaterThan(moved[1]);
  expect(moved[2]).toBeLessThan(1 / 120);
  await page.getByRole('button', { name: 'drift − a frame by the end' }).click();
  await expect(said).toContainText(/drift −?0 parts per million/);
  for (const [i, code] of codes.entries()) expect(Math.abs((await time(code)) - before[i])).toBeLessThan(0.0011);
});

test('measuring holds at tablet and telephone width', async ({ page }) => {
  await logIn(page, 'maren');
  const bench = await (async () => {
    await openBench(page, 'mat');
    return new URL(page.url()).pathname;
  })();
  for (const [width, height] of [
    [820, 1180],
    [390, 844],
  ]) {
    await page.setViewportSize({ width, height });
    for (const path of [bench, '/codebook', '/capture', '/shelf']) {
      await page.goto(path);
      await page.evaluate(() => document.fonts.ready);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(over, `${path} at ${width}`).toBeLessThanOrEqual(1);
    }
  }
});
