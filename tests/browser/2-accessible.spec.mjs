import { expect, logIn, openCase, press, serious, test } from './helpers.mjs';

const head = [
  '/',
  '/shelf',
  '/capture',
  '/rounds',
  '/rounds/plan',
  '/panel',
  '/agreement',
  '/codebook',
  '/record',
  '/people',
  '/golfers',
  '/golfers/4',
  '/academy',
  '/academy/retention',
  '/account',
  '/account/second-factor',
];
const further = ['/debrief', '/nothing-here'];

for (const theme of ['light', 'dark']) {
  test.describe(`axe finds nothing serious, ${theme}`, () => {
    test.beforeEach(({ page }) => page.addInitScript((t) => localStorage.setItem('theme', t), theme));

    test('before anybody is known', async ({ page }) => {
      await page.goto('/login');
      expect(await serious(page, theme)).toEqual([]);
    });
    for (const path of theme === 'light' ? [...head, ...further] : ['/', '/shelf', '/agreement'])
      test(`for the head coach at ${path}`, async ({ page }) => {
        await logIn(page, 'maren');
        await page.goto(path);
        expect(await serious(page, theme)).toEqual([]);
      });
    test('on the Bench', async ({ page }) => {
      await logIn(page, 'maren');
      await page.goto('/shelf');
      await page.locator('table a').first().click();
      await page.waitForSelector('[data-ready]', { state: 'attached' });
      expect(await serious(page, theme)).toEqual([]);
    });
    test('for who reads, and for who looks at their results', async ({ page }) => {
      await logIn(page, 'tam');
      await openCase(page);
      await page.keyboard.press('p');
      expect(await serious(page, theme)).toEqual([]);
      await page.goto('/agreement');
      expect(await serious(page, theme)).toEqual([]);
    });
  });
}
