import assert from 'node:assert/strict';
import test from 'node:test';
import { about, add, asked, at, blank, isGroup, number, put } from '../../public/js/codebook/rule.js';

const share = { key: 'top_share', stations: false, words: [] };
const sway = { key: 'pelvis_sway', stations: true, words: [] };
const style = { key: 'cop_style', stations: false, words: ['forward', 'returning'] };
const rule = ['all', ['impact_share', '<', 68], ['any', ['cop_style', 'not', 'returning'], ['lead_peak', '<', 80]]];

test('a condition begins with what its measure can be', () => {
  assert.deepEqual(blank(share), ['top_share', '<', 0]);
  assert.deepEqual(blank(sway, 'LD'), ['pelvis_sway@LD', '<', 0]);
  assert.deepEqual(blank(style), ['cop_style', 'is', 'forward']);
});

test('another measure keeps what still fits', () => {
  assert.deepEqual(about(['impact_share', '>=', 70], share), ['top_share', '>=', 70]);
  assert.deepEqual(about(['chest_sway@LD', '>', 16], sway), ['pelvis_sway@LD', '>', 16]);
  assert.deepEqual(about(['impact_share', '<', 70], style), ['cop_style', 'is', 'forward']);
  assert.deepEqual(about(['cop_style', 'not', 'returning'], share), ['top_share', '<', 0]);
  assert.deepEqual(asked(['pelvis_sway@LB', '<', 1]), { key: 'pelvis_sway', station: 'LB' });
});

test('a part is found, replaced and taken out at any depth, and the rule before stays as it was', () => {
  const before = JSON.stringify(rule);
  assert.deepEqual(at(rule, [1, 1]), ['lead_peak', '<', 80]);
  assert.deepEqual(at(rule, []), rule);
  assert.deepEqual(put(rule, [1, 1], ['lead_peak', '<', 75])[2][2], ['lead_peak', '<', 75]);
  assert.deepEqual(put(rule, [1, 0], null)[2], ['any', ['lead_peak', '<', 80]]);
  assert.deepEqual(put(rule, [], null), null);
  assert.equal(JSON.stringify(rule), before);
});

test('a group that is left with nothing goes, and a rule that is left with nothing is none', () => {
  const one = put(put(rule, [1, 0], null), [1, 0], null);
  assert.deepEqual(one, ['all', ['impact_share', '<', 68]]);
  assert.equal(put(one, [0], null), null);
});

test('a condition beside a lone one makes a group of two; into a group it goes last', () => {
  assert.deepEqual(add(['lead_peak', '<', 80], [], blank(share)), ['all', ['lead_peak', '<', 80], blank(share)]);
  assert.deepEqual(add(rule, [1], blank(share))[2][3], blank(share));
  assert.ok(isGroup(add(rule, [0], blank(share))[1]));
});

test('a number is read as people write it, and what is none is none', () => {
  const of = (text) => number(text);
  assert.deepEqual(['74', ' -4.5', '−12', '2,5', '1e2'].map(of), [74, -4.5, -12, 2.5, 100]);
  assert.deepEqual(['', ' ', 'x', '7x', '--1', 'Infinity', '1e999', 'NaN'].map(of), Array(8).fill(null));
});
