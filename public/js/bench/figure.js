// The golfer as a solid figure, drawn orthographically from body points in the stance's frame
// (x to the target, y to the toes, z up, mm). Lead limbs have a solid edge, trail limbs a dashed one.
import { NEAR, sizeOf } from './size.js';

const LIMBS = [
  // from, to, radius at each end (mm), what it is made of
  ['hip', 'knee', 82, 60, 'leg'],
  ['knee', 'ankle', 58, 40, 'leg'],
  ['shoulder', 'elbow', 54, 42, 'sleeve'],
  ['elbow', 'hand', 40, 30, 'skin'],
];

const palettes = {
  light: {
    ground: '#b9b2a4',
    groundFill: '#ece6d9',
    grid: '#d9d2c4',
    edge: '#26231d',
    skin: '#d9b48c',
    cap: '#3c3a44',
    shirt: '#e9e4f2',
    belt: '#4a4658',
    lead: '#1f6f78',
    trail: '#b8791f',
    club: '#2c2a33',
    ball: '#fffefb',
    label: '#5d574b',
  },
  dark: {
    ground: '#57534b',
    groundFill: '#24221f',
    grid: '#35322d',
    edge: '#0c0b0a',
    skin: '#c79f76',
    cap: '#a7a2b8',
    shirt: '#bdb7cc',
    belt: '#6c6680',
    lead: '#3fa3ad',
    trail: '#dd9d42',
    club: '#d8d4e2',
    ball: '#fffefb',
    label: '#b7b0a2',
  },
};

export function palette() {
  return palettes[document.documentElement.dataset.theme === 'dark' ? 'dark' : 'light'];
}

export class Figure {
  /**
   * @param {HTMLCanvasElement} canvas
   * @param {{rate: number, t0: number, points: Object<string, number[][]>, hand: string, ball: ?number[]}} motion
   * @param {'face-on'|'down-the-line'} view
   */
  constructor(canvas, motion, view) {
    this.canvas = canvas;
    this.motion = motion;
    this.view = view;
    this.mirror = motion.hand === 'left' ? -1 : 1;
    this.frames = motion.points.pelvis[0].length;
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
    this.scale = this.fit(w, h) * (this.near ? NEAR : 1);
    const wide = (this.view === 'face-on' ? 2350 : 1950) * this.scale;
    this.box = { x: (w - wide) / 2, y: h - 2330 * this.scale, w: wide, h: 2330 * this.scale };
    this.originX = w / 2 - (this.view === 'face-on' ? 0 : this.mirror * 190 * this.scale);
    this.originY = h - 120 * this.scale - 6;
    this.floor(g, w, h);
    const p = this.pose(t);
    for (const part of this.parts(p).sort((a, b) => a.depth - b.depth)) part.paint(g);
  }

  palette() {
    return palette();
  }

  /** Points of the screen to a millimetre, so that the whole arc of the club is in the picture. */
  fit(w, h) {
    return Math.min(h / 2330, w / (this.view === 'face-on' ? 2350 : 1950));
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

  parts(p) {
    const parts = [];
    const depth = (...names) => names.reduce((s, n) => s + this.place(p[n])[2], 0) / names.length;
    for (const side of ['trail', 'lead']) {
      const hue = this.colours[side];
      for (const [a, b, ra, rb, stuff] of LIMBS) {
        const from = p[`${side}_${a}`],
          to = p[`${side}_${b}`];
        const fill = stuff === 'skin' ? this.colours.skin : stuff === 'leg' ? hue : mix(hue, this.colours.shirt, 0.55);
        parts.push({
          depth: depth(`${side}_${a}`, `${side}_${b}`) + (stuff === 'skin' ? 40 : 0),
          paint: (g) => this.limb(g, from, to, ra, rb, fill, side),
        });
      }
      parts.push({ depth: depth(`${side}_toe`, `${side}_heel`) + 5, paint: (g) => this.shoe(g, p, side, hue) });
      parts.push({
        depth: depth(`${side}_hand`) + 60,
        paint: (g) => this.blob(g, [[p[`${side}_hand`], 40]], this.colours.skin, side),
      });
    }
    const belly = between(p.pelvis, p.chest, 0.38),
      ribs = between(p.pelvis, p.chest, 0.72);
    parts.push({
      depth: depth('pelvis'),
      paint: (g) =>
        this.blob(
          g,
          [
            [p.lead_hip, 92],
            [p.trail_hip, 92],
            [between(p.pelvis, p.chest, 0.14), 112],
          ],
          mix(this.colours.lead, this.colours.trail, 0.5, 0.72),
          'lead',
        ),
    });
    parts.push({
      depth: depth('chest', 'pelvis') + 8,
      paint: (g) => {
        const s = (n) => between(p[n], p.chest, 0.14);
        this.blob(
          g,
          [
            [s('lead_shoulder'), 62],
            [s('trail_shoulder'), 62],
            [ribs, 122],
            [belly, 106],
          ],
          this.colours.shirt,
          'lead',
        );
        this.limb(
          g,
          between(p.pelvis, p.chest, 0.3),
          between(p.pelvis, p.chest, 0.33),
          104,
          104,
          this.colours.belt,
          'lead',
          0.12,
        );
      },
    });
    parts.push({
      depth: depth('neck'),
      paint: (g) => this.limb(g, p.neck, between(p.neck, p.head, 0.7), 50, 48, this.colours.skin, 'lead'),
    });
    parts.push({ depth: depth('head') + 30, paint: (g) => this.head(g, p) });
    parts.push({ depth: depth('club_head', 'grip', 'lead_hand') + 20, paint: (g) => this.club(g, p) });
    return parts;
  }

  /** A tapered limb with a lit side; the trail side's edge is dashed. */
  limb(g, a, b, ra, rb, fill, side, flat = 1) {
    const A = this.place(a),
      B = this.place(b);
    const r1 = ra * this.scale,
      r2 = rb * this.scale;
    const outline = hull([...ring(A, r1, flat), ...ring(B, r2, flat)]);
    this.solid(g, outline, fill, side, [A[0] - r1, A[1] - r1 * 0.6], [A[0] + r1, A[1] + r1 * 0.6]);
  }

  blob(g, spheres, fill, side) {
    const rings = spheres.flatMap(([at, r]) => ring(this.place(at), r * this.scale));
    const outline = hull(rings);
    const xs = outline.map((q) => q[0]),
      ys = outline.map((q) => q[1]);
    this.solid(g, outline, fill, side, [Math.min(...xs), Math.min(...ys)], [Math.max(...xs), Math.max(...ys)]);
  }

  solid(g, outline, fill, side, lit, dark) {
    const shade = g.createLinearGradient(lit[0], lit[1], dark[0], dark[1]);
    shade.addColorStop(0, tone(fill, 0.16));
    shade.addColorStop(0.5, fill);
    shade.addColorStop(1, tone(fill, -0.26));
    trace(g, outline);
    g.fillStyle = shade;
    g.fill();
    g.strokeStyle = this.colours.edge;
    g.lineWidth = Math.max(1, 7 * this.scale);
    g.setLineDash(side === 'trail' ? [14 * this.scale + 2, 9 * this.scale + 1.5] : []);
    g.stroke();
    g.setLineDash([]);
  }

  shoe(g, p, side, hue) {
    const heel = p[`${side}_heel`],
      ball = p[`${side}_ball`],
      toe = p[`${side}_toe`],
      ankle = p[`${side}_ankle`];
    const up = (q, r) => [[q[0], q[1], q[2] + r], r];
    this.blob(g, [up(heel, 36), up(ball, 44), up(toe, 27), [ankle, 42]], tone(hue, -0.34), side);
  }

  head(g, p) {
    const at = this.place(p.head);
    const r = 102 * this.scale;
    this.solid(g, hull(ring(at, r)), this.colours.skin, 'lead', [at[0] - r, at[1] - r], [at[0] + r, at[1] + r]);
    // A cap: the half of the skull away from the neck and the face, and a brim over the eyes.
    const up = unit(sub(p.head, p.neck)),
      face = unit(sub(p.nose, p.head));
    const crown = p.head.map((v, i) => v + up[i] * 46 - face[i] * 16);
    const across = unit(cross(up, face));
    const brim = [-1, -0.6, 0, 0.6, 1].map((k) => {
      const reach = 150 * Math.sqrt(1 - 0.42 * k * k);
      return this.place(p.head.map((v, i) => v + up[i] * 34 + face[i] * reach + across[i] * k * 74));
    });
    const band = [-1, 1].map((k) => this.place(p.head.map((v, i) => v + up[i] * 34 + across[i] * k * 92)));
    const dome = ring(this.place(crown), 84 * this.scale);
    this.solid(g, hull(dome), this.colours.cap, 'lead', [at[0] - r, at[1] - r], [at[0] + r, at[1] + r]);
    this.solid(g, hull([...brim, ...band]), this.colours.cap, 'lead', [at[0] - r, at[1]], [at[0] + r, at[1] + r]);
  }

  club(g, p) {
    const a = this.place(p.grip),
      b = this.place(p.club_head),
      hold = this.place(between(p.grip, p.club_head, 0.26));
    g.lineCap = 'round';
    g.strokeStyle = this.colours.club;
    g.lineWidth = Math.max(1.6, 13 * this.scale);
    line(g, a, b);
    g.lineWidth = Math.max(2.6, 25 * this.scale);
    line(g, a, hold);
    const along = unit(sub(p.club_head, p.grip));
    const out = unit(cross(along, Math.abs(along[0]) > 0.9 ? [0, 1, 0] : [1, 0, 0]));
    const tip = p.club_head.map((v, i) => v + out[i] * 78 * (out[1] < 0 ? -1 : 1));
    this.blob(
      g,
      [
        [p.club_head, 24],
        [tip, 32],
      ],
      this.colours.club,
      'lead',
    );
    g.lineCap = 'butt';
  }
}

const between = (a, b, f) => a.map((v, i) => v + f * (b[i] - v));
const sub = (a, b) => a.map((v, i) => v - b[i]);
const unit = (a) => {
  const l = Math.hypot(...a) || 1;
  return a.map((v) => v / l);
};
const cross = (a, b) => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];

function line(g, a, b) {
  g.beginPath();
  g.moveTo(a[0], a[1]);
  g.lineTo(b[0], b[1]);
  g.stroke();
}

function ring([x, y], r, flat = 1) {
  const out = [];
  for (let i = 0; i < 28; i++) {
    const a = (i / 28) * 2 * Math.PI;
    out.push([x + r * Math.cos(a), y + flat * r * Math.sin(a)]);
  }
  return out;
}

/** Convex hull by the monotone chain. */
function hull(points) {
  const s = points.slice().sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list) => {
    const h = [];
    for (const q of list) {
      while (h.length > 1) {
        const [a, b] = [h[h.length - 2], h[h.length - 1]];
        if ((b[0] - a[0]) * (q[1] - a[1]) - (b[1] - a[1]) * (q[0] - a[0]) > 0) break;
        h.pop();
      }
      h.push(q);
    }
    return h.slice(0, -1);
  };
  return [...half(s), ...half(s.reverse())];
}

function trace(g, points) {
  g.beginPath();
  points.forEach((q, i) => (i ? g.lineTo(q[0], q[1]) : g.moveTo(q[0], q[1])));
  g.closePath();
}

const rgb = (hex) => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
const hex = (c) =>
  `#${c
    .map((v) =>
      Math.max(0, Math.min(255, Math.round(v)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
function tone(colour, by) {
  return hex(rgb(colour).map((v) => (by > 0 ? v + (255 - v) * by : v * (1 + by))));
}
function mix(a, b, f, dim = 1) {
  const B = rgb(b);
  return hex(rgb(a).map((v, i) => (v + f * (B[i] - v)) * dim));
}
