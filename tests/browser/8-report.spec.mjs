import { expect, handInSheet, logIn, serious, test, watchErrors } from './helpers.mjs';

const READERS = ['tam', 'kit', 'ines', 'dov', 'hanne', 'bea'];

/** Where a reader's own sheets of a round are opened from, on Today. */
const sheetsOf = (page, round) =>
  page.evaluate((name) => {
    const heading = [...document.querySelectorAll('h1')].find((h) => h.textContent.trim() === name);
    let table = heading?.nextElementSibling;
    while (table && table.tagName !== 'TABLE') table = table.nextElementSibling;
    return [...(table?.querySelectorAll('a[href*="/read/"]') ?? [])].map((a) => a.href);
  }, round);

test('a round by turns is planned, held, published and reported: its calls behind it, its PDFs, nobody named', async ({
  page,
}) => {
  test.slow();
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  await page.goto('/rounds');
  await page.click('a:has-text("Autumn round")');
  const names = await page
    .locator('table.mid')
    .last()
    .locator('tbody tr', { has: page.locator('td:has-text("one")') })
    .evaluateAll((rows) => rows.map((r) => r.querySelector('a').textContent.trim()).slice(0, 4));

  await page.goto('/rounds/plan#cases');
  for (const name of names)
    await page
      .locator('.ticks label', { hasText: name })
      .filter({ has: page.locator('input[name="recordings[]"]') })
      .last()
      .locator('input')
      .check();
  await page.click('summary:has-text("Cases kept for later rounds")');
  await page.fill('input[name="keep"]', '1');
  await page.click('[data-to="people"]');
  await page.fill('#name', 'By turns');
  await page.selectOption('#show', 'crossed');
  await expect(page.locator('summary:has-text("consensus")')).toBeHidden();
  await page.fill('input[name="due"]', '2031-05-06');
  for (const who of await page.locator('label', { has: page.locator('input[name="members[]"]') }).all()) {
    const name = (await who.textContent()).trim().split(' ')[0].toLowerCase();
    if (READERS.includes(name)) await who.locator('input').check();
  }
  await page.click('[data-to="precision"]');
  await expect(page.locator('[data-forecast]')).toContainText('4 cases of');
  await expect(page.locator('[data-forecast]')).toContainText('read by 6 people');
  await page.click('[data-to="check"]');
  await expect(page.locator('[data-check]')).toContainText('One is kept for later rounds');
  await page.click('button:has-text("Keep")');
  await page.waitForURL('**/rounds/*');
  const round = page.url();
  await page.click('button.act.big');
  await expect(async () => {
    await page.goto(round);
    await expect(page.locator('button.act.big')).toContainText(/Close/, { timeout: 500 });
  }).toPass({ timeout: 60_000 });
  await expect(page.locator('body')).toContainText('due 6 May 2031');
  expect(await serious(page)).toEqual([]);

  // While it is read the head coach's page follows by itself.
  const watching = await page.context().newPage();
  await watching.goto(round);
  const ways = {};
  for (const [i, who] of READERS.entries()) {
    const own = await page
      .context()
      .browser()
      .newContext({ baseURL: new URL(round).origin });
    const reader = await own.newPage();
    await logIn(reader, who);
    const sheets = await sheetsOf(reader, 'By turns');
    expect(sheets).toHaveLength(4);
    for (const [n, sheet] of sheets.entries()) {
      const evidence = await (await reader.request.get(`${sheet}/evidence/1`)).json();
      const film = evidence.motion !== null || evidence.films.length > 0;
      const way = film && evidence.trace !== null ? 'both' : film ? 'film' : 'trace';
      ways[way] = (ways[way] ?? 0) + 1;
      await handInSheet(reader, sheet, (i + n) % 3 === 0 ? 'sway' : null);
    }
    await own.close();
  }
  expect(ways).toEqual({ both: 8, film: 8, trace: 8 });
  await expect(watching.locator('[data-follow]')).toContainText('24 of 24', { timeout: 30_000 });
  await watching.close();

  await page.goto(round);
  await page.click('button.act.big');
  await expect(page.locator('button.act.big')).toContainText('Publish');
  await page.click('button.act.big');
  const agreement = round.replace('/rounds/', '/agreement/');
  await expect(async () => {
    await page.goto(round);
    await expect(page.locator(`a.act[href="${agreement}"]`)).toBeVisible({ timeout: 500 });
  }).toPass({ timeout: 90_000 });
  await page.goto(`${agreement}?part=shown`);
  await expect(page.locator('body')).toContainText('by turns');
  await page.goto(`${agreement}?part=faults`);
  await page.click('a:has-text("drifting off the ball")');
  await expect(page.locator('.behind tbody tr')).toHaveCount(5);
  await page.locator('.behind tbody a').first().click();
  await expect(page.locator('h2')).toContainText('What they would do');
  await expect(page.locator('.behind').first()).toContainText('film only');
  expect(await serious(page)).toEqual([]);

  await page.goto('/reports');
  await page.locator('section', { hasText: 'By turns' }).locator('a:has-text("Report")').click();
  await page.click('summary:has-text("Your words in it")');
  await page.fill('#meaning', 'Film alone hides what the trace shows.');
  await page.click('button:has-text("Keep")');
  await expect(page.locator('.report')).toContainText('Film alone hides what the trace shows.');
  await expect(page.locator('.report')).toContainText('film, trace or both by turns (4)');
  await expect(page.locator('.report')).toContainText('24 of 24 sheets');
  for (const who of [...READERS, 'maren', 'odile'])
    await expect(page.locator('.report')).not.toContainText(new RegExp(`\\b${who}\\b`, 'i'));
  expect(await serious(page)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  for (const file of ['report.pdf', 'board.pdf']) {
    const pdf = await page.request.get(`${page.url()}/${file}`);
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  }
  await page.click('a:has-text("The board’s page")');
  await expect(page.locator('.board')).toContainText('Film alone hides what the trace shows.');
  expect(await serious(page)).toEqual([]);

  // A reader is told how they read, and nothing of what is kept.
  await logIn(page, 'tam');
  await page.goto(agreement);
  await expect(page.locator('body')).not.toContainText('Krippendorff');
  expect(errors).toEqual([]);
});
