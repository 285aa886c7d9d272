// Both feet from above, as seen by somebody facing the golfer: toes toward the viewer. Outlines follow the
// film, pressure follows the trace; where one is not shown, only the other is drawn.
import { sole, standing } from './sole.js';
import { word } from '../words.js';

const NS = 'http://www.w3.org/2000/svg';

/** Points of the drawing to one per cent of body weight. */
const PUSH = 2.6;

/** An arrow from (x, y) by (dx, dy), its head a small barb. */
function arrow(x, y, dx, dy) {
  const l = Math.hypot(dx, dy) || 1,
    [ux, uy] = [dx / l, dy / l],
    [ex, ey] = [x + dx, y + dy],
    b = Math.min(6, l * 0.5);
  const barb = (k) => `L${(ex - ux * b - uy * b * 0.6 * k).toFixed(1)} ${(ey - uy * b + ux * b * 0.6 * k).toFixed(1)}`;
  return `M${x.toFixed(1)} ${y.toFixed(1)}L${ex.toFixed(1)} ${ey.toFixed(1)}${barb(1)}M${ex.toFixed(1)} ${ey.toFixed(1)}${barb(-1)}`;
}

export class FootMap {
  constructor(svg, evidence) {
    this.svg = svg;
    this.evidence = evidence;
    this.mirror = evidence.hand === 'left' ? -1 : 1;
    const stance = evidence.stance;
    const span = stance ? stance.lead_foot.x_mm - stance.trail_foot.x_mm : 460;
    this.scale = 150 / Math.max(330, span);
    this.shareText = {};
    for (const side of ['trail', 'lead']) {
      this[side] = this.add('path', { class: `sole ${side}` });
      this[`${side}Dot`] = this.add('circle', { class: side, 'fill-opacity': 0.35, 'stroke-width': 2 });
      const x = 130 + this.mirror * (side === 'lead' ? 78 : -78);
      this.shareText[side] = this.add('text', { class: `big ${side}`, x, y: 30, 'text-anchor': 'middle' });
      this.add('text', { x, y: 45, 'text-anchor': 'middle' }).textContent = word(`stage.script.side.${side}`);
    }
    this.path = this.add('path', { class: 'path' });
    this.net = this.add('circle', { class: 'net', r: 5.5 });
    this.arrows = {};
    for (const part of Object.keys(evidence.trace?.push ?? {}))
      this.arrows[part] = this.add('path', { class: `push ${part}` });
    if (evidence.trace?.push) {
      const x = this.mirror > 0 ? 8 : 252;
      this.add('path', { class: 'push key', d: arrow(x, 205, this.mirror * 10 * PUSH, 0) });
      this.add('text', { x, y: 222, 'text-anchor': this.mirror > 0 ? 'start' : 'end' }).textContent =
        word('stage.script.push');
    }
    this.add('text', {
      x: this.mirror > 0 ? 252 : 8,
      y: 222,
      'text-anchor': this.mirror > 0 ? 'end' : 'start',
    }).textContent = word(this.mirror > 0 ? 'stage.script.target-right' : 'stage.script.target-left');
    this.add('text', { x: 130, y: evidence.trace?.push ? 200 : 222, 'text-anchor': 'middle' }).textContent =
      word('stage.script.ball');
  }

  add(name, attributes) {
    const node = document.createElementNS(NS, name);
    for (const [k, v] of Object.entries(attributes)) node.setAttribute(k, v);
    this.svg.append(node);
    return node;
  }

  place(x, y) {
    return [130 + this.mirror * x * this.scale, 128 + y * this.scale];
  }

  /** Heel, ball and toe of a foot now: from the film where there is one, else where it stood at address. */
  foot(side, t) {
    const { motion, stance } = this.evidence;
    if (motion) {
      const i = Math.min(Math.max(Math.round((t - motion.t0) * motion.rate), 0), motion.points.pelvis[0].length - 1);
      const at = (name) => {
        const p = motion.points[`${side}_${name}`];
        return [p[0][i], p[1][i]];
      };
      return [at('heel'), at('ball'), at('toe')];
    }
    const foot = stance?.[`${side}_foot`];
    if (!foot) return null;
    return standing(foot);
  }

  draw(t) {
    const { trace } = this.evidence;
    for (const side of ['lead', 'trail']) {
      const foot = this.foot(side, t);
      this[side].setAttribute('d', foot ? sole(foot, (x, y) => this.place(x, y)) : '');
      this[`${side}Dot`].setAttribute('r', 0);
    }
    if (!trace) {
      this.net.setAttribute('r', 0);
      return;
    }
    const i = Math.min(Math.max(Math.round((t - trace.t0) * trace.rate), 0), trace.cop[0].length - 1);
    const share = trace.share?.[i] ?? null;
    for (const side of ['lead', 'trail']) {
      const part = share === null ? null : side === 'lead' ? share : 100 - share;
      // Rounded once, so that the two always add to a hundred.
      const text = share === null ? '' : `${side === 'lead' ? Math.round(share) : 100 - Math.round(share)} %`;
      // Setting a text anew, even the same, lays the drawing out again.
      if (this.shareText[side].textContent !== text) this.shareText[side].textContent = text;
      const x = trace.feet?.[side]?.[0]?.[i] ?? null,
        y = trace.feet?.[side]?.[1]?.[i] ?? null;
      if (part !== null && x !== null && y !== null) {
        const [px, py] = this.place(x, y);
        this[`${side}Dot`].setAttribute('cx', px);
        this[`${side}Dot`].setAttribute('cy', py);
        this[`${side}Dot`].setAttribute('r', 3 + Math.sqrt(part) * 1.5);
      }
    }
    const back = Math.round(0.45 * trace.rate),
      step = Math.max(1, Math.round(trace.rate / 120));
    let d = '';
    for (let k = Math.max(0, i - back); k <= i; k += step) {
      if (trace.cop[0][k] === null || trace.cop[1][k] === null) continue;
      const [px, py] = this.place(trace.cop[0][k], trace.cop[1][k]);
      d += `${d ? 'L' : 'M'}${px.toFixed(1)} ${py.toFixed(1)}`;
    }
    this.path.setAttribute('d', d);
    const [nx, ny] = this.place(trace.cop[0][i] ?? 0, trace.cop[1][i] ?? 0);
    this.net.setAttribute('cx', nx);
    this.net.setAttribute('cy', ny);
    this.net.setAttribute('r', trace.cop[0][i] === null ? 0 : 5.5);
    for (const [part, path] of Object.entries(this.arrows)) {
      const [fx, fy] = trace.push[part].map((axis) => axis[i]);
      const from =
        part === 'net'
          ? [trace.cop[0][i], trace.cop[1][i]]
          : (trace.feet?.[part]?.map((axis) => axis[i]) ?? [null, null]);
      const shown = fx !== null && fy !== null && from[0] !== null && from[1] !== null && Math.hypot(fx, fy) > 0.4;
      path.setAttribute('d', shown ? arrow(...this.place(...from), this.mirror * fx * PUSH, fy * PUSH) : '');
    }
  }
}
