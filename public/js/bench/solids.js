// Round solids as they look from one side: shapes between circles, drawn together as one body with one edge.

/** @typedef {[number, number, number]} Circle a place on the screen and a radius, px */

/** The outline of what lies between two circles: their common tangents and the arcs that are left. */
export function capsule(g, [ax, ay, ar], [bx, by, br]) {
  const d = Math.hypot(bx - ax, by - ay);
  if (d <= Math.abs(ar - br)) {
    const [x, y, r] = ar >= br ? [ax, ay, ar] : [bx, by, br];
    g.moveTo(x + r, y);
    g.arc(x, y, r, 0, 2 * Math.PI);
    return;
  }
  const along = Math.atan2(by - ay, bx - ax);
  const lean = Math.acos((ar - br) / d);
  g.moveTo(ax + ar * Math.cos(along + lean), ay + ar * Math.sin(along + lean));
  g.arc(ax, ay, ar, along + lean, along - lean + 2 * Math.PI);
  g.arc(bx, by, br, along - lean, along + lean);
  g.closePath();
}

/**
 * One body of several shapes: its edge runs around all of them, and none within.
 * @param {CanvasRenderingContext2D} g
 * @param {Circle[][]} chains circles joined one to the next
 * @param {{fill: string, edge: string, width: number, dash?: number[]}} look
 */
export function body(g, chains, { fill, edge, width, dash = [] }) {
  if (dash.length) {
    outline(g, chains, 0);
    g.lineJoin = 'round';
    g.strokeStyle = edge;
    g.lineWidth = 2 * width;
    g.setLineDash(dash);
    g.stroke();
    g.setLineDash([]);
  } else {
    // A whole edge is the same body, larger: filling is cheaper than following the outline.
    outline(g, chains, width);
    g.fillStyle = edge;
    g.fill('nonzero');
    outline(g, chains, 0);
  }
  g.fillStyle = lit(g, chains, fill);
  g.fill('nonzero');
}

function outline(g, chains, wider) {
  const at = ([x, y, r]) => [x, y, r + wider];
  g.beginPath();
  for (const chain of chains) {
    if (chain.length === 1) capsule(g, at(chain[0]), at(chain[0]));
    for (let i = 1; i < chain.length; i++) capsule(g, at(chain[i - 1]), at(chain[i]));
  }
}

/** Light from above and the left, over the whole of a body. */
function lit(g, chains, fill) {
  let [left, top, right, foot] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const chain of chains)
    for (const [x, y, r] of chain) {
      left = Math.min(left, x - r);
      right = Math.max(right, x + r);
      top = Math.min(top, y - r);
      foot = Math.max(foot, y + r);
    }
  // What is small on the screen shows no light: one colour does.
  if (Math.max(right - left, foot - top) < 40) return fill;
  const middle = (top + foot) / 2;
  const reach = Math.max(8, Math.min(right - left, foot - top)) / 2;
  const shade = g.createLinearGradient(left, middle - reach * 0.5, right, middle + reach * 0.5);
  shade.addColorStop(0, tone(fill, 0.18));
  shade.addColorStop(0.45, fill);
  shade.addColorStop(1, tone(fill, -0.28));
  return shade;
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
const kept = new Map();
const once = (key, make) => {
  if (!kept.has(key)) kept.set(key, make());
  return kept.get(key);
};

/** A colour made lighter (by > 0) or darker. */
export const tone = (colour, by) =>
  once(`${colour} ${by}`, () => hex(rgb(colour).map((v) => (by > 0 ? v + (255 - v) * by : v * (1 + by)))));

/** A colour between two, dimmed. */
export const mix = (a, b, f, dim = 1) =>
  once(`${a} ${b} ${f} ${dim}`, () => hex(rgb(a).map((v, i) => (v + f * (rgb(b)[i] - v)) * dim)));
