// Feet from above: where heel, ball and toe of a foot are, and the outline of its sole around them.

/**
 * Heel, ball and toe of a foot as it stands in a stance, mm.
 * @param {{x_mm: number, y_mm: number, length_mm: number, flare_deg: ?number}} foot
 * @returns {number[][]}
 */
export function standing(foot) {
  const a = ((foot.flare_deg ?? 0) * Math.PI) / 180;
  const along = (k) => [foot.x_mm + Math.sin(a) * foot.length_mm * k, foot.y_mm + Math.cos(a) * foot.length_mm * k];
  return [along(-0.5), along(0.22), along(0.5)];
}

/**
 * A sole around heel, ball and toe: broad at the ball, narrow at the heel.
 * @param {number[][]} foot heel, ball and toe
 * @param {(x: number, y: number) => number[]} place where a point of the ground is drawn
 * @returns {string} an SVG path
 */
export function sole([heel, ball, toe], place) {
  const d = [toe[0] - heel[0], toe[1] - heel[1]];
  const l = Math.hypot(...d) || 1;
  const u = [d[0] / l, d[1] / l];
  const n = [-u[1], u[0]];
  const at = (p, along, out) => {
    const [x, y] = place(p[0] + u[0] * along + n[0] * out, p[1] + u[1] * along + n[1] * out);
    return `${x.toFixed(1)} ${y.toFixed(1)}`;
  };
  const w = 0.18 * Math.max(l, 180);
  return [
    `M${at(heel, -6, 0)}`,
    `C${at(heel, -8, w * 0.7)} ${at(heel, 40, w * 0.75)} ${at(heel, l * 0.42, w * 0.62)}`,
    `S${at(ball, -10, w)} ${at(ball, 10, w)}`,
    `S${at(toe, 4, w * 0.55)} ${at(toe, 6, 0)}`,
    `S${at(ball, 18, -w)} ${at(ball, 0, -w * 0.98)}`,
    `S${at(heel, l * 0.52, -w * 0.66)} ${at(heel, l * 0.36, -w * 0.66)}`,
    `S${at(heel, -8, -w * 0.7)} ${at(heel, -6, 0)}Z`,
  ].join('');
}
