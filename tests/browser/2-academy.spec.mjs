import { expect, test } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { logIn, openCase, watchErrors } from './helpers.mjs';

test('every role logs in and every page stands without an error', async ({ page }) => {
  const errors = watchErrors(page);
  for (const [who, paths] of Object.entries({
    maren: ['/', '/shelf', '/rounds', '/panel', '/agreement', '/codebook', '/record'],
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

for (const theme of ['light', 'dark']) {
  test(`axe finds nothing serious, ${theme}`, async ({ page }) => {
    await page.addInitScript((t) => localStorage.setItem('theme', t), theme);
    const check = async (path) => {
      await page.goto(path);
      await page.waitForTimeout(500);
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(violations.filter((v) => ['serious', 'critical'].includes(v.impact)).map((v) => `${path}: ${v.id} ${v.nodes[0].html} ${v.nodes[0].failureSummary}`)).toEqual([]);
    };
    await check('/login');
    await logIn(page, 'maren');
    for (const path of ['/', '/shelf', '/rounds', '/panel', '/agreement', '/codebook', '/record']) await check(path);
    await page.goto('/shelf');
    await check(await page.locator('table a').first().getAttribute('href'));
    await page.goto('/');
    await page.getByRole('button', { name: 'Log out' }).click();
    await logIn(page, 'tam');
    await openCase(page);
    await page.keyboard.press('p');
    await check(new URL(page.url()).pathname);
    await check('/agreement');
  });
}

test('nothing spills over at tablet and telephone width', async ({ page }) => {
  await logIn(page, 'tam');
  for (const [width, height] of [[820, 1180], [390, 844]]) {
    await page.setViewportSize({ width, height });
    for (const path of ['/', '/agreement', '/codebook', '/read/next']) {
      await page.goto(path);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      expect(over, `${path} at ${width}`).toBeLessThanOrEqual(1);
    }
  }
});

test('a file goes through the Shelf to the Bench, and a bad one is refused in a sentence', async ({ page }) => {
  await logIn(page, 'maren');
  await page.goto('/shelf');
  const rows = [];
  for (let i = 0; i < 300; i++) rows.push(`${(i / 100).toFixed(2)},${(50 + 35 * Math.sin(i / 40 + Date.now() % 7)).toFixed(1)},${(50 - 35 * Math.sin(i / 40 + Date.now() % 7)).toFixed(1)},0,0`);
  const csv = `t_s,lead_pct,trail_pct,copx_mm,copy_mm\n${rows.join('\n')}\n`;
  const send = async (text) => {
    await page.setInputFiles('#trace', { name: 'swing.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    await page.getByRole('button', { name: 'Read the file' }).click();
  };
  await send(csv.replace('0.50,', 'half,'));
  await expect(page.locator('.notice.refused')).toContainText("swing.csv, line 52, column t_s: 'half' is no number. Nothing was stored.");
  await send(csv);
  await expect(page).toHaveURL(/\/bench\//);
  await expect(page.locator('.notice').first()).toContainText('On the Shelf.');
  await expect(page.locator('.hidden-evidence')).toContainText('There is no film');
});

test('the head coach closes and publishes a round, and an instructor sees figures that were not there', async ({ page }) => {
  await logIn(page, 'tam');
  await page.goto('/agreement');
  await expect(page.locator('h1')).toContainText('Spring round');
  await page.getByRole('button', { name: 'Log out' }).click();

  await logIn(page, 'maren');
  await page.getByRole('link', { name: 'Watch, close' }).click();
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
  await page.locator('input[name="reason"]').first().fill('The trace settles it: the share had arrived before the ball.');
  await page.locator('select[name="ruling"]').first().selectOption('absent');
  await page.getByRole('button', { name: 'Rule' }).first().click();
  await expect(page.getByText('Ruled absent')).toBeVisible();
  await expect(page.locator('p.quiet').first()).toContainText('key version 2');
  await page.goto('/record');
  await expect(page.getByText('rule', { exact: true }).first()).toBeVisible();
});
