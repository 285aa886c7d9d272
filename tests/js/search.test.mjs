import assert from 'node:assert/strict';
import test from 'node:test';
import { beside } from '../../public/js/search.js';

test('the arrows go from the field through what was found and back, and no further', () => {
  assert.equal(beside(-1, 3, 1), 0);
  assert.equal(beside(2, 3, 1), 2);
  assert.equal(beside(0, 3, -1), -1);
  assert.equal(beside(-1, 3, -1), -1);
  assert.equal(beside(-1, 0, 1), -1);
});
