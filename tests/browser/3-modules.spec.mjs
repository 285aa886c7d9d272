// The page's own modules, asked in the browser they run in.
import { expect, test } from '@playwright/test';
import { logIn } from './helpers.mjs';

const EVIDENCE = { t0: 0, duration: 3, hand: 'right', stations: { AD: 0.6, TB: 1.0, LB: 1.2, TP: 1.6, LD: 1.74, SD: 1.8, IM: 1.86, ST: 1.93, FI: 2.5 } };

/** A blank page of the application's own origin. */
async function blank(page) {
  await page.goto('/login');
  await page.setContent('<meta name="csrf-token" content="t"><div id="host" style="width:900px;height:60px"></div>');
}

test('the ribbon maps time to place and back, each station at its notch', async ({ page }) => {
  await blank(page);
  const result = await page.evaluate(async (evidence) => {
    const { Ribbon } = await import('/js/bench/ribbon.js');
    const stage = { evidence, codes: Object.keys(evidence.stations), times: Object.values(evidence.stations), start: 0.3, end: 2.9, t: 0.6, stationIndex: () => 0, halt() {}, do() {} };
    const ribbon = new Ribbon(document.getElementById('host'), stage, () => {});
    const back = [];
    for (let t = 0.3; t <= 2.9; t += 0.01) back.push(Math.abs(ribbon.timeAt(ribbon.placeOf(t)) - t));
    return { worst: Math.max(...back), places: stage.times.map((t) => ribbon.placeOf(t)), width: ribbon.width, order: [0.3, 0.6, 1.7, 2.9].map((t) => ribbon.placeOf(t)) };
  }, EVIDENCE);
  expect(result.worst).toBeLessThan(1e-9);
  const gaps = result.places.slice(1).map((p, i) => p - result.places[i]);
  for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0], 6);
  expect([...result.order].sort((a, b) => a - b)).toEqual(result.order);
  expect(result.order[0]).toBeGreaterThanOrEqual(0);
  expect(result.order[3]).toBeLessThanOrEqual(result.width);
});

test('the ribbon without stations runs straight through the recording', async ({ page }) => {
  await blank(page);
  const [start, middle, end] = await page.evaluate(async () => {
    const { Ribbon } = await import('/js/bench/ribbon.js');
    const stage = { codes: [], times: [], start: 0, end: 4, t: 0, stationIndex: () => -1, halt() {}, do() {} };
    const ribbon = new Ribbon(document.getElementById('host'), stage, () => {});
    return [0, 2, 4].map((t) => ribbon.placeOf(t) / ribbon.width);
  });
  expect([start, middle, end]).toEqual([0, 0.5, 1]);
});

test('the figure stands between two frames where a straight line puts it, and is mirrored for the other hand', async ({ page }) => {
  await blank(page);
  const result = await page.evaluate(async () => {
    const { Figure } = await import('/js/bench/figure.js');
    const motion = (hand) => ({ rate: 10, t0: 1, hand, ball: null, points: { pelvis: [[0, 100, 50], [0, 0, 0], [900, 900, 900]] } });
    const [right, left] = ['right', 'left'].map((hand) => Object.assign(new Figure(document.createElement('canvas'), motion(hand), 'face-on'), { scale: 1, originX: 0, originY: 0 }));
    return { between: Math.round(right.pose(1.05).pelvis[0]), before: right.pose(0).pelvis[0], after: right.pose(9).pelvis[0], places: [right.place([100, 0, 0])[0], left.place([100, 0, 0])[0]] };
  });
  expect(result).toEqual({ between: 50, before: 0, after: 50, places: [100, -100] });
});

test.describe('the store of a sheet', () => {
  /** Runs a scenario against a pretended server; returns what was sent and said. */
  const run = (page, answers, changes, kept = null) => page.evaluate(async ([answers, changes, kept]) => {
    localStorage.clear();
    if (kept) localStorage.setItem('reading:x', JSON.stringify(kept));
    const sent = [], said = [];
    window.fetch = async (url, options) => {
      sent.push(JSON.parse(options.body));
      const answer = answers[Math.min(sent.length - 1, answers.length - 1)];
      if (answer === 'down') throw new TypeError('network');
      return new Response(JSON.stringify(answer.body ?? {}), { status: answer.status });
    };
    const { SheetStore } = await import('/js/reading/store.js');
    const store = new SheetStore('x', '/read/x', { version: 4, last_save: 'before', calls: {}, first_causes: [], cue: '' }, (state, text) => said.push([state, text]));
    for (const fault of changes) {
      store.sheet.calls[fault] = { presence: 'absent' };
      store.change();
      await new Promise((done) => { setTimeout(done, 30); });
    }
    await new Promise((done) => { setTimeout(done, 1000); });
    return { sent, said, kept: JSON.parse(localStorage.getItem('reading:x')), refused: store.refused, version: store.sheet.version };
  }, [answers, changes, kept]);

  test.beforeEach(async ({ page }) => { await blank(page); });

  test('sends each change with the version it rests on, and forgets it once the server has it', async ({ page }) => {
    const { sent, said, kept, version } = await run(page, [{ status: 200, body: { version: 5 } }, { status: 200, body: { version: 6 } }], ['sway', 'no-load']);
    expect(sent.map((s) => [s.version, Object.keys(s.calls)])).toEqual([[4, ['sway']], [5, ['sway', 'no-load']]]);
    expect(sent[1].after).toEqual([]);
    expect(sent[0].id).not.toBe(sent[1].id);
    expect(said.at(-1)).toEqual(['saved', 'saved']);
    expect([kept, version]).toEqual([null, 6]);
  });

  test('tries again after a lost answer and names the save that may have arrived', async ({ page }) => {
    const { sent, said, kept } = await run(page, ['down', { status: 200, body: { version: 6 } }], ['sway']);
    expect(sent).toHaveLength(2);
    expect(sent[1].after).toEqual([sent[0].id]);
    expect(said.map((s) => s[0])).toContain('waiting');
    expect(said.at(-1)[0]).toBe('saved');
    expect(kept).toBeNull();
  });

  test('keeps everything while the server fails', async ({ page }) => {
    const { kept, said, refused } = await run(page, [{ status: 503 }], ['sway', 'no-load']);
    expect(Object.keys(kept.calls)).toEqual(['sway', 'no-load']);
    expect(said.at(-1)[0]).toBe('waiting');
    expect(refused).toBe(false);
  });

  test('stops and says why when it is refused, and keeps the calls when only the log-in has ended', async ({ page }) => {
    const stale = await run(page, [{ status: 409, body: { message: 'changed in another window' } }], ['sway']);
    expect(stale.said.at(-1)).toEqual(['refused', 'changed in another window']);
    expect(stale.kept).toBeNull();
    const out = await run(page, [{ status: 419 }], ['sway']);
    expect(out.said.at(-1)[1]).toContain('log in and reload');
    expect(Object.keys(out.kept.calls)).toEqual(['sway']);
  });

  test('takes up what was kept here: from the same version, or from a save that had arrived', async ({ page }) => {
    const sheet = { calls: { 'fall-off': { presence: 'absent' } }, first_causes: [], cue: '' };
    for (const kept of [{ ...sheet, version: 4, sent: [] }, { ...sheet, version: 3, sent: ['old', 'before'] }]) {
      const { sent } = await run(page, [{ status: 200, body: { version: 5 } }], [], kept);
      expect(Object.keys(sent[0].calls)).toEqual(['fall-off']);
    }
    const { sent, kept } = await run(page, [{ status: 200, body: { version: 5 } }], [], { ...sheet, version: 2, sent: ['other'] });
    expect([sent, kept]).toEqual([[], null]);
  });
});

test('a reading by touch: film only and trace only show what they have and say what they lack', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
  const page = await context.newPage();
  await logIn(page, 'maren');
  await page.goto('/rounds');
  for (const [show, has, lacks] of [['film', 'canvas[data-view]', 'Film only'], ['trace', '.trace-box', 'Trace only']]) {
    await page.goto('/rounds');
    await page.fill('#name', `Small ${show} round`);
    await page.selectOption('#show', show);
    await page.locator('input[name="recordings[]"]').nth(1).check();
    await page.getByLabel('Vesna Pell').check();
    await page.getByRole('button', { name: 'Keep as a draft' }).tap();
    await page.getByRole('button', { name: 'Open the round' }).tap();
    await expect(page.locator('h1')).toContainText('is open');
    const other = await context.browser().newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
    const reader = await other.newPage();
    await logIn(reader, 'vesna');
    const links = reader.locator(`h1:has-text("Small ${show} round") ~ table a`);
    await links.first().tap();
    await reader.waitForSelector('[data-ready]', { state: 'attached' });
    await expect(reader.locator(has).first()).toBeVisible();
    await expect(reader.locator('.hidden-evidence', { hasText: lacks })).toBeVisible();
    await expect(reader.locator('[data-do="pin-film"]').first()).toBeEnabled({ enabled: show === 'film' });
    await reader.locator('[data-fault="setup-bias"] input[value="cannot-tell"]').tap();
    await expect(reader.locator('[data-fault="setup-bias"] [data-summary]')).toHaveText('cannot tell');
    await expect(reader.locator('[data-count]')).toHaveText('1');
    const small = await reader.locator('.fault.current .choices label').evaluateAll((list) => list.filter((l) => l.offsetParent && l.getBoundingClientRect().height < 44).length);
    expect(small).toBe(0);
    await other.close();
  }
  await context.close();
});
