// Two swings on one clock, the first's: the second follows it, stretched between stations or in its own time from one.
import { KeyMap, STAGE } from '../keys.js';
import { follow } from './follow.js';
import { Stage, fetchEvidence } from './stage.js';
import { word } from '../words.js';

async function open(root) {
  const [first, second] = await Promise.all([fetchEvidence(root.dataset.first), fetchEvidence(root.dataset.second)]);
  // Lead and trail stay where they are seen: the second is drawn for the hand of the first.
  if (first.hand !== second.hand) Object.assign(second, { mirrored: true, hand: first.hand });
  let lock = 'stations',
    to = follow(first.stations, second.stations, lock);
  const apart = root.querySelector('[data-apart]');
  const say = () => {
    apart.textContent = lock === 'stations' ? '' : word('bench.script.meeting', { station: lock });
  };
  const sample = (t) => {
    const k = Math.round((to(t) - second.trace.t0) * second.trace.rate);
    return second.trace.share?.[k] ?? null;
  };
  const two = new Stage(root, [{ name: 'second', evidence: second }], { of: 'second' });
  const one = new Stage(root, [{ name: 'first', evidence: first }], {
    overlay: (time) => (second.trace ? time.map(sample) : null),
  });
  const keep = () => {
    two.t = Math.min(Math.max(to(one.t), second.trace.t0), second.trace.t0 + second.duration);
    two.draw();
  };
  one.watch(keep);
  keep();
  root.querySelector('[data-mode]').addEventListener('change', (e) => {
    lock = e.target.value;
    to = follow(first.stations, second.stations, lock);
    if (lock !== 'stations') one.goTo(lock);
    one.plot?.restyle();
    say();
    one.draw();
  });
  root.querySelector('[data-only-view]').addEventListener('change', (e) => {
    root.querySelector('.films').dataset.only = e.target.value;
    one.draw();
  });
  say();
  const map = new KeyMap(STAGE, JSON.parse(document.getElementById('keys').textContent));
  addEventListener('keydown', (e) => {
    if (
      e.ctrlKey ||
      e.metaKey ||
      e.altKey ||
      e.target.closest('input, textarea, select') ||
      (e.key === ' ' && e.target.closest('button, a'))
    )
      return;
    const action = map.action(e);
    if (action) {
      e.preventDefault();
      one.do(action);
      if (action === 'swap' || action === 'feet') two.do(action);
    }
  });
  root.querySelector('.transport [data-do="feet"]').addEventListener('click', () => two.do('feet'));
  Object.assign(root, { stages: [one, two] });
  root.dataset.ready = '';
}

const root = document.querySelector('[data-compare]');
if (root)
  open(root).catch((error) => {
    root.querySelector('.films').textContent = error.message;
  });
