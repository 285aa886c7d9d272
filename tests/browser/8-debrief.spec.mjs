import { expect, logIn, press, serious, test, watchErrors } from './helpers.mjs';

test('a case is talked about by keys alone: letters, then the key, then names, then the next case', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/debrief');
  await page.waitForSelector('[data-debrief][data-ready]', { state: 'attached' });
  const first = page.locator('.topic.current');
  await expect(first.locator('.line')).toHaveAttribute('aria-expanded', 'true');
  await expect(first.locator('.answer')).toBeHidden();
  await expect(page.locator('.side .known:visible')).toHaveCount(0);
  await expect(first.locator('.letter:visible').first()).toHaveText(/^[A-H]$/);
  await press(page, 'k');
  await expect(first.locator('.answer')).toBeVisible();
  await press(page, 'n');
  await expect(first.locator('.letter:visible')).toHaveCount(0);
  await expect(first.locator('.known:visible').first()).toHaveText(/\w+ \w+/);
  const name = await first.locator('.name').textContent();
  await press(page, 'ArrowDown');
  await expect(page.locator('.topic.current .name')).not.toHaveText(name);
  await expect(page.locator('.topic.current .answer')).toBeHidden();
  expect(await serious(page)).toEqual([]);
  await press(page, 'PageDown');
  await page.waitForURL('**/2');
  await expect(page.locator('.head h1')).toContainText('2 of ');
  expect(errors).toEqual([]);
});

test('what people pinned and drew lies on the film again; a mark brings its moment back', async ({ page }) => {
  await logIn(page, 'maren');
  await page.goto('/debrief');
  const cases = await page.locator('.cases a').evaluateAll((all) => all.map((a) => a.href));
  let drawn = false;
  for (const href of cases) {
    await page.goto(href);
    await page.waitForSelector('[data-debrief][data-ready]', { state: 'attached' });
    if (
      (drawn =
        (await page.locator('[data-drawings]').count()) * (await page.locator('[data-topic="times"]').count()) > 0)
    )
      break;
  }
  expect(drawn).toBe(true);
  await expect(page.locator('.aids .aid')).toHaveCount(0);
  await press(page, 'd');
  await expect(page.locator('.aids .aid').first()).toBeVisible();
  await expect(page.locator('.aids .handle')).toHaveCount(0);
  await page.locator('.topic', { hasText: 'as each marked them' }).locator('.line').click();
  await expect(page.locator('.lanes .pin.mark').first()).toBeVisible();
  const mark = page.locator('.lanes .pin.mark').last();
  await press(page, 'Home');
  await mark.click();
  await expect(page.locator('[data-clock]')).toContainText(`${Number(await mark.getAttribute('data-t')).toFixed(3)} s`);
  await page.setViewportSize({ width: 820, height: 1180 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
});
