// The notched strip of nine stations. Stations stand evenly, so that a quarter-second downswing has as much
// room as the backswing; between two stations time runs straight.
import { word } from '../words.js';

const NS = 'http://www.w3.org/2000/svg';

export class Ribbon {
  constructor(host, stage, seek) {
    this.host = host;
    this.stage = stage;
    this.pins = [];
    this.build();
    new ResizeObserver(() => {
      if (host.clientWidth !== this.width) {
        this.build();
        this.draw(stage.t);
      }
    }).observe(host);

    const move = (e) => {
      stage.halt();
      if (e.type === 'pointerdown') this.edge = this.svg.getBoundingClientRect().left;
      seek(this.timeAt(e.clientX - this.edge));
    };
    host.addEventListener('pointerdown', (e) => {
      host.setPointerCapture(e.pointerId);
      this.held = true;
      move(e);
    });
    host.addEventListener('pointermove', (e) => this.held && move(e));
    host.addEventListener('pointerup', () => {
      this.held = false;
    });
    host.addEventListener(
      'wheel',
      (e) => {
        e.preventDefault();
        stage.do(e.deltaY > 0 ? 'frame-on' : 'frame-back');
      },
      { passive: false },
    );
  }

  /** Draws the strip for the width it has: one unit is one pixel, so that nothing is squeezed. */
  build() {
    this.width = this.host.clientWidth || 800;
    this.pad = Math.max(18, this.width * 0.055);
    this.gap = (this.width - 2 * this.pad) / Math.max(1, this.stage.times.length - 1);
    this.svg = document.createElementNS(NS, 'svg');
    this.svg.setAttribute('viewBox', `0 0 ${this.width} 58`);
    this.host.replaceChildren(this.svg);
    const half = Math.min(9, this.gap / 4);
    const at = this.stage.times.map((_, i) => this.pad + i * this.gap);
    const notches = at
      .slice()
      .reverse()
      .map((x) => `H${x + half}L${x} 16L${x - half} 30`)
      .join('');
    this.add('path', { class: 'strip', d: `M2 8H${this.width - 2}V30H2Z` });
    this.add('path', { class: 'edge', d: `M2 8H${this.width - 2}V30${notches}H2Z` });
    this.pinLayer = this.add('g', {});
    this.now = null;
    this.labels = this.stage.codes.map((code, i) => {
      const t = this.add('text', { x: at[i], y: 50 });
      t.textContent = code;
      return t;
    });
    this.line = this.add('line', { class: 'head-line', y1: 2, y2: 36 });
    this.knob = this.add('circle', { class: 'knob', cy: 5, r: 6 });
    this.showPins(this.pins);
  }

  add(name, attributes) {
    const node = document.createElementNS(NS, name);
    for (const [k, v] of Object.entries(attributes)) node.setAttribute(k, v);
    (this.target ?? this.svg).append(node);
    return node;
  }

  /** Place of a time along the strip, in its own units. */
  placeOf(t) {
    const { times, start, end } = this.stage;
    if (times.length < 2) return ((t - start) / (end - start)) * this.width;
    if (t <= times[0]) return this.pad - ((times[0] - t) / Math.max(1e-6, times[0] - start)) * (this.pad - 4);
    const last = times.length - 1;
    if (t >= times[last])
      return this.width - this.pad + ((t - times[last]) / Math.max(1e-6, end - times[last])) * (this.pad - 4);
    const i = times.findLastIndex((s) => s <= t);
    return this.pad + (i + (t - times[i]) / (times[i + 1] - times[i])) * this.gap;
  }

  timeAt(x) {
    const { times, start, end } = this.stage;
    if (times.length < 2) return start + (x / this.width) * (end - start);
    if (x <= this.pad) return times[0] - ((this.pad - x) / (this.pad - 4)) * (times[0] - start);
    if (x >= this.width - this.pad)
      return times[times.length - 1] + ((x - this.width + this.pad) / (this.pad - 4)) * (end - times[times.length - 1]);
    const p = (x - this.pad) / this.gap;
    const i = Math.min(Math.floor(p), times.length - 2);
    return times[i] + (p - i) * (times[i + 1] - times[i]);
  }

  /** @param {{on: string, t: number}[]} pins */
  showPins(pins) {
    this.pins = pins;
    this.pinLayer.replaceChildren();
    this.target = this.pinLayer;
    for (const pin of pins) {
      const x = this.placeOf(pin.t);
      this.add('path', { class: `pin ${pin.on}`, d: `M${x} 31l5 8h-10Z` });
    }
    this.target = null;
  }

  draw(t) {
    const x = this.placeOf(t);
    this.line.setAttribute('x1', x);
    this.line.setAttribute('x2', x);
    this.knob.setAttribute('cx', x);
    const now = this.stage.stationIndex();
    if (now !== this.now) {
      this.labels.forEach((label, i) => label.classList.toggle('now', i === now));
      this.host.setAttribute('aria-valuenow', String(Math.max(0, now)));
      this.now = now;
    }
    this.host.setAttribute(
      'aria-valuetext',
      word('stage.script.ribbon-at', {
        t: t.toFixed(3),
        station: this.stage.codes[now] ?? word('stage.script.no-station'),
      }),
    );
  }
}
