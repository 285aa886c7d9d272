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
