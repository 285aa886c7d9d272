import assert from 'node:assert/strict';
import test from 'node:test';
import { apply, circles, layers, valueAt } from '../../public/js/reading/sheet.js';

test('a chain is laid out causes first', () => {
  const links = [
    ['a', 'c'],
    ['b', 'c'],
    ['c', 'd'],
  ];
  assert.deepEqual(layers(links), [['a', 'b'], ['c'], ['d']]);
});

test('a link that would close a circle is known', () => {
  const links = [
    ['a', 'b'],
    ['b', 'c'],
  ];
  assert.equal(circles(links, 'c', 'a'), true);
  assert.equal(circles([['a', 'b']], 'a', 'c'), false);
});

test('changes are laid over a sheet, and a call is taken back by null', () => {
  const sheet = { calls: {}, marks: {}, causes: [], cue: '' };
  apply(sheet, 'call:sway', { presence: 'absent' });
  apply(sheet, 'mark:TP', 1.5);
  apply(sheet, 'cue', 'x');
  apply(sheet, 'time', 5);
  apply(sheet, 'call:sway', null);
  assert.deepEqual(sheet, { calls: {}, marks: { TP: 1.5 }, causes: [], cue: 'x' });
  assert.equal(valueAt(sheet, 'mark:TP'), 1.5);
  assert.equal(valueAt(sheet, 'call:sway'), null);
});
