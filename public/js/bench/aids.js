// Drawing aids for feet, laid over a view by pointer: a plumb line, the hips' box and the feet's outline at address,
// the angle of a foot, the height of a heel. Points are kept as parts of the picture, 0 to 1, with the time of each.
import { word } from '../words.js';

const NS = 'http://www.w3.org/2000/svg';
const MOST = 24;

/** How many points each kind wants pressed; the heel is pressed again and again. */
const POINTS = { plumb: 1, hips: 2, foot: 3, angle: 2, heel: 12 };
export const most = (kind) => POINTS[kind];

/** Angle of a foot in the picture, degrees from the horizontal, 0 to 90. */
export function angle([a, b], w, h) {
  return (Math.atan2(Math.abs((b.y - a.y) * h), Math.abs((b.x - a.x) * w)) * 180) / Math.PI;
}

/** Millimetres to the picture's width, from two drawn feet and the width of the stance; null without them. */
export function scale(aids, stance) {
  const feet = aids.filter((a) => a.kind === 'foot' && a.view === 'face-on');
  if (!stance || feet.length < 2) return null;
  const [p, q] = feet.slice(-2).map((a) => (a.points[0].x + a.points[2].x) / 2);
  return Math.abs(p - q) < 0.01 ? null : Math.abs(stance.lead_foot.x_mm - stance.trail_foot.x_mm) / Math.abs(p - q);
}

/**
 * How far a heel stands above its first mark: in cm where the picture has a scale, else in per cent of its height.
 * @returns {{cm: number} | {percent: number}}
 */
export function lift(aid, point, mmToWidth, w, h) {
  const up = aid.points[0].y - point.y;
  return mmToWidth === null || aid.view !== 'face-on' ? { percent: 100 * up } : { cm: (up * h * mmToWidth) / w / 10 };
}

export class Aids {
  /**
   * @param {import('./stage.js').Stage} stage
   * @param {HTMLSelectElement} menu
   * @param {{list: () => object[], set: (aids: object[]) => void, say: (text: string) => void, locked: boolean}} keep
   */
  constructor(stage, menu, keep) {
    Object.assign(this, { stage, menu, keep, kind: null, points: [], layers: new Map() });
    for (const canvas of stage.canvases) {
      const svg = document.createElementNS(NS, 'svg');
      svg.setAttribute('class', 'aids');
      svg.setAttribute('aria-hidden', 'true');
      canvas.after(svg);
      this.layers.set(canvas.dataset.view, svg);
      svg.addEventListener('pointerdown', (e) => this.press(e, canvas.dataset.view));
    }
    menu.addEventListener('change', () => {
      this.choose(menu.value);
      menu.value = '';
      menu.blur();
    });
    addEventListener(
      'keydown',
      (e) => {
        if (e.key === 'Escape' && this.kind) {
          this.choose('');
          e.stopPropagation();
        }
      },
      true,
    );
    stage.watch(() => this.draw());
    for (const all of stage.laid.values()) this.hook(all);
    (stage.onSwing ??= []).push(() => {
      this.hook(stage.laid.get(stage.evidence));
      this.draw();
    });
    this.draw();
  }

  /** A film says when it has painted, and where. */
  hook(views) {
    for (const view of views) if (view?.film) view.film.over = () => this.draw();
  }

  mine(view) {
    return this.keep.list().filter((a) => a.view === view && (a.swing ?? 1) === this.stage.swing + 1);
  }

  choose(what) {
    const list = this.keep.list();
    if (what === 'last' || what === 'all') {
      const mine = list.filter((a) => (a.swing ?? 1) === this.stage.swing + 1);
      const gone = what === 'all' ? mine : mine.slice(-1);
      if (gone.length) this.keep.set(list.filter((a) => !gone.includes(a)));
      what = '';
    }
    this.kind = what || null;
    this.points = [];
    this.stage.halt();
    for (const svg of this.layers.values()) svg.classList.toggle('drawing', Boolean(this.kind));
    this.keep.say(this.kind ? word('stage.script.press', { what: word(`stage.script.points.${this.kind}.0`) }) : '');
    this.draw();
  }

  said({ cm, percent }) {
    return cm === undefined
      ? word('stage.script.of-the-picture', { percent: percent.toFixed(1) })
      : `≈ ${cm.toFixed(1)} cm`;
  }

  box(view) {
    return this.stage.views.find((v) => v.view === view)?.now.box ?? null;
  }

  at(e, view) {
    const box = this.box(view),
      edge = this.layers.get(view).getBoundingClientRect();
    const part = (v) => Number(Math.min(1, Math.max(0, v)).toFixed(4));
    return (
      box && {
        x: part((e.clientX - edge.left - box.x) / box.w),
        y: part((e.clientY - edge.top - box.y) / box.h),
        t: Number(this.stage.t.toFixed(4)),
      }
    );
  }

  press(e, view) {
    if (this.keep.locked) return;
    const handle = e.target.closest('[data-handle]');
    if (handle && !this.kind) {
      this.drag(e, view, handle);
      return;
    }
    const point = this.kind && this.at(e, view);
    if (!point) return;
    e.preventDefault();
    const swing = this.stage.swing + 1,
      aid = (points) => ({ kind: this.kind, view, points, ...(swing > 1 ? { swing } : {}) });
    const list = this.keep.list();
    if (this.kind === 'heel') {
      const open = this.points.length
        ? list.findLast((a) => a.kind === 'heel' && a.view === view && (a.swing ?? 1) === swing)
        : null;
      this.points = [...(open?.points ?? []), point]
        .sort((a, b) => (open && a === open.points[0] ? -1 : b === open?.points[0] ? 1 : a.t - b.t))
        .slice(0, most('heel'));
      this.keep.set([...list.filter((a) => a !== open), aid(this.points)].slice(-MOST));
      this.keep.say(word('stage.script.press-heel-again'));
    } else {
      this.points.push(point);
      if (this.points.length === most(this.kind)) {
        this.keep.set([...list, aid(this.points)].slice(-MOST));
        this.choose('');
      } else
        this.keep.say(
          word('stage.script.press-next', { what: word(`stage.script.points.${this.kind}.${this.points.length}`) }),
        );
    }
    this.view = view;
    this.draw();
  }

  drag(e, view, handle) {
    const [i, k] = handle.dataset.handle.split(' ').map(Number);
    const aid = this.mine(view)[i],
      list = this.keep.list(),
      layer = this.layers.get(view);
    let moved = null;
    layer.setPointerCapture(e.pointerId);
    const move = (m) => {
      const p = this.at(m, view);
      moved = { ...aid, points: aid.points.map((q, n) => (n === k ? { ...p, t: q.t } : q)) };
      this.draw(moved, aid);
    };
    const up = () => {
      layer.removeEventListener('pointermove', move);
      if (moved) this.keep.set(list.map((a) => (a === aid ? moved : a)));
      this.draw();
    };
    layer.addEventListener('pointermove', move);
    layer.addEventListener('pointerup', up, { once: true });
    layer.addEventListener('pointercancel', up, { once: true });
  }

  /** Draws all aids anew; one that is being dragged stands in for the one that is kept. */
  draw(dragged = null, instead = null) {
    for (const [view, svg] of this.layers) {
      if (svg.firstChild) svg.replaceChildren();
      const box = this.box(view);
      if (!box) continue;
      const aids = this.mine(view).map((a) => (a === instead ? dragged : a));
      const drawing =
        this.kind && this.kind !== 'heel' && this.view === view && this.points.length
          ? [{ kind: this.kind, view, points: this.points, begun: true }]
          : [];
      [...aids, ...drawing].forEach((aid, i) => this.one(svg, box, aid, i, aids));
    }
  }

  one(svg, box, aid, i, all) {
    const add = (name, attributes, text) => {
      const n = document.createElementNS(NS, name);
      for (const [k, v] of Object.entries(attributes)) n.setAttribute(k, v);
      if (text) n.textContent = text;
      svg.append(n);
    };
    const at = aid.points.map((p) => [box.x + p.x * box.w, box.y + p.y * box.h]);
    const [[x, y]] = at;
    if (!aid.begun || at.length > 1) {
      if (aid.kind === 'plumb') add('line', { class: 'aid', x1: x, x2: x, y1: box.y, y2: box.y + box.h });
      if (aid.kind === 'hips' && at[1])
        add('rect', {
          class: 'aid',
          x: Math.min(x, at[1][0]),
          y: Math.min(y, at[1][1]),
          width: Math.abs(x - at[1][0]),
          height: Math.abs(y - at[1][1]),
        });
      if (aid.kind === 'foot' && at[2]) {
        const [[hx, hy], [bx, by], [tx, ty]] = at;
        add('path', { class: 'aid', d: `M${hx} ${hy}Q${bx} ${by} ${tx} ${ty}` });
        add('path', { class: 'aid sole', d: `M${hx} ${hy}L${tx} ${ty}` });
      }
      if (aid.kind === 'angle' && at[1]) {
        add('line', { class: 'aid', x1: x, y1: y, x2: at[1][0], y2: at[1][1] });
        add('line', { class: 'aid sole', x1: x, y1: y, x2: at[1][0], y2: y });
        add(
          'text',
          { x: at[1][0] + 8, y: at[1][1] - 6 },
          word('stage.script.in-the-picture', { degrees: angle(aid.points, box.w, box.h).toFixed(0) }),
        );
      }
      if (aid.kind === 'heel') {
        add('line', { class: 'aid sole', x1: x - 18, x2: x + 18, y1: y, y2: y });
        add('polyline', { class: 'aid', points: at.map((p) => p.join(',')).join(' ') });
        const near = aid.points.reduce(
          (best, p, k) =>
            k && Math.abs(p.t - this.stage.t) < Math.abs((aid.points[best]?.t ?? Infinity) - this.stage.t) ? k : best,
          0,
        );
        if (near)
          add(
            'text',
            { x: at[near][0] + 10, y: at[near][1] - 8 },
            word('stage.script.lift-at', {
              lift: this.said(lift(aid, aid.points[near], scale(all, this.stage.evidence.stance), box.w, box.h)),
              t: aid.points[near].t.toFixed(2),
            }),
          );
      }
    }
    if (!this.keep.locked)
      at.forEach(([px, py], k) =>
        add('circle', { class: 'handle', cx: px, cy: py, r: 5, ...(aid.begun ? {} : { 'data-handle': `${i} ${k}` }) }),
      );
  }
}
