import { expect, logIn, press, serious, test, watchErrors } from './helpers.mjs';

test('a set of cases is suggested, ticked in the plan and kept as a draft', async ({ page }) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/rounds/plan');
  const form = page.locator('form.suggest');
  await form.locator('[name=suggest]').fill('10');
  await form.locator('[name=share]').fill('35');
  await form.getByRole('button', { name: 'Suggest' }).click();
  await expect(page.locator('input[name="recordings[]"]:checked')).toHaveCount(10);
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Next: People' }).click();
  await page.fill('#name', 'Suggested round');
  await page.getByRole('link', { name: '3 Precision' }).click();
  await expect(page.locator('#precision')).toContainText('is to be expected this wide');
  await page.getByRole('button', { name: 'Next: Check' }).click();
  await expect(page.locator('[data-check]')).toContainText('10 cases are ticked');
  await expect(page.locator('[data-check]')).toContainText('Nobody reads it yet');
  await page.getByRole('link', { name: '2 People' }).click();
  await page.getByLabel('Tam Brackley').check();
  await page.getByRole('link', { name: '4 Check' }).click();
  await expect(page.locator('[data-check]')).toContainText('One person reads');
  await page.getByRole('button', { name: 'Keep as a draft' }).click();
  await expect(page.locator('.notice')).toContainText('Planned as a draft');
  expect(errors).toEqual([]);
});

test('what is looked for joins what is ticked', async ({ page }) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/rounds/plan');
  const choices = page.locator('[data-choices]');
  const ticked = choices.locator('input[name="recordings[]"]:checked');
  const tick = (golfer) => choices.locator('label', { hasText: golfer }).first().locator('input').check();
  await tick('Wren');
  for (const [golfer, count] of [
    ['Curlew', 2],
    ['Siskin', 3],
  ]) {
    await page.getByLabel('Find by golfer').fill(golfer);
    await expect(choices.locator('label', { hasText: 'Heron' })).toHaveCount(0);
    await expect(choices.locator('label', { hasText: golfer }).first()).toBeVisible();
    await tick(golfer);
    await expect(ticked).toHaveCount(count);
  }
  await page.getByLabel('Find by golfer').fill('nobody of that name');
  await expect(choices.locator('label', { hasText: 'Wren' })).toHaveCount(1);
  await expect(choices.locator('.ticks label')).toHaveCount(3);
  await expect(ticked).toHaveCount(3);
  expect(errors).toEqual([]);
});

test('more cases than the key speaks of are refused in a sentence', async ({ page }) => {
  await logIn(page, 'maren');
  await page.goto('/rounds/plan?suggest=190');
  await expect(page.locator('.notice.refused')).toContainText('190 cases were asked for');
  await expect(page.locator('input[name="recordings[]"]:checked')).toHaveCount(0);
});

test('every coefficient opens to its reason, and the round goes out as open files', async ({ page }) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/agreement');
  await page.getByRole('link', { name: 'Faults', exact: true }).click();
  await page.getByText('Every coefficient, fault by fault').click();
  await expect(page.getByText('undefined: needs every rater to have rated every case').first()).toBeVisible();
  // Written by the queue; the page says when they can be taken.
  await page.getByRole('button', { name: 'Write the files' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Take the files' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/-round\.zip$/);
  expect(errors).toEqual([]);
});

test('a person’s page: from the round to the faults, confidence and drift, for the head coach and for oneself', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/agreement');
  await page.locator('a[href*="/people/"]').first().click();
  await expect(page.getByRole('heading', { name: 'Fault by fault' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Without the key' })).toBeVisible();
  expect(await serious(page)).toEqual([]);
  await logIn(page, 'tam');
  await page.goto('/agreement');
  await expect(page.locator('a[href*="/people/"]')).toHaveCount(1);
  await page.locator('a[href*="/people/"]').click();
  await expect(page.locator('h1')).toContainText('You ');
  await page.setViewportSize({ width: 390, height: 800 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  expect(errors).toEqual([]);
});

test('a word of the glossary is explained where it stands, by keyboard too', async ({ page }) => {
  await logIn(page, 'maren');
  await page.goto('/agreement');
  const term = page.getByRole('button', { name: 'AC1, κ, α' });
  await term.focus();
  await page.keyboard.press('Enter');
  const means = page.getByText('Agreement less what people who guess would reach by chance', { exact: false });
  await expect(means).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(means).toBeHidden();
  await expect(term).toBeFocused();
});
