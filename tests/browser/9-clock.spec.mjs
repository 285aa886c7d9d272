import { rmSync, writeFileSync } from 'node:fs';
import { expect, logIn, test } from './helpers.mjs';

// The server's now() is ahead by the seconds in this file.
test('years later every consent has run out, and the shelf shows nothing of anybody', async ({ page, env }) => {
  const clock = env.CLOCK_FILE;
  test.skip(!clock, 'the server was started without a clock that can be set ahead');
  await logIn(page, 'maren');
  await page.goto('/shelf');
  const held = await page.locator('table.rows td a[aria-label^="Bench"]').count();
  expect(held).toBeGreaterThan(5);
  const bench = await page.locator('table.rows td a[aria-label^="Bench"]').first().getAttribute('href');
  writeFileSync(clock, String(20 * 365 * 86400));
  await logIn(page, 'maren');
  await page.goto('/shelf');
  await expect(page.locator('table.rows td a[aria-label^="Bench"]')).toHaveCount(0);
  expect((await page.goto(bench)).status()).toBeGreaterThan(399);
  rmSync(clock);
  await logIn(page, 'maren');
  await page.goto('/shelf');
  await expect(page.locator('table.rows td a[aria-label^="Bench"]')).toHaveCount(held);
});
