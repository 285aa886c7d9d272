import { expect, logIn, openCase, press, saved, serious, takeWay, test, watchErrors } from './helpers.mjs';

const narrow = { width: 390, height: 844 };

test('the head coach makes an instructor the golfer, who looks at the own swing alone', async ({
  page,
  browser,
  baseURL,
}) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/people?find=Kit');
  await page.getByRole('link', { name: 'Kit Marlpit' }).click();
  await page.selectOption('#golfer', { label: 'Curlew' });
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.locator('.notice').first()).toContainText('Kept.');
  await page.goto('/golfers?find=Curlew');
  await page.getByRole('link', { name: 'Curlew' }).click();
  await expect(page.locator('main')).toContainText('This golfer is Kit Marlpit');

  const kit = await (await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } })).newPage();
  const his = watchErrors(kit);
  await logIn(kit, 'kit');
  await kit.getByRole('link', { name: 'Kit Marlpit' }).click();
  await kit.getByRole('link', { name: 'My own swings' }).click();
  expect(await serious(kit)).toEqual([]);
  await kit.getByRole('button', { name: 'Look at it' }).first().click();
  await kit.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
  await expect(kit.locator('.outcome')).toHaveCount(0);
  await takeWay(kit, 'all');
  await press(kit, ...Array(28).fill('a'));
  await expect(kit.locator('[data-count]')).toHaveText('28');
  await saved(kit);
  await press(kit, 'h');
  await expect(kit.locator('[data-hand-in-button]')).toBeFocused();
  await press(kit, 'Enter');
  await kit.waitForURL('**/own');
  await kit.getByRole('link', { name: 'look again' }).first().click();
  await kit.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
  await expect(kit.locator('.outcome .flight figcaption')).toContainText('Started');
  expect(his).toEqual([]);
  await kit.context().close();

  // Nothing of it anywhere else.
  for (const path of ['/rounds', '/record', '/']) {
    await page.goto(path);
    await expect(page.locator('main')).not.toContainText('Review');
  }
  expect(errors).toEqual([]);
});

test('people, golfers and forms stand on a telephone, and on a dark screen', async ({ browser, baseURL }) => {
  const page = await (await browser.newContext({ baseURL, viewport: narrow })).newPage();
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.addInitScript(() => localStorage.setItem('theme', 'dark'));
  for (const path of [
    '/people',
    '/people/7',
    '/golfers',
    '/golfers/4',
    '/academy',
    '/account',
    '/account/second-factor',
  ]) {
    await page.goto(path);
    await expect(page.locator('h1').first()).toBeVisible();
    // Wide tables scroll within themselves; the page does not.
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(over, path).toBeLessThanOrEqual(1);
    expect(await serious(page, 'dark'), path).toEqual([]);
  }
  expect(errors).toEqual([]);
  await page.context().close();
});

test('a round is planned with a group’s people at one press', async ({ page }) => {
  await logIn(page, 'maren');
  await page.goto('/rounds/plan');
  await page.getByRole('link', { name: '2 People' }).click();
  const group = page.getByRole('button', { name: 'Lake range' });
  await group.click();
  await expect(group).toHaveAttribute('aria-pressed', 'true');
  await expect(page.locator('input[name="members[]"]:checked')).toHaveCount(4);
  await group.click();
  await expect(page.locator('input[name="members[]"]:checked')).toHaveCount(0);
});

test('facts of several swings are set from the Shelf, and taken back', async ({ page }) => {
  await logIn(page, 'maren');
  await page.goto('/shelf');
  const boxes = page.locator('input[name="swings[]"]');
  await boxes.nth(0).check();
  await boxes.nth(1).check();
  await page.getByText('Set facts of those ticked').click();
  await page.selectOption('#s-size', 'three-quarter');
  await page.getByRole('button', { name: 'Set them' }).click();
  await expect(page.locator('.notice').first()).toContainText('2 swings were changed.');
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.locator('.notice').first()).toContainText('Taken back');
});

// Last in the file: it takes every golfer's consent back in the database the file shares.
test('a consent that is taken back ends the reading that is open in another window', async ({
  page,
  browser,
  baseURL,
}) => {
  const reader = await (await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } })).newPage();
  await logIn(reader, 'dov');
  await openCase(reader);
  const address = reader.url();
  const about = await reader.locator('[data-reading]').innerText();
  await logIn(page, 'maren');
  // Whose swing it is says no page of the reader: all of them take theirs back.
  await page.goto('/golfers');
  const golfers = await page.locator('table.rows td a').evaluateAll((all) => all.map((a) => a.href));
  expect(about.length).toBeGreaterThan(20);
  for (const golfer of golfers) {
    await page.goto(golfer);
    await page.getByText('Take a consent back').click();
    await page.getByRole('button', { name: 'Take it back now' }).click();
    await expect(page.locator('.notice').first()).toContainText('Taken back');
  }
  await reader.goto(address);
  await expect(reader.locator('[data-reading]')).toHaveCount(0);
  await reader.goto('/');
  await expect(reader.locator('main')).not.toContainText('read next');
  await page.goto('/shelf');
  await expect(page.locator('table a[aria-label^="Bench"]')).toHaveCount(0);
  await reader.context().close();
});
