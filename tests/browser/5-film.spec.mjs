import { expect, logIn, test } from './helpers.mjs';

const ready = (page) => page.waitForSelector('[data-ready]', { state: 'attached' });

/** The number a frame of the numbered film carries, read off the canvas as it is drawn. */
const numberShown = () => {
  const canvas = document.querySelector('canvas[data-view="face-on"]');
  const { width: w, height: h } = canvas;
  const k = Math.min(w / 288, h / 240);
  const [x0, y0] = [(w - 288 * k) / 2, (h - 240 * k) / 2];
  const g = canvas.getContext('2d');
  let number = 0,
    parity = 0;
  for (let i = 0; i < 12; i++) {
    const bit =
      g.getImageData(Math.round(x0 + (24 * i + 12) * k), Math.round(y0 + 224 * k), 1, 1).data[0] > 128 ? 1 : 0;
    if (i < 11) number |= bit << i;
    parity ^= bit;
  }
  return parity ? -2 : number;
};

/** The frame the view has come to rest on: said and drawn alike, three looks running. */
async function atRest(page) {
  let last = -1,
    same = 0;
  await expect
    .poll(
      async () => {
        const drawn = await page.evaluate(numberShown);
        const said = Number(await page.locator('canvas[data-view="face-on"]').getAttribute('data-frame'));
        same = said >= 0 && said === drawn && said === last ? same + 1 : 0;
        last = said;
        return same;
      },
      { intervals: [100], timeout: 60_000 },
    )
    .toBeGreaterThanOrEqual(2);
  return last;
}

/** The Bench of a swing with the numbered film: sent in where no test before has left it, or one has failed since. */
async function numberedFilm(page) {
  await logIn(page, 'maren');
  await page.goto('/shelf?find=Plover&club=hybrid');
  await page.locator('table.sessions a').last().click();
  await ready(page);
  const row = page.locator('[data-film-row="face-on"]');
  if (!(await row.getByRole('button', { name: 'take it away' }).count())) {
    await row.locator('input[type=file]').setInputFiles('demo/films/numbered.mp4');
    await expect(row).toContainText('clock not set', { timeout: 60_000 });
    await page.reload();
    await ready(page);
  }
  return row;
}

test('a film comes in by the page, is made ready, and every step shows its own frame', async ({ page }) => {
  test.setTimeout(240_000);
  await logIn(page, 'maren');
  await page.goto('/shelf?find=Plover&club=hybrid');
  await page.locator('table.sessions a').last().click();
  await ready(page);
  const row = page.locator('[data-film-row="face-on"]');
  // A film that an earlier try left behind goes first.
  const away = row.getByRole('button', { name: 'take it away' });
  if (await away.count()) {
    await away.click();
    await expect(row.locator('input[type=file]')).toBeVisible();
    await ready(page);
  }
  await row
    .locator('input[type=file]')
    .setInputFiles({ name: 'notes.mp4', mimeType: 'video/mp4', buffer: Buffer.from('#EXTM3U\n/etc/passwd') });
  await expect(row.locator('[data-words]')).toContainText('This is not a film');
  await page.reload();
  await ready(page);
  await row.locator('input[type=file]').setInputFiles('demo/films/numbered.mp4');
  await expect(row).toContainText('288 × 240, 120 frames a second', { timeout: 60_000 });
  await expect(row).toContainText('clock not set');
  await ready(page);

  const canvas = page.locator('canvas[data-view="face-on"]');
  await page.locator('body').press('End');
  expect(await atRest(page)).toBeGreaterThan(200);
  await page.keyboard.press('Home');
  let frame = await atRest(page);
  expect(frame).toBeLessThan(120);
  let seed = 20261125;
  const chance = () => {
    seed = (seed * 1103515245 + 12345) % 2147483648;
    return seed / 2147483648;
  };
  const wrong = [];
  for (let i = 0; i < 200; i++) {
    const on = frame < 40 || (frame < 300 && chance() < 0.5);
    const steps = 1 + Math.floor(chance() * 3);
    for (let k = 0; k < steps; k++) await page.keyboard.press(on ? 'ArrowRight' : 'ArrowLeft');
    frame += on ? steps : -steps;
    await expect.poll(() => canvas.getAttribute('data-frame'), { timeout: 60_000 }).toBe(String(frame));
    const shown = await page.evaluate(numberShown);
    if (shown !== frame) wrong.push([frame, shown]);
  }
  expect(wrong).toEqual([]);
});

test('playing, halting and jumping end on the frame of the moment', async ({ page }) => {
  await numberedFilm(page);
  const ofTheMoment = () =>
    page.evaluate(() => {
      const { stage } = document.querySelector('[data-bench]');
      return stage.films.find((f) => f.canvas.dataset.view === 'face-on').frameAt(stage.t);
    });
  for (let i = 0; i < 4; i++) {
    const from = await page.evaluate(() => document.querySelector('[data-bench]').stage.t);
    await page.keyboard.press('Space');
    await page.waitForFunction((t) => Math.abs(document.querySelector('[data-bench]').stage.t - t) > 0.04, from);
    await page.keyboard.press('Space');
    expect(await atRest(page)).toBe(await ofTheMoment());
    await page.keyboard.press('Shift+ArrowRight');
    expect(await atRest(page)).toBe(await ofTheMoment());
  }
});

test('a frame held while the rest moves on sets the clock by what both show', async ({ page }) => {
  const row = await numberedFilm(page);
  const back = row.getByRole('button', { name: 'take the events back' });
  if (await back.count()) {
    await back.click();
    await expect(back).toHaveCount(0);
    await ready(page);
  }
  const frame = String(await atRest(page));
  await row.getByRole('button', { name: 'hold this frame' }).click();
  await page.locator('.head h1').click();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.locator('canvas[data-view="face-on"]')).toHaveAttribute('data-frame', frame);
  await row.getByRole('button', { name: 'the same moment' }).click();
  await expect(page.locator('.notice')).toContainText('by one event');
  await ready(page);
  await page.keyboard.press('Shift+ArrowRight');
  await expect
    .poll(() => page.locator('canvas[data-view="face-on"]').getAttribute('data-frame'), { timeout: 60_000 })
    .toBe(frame);
});

test('opens with the still of its station, at once, while the film is yet to come', async ({ page }) => {
  await logIn(page, 'maren');
  let come = () => {};
  const held = new Promise((done) => {
    come = done;
  });
  await page.route('**/film/face-on/stream', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/shelf?find=Plover');
  const links = await page.locator('table.sessions a').evaluateAll((all) => all.map((a) => a.href));
  const filmed = [];
  for (const link of [...new Set(links)].filter((l) => l.includes('/bench/'))) {
    const { films } = await (await page.request.get(`${link}/evidence`)).json();
    if (films.some((f) => f.view === 'face-on' && f.stills.AD)) filmed.push(link);
  }
  expect(filmed.length).toBeGreaterThan(0);
  await page.goto(filmed[0]);
  await ready(page);
  const ink = () => {
    const canvas = document.querySelector('canvas[data-view="face-on"]');
    const { data } = canvas.getContext('2d').getImageData(canvas.width / 2 - 20, canvas.height / 2 - 20, 40, 40);
    return new Set(data.filter((_, i) => i % 4 !== 3)).size;
  };
  const canvas = page.locator('canvas[data-view="face-on"]');
  await expect.poll(() => page.evaluate(ink)).toBeGreaterThan(8);
  await expect(canvas).toHaveAttribute('data-frame', '-1');
  come();
  await expect(canvas).not.toHaveAttribute('data-frame', '-1', { timeout: 60_000 });
  expect(await page.evaluate(ink)).toBeGreaterThan(8);
});
