import assert from 'node:assert/strict';
import test from 'node:test';
import { follow } from '../../public/js/bench/follow.js';

const a = { AD: 1, TP: 2, IM: 2.25, FI: 3 };
const b = { AD: 5, LB: 5.5, TP: 5.8, IM: 6, FI: 7 };
const near = (got, want) => got.forEach((t, i) => assert.ok(Math.abs(t - want[i]) < 1e-9, `${t} for ${want[i]}`));

test('at every station the second swing stands where the first does', () => {
  near([1, 1.5, 2, 2.25, 3, 0.5, 3.5].map(follow(a, b, 'stations')), [5, 5.4, 5.8, 6, 7, 4.5, 7.5]);
});

test('from one station on it keeps its own time', () => {
  near([1, 2.25, 3].map(follow(a, b, 'IM')), [4.75, 6, 6.75]);
});

test('without that station it starts from what both have, or as it is', () => {
  assert.equal(follow(a, {}, 'IM')(1.7), 1.7);
  assert.equal(follow({ AD: 1 }, { AD: 2, IM: 4 }, 'IM')(1.5), 2.5);
});
