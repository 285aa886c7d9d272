// The same simulated golfer without and with a fault, side by side at the station where it shows: figure, feet from
// above and the curve a rule decides by. Fetched when it comes into sight; the slider moves both.
import { Figure } from '../bench/figure.js';
import { FootMap } from '../bench/foot-map.js';
import { word } from '../words.js';

const NS = 'http://www.w3.org/2000/svg';
const [WIDTH, HEIGHT, LEFT, FOOT] = [560, 150, 40, 128];

const fetched = new Map();
const get = (url) => {
  if (!fetched.has(url))
    fetched.set(
      url,
      fetch(url).then((r) => (r.ok ? r.json() : Promise.reject(new Error(url)))),
    );
  return fetched.get(url);
};

function add(svg, name, attributes, text) {
  const node = document.createElementNS(NS, name);
  for (const [k, v] of Object.entries(attributes)) node.setAttribute(k, v);
  if (text !== undefined) node.textContent = text;
  svg.append(node);
  return node;
}

/** Both curves in one frame, with the threshold; returns what moves its time line. */
function drawCurve(svg, look, stations) {
  const { curve } = look;
  const values = [...curve.without, ...curve.with, curve.level].filter((v) => v !== null);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const pad = 0.08 * (high - low || 1);
  const last = (curve.with.length - 1) / look.curve_rate;
  const x = (t) => LEFT + (t / last) * (WIDTH - LEFT - 8);
  const y = (v) => FOOT - ((v - low + pad) / (high - low + 2 * pad)) * (FOOT - 10);
  for (const v of [low, high]) add(svg, 'text', { x: LEFT - 5, y: y(v) + 4, class: 'level' }, `${Math.round(v)}`);
  let edge = -Infinity;
  for (const [code, t] of Object.entries(stations)) {
    if (x(t) - edge < 20) continue;
    edge = x(t);
    add(svg, 'text', { x: edge, y: HEIGHT - 6, class: 'station' }, code);
    add(svg, 'path', { d: `M${edge} ${FOOT}v4`, class: 'tick' });
  }
  if (curve.level !== null) add(svg, 'path', { d: `M${LEFT} ${y(curve.level)}H${WIDTH - 8}`, class: 'threshold' });
  if (curve.moment !== null) add(svg, 'path', { d: `M${x(curve.moment)} 8V${FOOT}`, class: 'threshold' });
  for (const golfer of ['without', 'with']) {
    let d = '';
    curve[golfer].forEach((v, i) => {
      if (v !== null) d += `${d ? 'L' : 'M'}${x(i / look.curve_rate).toFixed(1)} ${y(v).toFixed(1)}`;
    });
    add(svg, 'path', { d, class: golfer });
  }
  const now = add(svg, 'path', { d: `M0 8V${FOOT}`, class: 'now' });
  return (t) => now.setAttribute('transform', `translate(${x(Math.min(t, last)).toFixed(1)} 0)`);
}

const evidence = (seen, stance, rate) => ({
  hand: 'right',
  stance: { lead_foot: stance.lead, trail_foot: stance.trail },
  motion: { rate, t0: 0, points: seen.points, hand: 'right', ball: null },
  trace: { rate, t0: 0, share: seen.share, cop: seen.cop, feet: seen.feet },
});

async function show(box) {
  const [plain, look] = await Promise.all([get(box.dataset.without), get(box.dataset.look)]);
  const of = (name) => evidence(name === 'with' ? look.with : plain, plain.stance, look.rate);
  const parts = ['without', 'with'].map((name) => ({
    seen: name === 'with' ? look.with : plain,
    figure: new Figure(box.querySelector(`canvas[data-golfer=${name}]`), of(name).motion, look.view),
    feet: new FootMap(box.querySelector(`svg[data-golfer=${name}]`), of(name)),
  }));
  // One scale for both, or the taller picture would make the smaller golfer.
  const reach = parts.map((p) => p.figure.reach);
  const both = {
    low: Math.min(...reach.map((r) => r.low)),
    high: Math.max(...reach.map((r) => r.high)),
    top: Math.max(...reach.map((r) => r.top)),
  };
  for (const p of parts) p.figure.reach = both;
  const chart = box.querySelector('svg[data-curve]');
  const line = look.curve ? drawCurve(chart, look, look.with.stations) : null;
  box.querySelector('[data-curve-name]').textContent = look.curve
    ? word('codebook.look.curve', { curve: look.curve.says, unit: look.curve.unit })
    : word('codebook.look.no-curve');
  chart.toggleAttribute('hidden', look.curve === null);
  const slider = box.querySelector('input[type=range]');
  const last = (look.with.share.length - 1) / look.rate;
  slider.max = last.toFixed(2);
  const at = (t) => {
    for (const p of parts) {
      // Each at the same station: one may come to it a little later.
      const own = t + (p.seen.stations[look.station] - look.with.stations[look.station]);
      p.figure.draw(own);
      p.feet.draw(own);
    }
    line?.(t);
  };
  const start = look.with.stations[look.station];
  // The station itself is a step of the slider.
  slider.min = (start % Number(slider.step)).toFixed(3);
  slider.value = start.toFixed(3);
  slider.addEventListener('input', () => at(Number(slider.value)));
  box.querySelector('[data-back]').addEventListener('click', () => {
    slider.value = start.toFixed(3);
    at(Number(slider.value));
  });
  new ResizeObserver(() => at(Number(slider.value))).observe(box);
  new MutationObserver(() => at(Number(slider.value))).observe(document.documentElement, {
    attributeFilter: ['data-theme'],
  });
  at(Number(slider.value));
  box.dataset.shown = '';
}

const observer = new IntersectionObserver(
  (entries) => {
    for (const { target, isIntersecting } of entries) {
      if (!isIntersecting) continue;
      observer.unobserve(target);
      show(target).catch(() => {
        target.querySelector('[data-failed]').hidden = false;
      });
    }
  },
  { rootMargin: '200px' },
);
for (const box of document.querySelectorAll('[data-look]')) observer.observe(box);
document.documentElement.dataset.looks = '';
