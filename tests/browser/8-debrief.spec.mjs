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

test('a debrief is held: six vote on their own devices, the room follows, nothing names anybody, minutes are kept', async ({
  page,
  browser,
}) => {
  test.setTimeout(300_000);
  const errors = watchErrors(page);
  const opened = [];
  const own = async (size) => {
    // The server of this lane.
    const context = await browser.newContext({ baseURL: new URL(page.url()).origin, viewport: size });
    opened.push(context);
    return context.newPage();
  };
  const held = () => page.waitForSelector('[data-held][data-ready]', { state: 'attached' });
  await logIn(page, 'maren');
  await page.goto('/debrief');
  await page.waitForSelector('[data-debrief][data-ready]', { state: 'attached' });
  await page.click('text=Choose its cases');
  await page.locator('.choose input').evaluateAll((all) =>
    all.forEach((box, i) => {
      box.checked = i < 2;
    }),
  );
  await page.click('text=Begin the debrief');
  await held();
  expect(await serious(page)).toEqual([]);
  const code = (await page.locator('.held p.small b').nth(1).textContent()).trim();
  expect(code).toMatch(/^\d{6}$/);
  const room = await page.context().newPage();
  await room.goto(page.url().replace('/present', '/room'));
  await room.waitForSelector('[data-room][data-ready]', { state: 'attached' });
  await expect(room.locator('.qr svg')).toBeVisible();
  const topic = await room.locator('[data-side-box] h1').textContent();
  await expect(room.locator('.spread')).toHaveCount(0);

  // Who still reads one of its swings blind – elsewhere, in what other journeys left – is not let in.
  const voters = [];
  for (const who of ['tam', 'kit', 'ines', 'dov', 'hanne', 'bea', 'arlo', 'vesna', 'odile', 'piet', 'ros', 'gwil']) {
    if (voters.length === 6) break;
    const voter = await own({ width: 390, height: 700 });
    await logIn(voter, who);
    await voter.goto(`/join/${code}`);
    await Promise.all([voter.waitForNavigation(), voter.click('button.act.big')]);
    if (voter.url().endsWith('/vote')) voters.push(voter);
    else await expect(voter.locator('main')).toContainText('You have not joined');
  }
  expect(voters.length).toBe(6);
  await page.click('[name=kind][value=presence]');
  await held();
  for (const [i, voter] of voters.entries()) {
    await voter
      .locator('.answers button')
      .nth(i < 4 ? 0 : 1)
      .click();
    await expect(voter.locator('.answers [aria-pressed=true]')).toHaveCount(1);
  }
  // A vote may be changed; the room sees how many, not what.
  await voters[0].locator('.answers button').nth(1).click();
  await expect(voters[0].locator('.answers [aria-pressed=true]')).toHaveText(/absent/);
  await expect(room.locator('.ballot')).toContainText('6 of 6 have voted');
  await expect(room.locator('.tally')).toHaveCount(0);
  await page.click('.vote-now button');
  await held();
  await expect(room.locator('.tally')).toBeVisible();

  // The presenter reloads in the middle of it: nothing is lost or asked twice.
  await page.reload();
  await held();
  for (const [n, seen] of [
    [1, '[data-side-box] .call'],
    [2, '.truths'],
    [3, 'dt:has-text("measurement")'],
    [4, 'dt:has-text("flight")'],
    [5, 'dt:has-text("ruling")'],
  ]) {
    await page.click(`[name=reveal][value="${n}"]`);
    await held();
    await expect(room.locator(seen).first()).toBeVisible();
  }
  for (const name of ['Brackley', 'Marlpit', 'Foxcroft'])
    await expect(room.locator('[data-side-box]')).not.toContainText(name);
  // Where the presenter halts it, it stands in the room.
  const moment = (of) => of.locator('[data-ribbon]').getAttribute('aria-valuetext');
  const before = await moment(room);
  await page.locator('h1').first().click();
  await press(page, before.includes('AD') ? 'End' : 'Home');
  await expect.poll(() => moment(page)).not.toBe(before);
  await expect.poll(() => moment(room)).toBe(await moment(page));
  await page.click('.vote-now button');
  await held();
  for (const voter of voters) {
    await expect(voter.locator('[data-voter]')).toContainText('Second vote');
    await voter.locator('.answers button').nth(1).click();
    await expect(voter.locator('.answers [aria-pressed=true]')).toHaveCount(1);
  }
  await page.click('.vote-now button');
  await held();
  await expect(room.locator('.ballot')).toContainText('voted twice');

  await page.click('text=Write down what is decided');
  await page.fill('#what', 'Say which of the two is looked at first');
  await page.click('.decide button');
  await held();
  await page.click('[data-turn="next-case"]');
  await held();
  await expect(room.locator('.where')).toContainText('2 of ');
  await expect(room.locator('.truths dt')).toHaveCount(0);
  expect(topic).not.toBe('');
  await page.click('text=End the debrief');
  await page.waitForURL('**/minutes');
  await expect(page.locator('main')).toContainText('Say which of the two is looked at first');
  expect(await serious(page)).toEqual([]);
  await expect(room.locator('[data-side-box]')).toContainText('is over');
  await expect(voters[0].locator('[data-voter]')).toContainText('is over');
  await page.goto('/');
  await expect(page.locator('main')).toContainText('Say which of the two is looked at first');
  for (const context of opened) await context.close();
  expect(errors).toEqual([]);
});
