// The check before handing in: what was said, what stands in the way and where, what was left out.
import { word } from '../words.js';
import { OTHER, noMiss, outside, present } from './sheet.js';

export const WORDS = Object.fromEntries(
  ['present', 'absent', 'cannot-tell'].map((call) => [call, word(`sheet.calls.${call}`)]),
);

/**
 * What stands in the way of handing in, a line for each kind of thing.
 * @param {object} sheet
 * @param {Object<string, {name: string}>} names of the faults
 * @param {string} kind of the case
 * @returns {{what: string, faults: string[], part: ?string}[]} faults: the keys of those it concerns; part: of the
 * case as a whole, where it is none of a fault
 */
export function inTheWay(sheet, names, kind) {
  const here = present(sheet);
  const without = (field) => here.filter((k) => !sheet.calls[k][field]);
  const lines = [
    { what: 'call', faults: Object.keys(names).filter((k) => !sheet.calls[k]), part: null },
    { what: 'severity', faults: without('severity'), part: null },
    { what: 'trend', faults: kind === 'pair' ? without('trend') : [], part: null },
    {
      what: 'turf',
      faults: Object.keys(sheet.calls).filter((k) =>
        (sheet.calls[k].pins ?? []).some((p) => p.on === 'turf' && !p.turf),
      ),
      part: null,
    },
  ].filter((line) => line.faults.length);
  const whole = (what, part) => lines.push({ what, faults: [], part });
  if (here.length && !sheet.causes.length) whole('cause', 'cause');
  if (outside(sheet).includes('not-in-the-feet')) whole('which-outside', 'outside');
  if (outside(sheet).includes(OTHER) && !sheet['other-cause']) whole('other', 'other');
  if (kind === 'ladder' && sheet.breaks === null) whole('breaks', 'breaks');
  if (sheet.drill && !sheet.drill.stop) whole('stop', 'drill');
  if (sheet.cue.trim().split(/\s+/).length > 8) whole('cue', 'cue');
  return lines;
}

export class Summary {
  constructor(page, queue) {
    Object.assign(this, { page, queue, box: page.root.querySelector('[data-summary-box]') });
  }

  /** @returns {string[]} what was said, in sentences */
  said() {
    const { sheet, names, root } = this.page;
    const calls = Object.values(sheet.calls);
    const count = (p) => calls.filter((c) => c.presence === p).length;
    const chosen = (name) => root.querySelector(`[data-${name}]`).selectedOptions[0]?.textContent ?? '';
    const faults = present(sheet)
      .map((k) => `${names[k].name}${sheet.calls[k].severity ? ` (${sheet.calls[k].severity})` : ''}`)
      .join(', ');
    const links = sheet.chain.map(([a, b]) => `${this.page.named(a)} → ${this.page.named(b)}`);
    const misses = Object.entries(sheet.misses)
      .sort(([, a], [, b]) => b - a)
      .map(([miss, percent]) => {
        const name = root.querySelector(`[data-miss="${miss}"] label`).textContent.trim();
        return `${name} ${percent} %`;
      });
    const sound = Object.keys(sheet.calls).filter((k) => sheet.calls[k].sound);
    const drill = sheet.drill?.stop
      ? word('sheet.check.as-far-as', { drill: chosen('drill'), stop: chosen('stop') })
      : chosen('drill');
    return [
      word(faults ? 'sheet.check.here' : 'sheet.check.nothing-here', { faults }),
      word('sheet.check.counts', { absent: count('absent'), unsure: count('cannot-tell') }),
      word('sheet.check.cause', { cause: root.querySelector('[data-causes]').textContent }),
      ...(links.length ? [word('sheet.check.chain', { links: links.join('; ') })] : []),
      ...(sheet.cue ? [word('sheet.check.cue', { cue: sheet.cue })] : []),
      ...(sheet.drill ? [word('sheet.check.drill', { drill })] : []),
      ...(misses.length ? [word('sheet.check.misses', { misses: misses.join(', '), none: noMiss(sheet.misses) })] : []),
      ...(sound.length ? [word('sheet.check.sound', { faults: sound.map((k) => names[k].name).join(', ') })] : []),
    ];
  }

  /** @returns {string[]} what was left out, and may be */
  left() {
    const { sheet, root } = this.page;
    const here = present(sheet);
    return [
      ...(here.length && !sheet.cue ? ['cue'] : []),
      ...(here.length && !sheet.drill ? ['drill'] : []),
      ...(Object.keys(sheet.misses).length ? [] : ['misses']),
      ...(here.length > 1 && !sheet.chain.length ? ['chain'] : []),
      ...(root.dataset.kind === 'single' && Object.keys(sheet.marks).length < 2 ? ['marks'] : []),
    ].map((part) => word(`sheet.check.parts.${part}`));
  }

  /** One line of what is missing, with a way there. */
  missing({ what, faults, part }) {
    const { names } = this.page;
    const some = faults.slice(0, 4).map((k) => names[k].name);
    const list = some.join(', ') + (faults.length > 4 ? ' …' : '');
    const line = Object.assign(document.createElement('p'), { className: 'missing' });
    const go = Object.assign(document.createElement('button'), {
      type: 'button',
      className: 'act second',
      textContent: word('sheet.check.go'),
    });
    go.addEventListener('click', () => {
      this.box.close();
      if (faults.length) this.page.reach(faults[0]);
      else this.page.whole(part);
    });
    const text = document.createElement('span');
    text.textContent = word(`sheet.check.open.${what}`, { count: faults.length, faults: list });
    line.append(text, go);
    return line;
  }

  async open() {
    document.activeElement?.blur?.();
    const { sheet, names, root } = this.page;
    const open = inTheWay(sheet, names, root.dataset.kind);
    const left = this.left();
    const text = this.box.querySelector('[data-summary-text]');
    const line = (words, name = '') =>
      Object.assign(document.createElement('p'), { textContent: words, className: name });
    text.replaceChildren(
      ...open.map((o) => this.missing(o)),
      ...this.said().map((s) => line(s)),
      ...(left.length ? [line(word('sheet.check.left', { parts: left.join(', ') }), 'quiet small')] : []),
    );
    const button = this.box.querySelector('[data-hand-in-button]');
    button.disabled = true;
    this.page.spent();
    this.box.showModal();
    if (open.length) return;
    // What is still on its way may take as long as the network does; the button comes when it has arrived.
    const waits = line(word('sheet.check.on-its-way'));
    while (!(await this.queue.settled())) {
      if (!this.box.open || this.queue.locked) return;
      text.append(waits);
    }
    waits.remove();
    button.disabled = false;
    button.focus();
  }
}
