import assert from 'node:assert/strict';
import test from 'node:test';
import { lanesOf } from '../../public/js/debrief/lanes.js';

const pins = [{ on: 'film', t: 1.2 }, { on: 'trace', t: 1.3, swing: 2, reason: 'late' }, { on: 'ball' }];
const said = {
  people: [
    { letter: 'A', name: 'Ann', marks: { TP: 1.5, IM: 1.9 } },
    { letter: 'B', name: 'Ben', marks: {} },
  ],
  faults: {
    sway: {
      calls: [
        { letter: 'A', presence: 'present', onset: 'LB', pins },
        { letter: 'B', presence: 'absent', onset: null, pins: [] },
      ],
    },
  },
};
const ann = { letter: 'A', name: 'Ann' };

test('a lane holds the pins of the swing on show', () => {
  assert.deepEqual(lanesOf(said, 'sway', 1), [{ ...ann, onset: 'LB', at: [{ t: 1.2, on: 'film', reason: '' }] }]);
  assert.deepEqual(lanesOf(said, 'sway', 2), [{ ...ann, onset: 'LB', at: [{ t: 1.3, on: 'trace', reason: 'late' }] }]);
});

test('the station marks have lanes of their own', () => {
  const at = [
    { t: 1.5, on: 'mark', reason: 'TP' },
    { t: 1.9, on: 'mark', reason: 'IM' },
  ];
  assert.deepEqual(lanesOf(said, 'times', 1), [{ ...ann, onset: null, at }]);
  assert.deepEqual(lanesOf(said, 'nothing', 1), []);
});
