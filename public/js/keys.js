// The keyboard map: what each key does, shown by "?", changed by the person and kept with the account.
const SHOWN = {
  ' ': 'space',
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  PageDown: 'page down',
  PageUp: 'page up',
  Enter: 'enter',
};

/** Keys for time, which every page with a swing has. */
export const STAGE = {
  play: [' ', 'play or halt'],
  'frame-back': ['ArrowLeft', 'one frame back'],
  'frame-on': ['ArrowRight', 'one frame on'],
  'sample-back': [',', 'one sample back'],
  'sample-on': ['.', 'one sample on'],
  'station-back': ['Shift+ArrowLeft', 'previous station'],
  'station-on': ['Shift+ArrowRight', 'next station'],
  speed: ['s', 'speed'],
  loop: ['l', 'loop between two stations'],
  swap: ['g', 'film or figure'],
  first: ['Home', 'to the first station'],
  last: ['End', 'to the last station'],
  swing: ['\\', 'next swing, held at this station'],
  feet: ['=', 'near to the feet, or the whole picture'],
};

export const READING = {
  next: ['ArrowDown', 'next fault'],
  previous: ['ArrowUp', 'previous fault'],
  present: ['p', 'present'],
  absent: ['a', 'absent'],
  'cannot-tell': ['c', 'cannot tell'],
  slight: ['1', 'slight'],
  clear: ['2', 'clear'],
  dominant: ['3', 'dominant'],
  less: ['[', 'less sure'],
  more: [']', 'more sure'],
  decision: ['w', 'now, later, leave'],
  onset: ['o', 'begins at this station'],
  cause: ['r', 'first cause'],
  'not-feet': ['0', 'not in the feet'],
  link: ['b', 'leads to …: press on the cause, then on the effect'],
  'pin-film': ['f', 'pin on film'],
  'pin-trace': ['t', 'pin on trace'],
  'pin-turf': ['m', 'pin on the turf mark'],
  'pin-ball': ['j', 'pin on the ball'],
  'pin-strike': ['z', 'pin on the strike'],
  reason: ['e', 'why: write the last pin’s reason'],
  unpin: ['x', 'take the last pin away'],
  define: ['d', 'definition, look-alikes, counter-example'],
  'mark-TP': ['k', 'my top is here'],
  'mark-IM': ['i', 'my impact is here'],
  way: ['v', 'station by station, or all at once'],
  'next-station': ['PageDown', 'next station of the sheet'],
  'previous-station': ['PageUp', 'previous station of the sheet'],
  cue: ['n', 'write the one thing to say'],
  drill: ['y', 'choose the drill'],
  undo: ['u', 'undo'],
  summary: ['h', 'check and hand in'],
  trend: ['q', 'better, same, worse'],
};

export class KeyMap {
  constructor(actions, changed = {}) {
    this.actions = actions;
    this.keys = Object.fromEntries(Object.entries(actions).map(([name, [key]]) => [name, changed[name] ?? key]));
  }

  static of(e) {
    const key = e.key.length === 1 ? e.key.toLowerCase() : e.key;
    return e.shiftKey && e.key.length > 1 ? `Shift+${key}` : key;
  }

  action(e) {
    const key = KeyMap.of(e);
    return Object.keys(this.keys).find((name) => this.keys[name] === key) ?? null;
  }

  static words(key) {
    return key === '+'
      ? key
      : key
          .split('+')
          .map((k) => SHOWN[k] ?? (k.length === 1 ? k.toUpperCase() : k.toLowerCase()))
          .join(' ');
  }

  /** Gives an action another key; the name of the action that has it already, where one has. */
  set(name, key) {
    const other = Object.keys(this.keys).find((n) => n !== name && this.keys[n] === key);
    if (!other) this.keys[name] = key;
    return other ?? null;
  }

  changed() {
    return Object.fromEntries(Object.entries(this.keys).filter(([name, key]) => key !== this.actions[name][0]));
  }
  reset() {
    this.keys = Object.fromEntries(Object.entries(this.actions).map(([name, [key]]) => [name, key]));
  }
}

/** The list in a dialog: each key is a button that takes the next key pressed. */
export function keyDialog(dialog, map, saveUrl) {
  const list = dialog.querySelector('[data-keys]');
  const says = dialog.querySelector('[data-keys-say]');
  let waiting = null;
  const draw = () => {
    list.replaceChildren(
      ...Object.entries(map.actions).map(([name, [, words]]) => {
        const row = document.createElement('div');
        const button = Object.assign(document.createElement('button'), { type: 'button', className: 'key' });
        button.append(
          Object.assign(document.createElement('kbd'), {
            textContent: waiting === name ? 'press a key' : KeyMap.words(map.keys[name]),
          }),
        );
        button.setAttribute('aria-label', `${words}: ${KeyMap.words(map.keys[name])}. Change it`);
        button.addEventListener('click', () => {
          waiting = name;
          draw();
          list.querySelector('[data-waiting]')?.focus();
        });
        if (waiting === name) button.dataset.waiting = '';
        row.append(button, ` ${words}`);
        return row;
      }),
    );
    for (const kbd of document.querySelectorAll('kbd[data-key]'))
      kbd.textContent = KeyMap.words(map.keys[kbd.dataset.key] ?? '');
  };
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
    says.textContent = answer?.ok
      ? 'Kept with your account.'
      : 'It holds for this page; it could not be kept with your account now.';
  };
  dialog.addEventListener('keydown', (e) => {
    if (!waiting) return;
    e.preventDefault();
    e.stopPropagation();
    if (['Shift', 'Control', 'Alt', 'Meta'].includes(e.key)) return;
    const name = waiting;
    waiting = null;
    if (e.key !== 'Escape') {
      const other = ['Tab', '?'].includes(e.key) ? 'the page' : map.set(name, KeyMap.of(e));
      if (other)
        says.textContent = `That key is taken: ${map.actions[other]?.[1] ?? 'it is the browser’s or the list’s own'}.`;
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
