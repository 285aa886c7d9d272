// The reading sheet: one fault current at a time, every call by keyboard, each change kept and sent.
import { Aids } from '../bench/aids.js';
import { openStage } from '../bench/stage.js';
import { KeyMap, READING, STAGE, keyDialog } from '../keys.js';
import { Activity } from './activity.js';
import { CasePart } from './case.js';
import { faultRows } from './controls.js';
import { keepOffline } from './offline.js';
import { PinList } from './pins.js';
import { ChangeQueue } from './queue.js';
import { Seal } from './seal.js';
import { refusal } from './refusal.js';
import { apply, copy, present, valueAt } from './sheet.js';
import { Summary, WORDS } from './summary.js';
import { Walk } from './walk.js';
import { word } from '../words.js';

const root = document.querySelector('[data-reading]');
const locked = root.hasAttribute('data-locked');
const find = (selector, within = root) => within.querySelector(selector);
const rows = faultRows(root);
const askSheet = () =>
  fetch(root.dataset.sheetUrl, { headers: { Accept: 'application/json' }, cache: 'no-store' })
    .then((a) => (a.ok ? a.json() : null))
    .catch(() => null);
const opening = openStage(root);
opening.catch(() => {});
const given = await askSheet();
if (!given) {
  // Said, and no more is done: the page may only be on its way out.
  find('[data-saved]').textContent = word('sheet.not-fetched');
  await new Promise(() => {});
}

const page = {
  root,
  locked,
  names: JSON.parse(document.getElementById('faults').textContent),
  rows,
  sheet: copy(given),
  current: 0,
  opened: null,
  stage: () => page.opened,
  say: (text) => {
    find('[data-announce]').textContent = text;
  },
  set: (target, value) => change([[target, value]]),
  go,
  show,
  /** Sends the time that was counted so far. */
  spent: () => activity.flush(),
  /** To a fault on its own, or to a part of the case as a whole, from wherever somebody is. */
  reach: (fault) =>
    go(
      page.rows.findIndex((row) => row.dataset.fault === fault),
      true,
    ),
  whole: (of) => {
    if (of === 'cause') walk.to('case');
    else if (of === 'other' || of === 'breaks') part.reach(`[data-${of}]`);
    else actions[of]();
  },
  toCase: () => walk.way === 'stations' && walk.to('case', true),
  named: (key) => part.name(key),
  key: () => page.rows[page.current].dataset.fault,
  call: (k = page.key()) => page.sheet.calls[k],
};
const undo = [];
const queue = new ChangeQueue(
  {
    id: root.dataset.id,
    url: root.dataset.save,
    version: given.version,
    token: given.token,
    renew: async () => (await askSheet())?.token ?? null,
    seal: new Seal(given.keys),
  },
  {
    state: (state, text) => {
      const line = find('[data-saved]');
      line.dataset.state = state;
      line.textContent = text;
    },
    sheet: (sheet) => {
      lay(sheet);
      show();
    },
    refused: (list) => refuse(list),
  },
);

/** The server's sheet with what is still on its way laid over it. */
function lay(sheet) {
  for (const key of Object.keys(page.sheet)) delete page.sheet[key];
  Object.assign(page.sheet, copy(sheet));
  for (const [, c] of queue.pending()) apply(page.sheet, c.target, c.value);
}

/** Every change passes here: remembered for undo, shown, kept, sent. */
function change(edits, remember = true) {
  if (locked || queue.locked) return;
  if (remember) {
    undo.push(edits.map(([target]) => [target, copy(valueAt(page.sheet, target))]));
    if (undo.length > 200) undo.shift();
  }
  for (const [target, value] of edits) {
    apply(page.sheet, target, copy(value));
    queue.add(target, copy(value));
  }
  show();
}

function refuse(list) {
  if (!list.some((r) => r.conflict)) find('[data-saved]').dataset.state = 'refused';
  const put = (r) => change([[r.target, r.value]]);
  find('[data-conflicts]').append(...list.map((r) => refusal(r, page.names, put)));
  show();
}

function setPresence(presence) {
  const index = page.current,
    key = page.key(),
    before = page.call() ?? {};
  const next = { presence, pins: before.pins ?? [] };
  if (presence !== 'cannot-tell') next.confidence = before.confidence ?? 75;
  if (presence === 'present') {
    Object.assign(next, { onset: before.onset ?? page.names[key].station, decision: before.decision ?? 'now' });
    for (const field of ['severity', 'trend', 'reaction']) if (before[field]) next[field] = before[field];
  }
  if (presence === 'absent' && before.sound) next.sound = true;
  const edits = [[`call:${key}`, next]];
  if (presence !== 'present') {
    if (page.sheet.causes.includes(key)) edits.push(['causes', page.sheet.causes.filter((c) => c !== key)]);
    if (page.sheet.chain.some((link) => link.includes(key)))
      edits.push(['chain', page.sheet.chain.filter((link) => !link.includes(key))]);
  }
  change(edits);
  page.say(`${page.names[key].name}: ${WORDS[presence]}`);
  if (presence !== 'present') walk.after(index);
}

/** Everything of this station that has no call yet is absent, as one change that undo takes back. */
function restAbsent() {
  const at = page.rows[page.current].dataset.at;
  const rest = page.rows.filter((row) => row.dataset.at === at && !page.call(row.dataset.fault));
  if (!rest.length) {
    page.say(word('sheet.rest-none'));
    return;
  }
  change(rest.map((row) => [`call:${row.dataset.fault}`, { presence: 'absent', pins: [], confidence: 75 }]));
  walk.after(page.rows.findLastIndex((row) => row.dataset.at === at));
  page.say(word('sheet.rest-absent', { count: rest.length }));
}

const alter = (fields) => {
  if (page.call()) change([[`call:${page.key()}`, { ...page.call(), ...fields }]]);
};
const set = (field, value) => page.call()?.presence === 'present' && alter({ [field]: value });
const keep = (sound) => {
  if (page.call()?.presence !== 'absent') return;
  alter({ sound });
  page.say(word(sound ? 'sheet.is-sound' : 'sheet.not-sound', { fault: page.names[page.key()].name }));
};
const turn = (field, list) => set(field, list[(list.indexOf(page.call()?.[field]) + 1) % list.length]);
const sure = (by) =>
  page.call()?.confidence !== undefined &&
  alter({ confidence: Math.min(100, Math.max(50, page.call().confidence + by)) });

function back() {
  const edits = undo.pop();
  if (!edits) return;
  change(edits, false);
  page.say('undone');
}

function go(to, withFilm = false) {
  const hidden = (i) => walk.way === 'stations' && page.rows[i].dataset.at !== walk.at;
  page.current = Math.min(Math.max(to, 0), page.rows.length - 1);
  walk.follow(page.current);
  if (hidden(page.current)) walk.show();
  show();
  if (withFilm) page.rows[page.current].scrollIntoView({ block: 'nearest' });
  if (withFilm && page.opened && !page.opened.playing) page.opened.goTo(page.names[page.key()].station);
}

function show() {
  page.rows.forEach((row, i) => {
    const c = page.call(row.dataset.fault);
    row.classList.toggle('current', i === page.current);
    row.classList.toggle('linking', part.from === row.dataset.fault);
    for (const input of row.querySelectorAll('input[type=radio]'))
      input.checked = String(c?.[input.dataset.set] ?? '') === input.value;
    for (const some of row.querySelectorAll('[data-when]'))
      some.hidden = {
        present: c?.presence !== 'present',
        absent: c?.presence !== 'absent',
        called: c?.confidence === undefined,
        any: !c,
      }[some.dataset.when];
    const summary = find('[data-summary]', row);
    summary.replaceChildren();
    if (c)
      summary.append(
        Object.assign(document.createElement('span'), {
          className: `call ${c.presence}`,
          textContent:
            WORDS[c.presence] +
            (c.severity ? ` ${c.severity}` : '') +
            (c.trend ? `, ${c.trend}` : '') +
            (c.sound ? `, ${word('sheet.sound')}` : '') +
            (c.confidence ? ` · ${c.confidence} %` : ''),
        }),
      );
    find('[data-onset]', row).textContent = c?.onset ?? '–';
    find('[data-confidence]', row).textContent = c?.confidence ? `${c.confidence} %` : '–';
    find('[data-reaction]', row).value = c?.reaction ?? '';
    find('[data-sound]', row).checked = c?.sound === true;
    find('[data-cause]', row).checked = page.sheet.causes.includes(row.dataset.fault);
  });
  find('[data-count]').textContent = Object.keys(page.sheet.calls).length;
  pins.show();
  part.show();
  walk.show();
  page.aids?.draw();
  page.opened?.ribbon.showPins(
    (page.call()?.pins ?? []).filter((p) => p.t !== undefined && (p.swing ?? 1) === page.opened.swing + 1),
  );
}

const part = new CasePart(root, page);
const pins = new PinList(page, alter);
const walk = new Walk(root, page);
const summary = new Summary(page, queue);
// Once it is handed in, the time that is still counted would come to a sheet that is locked.
let leaving = false;
find('[data-hand-in]')?.addEventListener('submit', () => {
  leaving = true;
});
const activity = new Activity(
  (ms) => {
    if (!locked && !leaving) queue.add('time', ms);
  },
  () => page.opened?.playing,
);
const helpBox = find('[data-help-box]');
const map = new KeyMap({ ...READING, ...STAGE }, JSON.parse(document.getElementById('keys').textContent));
const keyList = keyDialog(helpBox, map, root.dataset.keysUrl);
const define = () => {
  const row = page.rows[page.current],
    box = find('[data-definition]', row);
  box.hidden = !box.hidden;
  find('[data-do="define"]', row).setAttribute('aria-expanded', String(!box.hidden));
  if (!box.hidden) page.say(box.textContent.replace(/\s+/g, ' '));
};

const actions = {
  next: () => go(page.current + 1, true),
  previous: () => go(page.current - 1, true),
  present: () => setPresence('present'),
  absent: () => setPresence('absent'),
  'cannot-tell': () => setPresence('cannot-tell'),
  'rest-absent': restAbsent,
  slight: () => set('severity', 1),
  clear: () => set('severity', 2),
  dominant: () => set('severity', 3),
  less: () => sure(-5),
  more: () => sure(5),
  decision: () => turn('decision', ['now', 'later', 'leave']),
  trend: () => root.dataset.kind === 'pair' && turn('trend', ['better', 'same', 'worse']),
  onset: () => page.opened && set('onset', page.opened.station()),
  cause: () => part.cause(page.key()),
  outside: () => part.reach('[data-outside]'),
  misses: () => part.reach('[data-expect]'),
  reaction: () => page.call()?.presence === 'present' && find('[data-reaction]', page.rows[page.current]).focus(),
  sound: () => keep(!page.call()?.sound),
  link: () => part.link(page.key()),
  join: () => part.join(find('[data-link-from]').value, find('[data-link-to]').value),
  'pin-film': () => pins.add('film'),
  'pin-trace': () => pins.add('trace'),
  'pin-turf': () => pins.add('turf'),
  'pin-ball': () => pins.add('ball'),
  'pin-strike': () => pins.add('strike'),
  reason: () => pins.write(),
  unpin: () => pins.drop(),
  define,
  'mark-TP': () => part.mark('TP'),
  'mark-IM': () => part.mark('IM'),
  way: () => walk.turn(),
  'next-station': () => walk.step(1),
  'previous-station': () => walk.step(-1),
  cue: () => part.reach('[data-cue]'),
  drill: () => part.reach('[data-drill]'),
  undo: back,
  summary: () => !locked && summary.open(),
  help: () => keyList.open(),
  shut: () => {
    summary.box.close();
    helpBox.close();
  },
};

addEventListener('keydown', (e) => {
  if ((e.ctrlKey || e.metaKey) && e.key === 'z' && !e.target.matches('input:not([type=radio]):not([type=checkbox])')) {
    e.preventDefault();
    back();
    return;
  }
  if (e.ctrlKey || e.metaKey || e.altKey || document.querySelector('dialog[open]')) return;
  if (e.target.matches('input:not([type=radio]):not([type=checkbox])')) {
    if (e.key === 'Escape' || e.key === 'Enter') {
      e.preventDefault();
      e.target.blur();
    }
    return;
  }
  if (e.target.matches('select')) {
    if (e.key === 'Escape') e.target.blur();
    return;
  }
  if ((e.key === ' ' || e.key === 'Enter') && e.target.closest('button, a, input')) return;
  if (e.key === '?') {
    e.preventDefault();
    actions.help();
    return;
  }
  const action = map.action(e);
  if (!action) return;
  e.preventDefault();
  if (actions[action]) actions[action]();
  else page.opened?.do(action);
});
root.addEventListener('click', (e) => {
  const row = e.target.closest('.fault');
  if (row && !row.classList.contains('current')) go(page.rows.indexOf(row), true);
  const button = e.target.closest('[data-do]');
  if (button && !button.closest('.transport')) actions[button.dataset.do]?.();
});
root.addEventListener('change', (e) => {
  const field = e.target.dataset.set;
  if (field === 'presence') setPresence(e.target.value);
  else if (field === 'reaction') set(field, e.target.value || undefined);
  else if (field) set(field, field === 'severity' ? Number(e.target.value) : e.target.value);
  else if (e.target.matches('[data-sound]')) keep(e.target.checked);
  else if (e.target.matches('[data-cause]')) part.cause(e.target.closest('.fault').dataset.fault);
});
// Coming back to this window: what another did meanwhile is fetched.
addEventListener('visibilitychange', async () => {
  if (document.hidden || locked || queue.pending().length) return;
  const sheet = await askSheet();
  if (sheet && sheet.version > queue.version && !queue.pending().length) {
    queue.version = sheet.version;
    lay(sheet);
    show();
  }
});

await queue.open();
lay(given);
if (locked) queue.lock(root.dataset.locked);
else queue.push();
const firstOpen = page.rows.findIndex((row) => !page.sheet.calls[row.dataset.fault]);
page.current = Math.max(0, firstOpen);
walk.at = firstOpen < 0 && walk.way === 'stations' ? 'case' : page.rows[page.current].dataset.at;
show();
opening
  .then((opened) => {
    page.opened = opened;
    opened.onSwing = [
      () => {
        show();
        page.say(`swing ${opened.swings[opened.swing].name}`);
      },
    ];
    if (walk.way === 'stations' && walk.at !== 'case') opened.goTo(walk.at);
    show();
    if (opened.canvases.length)
      page.aids = new Aids(opened, find('[data-aid]') ?? document.createElement('select'), {
        list: () => page.sheet.aids,
        set: (aids) => page.set('aids', aids),
        say: page.say,
        locked,
      });
    root.dataset.ready = '';
    keepOffline(root, opened);
  })
  .catch((error) => {
    find('.films').textContent = error.message;
  });
activity.start();
