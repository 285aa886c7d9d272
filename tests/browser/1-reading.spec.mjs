import { expect, test } from '@playwright/test';
import { logIn, openCase, press, saved, watchErrors } from './helpers.mjs';

test('an instructor reads a case by keyboard alone and hands it in', async ({ page }) => {
  const errors = watchErrors(page);
  await logIn(page, 'kit');
  await page.keyboard.press('Enter'); // the one button of Today has the focus
  await page.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
  const address = page.url();
  await expect(page.locator('.fault.current .name')).toHaveText('Uneven start');

  await press(page, ...Array(5).fill('a'));
  await expect(page.locator('.fault.current .name')).toHaveText('Loads too long');
  await press(page, 'p', '2', ']', ']', 'Shift+ArrowLeft', 'o', 'f', 'r', 'w');
  const row = page.locator('.fault.current');
  await expect(row.locator('[data-summary]')).toHaveText('present 2 · 85 %');
  await expect(row.locator('[data-onset]')).toHaveText('LB');
  await expect(row.locator('[data-pins]')).toContainText('film');
  await expect(row.locator('input[value="later"]')).toBeChecked();
  await expect(page.locator('[data-causes]')).toHaveText('loads too long');

  await press(page, 'ArrowDown', 'a', 'a', 'c', ...Array(14).fill('a'));
  await expect(page.locator('[data-count]')).toHaveText('23');
  await press(page, 'n');
  await page.keyboard.type('Finish the turn over a quiet foot');
  await press(page, 'Enter');
  await expect(page.locator('[data-words]')).toHaveText('7 of 8');
  await saved(page);

  await press(page, 'h');
  await expect(page.locator('[data-summary-text]')).toContainText('Present: loads too long (2).');
  await expect(page.locator('[data-hand-in-button]')).toBeFocused();
  await press(page, 'Enter');
  await page.waitForURL((url) => url.href !== address);
  await expect(page.locator('.notice')).toContainText('Handed in and locked.');

  await page.goto(address);
  await expect(page.locator('[data-saved]')).toHaveText('handed in, locked');
  await press(page, 'p', 'c');
  await expect(page.locator('[data-count]')).toHaveText('23');
  expect(errors).toEqual([]);
});

test('the summary says what is missing and does not hand in', async ({ page }) => {
  await logIn(page, 'kit');
  await openCase(page);
  await press(page, 'p', 'h');
  await expect(page.locator('[data-summary-text]')).toContainText('No call yet: spinning out.');
  await expect(page.locator('[data-summary-text]')).toContainText('No severity yet: uneven start.');
  await expect(page.locator('[data-hand-in-button]')).toBeDisabled();
  await press(page, 'Escape', 'u');
  await expect(page.locator('[data-count]')).toHaveText('0');
});

test('calls made without the network are kept over a reload and arrive once, in order', async ({ page, context }) => {
  await logIn(page, 'dov');
  await openCase(page);
  const address = page.url();
  await press(page, 'a');
  await saved(page);
  await context.setOffline(true);
  await press(page, 'a', 'p', '3', 'ArrowDown', 'c', ...Array(19).fill('a'));
  await expect(page.locator('[data-saved]')).toHaveAttribute('data-state', 'waiting');
  const kept = await page.evaluate(() => Object.entries(localStorage).filter(([k]) => k.startsWith('reading:')).length);
  expect(kept).toBe(1);
  await context.setOffline(false);
  await page.reload();
  await page.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
  await saved(page);
  await expect(page.locator('[data-count]')).toHaveText('23');
  await page.goto(address);
  const sheet = await page.evaluate(async () => (await fetch(document.querySelector('[data-reading]').dataset.sheetUrl)).json());
  expect(Object.values(sheet.calls).map((c) => c.presence)).toHaveLength(23);
  expect(sheet.calls.sway).toMatchObject({ presence: 'present', severity: 3 });
  expect(sheet.calls['no-load'].presence).toBe('cannot-tell');
});

test('two windows on one case are told apart', async ({ context }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  await logIn(one, 'arlo');
  await openCase(one);
  await openCase(two, new URL(one.url()).pathname);
  await press(one, 'a');
  await saved(one);
  await press(two, 'p');
  await expect(two.locator('[data-saved]')).toHaveAttribute('data-state', 'refused');
  await expect(two.locator('[data-saved]')).toContainText('changed in another window');
  await two.reload();
  await two.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
  await expect(two.locator('[data-fault="setup-bias"] [data-summary]')).toContainText('absent');
});

test('one clock: ribbon, keys, pictures and trace move together', async ({ page }) => {
  await logIn(page, 'tam');
  await openCase(page);
  const clock = page.locator('[data-clock]');
  const picture = () => page.locator('canvas[data-view="face-on"]').evaluate((c) => c.toDataURL());
  const start = await picture();
  for (const code of ['TB', 'LB', 'TP']) {
    await press(page, 'Shift+ArrowRight');
    await expect(clock).toContainText(`· ${code} ·`);
  }
  expect(await picture()).not.toBe(start);
  const before = await clock.textContent();
  await press(page, 'ArrowRight');
  await expect(clock).not.toHaveText(before);
  await press(page, 'ArrowLeft');
  await expect(clock).toHaveText(before);
  const box = await page.locator('[data-ribbon]').boundingBox();
  const pad = box.width * 0.055;
  await page.mouse.click(box.x + pad + (box.width - 2 * pad) * 6 / 8, box.y + 20);
  await expect(clock).toContainText(/at impact|· [01] ms/);
  await page.locator('.trace-box .plot').click({ position: { x: 120, y: 60 } });
  await expect(clock).toContainText('before impact');
  await press(page, ' ');
  await page.waitForTimeout(400);
  await press(page, ' ');
  const after = await clock.textContent();
  await page.waitForTimeout(250);
  await expect(clock).toHaveText(after);
});
