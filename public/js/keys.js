// The keyboard map: what each key does, shown by "?", changed by the person and kept with the account.
import { word } from './words.js';

/** Keys for time, which every page with a swing has: what each does, by the key it has until somebody changes it. */
export const STAGE = {
  play: ' ',
  'frame-back': 'ArrowLeft',
  'frame-on': 'ArrowRight',
  'sample-back': ',',
  'sample-on': '.',
  'station-back': 'Shift+ArrowLeft',
  'station-on': 'Shift+ArrowRight',
  speed: 's',
  loop: 'l',
  swap: 'g',
  first: 'Home',
  last: 'End',
  swing: '\\',
  feet: '=',
};

export const READING = {
  next: 'ArrowDown',
  previous: 'ArrowUp',
  'next-station': 'PageDown',
  'previous-station': 'PageUp',
  way: 'v',
  define: 'd',
  present: 'p',
  absent: 'a',
  'cannot-tell': 'c',
  'rest-absent': ';',
  slight: '1',
  clear: '2',
  dominant: '3',
  less: '[',
  more: ']',
  decision: 'w',
  onset: 'o',
  trend: 'q',
  undo: 'u',
  'pin-film': 'f',
  'pin-trace': 't',
  'pin-turf': 'm',
  'pin-ball': 'j',
  'pin-strike': 'z',
  reason: 'e',
  unpin: 'x',
  'mark-TP': 'k',
  'mark-IM': 'i',
  cause: 'r',
  reaction: '4',
  sound: '5',
  misses: '6',
  outside: '0',
  link: 'b',
  cue: 'n',
  drill: 'y',
  summary: 'h',
};

export const PRACTICE = {
  'answer-1': '1',
  'answer-2': '2',
  'answer-3': '3',
  'answer-4': '4',
  'mark-moment': 'm',
  present: 'p',
  absent: 'a',
  'cannot-tell': 'c',
  'next-question': 'Enter',
};

/** In practice on a case asked whole. */
export const WHOLE = {
  'call-on': 'ArrowDown',
  'call-back': 'ArrowUp',
};

export const DEBRIEF = {
  'topic-on': 'ArrowDown',
  'topic-back': 'ArrowUp',
  answer: 'k',
  names: 'n',
  drawings: 'd',
  'next-case': 'PageDown',
  'previous-case': 'PageUp',
};

/** Actions by what they are for, in the order of the list. */
const GROUPS = {
  debrief: Object.keys(DEBRIEF),
  faults: ['next', 'previous', 'next-station', 'previous-station', 'way', 'define'],
  call: [
    'present',
    'absent',
    'cannot-tell',
    'rest-absent',
    'slight',
    'clear',
    'dominant',
    'less',
    'more',
    'decision',
    'onset',
    'trend',
    'reaction',
    'sound',
    'undo',
  ],
  pins: ['pin-film', 'pin-trace', 'pin-turf', 'pin-ball', 'pin-strike', 'reason', 'unpin', 'mark-TP', 'mark-IM'],
  whole: ['cause', 'outside', 'link', 'cue', 'drill', 'misses', 'summary'],
  time: [
    'play',
    'frame-back',
    'frame-on',
    'sample-back',
    'sample-on',
    'station-back',
    'station-on',
    'speed',
    'loop',
    'swap',
    'first',
    'last',
    'swing',
    'feet',
  ],
};

export class KeyMap {
  constructor(actions, changed = {}) {
    this.actions = actions;
    this.keys = Object.fromEntries(Object.entries(actions).map(([name, key]) => [name, changed[name] ?? key]));
  }

  static of(e) {
    const key = e.key.length === 1 ? e.key.toLowerCase() : e.key;
    return e.shiftKey && e.key.length > 1 ? `Shift+${key}` : key;
  }

  action(e) {
    const key = KeyMap.of(e);
    return Object.keys(this.keys).find((name) => this.keys[name] === key) ?? null;
  }

  /** A key as it is called: "shift ←", "space", "P". */
  static words(key, named = (k) => word(`keys.names.${k}`)) {
    const called = (k) => {
      const name = named(k);
      if (name !== `keys.names.${k}`) return name;
      return k.length === 1 ? k.toUpperCase() : k.toLowerCase();
    };
    return key === '+' ? key : key.split('+').map(called).join(' ');
  }

  /** Gives an action another key; the name of the action that has it already, where one has. */
  set(name, key) {
    const other = Object.keys(this.keys).find((n) => n !== name && this.keys[n] === key);
    if (!other) this.keys[name] = key;
    return other ?? null;
  }

  changed() {
    return Object.fromEntries(Object.entries(this.keys).filter(([name, key]) => key !== this.actions[name]));
  }
  reset() {
    this.keys = { ...this.actions };
  }
}

/** The list in a dialog: each key is a button that takes the next key pressed. */
export function keyDialog(dialog, map, saveUrl) {
  const list = dialog.querySelector('[data-keys]');
  const says = dialog.querySelector('[data-keys-say]');
  const make = (tag, fields = {}, ...inner) => {
    const element = Object.assign(document.createElement(tag), fields);
    element.append(...inner);
    return element;
  };
  let waiting = null;
  const row = (name) => {
    const action = word(`keys.actions.${name}`);
    const key = KeyMap.words(map.keys[name]);
    const kbd = make('kbd', { textContent: waiting === name ? word('keys.press') : key });
    const button = make('button', { type: 'button', className: 'key' }, kbd);
    button.setAttribute('aria-label', word('keys.change', { action, key }));
    button.addEventListener('click', () => {
      waiting = name;
      draw();
      list.querySelector('[data-waiting]')?.focus();
    });
    if (waiting === name) button.dataset.waiting = '';
    return make('div', {}, button, make('span', { textContent: action }));
  };
  const group = ([of, names]) =>
    make('section', {}, make('h2', { textContent: word(`keys.groups.${of}`) }), ...names.map(row));
  function draw() {
    const here = Object.entries(GROUPS).map(([of, names]) => [of, names.filter((name) => name in map.actions)]);
    list.replaceChildren(...here.filter(([, names]) => names.length).map(group));
    for (const kbd of document.querySelectorAll('kbd[data-key]'))
      kbd.textContent = KeyMap.words(map.keys[kbd.dataset.key] ?? '');
  }
  const save = async () => {
    const answer = await fetch(saveUrl, {
      method: 'PUT',
      headers: {
        'Content-Type': 'application/json',
        Accept: 'application/json',
        'X-CSRF-TOKEN': document.querySelector('meta[name="csrf-token"]').content,
      },
      body: JSON.stringify({ keys: map.changed() }),
    }).catch(() => null);
    says.textContent = word(answer?.ok ? 'keys.kept' : 'keys.not-kept');
  };
  dialog.addEventListener('keydown', (e) => {
    if (!waiting) return;
    e.preventDefault();
    e.stopPropagation();
    if (['Shift', 'Control', 'Alt', 'Meta'].includes(e.key)) return;
    const name = waiting;
    waiting = null;
    if (e.key !== 'Escape') {
      const other = ['Tab', '?'].includes(e.key) ? 'not-to-be-had' : map.set(name, KeyMap.of(e));
      const by = other === 'not-to-be-had' ? word('keys.not-to-be-had') : word(`keys.actions.${other}`);
      if (other) says.textContent = word('keys.taken', { by });
      else save();
    }
    draw();
  });
  dialog.querySelector('[data-keys-reset]')?.addEventListener('click', () => {
    map.reset();
    draw();
    save();
  });
  // As they were made the keys stand on the page already; the list is filled when somebody wants to see it.
  if (Object.keys(map.changed()).length) draw();
  return {
    open() {
      draw();
      dialog.showModal();
    },
  };
}
