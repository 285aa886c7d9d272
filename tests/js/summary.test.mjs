import assert from 'node:assert/strict';
import test from 'node:test';

globalThis.document = { getElementById: () => null };
const { inTheWay } = await import('../../public/js/reading/summary.js');
const names = { sway: { name: 'sway' }, 'hang-back': { name: 'hanging back' } };
const sheet = (calls, more = {}) => ({
  calls,
  causes: [],
  cue: '',
  chain: [],
  drill: null,
  misses: {},
  breaks: null,
  ...more,
});

test('faults without a call are one line, with all of them', () => {
  assert.deepEqual(inTheWay(sheet({}), names, 'single'), [{ what: 'call', faults: ['sway', 'hang-back'], part: null }]);
});

test('a present fault wants its severity and a first cause; of a pair whether it became better', () => {
  const calls = { sway: { presence: 'present' }, 'hang-back': { presence: 'absent' } };
  const what = (kind) => inTheWay(sheet(calls), names, kind).map((line) => line.what);
  assert.deepEqual(what('single'), ['severity', 'cause']);
  assert.deepEqual(what('pair'), ['severity', 'trend', 'cause']);
});

test('nothing stands in the way of a complete sheet', () => {
  const calls = { sway: { presence: 'present', severity: 2 }, 'hang-back': { presence: 'cannot-tell' } };
  assert.deepEqual(inTheWay(sheet(calls, { causes: ['sway'] }), names, 'single'), []);
  const more = { causes: ['sway'], drill: { key: 'step-in' }, cue: 'one two three four five six seven eight nine' };
  assert.deepEqual(
    inTheWay(sheet(calls, more), names, 'single').map((line) => line.part),
    ['drill', 'cue'],
  );
});

test('a cause outside the feet is named, another one in words, a mark on turf has a kind, a ladder breaks', () => {
  const calls = { sway: { presence: 'absent' }, 'hang-back': { presence: 'absent', pins: [{ on: 'turf' }] } };
  const what = (more, kind = 'single') => inTheWay(sheet(calls, more), names, kind).map((line) => line.what);
  assert.deepEqual(what({}), ['turf']);
  calls['hang-back'].pins[0].turf = 'spun';
  assert.deepEqual(what({}), []);
  assert.deepEqual(what({ causes: ['not-in-the-feet'] }), ['which-outside']);
  assert.deepEqual(what({ causes: ['outside-other'] }), ['other']);
  assert.deepEqual(what({ causes: ['outside-other'], 'other-cause': 'looks up' }), []);
  assert.deepEqual(what({}, 'ladder'), ['breaks']);
  assert.deepEqual(what({ breaks: 0 }, 'ladder'), []);
});
