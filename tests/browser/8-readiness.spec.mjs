import { expect, logIn, serious, test, watchErrors } from './helpers.mjs';

/** A page of its own for each of them, side by side. */
async function as(browser, baseURL, who) {
  const context = await browser.newContext({ baseURL });
  const page = await context.newPage();
  const errors = watchErrors(page);
  await logIn(page, who);
  return { page, errors, context };
}

async function decide(page, act, why) {
  await page.fill('#reason', why);
  await page.getByRole('button', { name: act, exact: true }).click();
}

test('somebody is signed off, proves it, is suspended, appeals and is reinstated', async ({ browser, baseURL }) => {
  test.slow();
  const head = await as(browser, baseURL, 'maren');
  const own = await as(browser, baseURL, 'vesna');
  await head.page.goto('/readiness');
  await expect(head.page.locator('h1')).toHaveText('Who is ready');
  expect(await serious(head.page)).toEqual([]);
  await head.page.getByRole('link', { name: /^Vesna Pell, / }).click();
  await expect(head.page.locator('h1')).toContainText('Vesna Pell');
  await expect(head.page.locator('.rungs li')).toHaveCount(2);
  expect(await serious(head.page)).toEqual([]);
  await expect(head.page.locator('body')).toContainText('Not all that the rule asks is there');
  await decide(head.page, 'Sign off', 'Talked through every case of the spring with her.');
  await expect(head.page.locator('.standing.big')).toContainText('signed off until');
  await head.page.locator('.decided a').first().click();
  await expect(head.page.locator('h1')).toHaveText('Statement of readiness');
  expect(await serious(head.page)).toEqual([]);
  const code = (await head.page.locator('.code').textContent()).trim();

  // Who holds the paper needs no account.
  const stranger = await browser.newContext({ baseURL });
  const paper = await stranger.newPage();
  await paper.goto('/verify');
  await paper.fill('#code', code.toLowerCase());
  await paper.getByRole('button', { name: 'Look' }).click();
  await expect(paper.locator('[role=status]')).toContainText('genuine, and holds today');
  expect(await serious(paper)).toEqual([]);

  // The person’s own page tells the same, and offers no decision.
  await own.page.click('nav a:has-text("Readiness")');
  await expect(own.page.locator('h1')).toHaveText('Where you stand');
  await own.page.getByRole('link', { name: /^Vesna Pell, / }).click();
  await expect(own.page.locator('.standing.big')).toContainText('signed off until');
  await expect(own.page.getByRole('button', { name: 'Suspend' })).toHaveCount(0);
  const at = own.page.url();

  await head.page.goto(at);
  await decide(head.page, 'Suspend', 'A drill was prescribed that the knee speaks against.');
  await expect(head.page.locator('.standing.big')).toHaveText('suspended');
  await paper.reload();
  await expect(paper.locator('[role=status]')).toContainText('does not hold today');
  await own.page.reload();
  await decide(own.page, 'Appeal', 'The knee was cleared the week before.');
  await expect(own.page.locator('body')).toContainText('appealed');
  await head.page.goto('/');
  await head.page.getByRole('link', { name: /Vesna Pell appeals/ }).click();
  await decide(head.page, 'Turn the appeal down', 'The note of it came only afterwards.');
  await decide(head.page, 'Reinstate', 'The note is here now; it holds as it did.');
  await expect(head.page.locator('.standing.big')).toContainText('signed off until');
  await expect(head.page.locator('.decided li').first()).toContainText('reinstated');
  await paper.reload();
  await expect(paper.locator('[role=status]')).toContainText('holds today');
  expect([...head.errors, ...own.errors]).toEqual([]);
  await Promise.all([head.context.close(), own.context.close(), stranger.close()]);
});

test('a test is asked for, begun, and puts its first case on Today', async ({ browser, baseURL }) => {
  const head = await as(browser, baseURL, 'maren');
  const own = await as(browser, baseURL, 'bea');
  await own.page.goto('/readiness');
  await own.page.getByRole('link', { name: /^Bea Thornley, / }).click();
  await own.page.getByRole('button', { name: 'Ask for the test' }).click();
  await expect(own.page.locator('body')).toContainText('Asked for on');
  await head.page.goto('/');
  await head.page.getByRole('link', { name: /Bea Thornley asks to be tested/ }).click();
  await head.page.getByRole('button', { name: 'Begin the test' }).click();
  await expect(head.page.locator('body')).toContainText('one case put before the person');
  await expect(head.page.locator('.tested')).toHaveCount(0);
  await own.page.goto('/');
  await expect(own.page.locator('main')).toContainText('Footwork alone, two plates');
  await head.page.getByRole('button', { name: 'Stop the test' }).click();
  await expect(head.page.locator('body')).not.toContainText('Under way since');
  expect([...head.errors, ...own.errors]).toEqual([]);
  await Promise.all([head.context.close(), own.context.close()]);
});

test('a rule is built on its page, and says whether the academy can give its test', async ({ page }) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/readiness/rules/new');
  await page.fill('#name', 'Start down, mat');
  await page.selectOption('#device', 'mat');
  await page.fill('#name-0', 'start down');
  await page.locator('.criterion').first().getByLabel('Hanging back', { exact: true }).check();
  await page.getByRole('button', { name: 'Keep the rule' }).click();
  await expect(page.locator('h1')).toHaveText('Start down, mat');
  await expect(page.locator('body')).toContainText('cannot be reached with the golfers there are');
  expect(await serious(page)).toEqual([]);
  await page.fill('#months', '6');
  await page.getByRole('button', { name: 'Keep as the next version' }).click();
  await expect(page.locator('body')).toContainText('version 2');
  await page.getByRole('button', { name: 'Lay it down' }).click();
  await expect(page.locator('h1')).toHaveText('Who is ready');
  await expect(page.locator('.standings')).not.toContainText('Start down, mat');
  expect(errors).toEqual([]);
});

test('a contrast set is made by the queue, looked at swing by swing, and practised', async ({ page }) => {
  test.slow();
  const errors = watchErrors(page);
  await logIn(page, 'hanne');
  await page.goto('/practice');
  await page.getByRole('link', { name: /Contrast sets/ }).click();
  await expect(page.locator('h1')).toHaveText('Contrast sets');
  expect(await serious(page)).toEqual([]);
  await page.getByLabel('two that are taken for one another').check();
  await page.selectOption('#fault', 'heel-pop');
  await page.selectOption('#other', 'toe-dive');
  await page.selectOption('#hand', 'left');
  await page.getByRole('button', { name: 'Make it' }).click();
  // The page waits for the queue and shows them by itself.
  await expect(page.locator('[data-practice]')).toHaveAttribute('data-ready', '', { timeout: 60_000 });
  await expect(page.locator('h1').first()).toContainText('or falls toward the ball');
  await expect(page.locator('.simulated')).toContainText('simulated swing');
  await expect(page.locator('[data-swing]')).toHaveCount(3);
  expect(await serious(page)).toEqual([]);
  const held = await page.locator('.stage [data-clock]').textContent();
  await page.keyboard.press('\\');
  await expect(page.locator('[data-swing][aria-pressed=true]')).toHaveText('the one');
  expect((await page.locator('.stage [data-clock]').textContent()).split('·')[1]).toBe(held.split('·')[1]);
  await page.getByRole('button', { name: 'Practise this' }).click();
  await page.waitForURL('**/practice/*/1');
  await expect(page.locator('h1').first()).toContainText('Question 1 of');
  expect(errors).toEqual([]);
});

test('a whole case is called by keyboard, line by line, and handed in', async ({ page }) => {
  const errors = watchErrors(page);
  await logIn(page, 'ines');
  await page.goto('/practice');
  await page.locator('.practice-modes button', { hasText: 'A whole case' }).click();
  await expect(page.locator('[data-practice]')).toHaveAttribute('data-ready', '');
  expect(await serious(page)).toEqual([]);
  const rows = await page.locator('[data-row]').count();
  await page.keyboard.press('Enter');
  await expect(page.locator('.truth')).toHaveCount(0);
  for (let i = 0; i < rows; i++) await page.keyboard.press(i % 3 ? 'a' : 'p');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('c');
  if (await page.locator('[data-cause]').count()) await page.keyboard.press('2');
  await page.keyboard.press('Enter');
  await expect(page.locator('.truth')).toContainText(/As you said|otherwise/);
  expect(await serious(page)).toEqual([]);
  expect(errors).toEqual([]);
});
