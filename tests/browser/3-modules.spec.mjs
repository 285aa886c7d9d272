// The page's own modules, asked in the browser they run in.
import { expect, layWords, logIn, test } from './helpers.mjs';

const EVIDENCE = {
  t0: 0,
  duration: 3,
  hand: 'right',
  stations: { AD: 0.6, TB: 1.0, LB: 1.2, TP: 1.6, LD: 1.74, SD: 1.8, IM: 1.86, ST: 1.93, FI: 2.5 },
};

/** A blank page of the application's own origin. */
async function blank(page) {
  await page.goto('/login');
  await page.setContent('<meta name="csrf-token" content="t"><div id="host" style="width:900px;height:60px"></div>');
  await layWords(page);
}

test('the ribbon maps time to place and back, each station at its notch', async ({ page }) => {
  await blank(page);
  const result = await page.evaluate(async (evidence) => {
    const { Ribbon } = await import('/js/bench/ribbon.js');
    const stage = {
      evidence,
      codes: Object.keys(evidence.stations),
      times: Object.values(evidence.stations),
      start: 0.3,
      end: 2.9,
      t: 0.6,
      stationIndex: () => 0,
      halt() {},
      do() {},
    };
    const ribbon = new Ribbon(document.getElementById('host'), stage, () => {});
    const back = [];
    for (let t = 0.3; t <= 2.9; t += 0.01) back.push(Math.abs(ribbon.timeAt(ribbon.placeOf(t)) - t));
    return {
      worst: Math.max(...back),
      places: stage.times.map((t) => ribbon.placeOf(t)),
      width: ribbon.width,
      order: [0.3, 0.6, 1.7, 2.9].map((t) => ribbon.placeOf(t)),
    };
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

test('the figure stands between two frames where a straight line puts it, and is mirrored for the other hand', async ({
  page,
}) => {
  await blank(page);
  const result = await page.evaluate(async () => {
    const { Figure } = await import('/js/bench/figure.js');
    const motion = (hand) => ({
      rate: 10,
      t0: 1,
      hand,
      ball: null,
      points: {
        pelvis: [
          [0, 100, 50],
          [0, 0, 0],
          [900, 900, 900],
        ],
      },
    });
    const [right, left] = ['right', 'left'].map((hand) =>
      Object.assign(new Figure(document.createElement('canvas'), motion(hand), 'face-on'), {
        scale: 1,
        originX: 0,
        originY: 0,
      }),
    );
    return {
      between: Math.round(right.pose(1.05).pelvis[0]),
      before: right.pose(0).pelvis[0],
      after: right.pose(9).pelvis[0],
      places: [right.place([100, 0, 0])[0], left.place([100, 0, 0])[0]],
    };
  });
  expect(result).toEqual({ between: 50, before: 0, after: 50, places: [100, -100] });
});

test('the figure fills its pane with the whole body, from either side, for either hand, in any shape of pane', async ({
  page,
}) => {
  await blank(page);
  const found = await page.evaluate(async () => {
    const { Figure } = await import('/js/bench/figure.js');
    const walk = (f) => Array.from({ length: 30 }, (_, i) => f(i / 29));
    const names = ['pelvis', 'chest', 'neck', 'head', 'nose', 'grip', 'club_head'];
    for (const side of ['lead', 'trail'])
      for (const joint of ['hip', 'knee', 'ankle', 'heel', 'ball', 'toe', 'shoulder', 'elbow', 'hand'])
        names.push(`${side}_${joint}`);
    const points = {};
    names.forEach((name, k) => {
      const high = { head: 1700, neck: 1500, club_head: 2300, lead_hand: 1600 }[name] ?? 40 * k;
      points[name] = [walk((f) => 900 * f - 300), walk((f) => 200 - 400 * f), walk((f) => high * (0.6 + 0.4 * f))];
    });
    const out = [];
    for (const [w, h] of [
      [420, 300],
      [300, 500],
      [900, 200],
    ])
      for (const view of ['face-on', 'down-the-line'])
        for (const hand of ['right', 'left']) {
          const canvas = document.createElement('canvas');
          Object.assign(canvas.style, { width: `${w}px`, height: `${h}px` });
          document.body.append(canvas);
          const figure = new Figure(canvas, { rate: 10, t0: 0, hand, ball: [0, 700, 21], points }, view);
          figure.draw(0);
          let [left, right, top, foot] = [Infinity, -Infinity, Infinity, -Infinity];
          for (let t = 0; t <= 2.9; t += 0.1)
            for (const [name, at] of Object.entries(figure.pose(t))) {
              if (name === 'club_head' || name === 'grip') continue;
              const [x, y] = figure.place(at);
              [left, right] = [Math.min(left, x), Math.max(right, x)];
              [top, foot] = [Math.min(top, y), Math.max(foot, y)];
            }
          const inside = left >= 0 && right <= w && top >= 0 && foot <= h;
          out.push({ inside, fills: Math.max((foot - top) / h, (right - left) / w) > 0.6 });
          canvas.remove();
        }
    return out;
  });
  expect(found).toHaveLength(12);
  for (const one of found) expect(one).toEqual({ inside: true, fills: true });
});

test.describe('the queue of changes', () => {
  /** Runs a scenario against a pretended server; returns what was sent and said. */
  const run = (page, answers, targets, kept = []) =>
    page.evaluate(
      async ([answers, targets, kept]) => {
        localStorage.clear();
        kept.forEach((c, i) =>
          localStorage.setItem(`vc-change:x:${String(i).padStart(15, '0')}-000000`, JSON.stringify(c)),
        );
        const sent = [],
          said = [],
          refused = [],
          sheets = [];
        let renewed = 0;
        window.fetch = async (url, options) => {
          const body = JSON.parse(options.body);
          sent.push({ ...body, token: options.headers['X-CSRF-TOKEN'] });
          const answer = answers[Math.min(sent.length - 1, answers.length - 1)];
          if (answer === 'down') throw new TypeError('network');
          const ids = body.changes.map((c) => c.id);
          return new Response(
            JSON.stringify(
              answer.status === 200
                ? {
                    version: 4 + sent.length,
                    applied: ids,
                    refused: [],
                    others: false,
                    ...(answer.refuse
                      ? {
                          applied: [],
                          refused: ids.map((id) => ({ id, target: 'call:sway', because: 'no', conflict: true })),
                          sheet: { version: 9 },
                        }
                      : {}),
                  }
                : (answer.body ?? {}),
            ),
            { status: answer.status },
          );
        };
        const { ChangeQueue } = await import('/js/reading/queue.js');
        const { Seal } = await import('/js/reading/seal.js');
        const queue = new ChangeQueue(
          {
            id: 'x',
            url: '/x',
            version: 4,
            token: 'one',
            seal: new Seal([btoa('k'.repeat(32))]),
            renew: async () => {
              renewed += 1;
              return 'two';
            },
          },
          { state: (...a) => said.push(a), refused: (list) => refused.push(...list), sheet: (s) => sheets.push(s) },
        );
        await queue.open();
        if (kept.length) queue.push();
        for (const target of targets) {
          queue.add(target, { presence: 'absent' });
          await new Promise((done) => {
            setTimeout(done, 30);
          });
        }
        await new Promise((done) => {
          setTimeout(done, 1300);
        });
        const out = {
          sent,
          said,
          refused,
          sheets,
          renewed,
          left: queue.pending().map(([, c]) => c.target),
          locked: queue.locked,
          version: queue.version,
        };
        // The window is closed: this queue sends nothing any more.
        queue.locked = true;
        return out;
      },
      [answers, targets, kept],
    );

  test.beforeEach(async ({ page }) => {
    await blank(page);
  });

  test('sends each change with an id of its own and the version seen, and forgets it once the server has it', async ({
    page,
  }) => {
    const { sent, said, left, version } = await run(page, [{ status: 200 }], ['call:sway', 'call:no-load']);
    expect(sent.flatMap((s) => s.changes.map((c) => [c.base, c.target]))).toEqual([
      [4, 'call:sway'],
      [5, 'call:no-load'],
    ]);
    expect(sent[0].changes[0].id).not.toBe(sent[1].changes[0].id);
    expect(said.at(-1)).toEqual(['saved', 'saved']);
    expect([left, version]).toEqual([[], 6]);
  });

  test('sends the same change again after a lost answer, and others behind it in order', async ({ page }) => {
    const { sent, said, left } = await run(page, ['down', { status: 200 }], ['call:sway', 'cue', 'miss']);
    expect(sent.slice(1).flatMap((s) => s.changes.map((c) => c.target))).toEqual(['call:sway', 'cue', 'miss']);
    expect(sent[1].changes[0].id).toBe(sent[0].changes[0].id);
    expect(said.map((s) => s[0])).toContain('waiting');
    expect(said.at(-1)[0]).toBe('saved');
    expect(left).toEqual([]);
  });

  test('keeps everything while the server fails, and what a closed window left goes first, under its name', async ({
    page,
  }) => {
    const failing = await run(page, [{ status: 503 }], ['call:sway', 'call:no-load']);
    expect(failing.left).toEqual(['call:sway', 'call:no-load']);
    expect(failing.said.at(-1)).toEqual(['waiting', 'waiting for the network – 2 kept in this browser']);
    const { sent } = await run(
      page,
      [{ status: 200 }],
      ['cue'],
      [{ id: 'c-old00000', target: 'call:sway', value: null, base: 3, at: 1, writer: 'w-closed00' }],
    );
    expect(sent.flatMap((s) => s.changes).map((c) => [c.target, c.writer === 'w-closed00'])).toEqual([
      ['call:sway', true],
      ['cue', false],
    ]);
  });

  test('renews its token when the session changed, stops when the reading is locked, and hands on what is refused', async ({
    page,
  }) => {
    const out = await run(page, [{ status: 419 }], ['call:sway']);
    expect([out.renewed, out.left]).toEqual([1, ['call:sway']]);
    const locked = await run(page, [{ status: 423, body: { message: 'It is locked.' } }], ['call:sway']);
    expect(locked.said.at(-1)).toEqual([
      'refused',
      'It is locked. One change made in this browser came too late and was not taken.',
    ]);
    expect([locked.locked, locked.left]).toEqual([true, []]);
    const refused = await run(page, [{ status: 200, refuse: true }], ['call:sway']);
    expect(refused.refused[0]).toMatchObject({ target: 'call:sway', conflict: true, value: { presence: 'absent' } });
    expect([refused.sheets, refused.left]).toEqual([[{ version: 9 }], []]);
    const senseless = await run(page, [{ status: 422, body: { message: 'what?' } }, { status: 200 }], ['cue', 'miss']);
    expect([senseless.refused.map((r) => r.target), senseless.left]).toEqual([['cue'], []]);
  });
});

test('parts of a release are kept for good, those of none are not, and nothing beside them is given', async ({
  page,
}) => {
  await page.goto('/login');
  const [sheet] = await page.locator('link[rel="stylesheet"]').evaluateAll((all) => all.slice(-1).map((l) => l.href));
  const release = await page.locator('meta[name="release"]').getAttribute('content');
  expect(new URL(sheet).pathname).toMatch(new RegExp(`^/parts/${release}/css/`));
  const keep = async (url) => {
    const answer = await page.request.get(url);
    return [answer.status(), answer.headers()['cache-control']];
  };
  expect(await keep(sheet)).toEqual([200, 'public, max-age=31536000, immutable']);
  expect(await keep(sheet.replace(release, '0123456789ab'))).toEqual([200, 'no-store']);
  expect(await keep('/css/base.css')).toEqual([200, 'no-cache']);
  for (const path of [
    'js/../index.php',
    'js/..%2f..%2f.env',
    'css/%2e%2e/%2e%2e/composer.json',
    'storage/x',
    'js/none.js',
  ])
    expect((await page.request.get(`/parts/${release}/${path}`)).status()).toBe(404);
  // A page opened once more asks for none of them.
  await logIn(page, 'tam');
  await page.goto('/codebook');
  await page.goto('/codebook');
  const asked = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter((e) => e.name.includes('/parts/') && e.transferSize > 0)
      .map((e) => e.name),
  );
  expect(asked).toEqual([]);
});
