import { expect, logIn, serious, test, watchErrors } from './helpers.mjs';

const tried = (page) => expect(page.locator('[data-trial]')).not.toHaveAttribute('aria-busy', 'true');
const ownRule = (page) => page.locator('[data-place="own"] [data-rule="supported"]');

/** Waits for work that the queue does, looking at the page again until it is there. */
async function until(page, path, seen) {
  await expect(async () => {
    await page.goto(path);
    await expect(page.locator('body')).toContainText(seen, { timeout: 500 });
  }).toPass({ timeout: 60_000 });
}

test('a rule is built by keyboard, tried while it is typed, checked, published and seen by everybody', async ({
  page,
  browser,
}) => {
  test.slow();
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/codebook#versions');
  await page.click('a:has-text("Work on the draft")');
  await expect(page.locator('h1')).toContainText('Draft of version 3');
  await expect(page.locator('#changes')).toContainText('3 places would be another');

  await page.click('.draft-parts a:has-text("Pressure comes back late")');
  await expect(ownRule(page).locator('.threshold')).toHaveValue('-70');
  await tried(page);
  // A threshold inside its band is told at once, and why.
  await ownRule(page).locator('.threshold').focus();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('10');
  await expect(page.locator('[data-trial]')).toContainText('lie inside their bands');
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('−120');
  await expect(ownRule(page).locator('[data-says]')).toContainText('recentring before the top < −120 ms');
  await tried(page);
  await expect(page.locator('[data-trial]')).toContainText('It passes its checks');
  await expect(page.locator('[data-trial] tbody tr').first()).toBeVisible();
  const turned = await page.locator('[data-trial] tbody tr').count();

  // One condition more, a group, and both away again: the rule is what it was.
  await ownRule(page).getByRole('button', { name: 'add a condition' }).click();
  await expect(ownRule(page).locator('.rule-condition')).toHaveCount(2);
  await ownRule(page).locator('.rule-group select').first().selectOption('any');
  await expect(ownRule(page).locator('[data-says]')).toContainText(' or ');
  await ownRule(page).getByRole('button', { name: 'remove' }).last().click();
  await expect(ownRule(page).locator('.rule-condition')).toHaveCount(1);
  // A lens gets a rule of its own, which begins as this one.
  await page.selectOption('[data-more]', 'lens/loaded-top/club/wedge');
  await page.click('[data-add-place]');
  const wedge = page.locator('[data-place="lens/loaded-top/club/wedge"]');
  await expect(wedge.locator('.threshold').first()).toHaveValue('-120');
  await wedge.getByRole('button', { name: 'take this rule away' }).click();
  await expect(wedge).toHaveCount(0);
  await serious(page);
  await page.click('button:has-text("Save in the draft")');
  await expect(page.locator('.notice')).toContainText('Saved in the draft');

  await page.goto('/codebook/draft');
  await expect(page.locator('#changes')).toContainText('4 places would be another');
  await expect(page.locator('body')).toContainText('This was found before the last change');
  await page.click('button:has-text("Try it again")');
  await until(page, '/codebook/draft', 'Publish it');
  await page.click('summary:has-text("Pressure comes back late")');
  await expect(page.locator('details:has-text("Pressure comes back late") tbody tr')).toHaveCount(turned);
  await serious(page);
  await page.fill('#version', 'spring-27');
  await page.fill('#note', 'Later is late only from 120 ms on');
  await page.click('button:has-text("Publish it")');
  await expect(page.locator('h1')).toContainText('version spring-27');
  await expect(page.locator('body')).toContainText('Later is late only from 120 ms on');
  expect(errors).toEqual([]);

  // Everybody reads by it from now on; what is under way goes on with its own.
  const other = await browser.newContext({ baseURL: new URL(page.url()).origin });
  const tam = await other.newPage();
  await logIn(tam, 'tam');
  await tam.goto('/codebook/faults/late-recentre');
  await expect(tam.locator('table').first()).toContainText('−120 ms');
  await expect(tam.locator('body')).not.toContainText('Does the definition hold');
  await tam.goto('/codebook#words');
  await expect(tam.locator('#w-load + dd')).toContainText('Pressure under the trail foot');
  await other.close();
  await page.goto('/rounds');
  await page.click('a:has-text("Autumn round")');
  await expect(page.locator('body')).not.toContainText('spring-27');
});

test('an example is put beside a fault, looked at, and who looked is noted', async ({ page }) => {
  await logIn(page, 'maren');
  await page.goto('/codebook/faults/spin-out');
  await page.locator('#recording').selectOption({ index: 0 });
  await page.selectOption('#shows', '0');
  await page.fill('#note', 'The heel goes, and the pressure had gone before.');
  await page.click('button:has-text("Put it there")');
  await expect(page.locator('.examples')).toContainText('The heel goes, and the pressure had gone before.');
  await serious(page);
  await logIn(page, 'vesna');
  await page.goto('/codebook/faults/spin-out');
  await page.locator('.examples button:has-text("Look at it")').first().click();
  await page.waitForURL('**/bench/**');
  await expect(page.locator('h1').first()).toBeVisible();
});
