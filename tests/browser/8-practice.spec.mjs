import { expect, logIn, serious, test, watchErrors } from './helpers.mjs';

const answered = async (page, key) => {
  await page.keyboard.press(key);
  await expect(page.locator('.truth')).toBeVisible();
};

test('a set of questions is answered by keyboard, the truth standing at the moment where it shows', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await logIn(page, 'vesna');
  await page.click('nav a:has-text("Practice")');
  await expect(page.locator('h1').first()).toHaveText('Practice');
  await serious(page);
  await page.click('.practice-modes button:has-text("Is it there?")');
  for (let place = 1; place <= 8; place++) {
    await expect(page.locator('h1').first()).toContainText(`Question ${place} of 8`);
    await expect(page.locator('[data-practice]')).toHaveAttribute('data-ready', '');
    await expect(page.locator('.practice-side')).not.toContainText(/The panel:|put in/);
    if (place === 1) await serious(page);
    await answered(page, place % 2 ? 'p' : 'a');
    await expect(page.locator('.practice-side')).toContainText(/The panel:|put in/);
    await expect(page.locator('[data-practice]')).toHaveAttribute('data-ready', '');
    if (place === 1) {
      await serious(page);
      // The swing is halted where the fault shows.
      const at = await page.locator('[data-practice]').getAttribute('data-at');
      await expect(page.locator('.stage')).toContainText(`· ${at} ·`);
    }
    await page.keyboard.press('Enter');
    await page.waitForURL(place < 8 ? `**/${place + 1}` : '**/practice');
  }
  await expect(page.locator('body')).toContainText('of 8 right');
  expect(errors).toEqual([]);
});

test('one fault is practised on a telephone with one hand, and put down halfway', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL, viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await logIn(page, 'bea');
  await page.goto('/practice');
  await page
    .getByRole('button', { name: /practise this/ })
    .first()
    .tap();
  await page.locator('[data-answer="cannot-tell"]').tap();
  await expect(page.locator('.truth')).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  await page.getByRole('button', { name: 'Stop for now' }).tap();
  await page.waitForURL('**/practice');
  await expect(page.locator('body')).toContainText('of 1 right');
  await context.close();
});

/** What each kind is answered by on the keyboard. */
const KINDS = {
  'Which of two?': '2',
  'To the frame': 'm',
  'Can it be seen?': '3',
  'What to do?': '1',
  'Golfer or instrument?': '2',
  'Easy or full?': '1',
};

test('every kind of question is answered by keyboard alone', async ({ page }) => {
  test.slow();
  const errors = watchErrors(page);
  await logIn(page, 'dov');
  for (const [kind, key] of Object.entries(KINDS)) {
    await page.goto('/practice');
    await page.locator('.practice-modes button', { hasText: kind }).focus();
    await page.keyboard.press('Enter');
    await page.waitForURL('**/practice/*/1');
    for (let place = 1; place <= 2; place++) {
      await expect(page.locator('h1').first()).toContainText(`Question ${place} of 8`);
      await expect(page.locator('[data-practice]')).toHaveAttribute('data-ready', '');
      if (place === 1) expect(await serious(page)).toEqual([]);
      if (key === 'm') {
        // Nothing on the page tells where it is; a few frames on, the key marks the moment.
        await expect(page.locator('.stage [data-clock]')).toHaveText(/^\d+\.\d+ s$/);
        for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowRight');
      }
      await answered(page, key);
      await expect(page.locator('[data-practice]')).toHaveAttribute('data-ready', '');
      if (key === 'm') {
        await expect(page.locator('.truth')).toContainText(/ms (late|early)|To the millisecond/);
        await expect(page.locator('.stage [data-clock]')).toContainText(/· (TP|IM)/);
      }
      if (place === 1) expect(await serious(page)).toEqual([]);
      await page.keyboard.press('Enter');
      await page.waitForURL(`**/${place + 1}`);
    }
    await page.getByRole('button', { name: 'Stop for now' }).click();
    await page.waitForURL('**/practice');
    await expect(page.locator('body')).toContainText(`${kind} `);
  }
  expect(errors).toEqual([]);
});
