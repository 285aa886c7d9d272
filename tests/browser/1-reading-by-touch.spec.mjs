import { expect, logIn, openedRound, serious, test } from './helpers.mjs';

test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true });

/** A round of one recording, shown so, for somebody who then has it before him. */
async function ownRound(browser, baseURL, kind, who, name) {
  const page = await (await browser.newContext({ baseURL })).newPage();
  await logIn(page, 'maren');
  // Two that a panel has judged; one of them will do.
  await page.goto('/rounds/plan?suggest=2');
  await page.locator('input[name="recordings[]"]:checked').first().uncheck();
  await page.click('[data-to="people"]');
  await page.fill('#name', name);
  await page.selectOption('#show', kind);
  await page.locator('label', { hasText: who }).locator('input[name="members[]"]').check();
  await page.click('[data-to="check"]');
  await page.click('button:has-text("Keep")');
  await page.waitForURL('**/rounds/*');
  await openedRound(page);
  await page.context().close();
}

// Every kind and every way; each with each is what the keyboard's tests walk through.
for (const [kind, way] of [
  ['film', 'stations'],
  ['trace', 'all'],
  ['both', 'all'],
]) {
  test(`on a tablet a case is read by tapping, with nothing too small to hit: ${kind}, ${way === 'all' ? 'all at once' : 'station by station'}`, async ({
    page,
    browser,
    baseURL,
  }) => {
    const name = `By touch, ${kind}, ${way}`;
    await ownRound(browser, baseURL, kind, 'Hanne Oldacre', name);
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
    await page.locator('.fault:visible').nth(1).locator('.name').tap();
    for (let i = 1; i < 28; i++) await page.locator('.fault.current label', { hasText: 'absent' }).tap();
    await expect(page.locator('[data-count]')).toHaveText('28');
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
