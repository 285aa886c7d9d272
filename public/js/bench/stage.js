// One clock for figure, ribbon, trace and foot map. Everything that shows time asks the stage for it, and
// everything that scrubs tells the stage; no part knows another.
import { Figure } from './figure.js';
import { FootMap } from './foot-map.js';
import { Ribbon } from './ribbon.js';
import { TracePlot } from './trace-plot.js';

const SPEEDS = [1, 1 / 2, 1 / 4, 1 / 8];
const SPEED_NAMES = ['1', '½', '¼', '⅛'];

export class Stage {
  constructor(root, evidence) {
    this.root = root;
    this.evidence = evidence;
    this.codes = Object.keys(evidence.stations);
    this.times = Object.values(evidence.stations);
    this.start = this.times.length ? Math.max(evidence.t0, this.times[0] - 0.35) : evidence.t0;
    this.end = this.times.length ? Math.min(evidence.t0 + evidence.duration, this.times[this.times.length - 1] + 0.45) : evidence.t0 + evidence.duration;
    this.t = this.times[0] ?? this.start;
    this.speed = 2;
    this.playing = false;
    this.loop = null;
    this.watchers = [];

    const seek = (t) => this.seek(t);
    this.parts = [];
    if (evidence.motion) {
      for (const canvas of root.querySelectorAll('canvas[data-view]')) {
        const figure = new Figure(canvas, { ...evidence.motion, hand: evidence.hand }, canvas.dataset.view);
        this.parts.push(figure);
        this.dragToScrub(canvas);
      }
    }
    this.ribbon = new Ribbon(root.querySelector('[data-ribbon]'), this, seek);
    this.parts.push(this.ribbon);
    const box = root.querySelector('[data-trace]');
    if (box && evidence.trace) this.parts.push((this.plot = new TracePlot(box, this, seek)));
    this.parts.push(new FootMap(root.querySelector('[data-foot-map]'), evidence));
    this.clock = root.querySelector('[data-clock]');
    for (const button of root.querySelectorAll('.transport [data-do]')) button.addEventListener('click', () => this.do(button.dataset.do));
    this.speedButton = root.querySelector('[data-do="speed"]');
    this.playButton = root.querySelector('[data-do="play"]');
    new ResizeObserver(() => this.draw()).observe(root.querySelector('.films'));
    addEventListener('themechange', () => { this.plot?.restyle(); this.draw(); });
    this.showSpeed();
    this.draw();
  }

  get frame() { return 1 / (this.evidence.motion?.rate ?? this.evidence.trace?.rate ?? 60); }
  get sample() { return 1 / (this.evidence.trace?.rate ?? this.evidence.motion?.rate ?? 60); }

  watch(fn) { this.watchers.push(fn); }

  seek(t) {
    const to = Math.min(Math.max(t, this.start), this.end);
    if (to === this.t) return;
    this.t = to;
    this.queue();
  }

  /** Draws once per screen refresh however often time was moved. */
  queue() {
    if (this.queued) return;
    this.queued = requestAnimationFrame(() => { this.queued = 0; this.draw(); });
  }

  draw() {
    for (const part of this.parts) part.draw(this.t);
    const i = this.stationIndex();
    const im = this.evidence.stations.IM;
    const since = im === undefined ? '' : Math.abs(this.t - im) < 5e-4 ? ' · at impact' : ` · ${Math.abs((this.t - im) * 1000).toFixed(0)} ms ${this.t > im ? 'after' : 'before'} impact`;
    if (this.clock) this.clock.textContent = `${this.t.toFixed(3)} s${i >= 0 && Math.abs(this.times[i] - this.t) < this.frame / 2 ? ` · ${this.codes[i]}` : ''}${since}`;
    for (const fn of this.watchers) fn(this.t);
  }

  /** The station nearest in time. */
  stationIndex() {
    let best = -1;
    this.times.forEach((t, i) => { if (best < 0 || Math.abs(t - this.t) < Math.abs(this.times[best] - this.t)) best = i; });
    return best;
  }

  station() { const i = this.stationIndex(); return i < 0 ? null : this.codes[i]; }

  goTo(code) { if (this.evidence.stations[code] !== undefined) { this.halt(); this.seek(this.evidence.stations[code]); } }

  do(what) {
    if (what === 'play') return this.playing ? this.halt() : this.play();
    if (what === 'speed') { this.speed = (this.speed + 1) % SPEEDS.length; return this.showSpeed(); }
    this.halt();
    const to = { 'frame-back': this.t - this.frame, 'frame-on': this.t + this.frame, 'sample-back': this.t - this.sample, 'sample-on': this.t + this.sample }[what];
    if (to !== undefined) return this.seek(to);
    const on = what === 'station-on';
    const next = on ? this.times.find((t) => t > this.t + 1e-4) : this.times.filter((t) => t < this.t - 1e-4).pop();
    if (next !== undefined) this.seek(next);
  }

  /** Loops between the two stations around now; again: lets go. */
  toggleLoop() {
    if (this.loop) { this.loop = null; return; }
    const i = Math.max(0, this.times.findLastIndex((t) => t <= this.t + 1e-4));
    if (this.times.length > 1) this.loop = [this.times[Math.min(i, this.times.length - 2)], this.times[Math.min(i + 1, this.times.length - 1)]];
    this.play();
  }

  play() {
    this.playing = true;
    this.playButton.textContent = '❚❚';
    if (this.t >= this.end - 1e-3) this.t = this.start;
    let before = performance.now();
    const tick = (now) => {
      if (!this.playing) return;
      this.t += ((now - before) / 1000) * SPEEDS[this.speed];
      before = now;
      if (this.loop && (this.t > this.loop[1] || this.t < this.loop[0])) this.t = this.loop[0];
      if (this.t >= this.end) { this.t = this.end; this.halt(); }
      this.draw();
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  }

  halt() { this.playing = false; if (this.playButton) this.playButton.textContent = '▶'; }

  showSpeed() { if (this.speedButton) this.speedButton.textContent = `${SPEED_NAMES[this.speed]}×`; }

  /** Dragging over a picture scrubs; the wheel steps by frames. */
  dragToScrub(element) {
    let from = null;
    element.addEventListener('pointerdown', (e) => { from = [e.clientX, this.t]; element.setPointerCapture(e.pointerId); this.halt(); });
    element.addEventListener('pointermove', (e) => { if (from) this.seek(from[1] + ((e.clientX - from[0]) / element.clientWidth) * 1.2); });
    element.addEventListener('pointerup', () => { from = null; });
    element.addEventListener('wheel', (e) => { e.preventDefault(); this.do(e.deltaY > 0 ? 'frame-on' : 'frame-back'); }, { passive: false });
  }

  /** Keys for time; returns whether the key was one of them. */
  key(e) {
    const what = { ' ': 'play', ArrowLeft: e.shiftKey ? 'station-back' : 'frame-back', ArrowRight: e.shiftKey ? 'station-on' : 'frame-on', ',': 'sample-back', '.': 'sample-on', s: 'speed' }[e.key];
    if (what) this.do(what);
    else if (e.key === 'l') this.toggleLoop();
    else return false;
    return true;
  }
}

export async function openStage(root) {
  const answer = await fetch(root.dataset.evidence, { headers: { Accept: 'application/json' } });
  if (!answer.ok) throw new Error(`The recording could not be fetched (${answer.status}). Reload to try again.`);
  return new Stage(root, await answer.json());
}
