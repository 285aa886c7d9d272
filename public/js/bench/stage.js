// One clock for figure, ribbon, trace and foot map. Everything that shows time asks the stage for it, and
// everything that scrubs tells the stage; no part knows another.
import { Figure } from './figure.js';
import { FilmView } from './film.js';
import { FootMap } from './foot-map.js';
import { Ribbon } from './ribbon.js';
import { sizeOf } from './size.js';
import { TracePlot } from './trace-plot.js';
import { word } from '../words.js';

const SPEEDS = [1, 1 / 2, 1 / 4, 1 / 8];
const SPEED_NAMES = ['1', '½', '¼', '⅛'];

/** A span of time in words a coach reads at a glance. */
const apart = (s) => (s < 0.9995 ? `${(s * 1000).toFixed(0)} ms` : `${s.toFixed(2)} s`);

export class Stage {
  /**
   * @param {HTMLElement} root
   * @param {{name: string, evidence: ?object, url: ?string}[]} swings
   * @param {{first?: number, of?: string, overlay?: (time: number[]) => ?number[]}} options  first: the swing laid at
   * once; of: draws on the parts marked data-of so; overlay: a second curve over the trace's times
   */
  constructor(root, swings, { first = 0, of = '', overlay = null } = {}) {
    const mine = (selector) => [...root.querySelectorAll(selector)].filter((e) => (e.dataset.of ?? '') === of);
    Object.assign(this, {
      root,
      swings,
      overlay,
      speed: 2,
      playing: false,
      loop: null,
      watchers: [],
      parts: [],
      views: [],
      laid: new Map(),
      swing: first,
    });
    const seek = (t) => this.seek(t);
    this.evidence = swings[first].evidence;
    this.measureTime();
    this.t = this.times[0] ?? this.start;
    this.canvases = mine('canvas[data-view]');
    for (const canvas of this.canvases) {
      canvas.addEventListener('pointerdown', () => {
        this.lastView = canvas.dataset.view;
      });
      this.dragToScrub(canvas);
    }
    const [strip] = mine('[data-ribbon]'),
      [box] = mine('[data-trace]');
    [this.feet] = mine('[data-foot-map]');
    // The films first: they are fetched while the rest is built.
    this.lay();
    if (strip) this.ribbon = new Ribbon(strip, this, seek);
    if (box && this.evidence.trace) this.plot = new TracePlot(box, this, seek);
    this.gather();
    [this.clock] = mine('[data-clock]');
    for (const button of mine('.transport [data-do]'))
      button.addEventListener('click', () => this.do(button.dataset.do));
    [this.speedButton] = mine('[data-do="speed"]');
    [this.playButton] = mine('[data-do="play"]');
    this.swingButtons = mine('[data-swing]');
    this.swingButtons.forEach((button, i) => button.setAttribute('aria-pressed', String(i === first)));
    this.swingButtons.forEach((button, k) => button.addEventListener('click', () => this.toSwing(k)));
    new ResizeObserver(() => this.draw()).observe(root.querySelector('.films'));
    addEventListener('themechange', () => {
      this.plot?.restyle();
      this.draw();
    });
    this.showSpeed();
    this.draw();
  }

  measureTime() {
    const { stations, t0, duration } = this.evidence;
    this.codes = Object.keys(stations);
    this.times = Object.values(stations);
    this.start = this.times.length ? Math.max(t0, this.times[0] - 0.35) : t0;
    this.end = this.times.length ? Math.min(t0 + duration, this.times[this.times.length - 1] + 0.45) : t0 + duration;
  }

  /** Lays the swing on all parts. Films and figures once opened stay at hand, so that flicking back is at once. */
  lay() {
    for (const view of this.views) if (view.film) view.film.asleep = true;
    if (!this.laid.has(this.evidence))
      this.laid.set(
        this.evidence,
        this.canvases.map((canvas) => this.openView(canvas)),
      );
    const all = this.laid.get(this.evidence);
    this.canvases.forEach((canvas, i) => {
      canvas.closest('figure').hidden = !all[i];
    });
    this.views = all.filter(Boolean);
    this.films = this.views.filter((v) => v.film).map((v) => v.film);
    for (const film of this.films) film.asleep = false;
    this.bringNear();
    this.root.querySelector('.films')?.classList.toggle('single', this.views.length === 1);
  }

  gather() {
    this.feet?.replaceChildren();
    this.parts = [
      ...this.views,
      ...[this.ribbon, this.plot].filter(Boolean),
      ...(this.feet ? [new FootMap(this.feet, this.evidence)] : []),
    ];
  }

  /** Another swing of the case, held at the station – and as far from it – as the one before. */
  async toSwing(k) {
    const next = this.swings[k];
    if (!next || k === this.swing) return;
    next.evidence ??= await fetchEvidence(next.url);
    const code = this.station();
    const off = code === null ? this.t : this.t - this.evidence.stations[code];
    this.halt();
    this.loop = null;
    this.swing = k;
    this.evidence = next.evidence;
    this.measureTime();
    this.t = Math.min(
      this.end,
      Math.max(this.start, (code === null ? 0 : (this.evidence.stations[code] ?? this.times[0] ?? 0)) + off),
    );
    this.lay();
    this.gather();
    this.ribbon?.build();
    this.plot?.restyle();
    this.draw();
    this.swingButtons.forEach((button, i) => button.setAttribute('aria-pressed', String(i === k)));
    for (const fn of this.onSwing ?? []) fn(k);
  }

  nextSwing() {
    if (this.swings.length > 1) this.toSwing((this.swing + 1) % this.swings.length);
  }

  /** A view is its film where it was filmed, the drawn figure where it was not; neither: it is not there. */
  openView(canvas) {
    const { motion, films, hand, mirrored } = this.evidence;
    const view = canvas.dataset.view;
    const film = films?.find((f) => f.view === view);
    const caption = canvas.closest('figure').querySelector('[data-caption]');
    const say = (text) => {
      caption.textContent = text;
    };
    const part = {
      view,
      canvas,
      film: film
        ? Object.assign(new FilmView(canvas, film, say), {
            stations: this.evidence.stations,
            mirrored: Boolean(mirrored),
          })
        : null,
      figure: motion ? new Figure(canvas, { ...motion, hand }, view) : null,
    };
    if (!part.film && !part.figure) return null;
    part.now = part.film ?? part.figure;
    part.draw = (t) => {
      if (!sizeOf(canvas).w) return;
      if (part.now === part.figure) say(word('stage.script.figure'));
      part.now.draw(t);
    };
    return part;
  }

  /** Film or figure, where both are held. */
  swap() {
    for (const view of this.views) {
      if (!view.film || !view.figure) continue;
      view.now = view.now === view.film ? view.figure : view.film;
    }
    this.draw();
  }

  /** Brings every picture near to the feet, or back. */
  toFeet() {
    this.near = !this.near;
    for (const button of this.root.querySelectorAll('[data-do="feet"]'))
      button.setAttribute('aria-pressed', String(this.near));
    this.bringNear();
    this.draw();
  }

  bringNear() {
    for (const view of this.views)
      for (const part of [view.film, view.figure]) if (part) part.near = Boolean(this.near);
  }

  /** The film whose frames are stepped through: the one with most of them. */
  get master() {
    return this.films.reduce((best, f) => (f.film.rate > (best?.film.rate ?? 0) ? f : best), null);
  }
  get frame() {
    return 1 / (this.master?.film.rate ?? this.evidence.motion?.rate ?? this.evidence.trace?.rate ?? 60);
  }
  get sample() {
    return 1 / (this.evidence.trace?.rate ?? this.evidence.motion?.rate ?? 60);
  }

  watch(fn) {
    this.watchers.push(fn);
  }

  seek(t) {
    const to = Math.min(Math.max(t, this.start), this.end);
    if (to === this.t) return;
    this.t = to;
    this.queue();
  }

  /** Draws once per screen refresh however often time was moved. */
  queue() {
    if (this.queued) return;
    this.queued = requestAnimationFrame(() => {
      this.queued = 0;
      this.draw();
    });
  }

  draw() {
    for (const part of this.parts) part.draw(this.t);
    const i = this.stationIndex();
    const im = this.evidence.stations.IM;
    const since =
      im === undefined
        ? ''
        : Math.abs(this.t - im) < 5e-4
          ? ` · ${word('stage.script.at-impact')}`
          : ` · ${word(this.t > im ? 'stage.script.after-impact' : 'stage.script.before-impact', { by: apart(Math.abs(this.t - im)) })}`;
    if (this.clock)
      this.clock.textContent = `${this.t.toFixed(3)} s${i >= 0 && Math.abs(this.times[i] - this.t) < this.frame / 2 ? ` · ${this.codes[i]}` : ''}${since}`;
    for (const fn of this.watchers) fn(this.t);
  }

  /** The station nearest in time. */
  stationIndex() {
    let best = -1;
    this.times.forEach((t, i) => {
      if (best < 0 || Math.abs(t - this.t) < Math.abs(this.times[best] - this.t)) best = i;
    });
    return best;
  }

  station() {
    const i = this.stationIndex();
    return i < 0 ? null : this.codes[i];
  }

  goTo(code) {
    if (this.evidence.stations[code] !== undefined) {
      this.halt();
      this.seek(this.evidence.stations[code]);
    }
  }

  do(what) {
    if (what === 'play') return this.playing ? this.halt() : this.play();
    if (what === 'speed') {
      this.speed = (this.speed + 1) % SPEEDS.length;
      for (const film of this.films) film.video.playbackRate = SPEEDS[this.speed];
      return this.showSpeed();
    }
    if (what === 'loop') return this.toggleLoop();
    if (what === 'swap') return this.swap();
    if (what === 'swing') return this.nextSwing();
    if (what === 'feet') return this.toFeet();
    this.halt();
    if (what === 'first' || what === 'last') return this.seek(this.times.at(what === 'first' ? 0 : -1) ?? this.start);
    if (this.master && what.startsWith('frame-'))
      return this.seek(this.master.timeOf(this.master.frameAt(this.t) + (what === 'frame-on' ? 1 : -1)));
    const to = {
      'frame-back': this.t - this.frame,
      'frame-on': this.t + this.frame,
      'sample-back': this.t - this.sample,
      'sample-on': this.t + this.sample,
    }[what];
    if (to !== undefined) return this.seek(to);
    if (!what.startsWith('station-')) return;
    const on = what === 'station-on';
    const next = on ? this.times.find((t) => t > this.t + 1e-4) : this.times.filter((t) => t < this.t - 1e-4).pop();
    if (next !== undefined) this.seek(next);
  }

  /** Loops between the two stations around now; again: lets go. */
  toggleLoop() {
    if (this.loop) {
      this.loop = null;
      return;
    }
    const i = Math.max(
      0,
      this.times.findLastIndex((t) => t <= this.t + 1e-4),
    );
    if (this.times.length > 1)
      this.loop = [this.times[Math.min(i, this.times.length - 2)], this.times[Math.min(i + 1, this.times.length - 1)]];
    this.play();
  }

  play() {
    this.playing = true;
    if (this.playButton) this.playButton.textContent = '❚❚';
    if (this.t >= this.end - 1e-3) this.t = this.start;
    for (const film of this.films) film.play(SPEEDS[this.speed]);
    let before = performance.now();
    const tick = (now) => {
      if (!this.playing) return;
      this.t += ((now - before) / 1000) * SPEEDS[this.speed];
      before = now;
      if (this.loop && (this.t > this.loop[1] || this.t < this.loop[0])) this.t = this.loop[0];
      if (this.t >= this.end) {
        this.t = this.end;
        this.halt();
      }
      this.draw();
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  }

  halt() {
    if (this.playButton) this.playButton.textContent = '▶';
    if (!this.playing) return;
    this.playing = false;
    for (const film of this.films) film.halt();
    this.queue();
  }

  showSpeed() {
    if (this.speedButton) this.speedButton.textContent = `${SPEED_NAMES[this.speed]}×`;
  }

  /** Dragging over a picture scrubs; the wheel steps by frames. */
  dragToScrub(element) {
    let from = null;
    element.addEventListener('pointerdown', (e) => {
      from = [e.clientX, this.t];
      element.setPointerCapture(e.pointerId);
      this.halt();
    });
    element.addEventListener('pointermove', (e) => {
      if (from) this.seek(from[1] + ((e.clientX - from[0]) / element.clientWidth) * 1.2);
    });
    element.addEventListener('pointerup', () => {
      from = null;
    });
    element.addEventListener(
      'wheel',
      (e) => {
        e.preventDefault();
        this.do(e.deltaY > 0 ? 'frame-on' : 'frame-back');
      },
      { passive: false },
    );
  }
}

export async function fetchEvidence(url) {
  const answer = await fetch(url, { headers: { Accept: 'application/json' } });
  if (!answer.ok) throw new Error(word('stage.script.not-fetched', { status: answer.status }));
  return answer.json();
}

/** The stage with its first swing; the others are fetched behind it, to be there when they are flicked to. */
export async function openStage(root) {
  const swings = root.querySelector('[data-swing]')
    ? [...root.querySelectorAll('[data-swing]')].map((b) => ({ name: b.textContent, url: b.dataset.swing }))
    : [{ name: '', url: root.dataset.evidence }];
  const first = Math.max(
    0,
    swings.findIndex((s) => s.url === root.dataset.evidence),
  );
  swings[first].evidence = await fetchEvidence(swings[first].url);
  const stage = new Stage(root, swings, { first });
  stage.rest = Promise.all(
    swings.map(async (s) => {
      s.evidence ??= await fetchEvidence(s.url).catch(() => null);
    }),
  );
  return stage;
}
