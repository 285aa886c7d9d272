import { expect, logIn, serious, test, watchErrors } from './helpers.mjs';

test('a drill is chosen by what speaks for it, against a limit with a reason, and goes home as a note', async ({
  page,
}) => {
  test.slow();
  const errors = watchErrors(page);
  await logIn(page, 'vesna');
  await page.click('nav a:has-text("Lessons")');
  await expect(page.locator('h1')).toHaveText('3 sessions');
  expect(await serious(page)).toEqual([]);
  await page.locator('tbody a').last().click();
  await page.getByRole('link', { name: 'Choose a drill' }).click();
  await expect(page.locator('h1')).toHaveText('What did you see?');
  await expect(page.locator('body')).toContainText('lead knee: careful');
  expect(await serious(page)).toEqual([]);
  await page.selectOption('select[name="faults[late-recentre]"]', 'now');
  await page.getByRole('checkbox', { name: 'pressure comes back late is a first cause' }).check();
  await page.getByRole('button', { name: 'Set out the drills' }).click();

  // Before anything is chosen the limit stands beside every drill that loads it, in words.
  const step = page.locator('.ranked > li', { hasText: 'Step in' });
  await expect(step).toContainText('it loads what this golfer is to spare: lead knee: careful');
  await expect(page.locator('.ranked > li').first()).not.toContainText('to spare');
  await expect(step.locator('img')).toHaveJSProperty('complete', true);
  expect(await serious(page)).toEqual([]);
  await step.getByRole('button', { name: 'Choose' }).click();
  await page.fill('#cue', 'Get forward now');
  await page.getByRole('button', { name: 'Keep the draft' }).click();
  await expect(page.locator('body')).toContainText('many throw the chest forward');

  // Two clicks draw a line over the still; the last one can be taken back.
  const over = page.locator('.still .over');
  for (const position of [
    { x: 60, y: 40 },
    { x: 60, y: 200 },
    { x: 20, y: 20 },
    { x: 90, y: 90 },
  ]) {
    await over.click({ position });
  }
  await page.getByRole('button', { name: 'Take the last line back' }).click();
  await expect(over.locator('line')).toHaveCount(1);
  await page.fill('#cue', 'Step, then swing');
  await page.fill('#next_on', '2099-01-31');
  await page.getByRole('button', { name: 'Hand it over' }).click();
  await expect(page.locator('.refused')).toContainText('say in ten characters or more why');
  await expect(page.locator('#cue')).toHaveValue('Step, then swing');
  await page.fill('#reason', 'The knee is rested and the steps are small.');
  await page.getByRole('button', { name: 'Hand it over' }).click();

  await expect(page.locator('.note h1')).toHaveText('Step, then swing');
  await expect(page.locator('.note .cautions')).toContainText('The knee is rested and the steps are small.');
  await expect(page.locator('.note .cautions')).toContainText('Warm up, clear the space');
  await expect(page.locator('.note .still .over line')).toHaveCount(1);
  expect(await serious(page)).toEqual([]);
  // On paper the way through the application is gone, and the cautions are not.
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.no-print').first()).toBeHidden();
  await expect(page.locator('.note .cautions')).toBeVisible();
  const printed = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(printed.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
  await page.emulateMedia({ media: 'screen' });
  const at = new URL(page.url()).pathname;
  const pdf = await page.request.get(`${at}.pdf`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect(await (await page.request.get(`${at}.ics`)).text()).toContain('DTSTART;VALUE=DATE:20990131');
  expect(errors).toEqual([]);
});

test('what was felt is kept before any number can be reached', async ({ page }) => {
  test.slow();
  const errors = watchErrors(page);
  await logIn(page, 'vesna');
  await page.goto('/lessons');
  await page.locator('tr', { hasText: 'a follow-up waits for the feel' }).getByRole('link').click();
  const session = new URL(page.url()).pathname;
  await page.getByRole('link', { name: /what was prescribed on/ }).click();
  await expect(page.locator('h1')).toHaveText('Did it change? Avocet');
  await expect(page.locator('body')).not.toContainText('better ±');
  expect(await serious(page)).toEqual([]);
  // Not on the session's page, nor on the way to another drill, over raw bytes.
  expect(await (await page.request.get(session)).text()).not.toContain('/bench/');
  expect((await page.request.get(`${session}/prescription`)).status()).toBe(404);
  await page.locator('fieldset', { hasText: 'The golfer' }).getByLabel('better').check();
  await page.locator('fieldset', { hasText: 'You, by eye' }).getByLabel('the same').check();
  await page.fill('#felt_says', 'light as a feather');
  await page.getByRole('button', { name: 'Keep it for good' }).click();

  await expect(page.locator('body')).toContainText('before anything was shown');
  await expect(page.locator('body')).toContainText('light as a feather');
  await expect(page.locator('.seen').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep it for good' })).toHaveCount(0);
  expect(await serious(page)).toEqual([]);
  await page.locator('select[name^=rungs]').nth(1).selectOption('full-speed');
  await page.getByRole('button', { name: 'Keep the rungs' }).click();
  await expect(page.locator('body')).toContainText('full speed');
  expect(await (await page.request.get(session)).text()).toContain('/bench/');
  expect(errors).toEqual([]);
});
