import assert from 'node:assert/strict';
import test from 'node:test';
import { apply, circles, isOutside, layers, noMiss, outside, valueAt } from '../../public/js/reading/sheet.js';

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

test('what lies outside the feet is known wherever it is named', () => {
  const calls = { sway: { presence: 'present', reaction: 'outside-fear' }, slide: { presence: 'absent' } };
  const chain = [['outside-grip', 'sway']];
  assert.deepEqual(outside({ calls, chain, causes: ['sway', 'outside-fear'] }), ['outside-fear', 'outside-grip']);
  assert.equal(isOutside('not-in-the-feet'), true);
  assert.equal(isOutside('sway'), false);
  assert.equal(noMiss({ fat: 50, thin: 20 }), 30);
  assert.equal(noMiss({}), 100);
});
