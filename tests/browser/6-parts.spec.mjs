// Parts of Bench and Reading on their own, without a server behind them.
import { readFileSync } from 'node:fs';
import { expect, layWords, test, watchErrors } from './helpers.mjs';

test.beforeEach(async ({ page }) => {
  await page.route('**/blank', (route) =>
    route.fulfill({
      contentType: 'text/html',
      body: '<!DOCTYPE html><meta name="csrf-token" content="x"><meta name="release" content="x"><body></body>',
    }),
  );
  await page.goto('/blank');
  await layWords(page);
});

test('time spent counts what was done, not a closed lid or a long silence', async ({ page }) => {
  const said = await page.evaluate(async () => {
    const { Activity } = await import('/js/reading/activity.js');
    let now = 1_000_000,
      playing = false;
    Date.now = () => now;
    const told = [];
    const a = new Activity(
      (ms) => told.push(ms),
      () => playing,
    );
    const pass = (seconds, busy) => {
      for (let i = 0; i < seconds; i++) {
        now += 1000;
        if (busy) a.last = now;
        a.count();
      }
    };
    pass(19, true);
    const nothingYet = [...told];
    pass(1, true);
    pass(120, false);
    const idle = [...told];
    playing = true;
    pass(10, false);
    playing = false;
    now += 3_600_000;
    a.count();
    a.flush();
    return { nothingYet, idle, told };
  });
  expect(said.nothingYet).toEqual([]);
  // Twenty seconds of work, then the half minute in which somebody may still be looking.
  expect(said.idle).toEqual([20_000, 20_000]);
  expect(said.told.reduce((s, ms) => s + ms, 0)).toBe(20_000 + 29_000 + 10_000);
});

const blank = (n, f) => Array.from({ length: n }, (_, i) => f(i));
const evidence = (shift, hand = 'right') => ({
  hand,
  t0: 0,
  duration: 3,
  stations: { AD: 0.5 + shift, TP: 1.4 + shift, IM: 1.65 + shift, FI: 2.4 + shift },
  films: [],
  stance: {
    lead_foot: { x_mm: 250, y_mm: 0, length_mm: 270, width_mm: 100 },
    trail_foot: { x_mm: -250, y_mm: 0, length_mm: 270, width_mm: 100 },
  },
  motion: null,
  trace: {
    rate: 100,
    t0: 0,
    device: 'mat',
    derived: false,
    share: blank(301, (i) => 50 + 40 * Math.sin(i / 50)),
    total: null,
    cop: [blank(301, (i) => i), blank(301, () => 0)],
    feet: null,
    push: null,
  },
});
const page = [
  '<div id="r"><div class="films"><figure><figcaption><span data-caption></span></figcaption><div>',
  '<canvas data-view="face-on"></canvas></div></figure></div><div data-ribbon style="width:600px">',
  '</div><div class="transport"><button data-do="play"></button><button data-do="speed"></button>',
  '<output data-clock></output><button data-swing="a">1</button><button data-swing="b">2</button></div>',
  '<div class="trace-box" data-trace style="width:400px;height:150px">',
  '<div class="plot" style="width:400px;height:150px"></div></div><svg data-foot-map></svg></div>',
].join('');

test('another swing is held at the station, and as far from it, as the one before', async ({ page: tab }) => {
  const said = await tab.evaluate(
    async ([html, one, two]) => {
      document.body.innerHTML = html;
      const { Stage } = await import('/js/bench/stage.js');
      const stage = new Stage(document.getElementById('r'), [
        { name: '1', evidence: one },
        { name: '2', evidence: two },
      ]);
      const out = [];
      const at = () =>
        out.push([
          stage.swing,
          stage.station(),
          Number((stage.t - stage.evidence.stations[stage.station()]).toFixed(6)),
          Number(stage.t.toFixed(6)),
        ]);
      stage.goTo('TP');
      at();
      await stage.toSwing(1);
      at();
      stage.seek(stage.t + 0.03);
      at();
      stage.nextSwing();
      await new Promise((done) => {
        setTimeout(done);
      });
      at();
      await stage.toSwing(0);
      at();
      await stage.toSwing(7);
      at();
      return [
        out,
        [...document.querySelectorAll('[data-swing]')].map((b) => b.getAttribute('aria-pressed')),
        document.querySelector('figure').hidden,
        document.querySelectorAll('#r .net').length,
      ];
    },
    [page, evidence(0), evidence(0.2)],
  );
  expect(said[0]).toEqual([
    [0, 'TP', 0, 1.4],
    [1, 'TP', 0, 1.6],
    [1, 'TP', 0.03, 1.63],
    [0, 'TP', 0.03, 1.43],
    [0, 'TP', 0.03, 1.43],
    [0, 'TP', 0.03, 1.43],
  ]);
  // Neither film nor figure is given, so no picture stands; the foot map was made anew, not twice.
  expect(said.slice(1)).toEqual([['true', 'false'], true, 1]);
});

test('steps, stations and ends keep within the swing; a phase is looped', async ({ page: tab }) => {
  const said = await tab.evaluate(
    async ([html, one]) => {
      document.body.innerHTML = html;
      const { Stage } = await import('/js/bench/stage.js');
      const stage = new Stage(document.getElementById('r'), [{ name: '', evidence: one }]);
      const go = (what) => {
        stage.do(what);
        return Number(stage.t.toFixed(4));
      };
      const steps = [
        'first',
        'station-on',
        'station-on',
        'station-back',
        'sample-on',
        'sample-back',
        'last',
        'station-on',
        'frame-on',
        'first',
        'station-back',
      ].map(go);
      for (let i = 0; i < 200; i++) stage.do('sample-back');
      const start = stage.t;
      stage.goTo('TP');
      stage.do('loop');
      const loop = [...stage.loop];
      stage.t = 1.7;
      const inLoop = () => stage.t >= loop[0] && stage.t <= loop[1];
      // At the next picture, whenever the browser comes to draw one.
      for (let i = 0; i < 600 && !inLoop(); i++) await new Promise(requestAnimationFrame);
      const within = inLoop();
      stage.do('loop');
      stage.halt();
      return {
        steps,
        start: Number(start.toFixed(3)),
        loop,
        within,
        after: stage.loop,
        speeds: [1, 2, 3, 4].map(() => {
          stage.do('speed');
          return document.querySelector('[data-do="speed"]').textContent;
        }),
      };
    },
    [page, evidence(0)],
  );
  expect(said.steps).toEqual([0.5, 1.4, 1.65, 1.4, 1.41, 1.4, 2.4, 2.4, 2.41, 0.5, 0.5]);
  expect(said.start).toBe(0.15);
  expect(said.loop).toEqual([1.4, 1.65]);
  expect(said.within).toBe(true);
  expect(said.after).toBeNull();
  expect(said.speeds).toEqual(['⅛×', '1×', '½×', '¼×']);
});

test("a second curve is laid on the first's time, with its gaps", async ({ page: tab }) => {
  const said = await tab.evaluate(
    async ([html, one]) => {
      document.body.innerHTML = html;
      const { Stage } = await import('/js/bench/stage.js');
      const stage = new Stage(document.getElementById('r'), [{ name: '', evidence: one }], {
        overlay: (time) => time.map((t) => (t < 1 ? null : 10 * t)),
      });
      const { data } = stage.plot;
      return [
        data.length,
        data[0].length,
        data[2][0],
        data[2][99],
        data[2][100],
        data[2][300],
        stage.plot.plot.series.length,
      ];
    },
    [page, evidence(0)],
  );
  expect(said).toEqual([3, 301, null, null, 10, 30, 3]);
});

test.describe('a film', () => {
  const film = {
    url: '/numbered.mp4',
    rate: 120,
    frames: 360,
    width: 288,
    height: 240,
    offset: 0.25,
    drift: 0,
    taken: null,
    stills: {},
  };
  test.beforeEach(async ({ page }) => {
    await page.route('**/numbered.mp4', (route) =>
      route.fulfill({ contentType: 'video/mp4', body: readFileSync('demo/films/numbered.mp4') }),
    );
    await page.evaluate(() => {
      document.body.innerHTML =
        '<figure><figcaption></figcaption><canvas style="width:288px;height:240px"></canvas></figure>';
      // The number a frame carries: a row of nine light or dark fields at the top, the least first.
      window.settled = async (view, n) => {
        for (let i = 0; i < 200 && view.shown !== n; i++)
          await new Promise((done) => {
            setTimeout(done, 20);
          });
      };
    });
  });

  test('knows its own clock: frames by time and back, what it does not reach, and a drift', async ({ page }) => {
    const said = await page.evaluate(async (film) => {
      const { FilmView } = await import('/js/bench/film.js');
      const canvas = document.querySelector('canvas');
      const even = new FilmView(canvas, film),
        late = new FilmView(canvas, {
          ...film,
          drift: 1000,
          taken: Array.from({ length: 360 }, (_, n) => n / 120 + (n === 10 ? 0.002 : 0)),
        });
      return [
        [0.25, 0.2584, 0.2583333, 3.241, 3.3, 0.1].map((t) => even.frameAt(t)),
        [0, 10, 359].map((n) => Number(even.timeOf(n).toFixed(6))),
        [0.1, 0.25, 3.2, 3.3].map((t) => even.covers(t)),
        Number(late.timeOf(120).toFixed(6)),
        Number((late.takenAt(10) - late.timeOf(10)).toFixed(6)),
        late.frameAt(late.timeOf(200)),
      ];
    }, film);
    expect(said).toEqual([
      [0, 1, 1, 358, 359, 0],
      [0.25, 0.333333, 3.241667],
      [false, true, true, false],
      1.251,
      0.002002,
      200,
    ]);
  });

  test('keeps frames at the size they are shown, fetches those around the stations ahead, and needs no seek for them', async ({
    page,
  }) => {
    const said = await page.evaluate(async (film) => {
      const { FilmView } = await import('/js/bench/film.js');
      const view = Object.assign(new FilmView(document.querySelector('canvas'), film), {
        stations: { AD: 0.5, IM: 2 },
      });
      view.draw(0.5);
      await view.ready;
      await window.settled(view, 30);
      const first = view.shown;
      for (let i = 0; i < 400 && view.cache.size < 24; i++)
        await new Promise((done) => {
          setTimeout(done, 25);
        });
      const near = [...view.cache.keys()].map((n) => Math.min(Math.abs(n - 30), Math.abs(n - 210)));
      let seeks = 0;
      const seek = view.seek.bind(view);
      view.seek = (n) => {
        if (n === undefined) seeks += 1;
        return seek(n);
      };
      const seen = [];
      for (const n of [31, 29, 210, 211, 30]) {
        view.draw(view.timeOf(n));
        seen.push([n, view.shown]);
      }
      const picture = view.cache.get(30);
      return {
        first,
        farthest: Math.max(...near),
        seeks,
        seen,
        size: [picture.width, picture.height],
        frame: document.querySelector('canvas').dataset.frame,
      };
    }, film);
    expect(said.first).toBe(30);
    expect(said.farthest).toBeLessThan(12);
    expect(said.seen.every(([want, shown]) => want === shown)).toBe(true);
    expect(said).toMatchObject({ seeks: 0, size: [288, 240], frame: '30' });
  });

  test('takes no frame for shown before it was presented, and shows it once it is', async ({ page }) => {
    const said = await page.evaluate(async (film) => {
      const { FilmView } = await import('/js/bench/film.js');
      const asked = [];
      let open = true;
      const real = HTMLVideoElement.prototype.requestVideoFrameCallback;
      HTMLVideoElement.prototype.requestVideoFrameCallback = function (call) {
        return real.call(this, (...data) => (open ? call(...data) : asked.push(() => call(...data))));
      };
      const view = new FilmView(document.querySelector('canvas'), film);
      view.warm = () => {};
      view.draw(0.5);
      await view.ready;
      await window.settled(view, 30);
      open = false;
      const sought = new Promise((done) => view.video.addEventListener('seeked', done, { once: true }));
      view.draw(view.timeOf(150));
      await sought;
      // Longer than a frame is waited for where the browser is quick.
      await new Promise((done) => {
        setTimeout(done, 400);
      });
      const unseen = [view.shown, view.cache.has(150)];
      open = true;
      for (const call of asked.splice(0)) call();
      await window.settled(view, 150);
      return { unseen, then: [view.shown, view.cache.has(150)] };
    }, film);
    expect(said).toEqual({ unseen: [30, false], then: [150, true] });
  });

  test('a picture has the number of the frame it is of, also where the film went on before it was taken', async ({
    page,
  }) => {
    const said = await page.evaluate(async (film) => {
      const { FilmView } = await import('/js/bench/film.js');
      const numberOf = (picture) => {
        const g = new OffscreenCanvas(288, 240).getContext('2d', { willReadFrequently: true });
        g.drawImage(picture, 0, 0, 288, 240);
        let number = 0;
        for (let i = 0; i < 11; i++) if (g.getImageData(24 * i + 12, 224, 1, 1).data[0] > 128) number |= 1 << i;
        return number;
      };
      const view = new FilmView(document.querySelector('canvas'), film);
      view.warm = () => {};
      view.draw(0.5);
      await view.ready;
      await window.settled(view, 30);
      // The browser says frame 150 is presented; by the time its picture is taken the film has moved on to 160.
      let moved = 0;
      const ask = view.video.requestVideoFrameCallback;
      view.video.requestVideoFrameCallback = (call) =>
        ask.call(view.video, (now, data) => {
          if (moved > 0 || Math.round(data.mediaTime * film.rate) !== 150) return call(now, data);
          moved = 1;
          const there = () =>
            ask.call(view.video, (_, { mediaTime }) =>
              Math.round(mediaTime * film.rate) === 160 ? call(now, data) : there(),
            );
          there();
          view.video.currentTime = 160.5 / film.rate;
        });
      view.draw(view.timeOf(150));
      await window.settled(view, 150);
      const kept = [...view.cache].map(([n, picture]) => [n, numberOf(picture)]);
      // A frame that is sought when somebody presses play is not taken for one that plays.
      view.draw(view.timeOf(200));
      view.play(1);
      for (let i = 0; i < 200 && view.video.currentTime < 240 / film.rate; i++)
        await new Promise((done) => {
          setTimeout(done, 10);
        });
      view.halt();
      view.draw(view.timeOf(250));
      await window.settled(view, 250);
      return { moved, shown: view.shown, kept, then: [...view.cache].map(([n, picture]) => [n, numberOf(picture)]) };
    }, film);
    expect(said.moved).toBe(1);
    expect(said.kept.map(([n]) => n)).toContain(150);
    for (const [n, is] of [...said.kept, ...said.then]) expect(is).toBe(n);
    expect(said.shown).toBe(250);
  });

  test("brought near to the feet, shows the foot of the picture larger, at the film's own sharpness, and goes back", async ({
    page,
  }) => {
    const said = await page.evaluate(async (film) => {
      const { FilmView } = await import('/js/bench/film.js');
      const canvas = document.querySelector('canvas');
      Object.assign(canvas.style, { width: '96px', height: '80px' });
      const view = new FilmView(canvas, film);
      view.draw(0.5);
      await view.ready;
      await window.settled(view, 30);
      const whole = { ...view.box, wide: view.cache.get(30).width };
      view.near = true;
      view.draw(0.5);
      for (let i = 0; i < 100 && (view.cache.get(30)?.width ?? 0) < 200; i++)
        await new Promise((done) => {
          setTimeout(done, 20);
        });
      const near = { ...view.box, wide: view.cache.get(30).width };
      view.near = false;
      view.draw(0.5);
      return { whole, near, back: { ...view.box }, shown: view.shown };
    }, film);
    expect(said.whole).toEqual({ x: 0, y: 0, w: 96, h: 80, wide: 96 });
    expect(said.near.w).toBeCloseTo(211.2, 3);
    expect(said.near.y + said.near.h).toBeCloseTo(80, 3);
    expect(said.near.x + said.near.w / 2).toBeCloseTo(48, 3);
    expect(said.near.wide).toBe(211);
    expect(said.back).toEqual({ x: 0, y: 0, w: 96, h: 80 });
    expect(said.shown).toBe(30);
  });

  test('made smaller, keeps its frames anew at that size; asleep, it paints nothing; one that is not there says so', async ({
    page,
  }) => {
    const said = await page.evaluate(async (film) => {
      const { FilmView } = await import('/js/bench/film.js');
      const canvas = document.querySelector('canvas'),
        words = [];
      const view = new FilmView(canvas, film, (text) => words.push(text));
      await view.ready;
      view.draw(0.5);
      await window.settled(view, 30);
      Object.assign(canvas.style, { width: '144px', height: '120px' });
      // What watches its size is told within the frame that lays it out.
      await new Promise((done) => {
        requestAnimationFrame(() => requestAnimationFrame(done));
      });
      view.draw(1);
      await window.settled(view, 90);
      const small = view.cache.get(90).width,
        old = view.cache.has(30);
      const before = canvas.toDataURL();
      view.asleep = true;
      view.show(30);
      const asleep = canvas.toDataURL() === before;
      const gone = new FilmView(canvas, { ...film, url: '/nowhere.mp4' }, (text) => words.push(text));
      await gone.ready;
      return { small, old, asleep, failed: gone.failed, words: words.at(-1) };
    }, film);
    expect(said).toMatchObject({
      small: 144,
      asleep: true,
      failed: 'The film could not be fetched; reload to try again.',
      words: 'The film could not be fetched; reload to try again.',
    });
  });

  test('whose sending breaks off half way says so, and is no error of the page', async ({ page }) => {
    const errors = watchErrors(page);
    const failed = await page.evaluate(async (film) => {
      const { FilmView } = await import('/js/bench/film.js');
      window.fetch = async () =>
        new Response(
          new ReadableStream({
            start(body) {
              body.enqueue(new Uint8Array(1000));
              setTimeout(() => body.error(new TypeError('gone')), 20);
            },
          }),
          { headers: { 'content-length': '5000' } },
        );
      const view = new FilmView(document.querySelector('canvas'), film);
      await view.ready.catch(() => {});
      return view.failed;
    }, film);
    expect(failed).toBe('The film could not be fetched; reload to try again.');
    expect(errors).toEqual([]);
  });
});

test('the foot map: shares that add to a hundred, arrows of the push, mirrored for the other hand', async ({
  page,
}) => {
  const said = await page.evaluate(async () => {
    const { FootMap } = await import('/js/bench/foot-map.js');
    const make = (hand, share) => {
      const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
      const foot = (x) => ({ x_mm: x, y_mm: 0, length_mm: 270, width_mm: 100 });
      const map = new FootMap(svg, {
        hand,
        motion: null,
        stance: { lead_foot: foot(250), trail_foot: foot(-250) },
        trace: {
          rate: 10,
          t0: 0,
          share: [share, null],
          total: null,
          cop: [
            [40, null],
            [10, null],
          ],
          feet: {
            lead: [
              [250, null],
              [20, null],
            ],
            trail: [
              [-250, null],
              [-20, null],
            ],
          },
          push: {
            lead: [
              [-5, null],
              [0, null],
            ],
            trail: [
              [6, null],
              [0.1, null],
            ],
          },
        },
      });
      map.draw(0);
      const at = (part) => map[`${part}Dot`].getAttribute('cx');
      const now = {
        texts: ['lead', 'trail'].map((s) => map.shareText[s].textContent),
        lead: Number(at('lead')),
        trail: Number(at('trail')),
        arrows: Object.values(map.arrows).map((a) => a.getAttribute('d') !== ''),
        net: map.net.getAttribute('r'),
      };
      map.draw(0.1);
      return {
        ...now,
        later: ['lead', 'trail'].map((s) => map.shareText[s].textContent),
        gone: map.net.getAttribute('r'),
      };
    };
    return [make('right', 62.5), make('left', 33.4)];
  });
  expect(said[0]).toMatchObject({
    texts: ['63 %', '37 %'],
    arrows: [true, true],
    net: '5.5',
    later: ['', ''],
    gone: '0',
  });
  expect(said[1].texts).toEqual(['33 %', '67 %']);
  expect(said[0].lead).toBeGreaterThan(said[0].trail);
  expect(said[1].lead).toBeLessThan(said[1].trail);
});
