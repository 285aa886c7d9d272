// A person made of round solids around body points. Lead limbs have a solid edge, trail limbs a dashed one. Whoever
// extends this knows where a point lies on the screen: place(), scale, view, and the colours of the parts.
import { body, mix, tone } from './solids.js';

export class Person {
  /** A ball of so many mm around a point, as it lies on the screen. */
  circle(point, r) {
    const [x, y] = this.place(point);
    return [x, y, r * this.scale];
  }

  /** Where a foot meets the ground it is dark, the darker the nearer heel and ball are to it. */
  shadows(g, p) {
    for (const side of ['trail', 'lead'])
      for (const [part, long] of [
        ['heel', 62],
        ['ball', 78],
      ]) {
        const [x, y, z] = p[`${side}_${part}`];
        const near = Math.max(0, 1 - Math.max(0, z - 20) / 90);
        if (!near) continue;
        const [cx, cy] = this.place([x, y, 0]);
        g.beginPath();
        g.ellipse(cx, cy + 3 * this.scale, long * this.scale, 17 * this.scale, 0, 0, 7);
        g.fillStyle = `rgba(${this.colours.shadow}, ${(0.3 * near).toFixed(3)})`;
        g.fill();
      }
  }

  parts(p) {
    const depth = (...names) => names.reduce((s, n) => s + this.place(p[n])[2], 0) / names.length;
    const parts = [];
    for (const side of ['trail', 'lead']) {
      const at = (name) => p[`${side}_${name}`];
      parts.push({ depth: depth(`${side}_hip`, `${side}_knee`, `${side}_ankle`), paint: (g) => this.leg(g, at, side) });
      parts.push({ depth: depth(`${side}_toe`, `${side}_heel`) + 5, paint: (g) => this.shoe(g, at, side) });
      parts.push({ depth: depth(`${side}_shoulder`, `${side}_elbow`), paint: (g) => this.sleeve(g, at, p, side) });
      parts.push({ depth: depth(`${side}_elbow`, `${side}_hand`) + 40, paint: (g) => this.forearm(g, at, side) });
      parts.push({ depth: depth(`${side}_hand`) + 60, paint: (g) => this.hand(g, at('hand'), p, side) });
    }
    parts.push({ depth: depth('pelvis'), paint: (g) => this.seat(g, p) });
    parts.push({ depth: depth('chest', 'pelvis') + 8, paint: (g) => this.torso(g, p) });
    parts.push({ depth: depth('neck'), paint: (g) => this.neck(g, p) });
    parts.push({ depth: depth('head') + 30, paint: (g) => this.head(g, p) });
    parts.push({ depth: depth('club_head', 'grip', 'lead_hand') + 20, paint: (g) => this.club(g, p) });
    return parts;
  }

  /** One body of joined circles in one edge, which is dashed on the trail side. */
  solid(g, chains, fill, side = 'lead') {
    body(g, chains, {
      fill,
      edge: this.colours.edge,
      width: Math.max(1, 6 * this.scale),
      dash: side === 'trail' ? [14 * this.scale + 2, 9 * this.scale + 1.5] : [],
    });
  }

  leg(g, at, side) {
    const [hip, knee, ankle] = [at('hip'), at('knee'), at('ankle')];
    this.solid(
      g,
      [
        [
          this.circle(hip, 88),
          this.circle(between(hip, knee, 0.45), 76),
          this.circle(knee, 57),
          this.circle(between(knee, ankle, 0.32), 56),
          this.circle(ankle, 42),
        ],
      ],
      this.colours[side],
      side,
    );
  }

  shoe(g, at, side) {
    const up = (q, r) => this.circle([q[0], q[1], q[2] + r], r);
    const [heel, ball, toe] = [at('heel'), at('ball'), at('toe')];
    this.solid(
      g,
      [
        [up(heel, 37), up(ball, 42), up(toe, 27)],
        [this.circle(at('ankle'), 41), up(heel, 40)],
      ],
      tone(this.colours[side], -0.34),
      side,
    );
    // The sole's edge, from heel over ball to toe: it shows what of the foot is on the ground.
    g.strokeStyle = this.colours.sole;
    g.lineWidth = Math.max(1, 11 * this.scale);
    g.lineCap = 'round';
    g.lineJoin = 'round';
    g.beginPath();
    [heel, ball, toe].forEach((q, i) => {
      const [x, y] = this.place([q[0], q[1], q[2] + 9]);
      if (i) g.lineTo(x, y);
      else g.moveTo(x, y);
    });
    g.stroke();
    g.lineCap = 'butt';
  }

  sleeve(g, at, p, side) {
    const shoulder = at('shoulder'),
      elbow = at('elbow');
    this.solid(g, [[this.circle(between(shoulder, elbow, 0.4), 46), this.circle(elbow, 37)]], this.colours.skin, side);
    const root = between(shoulder, p.chest, 0.1);
    this.solid(
      g,
      [[this.circle(root, 60), this.circle(shoulder, 58), this.circle(between(shoulder, elbow, 0.56), 52)]],
      mix(this.colours[side], this.colours.shirt, 0.55),
      side,
    );
  }

  forearm(g, at, side) {
    const elbow = at('elbow'),
      hand = at('hand');
    this.solid(
      g,
      [
        [
          this.circle(elbow, 37),
          this.circle(between(elbow, hand, 0.3), 37),
          this.circle(between(elbow, hand, 0.88), 26),
        ],
      ],
      this.colours.skin,
      side,
    );
  }

  /** A fist around the shaft; the lead hand wears the glove. */
  hand(g, hand, p, side) {
    const shaft = unit(sub(p.club_head, p.grip));
    const along = (mm) => hand.map((v, i) => v + shaft[i] * mm);
    const fill = side === 'lead' ? this.colours.glove : this.colours.skin;
    this.solid(g, [[this.circle(along(-26), 33), this.circle(along(30), 31)]], fill, side);
    // Fingers lie across the shaft.
    const [ax, ay] = this.place(along(-30)),
      [bx, by] = this.place(along(36));
    const l = Math.hypot(bx - ax, by - ay);
    if (l < 4) return;
    const [nx, ny] = [(-(by - ay) / l) * 24 * this.scale, ((bx - ax) / l) * 24 * this.scale];
    g.strokeStyle = tone(fill, -0.42);
    g.lineWidth = Math.max(0.7, 4 * this.scale);
    g.beginPath();
    for (const f of [0.28, 0.5, 0.72]) {
      const [x, y] = [ax + f * (bx - ax), ay + f * (by - ay)];
      g.moveTo(x - nx, y - ny);
      g.lineTo(x + nx, y + ny);
    }
    g.stroke();
  }

  /** Seat and hips, with the belt over them and a buckle in front: it shows how far the hips are open. */
  seat(g, p) {
    const low = (name) => between(p[name], p.pelvis, 0.12);
    const waist = between(p.pelvis, p.chest, 0.2);
    this.solid(
      g,
      [
        [this.circle(low('lead_hip'), 96), this.circle(low('trail_hip'), 96)],
        [this.circle(low('lead_hip'), 92), this.circle(waist, 104), this.circle(low('trail_hip'), 92)],
      ],
      this.colours.seat,
    );
  }

  torso(g, p) {
    const inward = (name, f) => between(p[name], p.chest, f);
    const ribs = between(p.pelvis, p.chest, 0.74),
      belly = between(p.pelvis, p.chest, 0.36);
    const [a, b] = ['lead_shoulder', 'trail_shoulder'].map((n) => this.circle(inward(n, 0.16), 64));
    this.solid(
      g,
      [
        [a, b],
        [a, this.circle(ribs, 124), this.circle(belly, 108)],
        [b, this.circle(ribs, 124)],
        [a, this.circle(between(p.neck, p.chest, 0.25), 72), b],
      ],
      this.colours.shirt,
    );
    this.belt(g, p, belly);
    this.front(g, p, ribs, belly);
  }

  belt(g, p, belly) {
    const across = sub(p.lead_hip, p.trail_hip);
    const half = unit(across).map((v) => v * 96);
    const at = between(p.pelvis, p.chest, 0.26);
    const ends = [1, -1].map((k) => this.circle([at[0] + k * half[0], at[1] + k * half[1], at[2] + k * half[2]], 21));
    this.solid(g, [[ends[0], this.circle(between(at, belly, 0.1), 24), ends[1]]], this.colours.belt);
    const ahead = this.facing(across);
    if (ahead.seen <= 0.1) return;
    const [x, y] = this.place(at.map((v, i) => v + ahead.to[i] * 104));
    const r = 15 * this.scale;
    g.fillStyle = tone(this.colours.belt, 0.62);
    g.fillRect(x - r * Math.max(0.35, ahead.seen), y - r * 0.8, 2 * r * Math.max(0.35, ahead.seen), 1.6 * r);
  }

  /** The shirt's front, where it is seen: it shows where the chest points. */
  front(g, p, ribs, belly) {
    const ahead = this.facing(sub(p.lead_shoulder, p.trail_shoulder));
    if (ahead.seen <= 0.05) return;
    const on = (q, r) => this.place(q.map((v, i) => v + ahead.to[i] * r));
    g.strokeStyle = tone(this.colours.shirt, -0.3);
    g.lineWidth = Math.max(0.8, 5 * this.scale);
    g.lineCap = 'round';
    const [top, mid, foot] = [on(between(p.neck, p.chest, 0.3), 62), on(ribs, 122), on(belly, 106)];
    g.beginPath();
    g.moveTo(top[0], top[1]);
    g.quadraticCurveTo(mid[0], mid[1], foot[0], foot[1]);
    g.stroke();
    g.lineCap = 'butt';
  }

  /** Where a pair of joints faces, level, and how much of that is seen from the camera. */
  facing(across) {
    const to = unit([-across[1], across[0], 0]);
    return { to, seen: this.view === 'face-on' ? to[1] : -to[0] };
  }

  neck(g, p) {
    const base = between(p.neck, p.chest, 0.2);
    this.solid(g, [[this.circle(base, 62), this.circle(between(p.neck, p.head, 0.62), 50)]], this.colours.skin);
  }

  head(g, p) {
    const up = unit(sub(p.head, p.neck)),
      face = unit(sub(p.nose, p.head));
    const at = (u, f, s = 0) => p.head.map((v, i) => v + up[i] * u + face[i] * f + side[i] * s);
    const side = unit(cross(up, face));
    const seen = this.place(face)[2] - this.place([0, 0, 0])[2];
    // Hair at the back; the face with jaw and nose, and the ear that is seen.
    const hair = [[this.circle(at(26, -28), 88), this.circle(at(-30, -30), 70)]];
    const front = [
      [this.circle(at(18, 14), 84), this.circle(at(-46, 36), 56)],
      [this.circle(at(0, 88), 20), this.circle(at(-16, 98), 15)],
    ];
    const ear = [1, -1].find((k) => this.place(side.map((v) => v * k))[2] - this.place([0, 0, 0])[2] > 0.25);
    if (ear) front.push([this.circle(at(2, -8, ear * 84), 21), this.circle(at(-18, -6, ear * 80), 15)]);
    if (seen >= 0) this.solid(g, hair, this.colours.hair);
    this.solid(g, front, this.colours.skin);
    if (seen < 0) this.solid(g, hair, this.colours.hair);
    if (seen > 0.2) {
      g.fillStyle = this.colours.edge;
      for (const k of [-1, 1]) {
        const [x, y] = this.place(at(8, 86, k * 34));
        g.beginPath();
        g.arc(x, y, Math.max(0.8, 8 * this.scale), 0, 7);
        g.fill();
      }
    }
    this.cap(g, at);
  }

  /** A cap, and its brim over the eyes: rows of it, each further out and narrower. */
  cap(g, at) {
    this.solid(g, [[this.circle(at(46, -22), 84), this.circle(at(40, 22), 80)]], this.colours.cap);
    const rows = [
      [84, 50],
      [103, 46],
      [122, 38],
      [140, 26],
    ].map(([out, half]) => [-1, 1].map((k) => this.circle(at(33, out, k * half), 13)));
    this.solid(g, rows, tone(this.colours.cap, -0.12));
  }

  club(g, p) {
    const a = this.place(p.grip),
      b = this.place(p.club_head),
      hold = this.place(between(p.grip, p.club_head, 0.26));
    g.lineCap = 'round';
    g.strokeStyle = this.colours.club;
    g.lineWidth = Math.max(1.6, 12 * this.scale);
    line(g, a, b);
    g.lineWidth = Math.max(2.6, 24 * this.scale);
    line(g, a, hold);
    g.lineCap = 'butt';
    const along = unit(sub(p.club_head, p.grip));
    const out = unit(cross(along, Math.abs(along[0]) > 0.9 ? [0, 1, 0] : [1, 0, 0]));
    const tip = p.club_head.map((v, i) => v + out[i] * 78 * (out[1] < 0 ? -1 : 1));
    this.solid(g, [[this.circle(p.club_head, 22), this.circle(tip, 31)]], this.colours.club);
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
