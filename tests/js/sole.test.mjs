import assert from 'node:assert/strict';
import test from 'node:test';
import { sole, standing } from '../../public/js/bench/sole.js';

const foot = { x_mm: 200, y_mm: 0, length_mm: 270 };
const numbers = (path) => path.match(/-?\d+(\.\d+)?/g).map(Number);

test('a foot stands around its place, toes forward', () => {
  const [heel, ball, toe] = standing(foot);
  assert.deepEqual(
    [heel, toe],
    [
      [200, -135],
      [200, 135],
    ],
  );
  assert.ok(ball[1] > 0 && ball[1] < 135);
});

test('flare turns the toes outward and keeps the length', () => {
  const [heel, , toe] = standing({ ...foot, flare_deg: 30 });
  assert.ok(toe[0] > heel[0]);
  assert.ok(Math.abs(Math.hypot(toe[0] - heel[0], toe[1] - heel[1]) - 270) < 1e-9);
});

test('a sole is a closed outline around its three points, broader at the ball than at the heel', () => {
  const path = sole(standing(foot), (x, y) => [x, y]);
  assert.match(path, /^M.*Z$/);
  const all = numbers(path);
  const xs = all.filter((_, i) => i % 2 === 0);
  const ys = all.filter((_, i) => i % 2 === 1);
  assert.ok(Math.min(...xs) < 200 && Math.max(...xs) > 200);
  assert.ok(Math.min(...ys) <= -135 && Math.max(...ys) >= 135);
});
