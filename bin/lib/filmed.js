// The synthetic golfer as a camera would have seen him: plain clothes, an indoor bay, a ball that leaves.
import { Figure } from '/js/bench/figure.js';

const KITS = [
  ['#4a5568', '#c8ccd4'],
  ['#5b4a3c', '#9fb4c7'],
  ['#3d4a45', '#d8cfc0'],
  ['#4b4453', '#b9c4a8'],
  ['#44506a', '#d9b8a8'],
  ['#57534e', '#a8b8c8'],
  ['#384049', '#cfc4d6'],
  ['#5a5046', '#b4c6bd'],
  ['#464a5e', '#dcd2b6'],
  ['#4f4640', '#aebfd0'],
].map(([legs, shirt]) => ({
  lead: legs,
  trail: legs,
  seat: legs,
  shirt,
  skin: '#cfa582',
  hair: '#4f4237',
  cap: '#e8e6e1',
  glove: '#f2f0ea',
  sole: '#ecebe6',
  shadow: '20, 20, 18',
  belt: '#2f2b28',
  edge: '#23201d',
  club: '#3a3a40',
  ball: '#ffffff',
  grid: '#8d867c',
  groundFill: '#8d867c',
}));

export class Filmed extends Figure {
  constructor(canvas, motion, view) {
    super(canvas, motion, view);
    this.kit = KITS[motion.kit % KITS.length];
  }

  palette() {
    return this.kit;
  }

  draw(t) {
    this.t = t;
    super.draw(t);
    this.shade();
  }

  solid(g, chains, fill) {
    super.solid(g, chains, fill);
  }

  floor(g, w, h) {
    const top = this.originY - 300 * this.scale;
    const wall = g.createLinearGradient(0, 0, 0, top);
    wall.addColorStop(0, '#6f7378');
    wall.addColorStop(1, '#a9aaa6');
    g.fillStyle = wall;
    g.fillRect(0, 0, w, h);
    g.strokeStyle = 'rgba(60,62,66,0.22)';
    g.lineWidth = 1;
    for (let x = (w / 2) % 46; x < w; x += 46) {
      g.beginPath();
      g.moveTo(x, 0);
      g.lineTo(x, top);
      g.stroke();
    }
    g.fillStyle = '#5d5a55';
    g.fillRect(0, top - 9, w, 9);
    g.fillStyle = '#7d776e';
    g.fillRect(0, top, w, h - top);
    this.mat(g);
    this.drawBall(g);
  }

  mat(g) {
    const corner = (x, y) => this.place([x, y, 0]);
    const [a, b] =
      this.view === 'face-on'
        ? [
            [-900, 900],
            [-460, 1200],
          ]
        : [
            [-900, 1300],
            [-420, 1150],
          ];
    g.beginPath();
    [
      [a[0], b[0]],
      [a[1], b[0]],
      [a[1], b[1]],
      [a[0], b[1]],
    ].forEach(([x, y], i) => {
      const [px, py] = corner(x, y);
      i ? g.lineTo(px, py + (y > 0 && this.view === 'face-on' ? 18 : 0)) : g.moveTo(px, py);
    });
    g.closePath();
    g.fillStyle = '#56705a';
    g.fill();
    g.strokeStyle = '#3e5342';
    g.stroke();
  }

  drawBall(g) {
    const im = this.motion.stations.IM;
    const gone = Math.max(0, this.t - im);
    const at = (s) => this.place([this.motion.ball[0] + 52000 * s, this.motion.ball[1], 21 + 11000 * s]);
    const r = Math.max(2.4, 21 * this.scale) * (this.view === 'face-on' ? 1 : 1 / (1 + 14 * gone));
    const [x, y] = at(gone);
    g.fillStyle = '#ffffff';
    if (gone > 0) {
      const [bx, by] = at(Math.max(0, gone - 1 / 500));
      g.strokeStyle = 'rgba(255,255,255,0.7)';
      g.lineWidth = 1.6 * r;
      g.lineCap = 'round';
      g.beginPath();
      g.moveTo(bx, by);
      g.lineTo(x, y);
      g.stroke();
      g.lineCap = 'butt';
    } else {
      g.beginPath();
      g.arc(x, y, r, 0, 7);
      g.fill();
      g.strokeStyle = '#55524e';
      g.lineWidth = 0.8;
      g.stroke();
    }
  }

  shade() {
    const g = this.canvas.getContext('2d');
    const { clientWidth: w, clientHeight: h } = this.canvas;
    const light = g.createRadialGradient(w * 0.5, h * 0.4, h * 0.35, w * 0.5, h * 0.5, h * 0.85);
    light.addColorStop(0, 'rgba(0,0,0,0)');
    light.addColorStop(1, 'rgba(0,0,0,0.28)');
    g.fillStyle = light;
    g.fillRect(0, 0, w, h);
  }
}

/** A picture whose number is written in blocks of black and white: bit k of it, least first, then its parity. */
export function numbered(canvas, n) {
  const g = canvas.getContext('2d');
  const { width: w, height: h } = canvas;
  g.fillStyle = '#7a7a78';
  g.fillRect(0, 0, w, h);
  g.fillStyle = '#e9e6df';
  g.fillRect((n * 7) % w, 40, 24, h - 90);
  g.fillStyle = '#222';
  g.font = '600 40px sans-serif';
  g.fillText(String(n), 20, 60);
  let parity = 0;
  for (let k = 0; k < 12; k++) {
    const bit = k < 11 ? (n >> k) & 1 : parity;
    parity ^= k < 11 ? bit : 0;
    g.fillStyle = bit ? '#fff' : '#000';
    g.fillRect(k * 24, h - 32, 24, 32);
  }
}
