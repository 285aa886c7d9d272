// The golfer in a pane: which part of the stance's frame (x to the target, y to the toes, z up, mm) is seen from a
// side, drawn orthographically, so that the body fills the pane over the whole swing.
import { Person } from './person.js';
import { NEAR, sizeOf } from './size.js';

const palettes = {
  light: {
    groundFill: '#ece6d9',
    grid: '#d9d2c4',
    edge: '#26231d',
    skin: '#d9b48c',
    hair: '#54483c',
    cap: '#3c3a44',
    shirt: '#e9e4f2',
    belt: '#2f2c38',
    seat: '#5b5750',
    glove: '#f6f3ec',
    sole: '#f3efe6',
    lead: '#1f6f78',
    trail: '#b8791f',
    club: '#2c2a33',
    ball: '#fffefb',
    shadow: '38, 35, 29',
  },
  dark: {
    groundFill: '#24221f',
    grid: '#35322d',
    edge: '#0c0b0a',
    skin: '#c79f76',
    hair: '#8d7f70',
    cap: '#a7a2b8',
    shirt: '#bdb7cc',
    belt: '#8f89a3',
    seat: '#77726a',
    glove: '#ded9d0',
    sole: '#cfc9bd',
    lead: '#3fa3ad',
    trail: '#dd9d42',
    club: '#d8d4e2',
    ball: '#fffefb',
    shadow: '0, 0, 0',
  },
};

export function palette() {
  return palettes[document.documentElement.dataset.theme === 'dark' ? 'dark' : 'light'];
}

/** What a drawing aid's picture measures, mm: the whole arc of the club; aids are kept as parts of it. */
const PICTURE = { 'face-on': [2350, 2330], 'down-the-line': [1950, 2330] };
/** Beneath the ground line, and how far the eye of one who looks down the line stands from the feet's middle, mm. */
const BENEATH = 120;
const ASIDE = { 'face-on': 0, 'down-the-line': 190 };

/**
 * How far the body reaches over a swing, mm: sideways as the picture shows it, and upward. The club may reach beyond.
 * @param {Object<string, number[][]>} points
 */
export function extent(points, axis, mirror) {
  let [low, high, top] = [Infinity, -Infinity, 0];
  for (const [name, axes] of Object.entries(points)) {
    if (name === 'club_head' || name === 'grip') continue;
    for (const v of axes[axis]) {
      if (!Number.isFinite(v)) continue;
      low = Math.min(low, mirror * v);
      high = Math.max(high, mirror * v);
    }
    for (const z of axes[2]) if (z > top) top = z;
  }
  // Points lie within the body: it reaches about a fist further, and a cap above the head.
  return { low: low - 130, high: high + 130, top: top + 150 };
}

export class Figure extends Person {
  /**
   * @param {HTMLCanvasElement} canvas
   * @param {{rate: number, t0: number, points: Object<string, number[][]>, hand: string, ball: ?number[]}} motion
   * @param {'face-on'|'down-the-line'} view
   */
  constructor(canvas, motion, view) {
    super();
    this.canvas = canvas;
    this.motion = motion;
    this.view = view;
    this.mirror = motion.hand === 'left' ? -1 : 1;
    this.frames = motion.points.pelvis[0].length;
    this.reach = extent(motion.points, view === 'face-on' ? 0 : 1, this.mirror);
  }

  /** Body points at time t, linear between frames. */
  pose(t) {
    const x = Math.min(Math.max((t - this.motion.t0) * this.motion.rate, 0), this.frames - 1);
    const i = Math.min(Math.floor(x), this.frames - 2);
    const f = x - i;
    const out = {};
    for (const [name, axes] of Object.entries(this.motion.points)) {
      out[name] = axes.map((a) => a[i] + f * (a[i + 1] - a[i]));
    }
    return out;
  }

  draw(t) {
    const c = this.canvas;
    const ratio = window.devicePixelRatio || 1;
    const { w, h } = sizeOf(c);
    if (c.width !== Math.round(w * ratio) || c.height !== Math.round(h * ratio)) {
      c.width = Math.round(w * ratio);
      c.height = Math.round(h * ratio);
    }
    const g = c.getContext('2d');
    g.setTransform(ratio, 0, 0, ratio, 0, 0);
    g.clearRect(0, 0, w, h);
    this.colours = this.palette();
    const whole = this.fit(w, h);
    this.scale = whole * (this.near ? NEAR : 1);
    const { low, high } = this.reach;
    // Near to the feet they are in the middle, else the body is.
    this.originX = w / 2 - (this.near ? this.mirror * ASIDE[this.view] : (low + high) / 2) * this.scale;
    this.originY = h - BENEATH * this.scale - 6;
    const [wide, tall] = PICTURE[this.view].map((mm) => mm * this.scale);
    const middle = this.originX + this.mirror * ASIDE[this.view] * this.scale;
    this.box = { x: middle - wide / 2, y: h - tall, w: wide, h: tall };
    this.floor(g, w, h);
    const p = this.pose(t);
    this.shadows(g, p);
    for (const part of this.parts(p).sort((a, b) => a.depth - b.depth)) part.paint(g);
  }

  palette() {
    return palette();
  }

  /** Points of the screen to a millimetre, so that the whole body is in the picture over the whole swing. */
  fit(w, h) {
    const { low, high, top } = this.reach;
    return Math.max(0.01, Math.min((h - 12) / (top + BENEATH), (w - 12) / (high - low)));
  }

  /** Screen position of a point, and its nearness to the camera. */
  place([x, y, z]) {
    return this.view === 'face-on'
      ? [this.originX + this.mirror * x * this.scale, this.originY - z * this.scale + y * 0.06 * this.scale, y]
      : [this.originX + this.mirror * y * this.scale, this.originY - z * this.scale - x * 0.06 * this.scale, -x];
  }

  floor(g, w, h) {
    g.fillStyle = this.colours.groundFill;
    const top = this.originY - 60 * this.scale;
    g.fillRect(0, top, w, h - top);
    g.strokeStyle = this.colours.grid;
    g.lineWidth = 1;
    line(g, [0, top + 0.5], [w, top + 0.5]);
    if (this.motion.ball) {
      const [bx, by] = this.place(this.motion.ball);
      g.beginPath();
      g.arc(bx, by, Math.max(2.5, 21 * this.scale), 0, 7);
      g.fillStyle = this.colours.ball;
      g.fill();
      g.strokeStyle = this.colours.edge;
      g.stroke();
    }
  }
}

function line(g, a, b) {
  g.beginPath();
  g.moveTo(a[0], a[1]);
  g.lineTo(b[0], b[1]);
  g.stroke();
}
