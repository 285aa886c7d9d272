import { expect, handInSheet, logIn, openedRound, press, serious, test, watchErrors } from './helpers.mjs';

const MEMBERS = ['odile', 'piet', 'ros', 'gwil', 'suvi'];

test('a panel of five goes from a split to a majority by a following round, and its key says what to do', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/rounds/plan#people');
  await page.fill('#name', 'Journey of a panel');
  await page.selectOption('#kind', 'panel');
  for (const who of await page.locator('label', { has: page.locator('input[name="members[]"]') }).all()) {
    const name = (await who.textContent()).trim().split(' ')[0].toLowerCase();
    if (MEMBERS.includes(name)) await who.locator('input').check();
  }
  await page.click('[data-to="cases"]');
  await page.locator('input[name="recordings[]"]').first().check();
  await page.click('[data-to="check"]');
  await page.click('button:has-text("Keep")');
  await page.waitForURL('**/rounds/*');
  const round = page.url();
  await openedRound(page);

  for (const [i, who] of MEMBERS.entries()) {
    await logIn(page, who);
    await page.goto('/read/next');
    await page.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
    await handInSheet(page, page.url(), i < 3 ? 'sway' : null);
  }
  await logIn(page, 'maren');
  await page.goto(round);
  await page.click('button.act.big');
  const panel = round.replace('/rounds/', '/panel/');
  // The key is made in the queue.
  await expect(async () => {
    await page.goto(panel);
    await expect(page.locator('button', { hasText: 'Open a following round' })).toBeVisible({ timeout: 500 });
  }).toPass({ timeout: 60_000 });
  // Drills first, while nobody has seen what the others said.
  await page.click('button:has-text("Have the panel judge drills")');
  await expect(page.locator('body')).toContainText('0 of 5 members');
  await expect(page.locator('button', { hasText: 'Open a following round' })).toHaveCount(0);
  for (const [i, who] of MEMBERS.entries()) {
    await logIn(page, who);
    await page.locator('h1:has-text("“Journey of a panel”") + p a').last().click();
    await page.waitForSelector('[data-asked][data-ready]', { state: 'attached' });
    const drill = page.locator('.question', { has: page.locator('input[value="box-turn"]') });
    await expect(drill).toContainText(i < 3 ? 'your choice' : 'longer clubs');
    await drill.locator('[data-score]').first().focus();
    // Digits lead from rung to rung; a low one asks what the drill would do.
    for (const digit of ['8', '7', '6', '2']) await press(page, digit);
    await press(page, 'a');
    await press(page, 'Tab');
    await drill.locator('button').click();
    await expect(drill.locator('[data-says]')).toContainText('saved');
    if (i > 0) continue;
    expect(await serious(page)).toEqual([]);
    await drill.locator('select:visible').selectOption('');
    await drill.locator('button').click();
    await expect(drill.locator('[data-says]')).toContainText('adds a fault or is unsafe');
  }
  await logIn(page, 'maren');
  await page.goto(panel);
  await expect(page.locator('body')).toContainText('5 of 5 members');
  await page.click('button:has-text("Close the judging of drills")');
  await expect(async () => {
    await page.goto(panel);
    await expect(page.locator('.advice').last()).toContainText('helps', { timeout: 500 });
  }).toPass({ timeout: 60_000 });
  await page.click('button:has-text("Open a following round")');
  await expect(page.locator('body')).toContainText('0 of 5 members');

  // One of the minority looks again at the pinned moment and is persuaded; without a reason nothing is taken.
  await logIn(page, 'gwil');
  const waits = await page.locator('h1:has-text("Journey of a panel, following round 1")').count();
  await page.locator('h1:has-text("Journey of a panel, following round 1") + p a').last().click();
  await page.waitForSelector('[data-asked][data-ready]', { state: 'attached' });
  const question = page.locator('.question', { has: page.locator('input[value="sway"]') });
  await expect(question).toContainText('You said absent');
  await expect(question).toContainText('past the foot');
  await question.locator('[data-seek]').first().click();
  await expect(page.locator('[data-clock]')).toContainText(/^1\.(19|20)\d s/);
  expect(await serious(page)).toEqual([]);
  await question.locator('input[value="present"]').check();
  await question.locator('input[value="seeing"]').check();
  await question.locator('select[name="severity"]').selectOption('2');
  await question.locator('button', { hasText: 'Save' }).click();
  await expect(question.locator('[data-says]')).toContainText('wants a reason');
  await question.locator('input[name="reason"]').fill('seen at the pin');
  await press(page, 'Enter');
  await expect(question.locator('[data-says]')).toContainText('saved');
  await page.goto('/');
  await expect(page.locator('h1:has-text("Journey of a panel, following round 1")')).toHaveCount(waits - 1);

  await logIn(page, 'maren');
  await page.goto(panel);
  await expect(page.locator('body')).toContainText('1 of 5 members');
  await page.click('button:has-text("Close the following round")');
  await expect(async () => {
    await page.goto(panel);
    await expect(page.locator('body')).toContainText('key version 3', { timeout: 500 });
  }).toPass({ timeout: 60_000 });
  await expect(page.locator('body')).toContainText('1 answers, 1 changed');
  // Three of five named grip and sway: what lacks a majority is told, and scores nobody.
  await expect(page.locator('.advice').first()).toContainText('grip');
  await expect(page.locator('.advice').first()).toContainText('3 of 5');
  // Where panel and measurement are apart the head coach looks at both sides, and rules with a reason.
  const conflict = page.locator('.decision', { has: page.locator('form.ruling') }).first();
  const id = await conflict.getAttribute('id');
  await conflict.locator('summary').click();
  await expect(conflict.locator('[data-curves] svg').first()).toBeVisible();
  await conflict.locator('select[name="ruling"]').selectOption('present');
  await conflict.locator('input[name="reason"]').fill('the measurement clears the rule, seen at the moment');
  await conflict.locator('button', { hasText: 'Rule' }).click();
  await expect(page.locator(`#${id}`)).toContainText('the measurement clears the rule');
  await expect(page.locator(`#${id} form`)).toHaveCount(0);
  await page.goto(round);
  await page.click('button.act.big');
  await expect(async () => {
    await page.goto(panel);
    await expect(page.locator('.about')).toContainText('key version 3', { timeout: 500 });
    await page.goto(round);
    await expect(page.locator('button.act.big')).toHaveCount(0, { timeout: 500 });
  }).toPass({ timeout: 60_000 });
  // A refused answer is told by its status too; nothing else went wrong.
  expect(errors.filter((e) => !e.startsWith('422 '))).toEqual([]);
});
