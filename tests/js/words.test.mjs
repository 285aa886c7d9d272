import assert from 'node:assert/strict';
import test from 'node:test';
import { speaker } from '../../public/js/words.js';

const say = speaker({
  keys: { taken: 'That key is taken: :by.' },
  open: { calls: 'One call to make|:count calls to make' },
});

test('values stand where the line has their names', () => {
  assert.equal(say('keys.taken', { by: 'present' }), 'That key is taken: present.');
  assert.equal(say('keys.taken'), 'That key is taken: :by.');
});

test('a number chooses between one and many', () => {
  assert.equal(say('open.calls', { count: 1 }), 'One call to make');
  assert.equal(say('open.calls', { count: 7 }), '7 calls to make');
});

test('what has no line shows its path, so that it is missed', () => {
  assert.equal(say('keys.nothing'), 'keys.nothing');
  assert.equal(say('keys'), 'keys');
});
