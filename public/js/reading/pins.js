// Pins of the current call: a place in the evidence and, in a few words, why.
import { word } from '../words.js';

const MOST = 6;

export class PinList {
  constructor(page, alter) {
    Object.assign(this, { page, alter, kinds: JSON.parse(document.getElementById('turf').textContent) });
  }

  pins() {
    return this.page.call()?.pins ?? [];
  }

  add(on) {
    const { page } = this;
    if (!page.call() || !page.rows[page.current].querySelector(`[data-do="pin-${on}"]:not(:disabled)`)) return;
    const pin = { on };
    if (on === 'film' || on === 'trace') {
      if (!page.opened) return;
      pin.t = Number(page.opened.t.toFixed(4));
      if (page.opened.swing > 0) pin.swing = page.opened.swing + 1;
      if (on === 'film' && page.opened.films.length) pin.view = page.opened.lastView ?? page.opened.views[0].view;
    }
    this.alter({ pins: [...this.pins(), pin].slice(-MOST) });
    const said = { on: word(`sheet.pins.${on}`), t: pin.t?.toFixed(2), n: this.pins().length };
    page.say(word(pin.t === undefined ? 'sheet.pinned' : 'sheet.pinned-at', said));
  }

  drop(index = this.pins().length - 1) {
    if (index < 0) return;
    this.alter({ pins: this.pins().filter((_, i) => i !== index) });
    this.page.say(word('sheet.unpinned'));
  }

  /** What the mark on turf or shoe is. */
  turf(fault, index, pin) {
    const { page } = this;
    const select = Object.assign(document.createElement('select'), { disabled: page.locked });
    select.setAttribute('aria-label', word('sheet.turf'));
    select.append(
      new Option(word('sheet.turf'), ''),
      ...Object.entries(this.kinds).map(([k, name]) => new Option(name, k)),
    );
    select.value = pin.turf ?? '';
    select.addEventListener('change', () => {
      const call = page.sheet.calls[fault];
      const { turf, ...rest } = call.pins[index];
      const marked = select.value ? { ...rest, turf: select.value } : rest;
      page.set(`call:${fault}`, { ...call, pins: call.pins.map((p, k) => (k === index ? marked : p)) });
    });
    return select;
  }

  write() {
    [...this.page.rows[this.page.current].querySelectorAll('[data-pins] input')].at(-1)?.focus();
  }

  show() {
    const { page } = this;
    for (const row of page.rows) {
      const list = row.querySelector('[data-pins]');
      if (list.contains(document.activeElement)) continue;
      const pins = page.sheet.calls[row.dataset.fault]?.pins ?? [];
      list.replaceChildren(
        ...pins.map((pin, i) => {
          const item = document.createElement('li');
          const place = Object.assign(document.createElement(pin.t === undefined ? 'span' : 'button'), {
            textContent:
              pin.t === undefined
                ? word(`sheet.pins.${pin.on}`)
                : word(page.root.dataset.kind === 'single' ? 'sheet.pin-at' : 'sheet.pin-at-of', {
                    on: word(`sheet.pins.${pin.on}`),
                    t: pin.t.toFixed(2),
                    swing: pin.swing ?? 1,
                  }),
          });
          if (pin.t !== undefined) {
            place.type = 'button';
            place.className = 'link';
            place.addEventListener('click', async () => {
              page.opened?.halt();
              await page.opened?.toSwing((pin.swing ?? 1) - 1);
              page.opened?.seek(pin.t);
            });
          }
          const why = Object.assign(document.createElement('input'), {
            value: pin.reason ?? '',
            maxLength: 120,
            placeholder: word('sheet.why'),
            className: 'reason',
            disabled: page.locked,
          });
          why.setAttribute('aria-label', word('sheet.why-pin', { on: word(`sheet.pins.${pin.on}`) }));
          why.addEventListener('change', () => {
            const all = page.sheet.calls[row.dataset.fault].pins.map((p, k) =>
              k === i ? { ...p, reason: why.value.trim() } : p,
            );
            page.set(`call:${row.dataset.fault}`, { ...page.sheet.calls[row.dataset.fault], pins: all });
          });
          item.append(place, ...(pin.on === 'turf' ? [this.turf(row.dataset.fault, i, pin)] : []), why);
          if (!page.locked) {
            const gone = Object.assign(document.createElement('button'), {
              type: 'button',
              className: 'link',
              textContent: '×',
            });
            gone.setAttribute('aria-label', word('sheet.take-pin-away', { on: word(`sheet.pins.${pin.on}`) }));
            gone.addEventListener('click', () => this.drop(i));
            item.append(gone);
          }
          return item;
        }),
      );
    }
  }
}
