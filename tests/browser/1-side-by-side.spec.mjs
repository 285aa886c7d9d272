import { expect, logIn, openCase, press, saved, serious, test, watchErrors } from './helpers.mjs';

/** Opens a case not yet read that has so many swings and shows what is asked for, as whoever has one. */
async function openWith(page, swings, wanted = () => true) {
  for (const who of ['kit', 'dov', 'arlo', 'vesna', 'tam']) {
    await logIn(page, who);
    for (const link of await page
      .locator('table a', { hasText: /^read$/ })
      .evaluateAll((all) => all.map((a) => a.href))) {
      const shown = await page.request.get(`${link}/evidence/${swings}`, { headers: { Accept: 'application/json' } });
      if (shown.ok() && wanted(await shown.json())) {
        await openCase(page, link);
        return;
      }
    }
    await page.getByRole('button', { name: 'Log out' }).click();
    await page.waitForURL('**/login');
  }
  throw new Error('nobody has such a case left');
}

test('two recordings side by side: each at its own impact, the left-handed one mirrored, nothing spills', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await logIn(page, 'maren');
  const bench = async (name) => {
    await page.goto(`/shelf?find=${name}`);
    return page.locator('tr', { hasText: name }).locator('a[href*="/bench/"]').last().getAttribute('href');
  };
  const wren = await bench('Wren'),
    lapwing = await bench('Lapwing');
  await page.goto(wren);
  await page.waitForSelector('[data-ready]', { state: 'attached' });
  await page.locator('#other').selectOption(new URL(lapwing, page.url()).pathname.split('/').pop());
  await page.getByRole('button', { name: 'put beside' }).click();
  await page.waitForSelector('[data-compare][data-ready]', { state: 'attached' });
  await expect(page.locator('figcaption', { hasText: 'left-handed and mirrored' }).first()).toBeVisible();
  const times = () =>
    page.evaluate(() => {
      const [one, two] = document.querySelector('[data-compare]').stages;
      return {
        one: one.t,
        two: two.t,
        a: one.evidence.stations,
        b: two.evidence.stations,
        mirrored: two.films.map((f) => f.mirrored),
        hand: two.evidence.hand,
      };
    });
  for (const code of ['TB', 'LB', 'TP', 'LD', 'SD', 'IM']) {
    await press(page, 'Shift+ArrowRight');
    await expect(page.locator('[data-clock]')).toContainText(`· ${code} `);
    const { one, two, a, b } = await times();
    expect(one).toBeCloseTo(a[code], 6);
    expect(two).toBeCloseTo(b[code], 6);
  }
  const said = await times();
  expect(said.mirrored.every(Boolean)).toBe(true);
  expect(said.hand).toBe('right');
  await page.locator('[data-mode]').selectOption('TP');
  await expect
    .poll(async () => {
      const { one, two, a, b } = await times();
      return [one - a.TP, two - b.TP].map((t) => Number(t.toFixed(6)) + 0);
    })
    .toEqual([0, 0]);
  await press(page, 'ArrowRight', 'ArrowRight', 'ArrowRight');
  await expect
    .poll(async () => {
      const { one, two, a, b } = await times();
      return Math.abs(one - a.TP - (two - b.TP)) < 1e-6 && one > a.TP;
    })
    .toBe(true);
  await page.locator('[data-only-view]').selectOption('down-the-line');
  await expect(page.locator('figure.face-on').first()).toBeHidden();
  await expect(page.locator('figure.down-the-line').first()).toBeVisible();
  await expect(page.locator('.differences tr.beyond').first()).toContainText('±');
  expect(await serious(page)).toEqual([]);
  expect(
    await page.evaluate(() => {
      const s = document.querySelector('.side');
      return s.scrollWidth <= s.clientWidth;
    }),
  ).toBe(true);
  expect(errors).toEqual([]);
});

test('aids are placed by pointer, moved, kept with the reading and taken away', async ({ page }) => {
  await openWith(page, 1, (e) => e.films.length > 0 || e.motion !== null);
  const layer = page.locator('svg.aids').first();
  const kept = () =>
    page.evaluate(
      async () => (await (await fetch(document.querySelector('[data-reading]').dataset.sheetUrl)).json()).aids,
    );
  const put = async (...points) => {
    for (const [x, y] of points) {
      const box = await layer.boundingBox();
      await page.mouse.click(box.x + x * box.width, box.y + y * box.height);
    }
  };
  await expect(layer).toBeAttached();
  await page.locator('[data-aid]').selectOption('plumb');
  await expect(page.locator('[data-announce]')).toContainText('Press the point the line hangs through');
  await put([0.5, 0.5]);
  await page.locator('[data-aid]').selectOption('hips');
  await put([0.45, 0.45], [0.55, 0.55]);
  await page.locator('[data-aid]').selectOption('heel');
  await put([0.45, 0.8]);
  await press(page, 'ArrowRight', 'ArrowRight');
  await put([0.46, 0.75]);
  await press(page, 'Escape');
  await saved(page);
  expect((await kept()).map((a) => [a.kind, a.view, a.points.length])).toEqual([
    ['plumb', 'face-on', 1],
    ['hips', 'face-on', 2],
    ['heel', 'face-on', 2],
  ]);
  await expect(layer.locator('text')).toContainText(/% of the picture at|cm at/);
  // Scrubbing still works where no aid is being placed; a handle moves its point.
  const before = (await kept())[0].points[0];
  // A film that paints draws the layer anew: a box is asked for until one is met.
  let handle = null;
  await expect(async () => {
    handle = await layer.locator('[data-handle="0 0"]').boundingBox();
    expect(handle).not.toBeNull();
  }).toPass();
  await page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2);
  await page.mouse.down();
  await page.mouse.move(handle.x + 40, handle.y + 10, { steps: 4 });
  await page.mouse.up();
  await saved(page);
  expect((await kept())[0].points[0].x).toBeGreaterThan(before.x + 0.02);
  await page.reload();
  await page.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
  await expect(layer.locator('rect.aid')).toHaveCount(1);
  await page.locator('[data-aid]').selectOption('last');
  await expect(layer.locator('polyline')).toHaveCount(0);
  await press(page, 'u');
  await expect(layer.locator('polyline')).toHaveCount(1);
  await page.locator('[data-aid]').selectOption('all');
  await saved(page);
  expect(await kept()).toEqual([]);
});

test('a series is flicked through at one station, and a pin says in which swing it stands', async ({ page }) => {
  await openWith(page, 3);
  await page.locator('[data-way="all"]').click();
  await expect(page.locator('[data-swing]')).toHaveCount(4);
  await expect(page.locator('[data-swing]').first()).toHaveText('1, cold');
  // In a row, beside each other.
  const tops = await page.locator('[data-swing]').evaluateAll((all) => all.map((e) => e.getBoundingClientRect().top));
  expect(new Set(tops).size).toBe(1);
  await page.evaluate(() => document.activeElement?.blur());
  await press(page, 'Shift+ArrowRight', 'Shift+ArrowRight');
  await expect(page.locator('[data-clock]')).toContainText('· LB ·');
  const seen = new Set();
  for (const n of [2, 3, 4, 1, 2]) {
    await press(page, '\\');
    await expect(page.locator('[data-swing]').nth(n - 1)).toHaveAttribute('aria-pressed', 'true');
    await expect(page.locator('[data-clock]')).toContainText('· LB ·');
    seen.add(await page.locator('[data-clock]').textContent());
  }
  expect(seen.size).toBeGreaterThan(2);
  await page.locator('[data-fault="sway"] .name').click();
  await press(page, 'p', '1', 't');
  await expect(page.locator('[data-fault="sway"] [data-pins] li')).toContainText('swing 2');
  await saved(page);
  await page.locator('[data-swing]').first().click();
  await page.locator('[data-fault="sway"] [data-pins] button').first().click();
  await expect(page.locator('[data-swing]').nth(1)).toHaveAttribute('aria-pressed', 'true');
  await press(page, 'u', 'u', 'u');
  await saved(page);
});
