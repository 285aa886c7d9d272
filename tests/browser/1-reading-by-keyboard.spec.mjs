import { expect, openKind, press, saved, serious, sheetOf, takeWay, test, watchErrors } from './helpers.mjs';

// Every kind of case once, and that with everything both ways.
for (const [kind, way] of [
  ['film', 'stations'],
  ['trace', 'all'],
  ['both', 'stations'],
  ['both', 'all'],
]) {
  test(`an instructor reads by keyboard alone: ${kind}, ${way === 'all' ? 'all at once' : 'station by station'}`, async ({
    page,
  }) => {
    const errors = watchErrors(page);
    const address = await openKind(page, kind);
    await takeWay(page, way);
    await expect(page.locator('.fault.current .name')).toHaveText('Uneven start');
    if (way === 'stations') {
      await expect(page.locator('[data-station-name]')).toHaveText(/address/i);
      await expect(page.locator('.fault:visible')).toHaveCount(3);
    } else await expect(page.locator('.fault:visible')).toHaveCount(28);

    await press(page, 'a', 'a', 'a');
    if (way === 'stations') await expect(page.locator('[data-clock]')).toContainText('· LB ·');
    await press(page, 'p', '2', ']', ']', 'w', 'r', kind === 'trace' ? 't' : 'f', 'e');
    await page.keyboard.type('hip beyond the foot');
    await press(page, 'Enter');
    const row = page.locator('.fault.current');
    await expect(row.locator('[data-summary]')).toHaveText('present 2 · 85 %');
    await expect(row.locator('input[value="later"]')).toBeChecked();
    await expect(row.locator('[data-pins]')).toContainText(kind === 'trace' ? 'trace' : 'film');
    await expect(row.locator('[data-pins] input')).toHaveValue('hip beyond the foot');
    await expect(row.locator('[data-definition]')).toBeHidden();
    await press(page, 'd');
    await expect(row.locator('[data-definition]')).toContainText('counter-example');
    await press(page, 'b', 'ArrowDown', 'p', '1', 'b');
    expect(await serious(page)).toEqual([]);
    await press(page, 'ArrowDown', ...Array(7).fill('a'), 'c', ...Array(15).fill('a'));
    await expect(page.locator('[data-count]')).toHaveText('28');
    await press(page, 'n');
    await page.keyboard.type('Turn over a quiet foot');
    await press(page, 'Enter', 'y', 'b', 'Tab', 'r', 'Escape');
    await press(page, ...Array(3).fill('Shift+ArrowRight'), 'k', 'i');
    if (way === 'stations') expect(await serious(page)).toEqual([]);
    await saved(page);
    expect(await sheetOf(page)).toMatchObject({
      causes: ['sway'],
      chain: [['sway', 'no-load']],
      cue: 'Turn over a quiet foot',
      drill: { key: 'brush-ahead', stop: 'rehearsal' },
    });

    await press(page, 'h');
    await expect(page.locator('[data-summary-text]')).toContainText(
      'Present: drifting off the ball (2), never loads the trail side (1).',
    );
    await expect(page.locator('[data-summary-text]')).toContainText('Left out, and may be: misses to expect.');
    await expect(page.locator('[data-hand-in-button]')).toBeFocused();
    await press(page, 'Enter');
    await page.waitForURL((url) => url.href !== address);
    await expect(page.locator('.notice').first()).toContainText('Handed in and locked.');
    await page.goto(address);
    await expect(page.locator('[data-saved]')).toHaveText('handed in, locked');
    await press(page, 'p', 'c');
    await expect(page.locator('[data-count]')).toHaveText('28');
    expect(errors).toEqual([]);
  });
}

test('a key is given another place, kept with the account, and a taken one is refused', async ({ page }) => {
  await openKind(page, 'both');
  await takeWay(page, 'all');
  await press(page, '?');
  await page.getByRole('button', { name: /^absent: A/ }).click();
  await press(page, 'p');
  await expect(page.locator('[data-keys-say]')).toHaveText('That key is taken: present.');
  await page.getByRole('button', { name: /^absent: A/ }).click();
  await press(page, '8');
  await expect(page.locator('[data-keys-say]')).toHaveText('Kept with your account.');
  await page.reload();
  await page.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
  const said = page.locator('[data-fault="sway"] [data-summary]');
  await page.locator('[data-fault="sway"] .name').click();
  await press(page, 'c', 'ArrowUp', 'a');
  await expect(said).toHaveText('cannot tell');
  await press(page, '8');
  await expect(said).toContainText('absent');
  await press(page, 'u', '?');
  await page.getByRole('button', { name: 'As they were made' }).click();
  await expect(page.locator('[data-keys-say]')).toHaveText('Kept with your account.');
});

test('one clock: ribbon, keys, pictures and trace move together', async ({ page }) => {
  await openKind(page, 'both');
  const clock = page.locator('[data-clock]');
  const picture = () => page.locator('canvas[data-view="face-on"]').evaluate((c) => c.toDataURL());
  const start = await picture();
  for (const code of ['TB', 'LB', 'TP']) {
    await press(page, 'Shift+ArrowRight');
    await expect(clock).toContainText(`· ${code} ·`);
  }
  await expect.poll(picture).not.toBe(start);
  const top = await clock.textContent();
  await press(page, 'ArrowRight');
  await expect(clock).not.toHaveText(top);
  const before = await clock.textContent();
  await press(page, 'ArrowRight');
  await expect(clock).not.toHaveText(before);
  await press(page, 'ArrowLeft');
  await expect(clock).toHaveText(before);
  const box = await page.locator('[data-ribbon]').boundingBox();
  const pad = box.width * 0.055;
  await page.mouse.click(box.x + pad + ((box.width - 2 * pad) * 6) / 8, box.y + 20);
  await expect(clock).toContainText(/at impact|· [01] ms/);
  await page.locator('.trace-box .plot').click({ position: { x: 120, y: 60 } });
  await expect(clock).toContainText('before impact');
  const still = await clock.textContent();
  await press(page, ' ');
  await expect(clock).not.toHaveText(still);
  await press(page, ' ');
  // What stands still for twenty pictures on end has stopped.
  await page.waitForFunction(
    () =>
      new Promise((done) => {
        const of = document.querySelector('[data-clock]');
        const was = of.textContent;
        let left = 20;
        const look = () => (--left ? requestAnimationFrame(look) : done(of.textContent === was));
        requestAnimationFrame(look);
      }),
  );
});
