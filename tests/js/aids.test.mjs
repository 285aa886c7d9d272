import assert from 'node:assert/strict';
import test from 'node:test';
import { angle, lift, scale } from '../../public/js/bench/aids.js';

const p = (x, y) => ({ x, y, t: 1 });
const foot = (x) => ({ kind: 'foot', view: 'face-on', points: [p(x, 0.9), p(x, 0.92), p(x, 0.95)] });
const stance = { lead_foot: { x_mm: 250 }, trail_foot: { x_mm: -250 } };
const near = (got, want, within) => assert.ok(Math.abs(got - want) < within, `${got} for ${want}`);

test('an angle is measured in the picture, whatever its sides', () => {
  near(angle([p(0.1, 0.5), p(0.2, 0.6)], 100, 100), 45, 1e-9);
  near(angle([p(0.1, 0.5), p(0.2, 0.6)], 200, 100), 26.565, 1e-3);
});

test('two feet and a stance give a scale; one foot, or no stance, gives none', () => {
  near(scale([foot(0.4), foot(0.6)], stance), 2500, 1e-6);
  assert.equal(scale([foot(0.4)], stance), null);
  assert.equal(scale([foot(0.4), foot(0.6)], null), null);
});

test('a heel is lifted by centimetres with a scale, by a part of the picture without', () => {
  const heel = { kind: 'heel', view: 'face-on', points: [p(0.4, 0.9), p(0.4, 0.8)] };
  near(lift(heel, heel.points[1], 2500, 500, 500).cm, 25, 1e-9);
  near(lift(heel, heel.points[1], null, 500, 500).percent, 10, 1e-9);
});
