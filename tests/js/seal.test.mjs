import assert from 'node:assert/strict';
import test from 'node:test';

import { Seal } from '../../public/js/reading/seal.js';

const key = (letter) => btoa(letter.repeat(32));

test('what is sealed is opened by its key and by no other', async () => {
  const text = JSON.stringify({ target: 'call:sway', value: { presence: 'present' }, words: 'über – \u{1F3CC}' });
  const sealed = await new Seal([key('a')]).close(text);
  assert.doesNotMatch(sealed, /sway|present/);
  assert.equal(await new Seal([key('a')]).open(sealed), text);
  assert.equal(await new Seal([key('b')]).open(sealed), null);
});

test('a key of before still opens, and seals nothing', async () => {
  const old = await new Seal([key('a')]).close('x');
  const now = new Seal([key('b'), key('a')]);
  assert.equal(await now.open(old), 'x');
  assert.equal(await new Seal([key('a')]).open(await now.close('y')), null);
});

test('the same twice is not the same to look at, and what was changed opens nothing', async () => {
  const seal = new Seal([key('a')]);
  const [one, two] = [await seal.close('x'), await seal.close('x')];
  assert.notEqual(one, two);
  const at = one.length - 3;
  const changed = `${one.slice(0, at)}${one[at] === 'A' ? 'B' : 'A'}${one.slice(at + 1)}`;
  for (const spoilt of [changed, 's1:', 's1:x', 's1::', '', 'nothing', 's1:AAAA:AAAA'])
    assert.equal(await seal.open(spoilt), null, spoilt);
});

test('what an earlier release kept open is read', async () => {
  assert.equal(await new Seal([key('a')]).open('{"id":"c-1"}'), '{"id":"c-1"}');
});
