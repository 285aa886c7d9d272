import AxeBuilder from '@axe-core/playwright';
import { expect, logIn, openCase, test } from './helpers.mjs';

for (const theme of ['light', 'dark']) {
  test(`axe finds nothing serious, ${theme}`, async ({ page }) => {
    await page.addInitScript((t) => localStorage.setItem('theme', t), theme);
    const check = async (path) => {
      await page.goto(path);
      await page.evaluate(() => document.fonts.ready);
      // What does not hang on colours was asked in the light theme.
      const axe = new AxeBuilder({ page });
      if (theme === 'dark') axe.withRules(['color-contrast']);
      const { violations } = await axe.analyze();
      expect(
        violations
          .filter((v) => ['serious', 'critical'].includes(v.impact))
          .map((v) => `${path}: ${v.id} ${v.nodes[0].html} ${v.nodes[0].failureSummary}`),
      ).toEqual([]);
    };
    await check('/login');
    await logIn(page, 'maren');
    const pages =
      theme === 'light' ? ['/', '/shelf', '/rounds', '/panel', '/agreement', '/codebook', '/record'] : ['/'];
    for (const path of pages) await check(path);
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
