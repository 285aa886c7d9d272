// Measures the pages people look and judge at, in headless Chromium against a server on loopback, and prints medians.
import { chromium } from '@playwright/test';

const base = process.env.VC_URL;
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const median = (list) => list.toSorted((a, b) => a - b)[Math.floor(list.length / 2)];
const line = (what, value) => console.log(what.padEnd(92), value.padStart(12));

const session = {};

/** A browser with nothing in store but who is logged in. */
async function as(who) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, storageState: session[who] });
  const page = await context.newPage();
  if (session[who]) return [context, page];
  await page.goto(`${base}/login`);
  await page.fill('#email', `${who}@fernhollow.example`);
  await page.fill('#password', 'fernhollow-winter');
  await page.keyboard.press('Enter');
  await page.waitForURL(`${base}/`);
  session[who] = await context.storageState();
  return [context, page];
}

/** Notes when the first picture stands on a canvas and the page can be worked: the later of the two. */
const watch = () => {
  const seen = {};
  new MutationObserver(() => {
    if (
      !seen.frame &&
      [...document.querySelectorAll('canvas[data-view]')].some(
        (c) =>
          Number(c.dataset.frame) >= 0 ||
          /figure/.test(c.closest('figure').querySelector('[data-caption]')?.textContent ?? ''),
      )
    )
      seen.frame = performance.now();
    if (!seen.ready && document.querySelector('[data-ready]')) seen.ready = performance.now();
    if (seen.frame && seen.ready) window.usable ??= Math.max(seen.frame, seen.ready);
  }).observe(document, { subtree: true, childList: true, attributes: true, characterData: true });
};

/** Each page in a browser that has nothing in store, or one after the other in the same browser, as people work. */
async function firstFrame(who, paths, fresh) {
  const times = [];
  let [context, page] = await as(who);
  await page.addInitScript(watch);
  if (!fresh) await page.goto(`${base}/`);
  for (const path of paths) {
    if (fresh && times.length) {
      await context.close();
      [context, page] = await as(who);
      await page.addInitScript(watch);
    }
    // The browser's own work of opening is over before the page is asked for.
    await page.waitForTimeout(800);
    await page.goto(base + path, { waitUntil: 'commit' });
    await page.waitForFunction(() => window.usable, null, { timeout: 20_000 });
    times.push(await page.evaluate(() => window.usable));
  }
  await context.close();
  return times;
}

const [shelfContext, shelf] = await as('maren');
await shelf.goto(`${base}/shelf`);
const benches = (
  await shelf
    .locator('table a[href*="/bench/"]')
    .evaluateAll((all) => [...new Set(all.map((a) => new URL(a.href).pathname))])
).filter((p) => p !== process.env.VC_LONG);
await shelfContext.close();
const [readerContext, reader] = await as('kit');
await reader.goto(`${base}/`);
const readings = await reader
  .locator('table a', { hasText: /^read$/ })
  .evaluateAll((all) => all.map((a) => new URL(a.href).pathname));
const filmed = [];
for (const path of readings) {
  const e = await (await reader.request.get(`${base}${path}/evidence/1`)).json();
  if (e.films.length || e.motion) filmed.push(path);
}
await readerContext.close();

for (const [what, who, paths] of [
  ['Bench', 'maren', benches],
  ['Reading', 'kit', filmed],
]) {
  for (const [how, fresh] of [
    ['one after the other in one browser', false],
    ['each in a browser with nothing in store', true],
  ]) {
    const times = await firstFrame(
      who,
      Array.from({ length: 15 }, (_, i) => paths[(i * 5) % paths.length]),
      fresh,
    );
    line(`${what}, ${how}, 15 loads: request to first frame, keys taken`, `${median(times).toFixed(0)} ms`);
    line('  fastest and slowest', `${Math.min(...times).toFixed(0)} – ${Math.max(...times).toFixed(0)} ms`);
  }
}

const [, page] = await as('maren');
await page.addInitScript(watch);
await page.goto(`${base}/`);
await page.goto(base + process.env.VC_LONG);
await page.waitForFunction(() => window.usable);
line(
  'Bench with a filmed 5 s, 12-channel, 1000 Hz recording: to the first frame',
  `${(await page.evaluate(() => window.usable)).toFixed(0)} ms`,
);
await page.waitForTimeout(1500);

/** Drags over the ribbon, one move before each screen refresh, and counts what was drawn. */
const scrub = (seconds) =>
  page.evaluate(async (s) => {
    const strip = document.querySelector('[data-ribbon]'),
      box = strip.getBoundingClientRect(),
      canvas = document.querySelector('canvas[data-view]');
    const clock = document.querySelector('[data-clock]');
    let refreshes = 0,
      drawn = 0,
      longest = 0,
      films = 0,
      before = null,
      last = performance.now();
    const changed = new MutationObserver(() => {
      drawn += 1;
    });
    changed.observe(clock, { childList: true, characterData: true, subtree: true });
    const move = (type, part) =>
      strip.dispatchEvent(
        new PointerEvent(type, {
          clientX: box.left + box.width * part,
          clientY: box.top + 15,
          pointerId: 1,
          bubbles: true,
        }),
      );
    strip.setPointerCapture = () => {};
    move('pointerdown', 0.06);
    const from = performance.now();
    while (performance.now() - from < 1000 * s) {
      const k = (performance.now() - from) / 2500;
      const there = 1 - Math.abs((k % 2) - 1);
      move('pointermove', 0.06 + 0.88 * there);
      const now = await new Promise(requestAnimationFrame);
      refreshes += 1;
      longest = Math.max(longest, performance.now() - last);
      last = performance.now();
      if (canvas.dataset.frame !== before) {
        films += 1;
        before = canvas.dataset.frame;
      }
    }
    const taken = (performance.now() - from) / 1000;
    move('pointerup', 0.5);
    changed.disconnect();
    return { refreshes: refreshes / taken, drawn: drawn / taken, films: films / taken, longest };
  }, seconds);

for (const [what, key] of [
  ['film, frames not seen before', null],
  ['film, frames seen before', null],
  ['the drawn figure instead of film', 'g'],
]) {
  if (key) await page.keyboard.press(key);
  const said = await scrub(10);
  line(`scrubbing it by the ribbon for 10 s, ${what}: drawn frames a second`, said.drawn.toFixed(1));
  line(
    `  screen refreshes a second ${said.refreshes.toFixed(1)}; new film pictures a second ${said.films.toFixed(1)}; longest wait`,
    `${said.longest.toFixed(0)} ms`,
  );
}
await browser.close();
