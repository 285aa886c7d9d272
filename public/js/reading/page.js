// The reading sheet: one fault current at a time, every call by keyboard, each change saved.
import { openStage } from '../bench/stage.js';
import { SheetStore } from './store.js';

const root = document.querySelector('[data-reading]');
const locked = root.hasAttribute('data-locked');
const given = await (await fetch(root.dataset.sheetUrl, { headers: { Accept: 'application/json' }, cache: 'no-store' })).json();
const names = JSON.parse(document.getElementById('faults').textContent);
const rows = [...root.querySelectorAll('.fault')];
const find = (selector, within = root) => within.querySelector(selector);
const savedLine = find('[data-saved]');
const [summaryBox, helpBox] = [find('[data-summary-box]'), find('[data-help-box]')];
const NOT_FEET = 'not-in-the-feet';
const WORDS = { present: 'present', absent: 'absent', 'cannot-tell': 'cannot tell' };

const store = new SheetStore(root.dataset.id, root.dataset.save, { ...given, calls: { ...given.calls } }, (state, text) => {
  savedLine.dataset.state = state;
  savedLine.textContent = text;
});
const sheet = store.sheet;
const undo = [];
let current = 0;
let stage = null;

const key = () => rows[current].dataset.fault;
const call = (k = key()) => sheet.calls[k];
const say = (text) => { find('[data-announce]').textContent = text; };

/** Every change passes here: remembered for undo, shown, saved. */
function change(fn) {
  if (locked) return;
  undo.push(JSON.stringify([sheet.calls, sheet.first_causes, sheet.cue]));
  fn();
  const present = Object.keys(sheet.calls).filter((k) => sheet.calls[k].presence === 'present');
  sheet.first_causes = sheet.first_causes.filter((k) => k === NOT_FEET || present.includes(k));
  show();
  store.change();
}

function setPresence(presence) {
  change(() => {
    const before = call() ?? {};
    const next = { presence, pins: before.pins ?? [] };
    if (presence !== 'cannot-tell') next.confidence = before.confidence ?? 75;
    if (presence === 'present') Object.assign(next, { severity: before.severity, onset: before.onset ?? names[key()].station, decision: before.decision ?? 'now' });
    sheet.calls[key()] = JSON.parse(JSON.stringify(next));
  });
  say(`${names[key()].name}: ${WORDS[presence]}`);
  if (presence !== 'present') go(current + 1, true);
}

const set = (field, value) => call()?.presence === 'present' && change(() => { call()[field] = value; });
function sure(by) {
  if (call()?.confidence !== undefined) change(() => { call().confidence = Math.min(100, Math.max(50, call().confidence + by)); });
}
function pin(on) {
  const t = stage && Number(stage.t.toFixed(3));
  if (t === null || !call() || find(`[data-do="pin-${on}"]`, rows[current]).disabled) return;
  change(() => { call().pins = [...(call().pins ?? []), { on, t }].slice(-6); });
}
function cause(k) {
  if (k !== NOT_FEET && call(k)?.presence !== 'present') return;
  change(() => { sheet.first_causes = sheet.first_causes.includes(k) ? sheet.first_causes.filter((c) => c !== k) : [...sheet.first_causes, k].slice(-2); });
}
function back() {
  const state = undo.pop();
  if (!state) return;
  [sheet.calls, sheet.first_causes, sheet.cue] = JSON.parse(state);
  show();
  store.change();
  say('undone');
}

function go(to, withFilm = false) {
  current = Math.min(Math.max(to, 0), rows.length - 1);
  show();
  if (withFilm) rows[current].scrollIntoView({ block: 'nearest' });
  if (withFilm && stage && !stage.playing) stage.goTo(names[key()].station);
}

function show() {
  rows.forEach((row, i) => {
    const k = row.dataset.fault;
    const c = call(k);
    row.classList.toggle('current', i === current);
    for (const input of row.querySelectorAll('input[type=radio]')) input.checked = String(c?.[input.dataset.set] ?? '') === input.value;
    for (const part of row.querySelectorAll('[data-when]')) part.hidden = part.dataset.when === 'present' ? c?.presence !== 'present' : c?.confidence === undefined;
    find('[data-summary]', row).innerHTML = '';
    if (c) {
      const badge = document.createElement('span');
      badge.className = `call ${c.presence}`;
      badge.textContent = WORDS[c.presence] + (c.severity ? ` ${c.severity}` : '') + (c.confidence ? ` · ${c.confidence} %` : '');
      find('[data-summary]', row).append(badge);
    }
    find('[data-onset]', row).textContent = c?.onset ?? '–';
    find('[data-confidence]', row).textContent = c?.confidence ? `${c.confidence} %` : '–';
    find('[data-cause]', row).checked = sheet.first_causes.includes(k);
    find('[data-pins]', row).textContent = (c?.pins ?? []).map((p) => `${p.on} ${p.t.toFixed(2)} s`).join(', ');
  });
  find('[data-count]').textContent = Object.keys(sheet.calls).length;
  find('[data-causes]').textContent = sheet.first_causes.map((k) => (k === NOT_FEET ? 'not in the feet' : names[k].name)).join(' and ') || 'none chosen';
  find('[data-not-feet]').checked = sheet.first_causes.includes(NOT_FEET);
  const cue = find('[data-cue]');
  if (cue.value !== sheet.cue) cue.value = sheet.cue;
  const words = sheet.cue.trim() ? sheet.cue.trim().split(/\s+/).length : 0;
  find('[data-words]').textContent = words > 8 ? `${words}: too many` : `${words} of 8`;
  stage?.ribbon.showPins(call()?.pins ?? []);
}

async function summary() {
  const calls = Object.entries(sheet.calls);
  const missing = Object.keys(names).filter((k) => !sheet.calls[k]);
  const bare = calls.filter(([, c]) => c.presence === 'present' && !c.severity).map(([k]) => k);
  const present = calls.filter(([, c]) => c.presence === 'present');
  const lines = [
    present.length ? `Present: ${present.map(([k, c]) => `${names[k].name}${c.severity ? ` (${c.severity})` : ''}`).join(', ')}.` : 'Nothing is called present.',
    `Absent: ${calls.filter(([, c]) => c.presence === 'absent').length}. Cannot tell: ${calls.filter(([, c]) => c.presence === 'cannot-tell').length}.`,
    `First cause: ${find('[data-causes]').textContent}.`,
  ];
  const open = [
    ...missing.map((k) => `No call yet: ${names[k].name}.`),
    ...bare.map((k) => `No severity yet: ${names[k].name}.`),
    ...(present.length && !sheet.first_causes.length ? ['No first cause yet.'] : []),
  ];
  const text = find('[data-summary-text]');
  text.replaceChildren(...[...lines, ...open].map((line, i) => { const p = document.createElement('p'); p.textContent = line; if (i >= lines.length) p.className = 'call present'; return p; }));
  const button = find('[data-hand-in-button]');
  button.disabled = true;
  summaryBox.showModal();
  const settled = await store.settled();
  button.disabled = open.length > 0 || !settled;
  if (!settled && !open.length) { const p = document.createElement('p'); p.textContent = 'Not everything has reached the server yet; it is kept here and will be sent when the network is back.'; text.append(p); }
  if (!button.disabled) button.focus();
}

const DECISIONS = ['now', 'later', 'leave'];
const actions = {
  onset: () => stage && set('onset', stage.station()), less: () => sure(-5), more: () => sure(5), 'pin-film': () => pin('film'), 'pin-trace': () => pin('trace'),
  summary, help: () => helpBox.showModal(), shut: () => { summaryBox.close(); helpBox.close(); },
};
const keys = {
  p: () => setPresence('present'), a: () => setPresence('absent'), c: () => setPresence('cannot-tell'),
  1: () => set('severity', 1), 2: () => set('severity', 2), 3: () => set('severity', 3),
  '[': actions.less, ']': actions.more, o: actions.onset, r: () => cause(key()), f: () => pin('film'), t: () => pin('trace'),
  w: () => set('decision', DECISIONS[(DECISIONS.indexOf(call()?.decision) + 1) % 3]),
  x: () => call()?.pins?.length && change(() => { call().pins = call().pins.slice(0, -1); }),
  d: () => { const more = find('[data-counter]', rows[current]); more.hidden = !more.hidden; },
  u: back, h: () => !locked && summary(), n: () => find('[data-cue]').focus(), '?': actions.help,
  ArrowDown: () => go(current + 1, true), ArrowUp: () => go(current - 1, true),
};

addEventListener('keydown', (e) => {
  if ((e.ctrlKey || e.metaKey) && e.key === 'z' && !e.target.matches('[data-cue]')) { e.preventDefault(); back(); return; }
  if (e.ctrlKey || e.metaKey || e.altKey || summaryBox.open || helpBox.open) return;
  if (e.target.matches('[data-cue]')) { if (e.key === 'Escape' || e.key === 'Enter') { e.preventDefault(); e.target.blur(); } return; }
  if (e.key === ' ' && e.target.closest('button, a, input')) return;
  const action = keys[e.key.length === 1 ? e.key.toLowerCase() : e.key];
  if (action) { e.preventDefault(); action(); } else if (stage?.key(e)) e.preventDefault();
});
root.addEventListener('click', (e) => {
  const row = e.target.closest('.fault');
  if (row && !row.classList.contains('current')) go(rows.indexOf(row), true);
  const button = e.target.closest('[data-do]');
  if (button && !button.closest('.transport')) actions[button.dataset.do]?.();
});
root.addEventListener('change', (e) => {
  const field = e.target.dataset.set;
  if (field === 'presence') setPresence(e.target.value);
  else if (field) set(field, field === 'severity' ? Number(e.target.value) : e.target.value);
  else if (e.target.matches('[data-cause]')) cause(e.target.closest('.fault').dataset.fault);
  else if (e.target.matches('[data-not-feet]')) cause(NOT_FEET);
});
find('[data-cue]').addEventListener('input', (e) => change(() => { sheet.cue = e.target.value; }));

const firstOpen = rows.findIndex((row) => !sheet.calls[row.dataset.fault]);
go(firstOpen < 0 ? 0 : firstOpen);
if (locked) savedLine.dataset.state = 'saved';
openStage(root).then((opened) => {
  stage = opened;
  show();
  root.dataset.ready = '';
}).catch((error) => { find('.films').textContent = error.message; });
