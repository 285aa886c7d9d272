import assert from 'node:assert/strict';
import test from 'node:test';
import { KeyMap, READING, STAGE } from '../../public/js/keys.js';

const called = { ArrowLeft: '←', ' ': 'space', PageDown: 'page down' };
const named = (k) => called[k] ?? `keys.names.${k}`;
const all = { ...READING, ...STAGE };

test('a key does what it is set to, whatever the case of its letter', () => {
  const map = new KeyMap(all, { absent: '8' });
  const press = (key, shift = false) => map.action({ key, shiftKey: shift });
  assert.deepEqual(
    [press('p'), press('P'), press('8'), press('a'), press(' '), press('ArrowRight'), press('ArrowRight', true)],
    ['present', 'present', 'absent', null, 'play', 'frame-on', 'station-on'],
  );
});

test('a key that is taken stays with who has it, and a change can be taken back', () => {
  const map = new KeyMap(all, { absent: '8' });
  assert.equal(map.set('absent', 'p'), 'present');
  assert.equal(map.keys.absent, '8');
  assert.equal(map.set('absent', '9'), null);
  assert.deepEqual(map.changed(), { absent: '9' });
  map.reset();
  assert.deepEqual(map.changed(), {});
});

test('no key does two things, and each has a word', () => {
  const keys = Object.values(all);
  assert.deepEqual(keys, [...new Set(keys)]);
  assert.deepEqual(
    ['Shift+ArrowLeft', ' ', 'a', 'PageDown', '+'].map((key) => KeyMap.words(key, named)),
    ['shift ←', 'space', 'A', 'page down', '+'],
  );
});
