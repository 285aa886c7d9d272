// What is said of the case as a whole: first cause, chain, cue, drill, miss, own times.
import { word } from '../words.js';
import { OTHER, circles, isOutside, layers, noMiss, outside, present } from './sheet.js';

const NS = 'http://www.w3.org/2000/svg';
const MOST = 16;
const CAUSES = 3;

export class CasePart {
  /**
   * @param {{sheet: object, names: object, set: (target: string, value: any) => void, say: (text: string) => void,
   *     stage: () => ?object}} page
   */
  constructor(root, page) {
    this.root = root;
    this.page = page;
    this.find = (selector) => root.querySelector(selector);
    this.from = null;
    this.outsideNames = JSON.parse(document.getElementById('outside-names').textContent);
    let typing = 0;
    this.find('[data-cue]').addEventListener('input', (e) => {
      this.words(e.target.value);
      clearTimeout(typing);
      typing = setTimeout(() => this.keepCue(), 350);
    });
    this.find('[data-cue]').addEventListener('change', () => {
      clearTimeout(typing);
      this.keepCue();
    });
    const drill = () => {
      const key = this.find('[data-drill]').value,
        stop = this.find('[data-stop]').value;
      page.set('drill', key ? { key, ...(stop ? { stop } : {}) } : null);
    };
    this.find('[data-drill]').addEventListener('change', drill);
    this.find('[data-stop]').addEventListener('change', drill);
    for (const row of root.querySelectorAll('[data-miss]')) this.listen(row);
    for (const radio of root.querySelectorAll('[data-breaks]'))
      radio.addEventListener('change', () => page.set('breaks', Number(radio.value)));
    this.find('[data-outside]')?.addEventListener('change', (e) => {
      if (e.target.value) this.cause(e.target.value);
      e.target.value = '';
    });
    this.find('[data-other]').addEventListener('change', (e) => page.set('other-cause', e.target.value.trim()));
  }

  /** One miss: ticked it is half of what is left, and how likely it is may be chosen. */
  listen(row) {
    const tick = row.querySelector('[data-expect]'),
      likely = row.querySelector('[data-likely]');
    const keep = (percent) => {
      const misses = { ...this.page.sheet.misses };
      delete misses[row.dataset.miss];
      const room = noMiss(misses);
      if (percent > 0) misses[row.dataset.miss] = Math.min(percent, room);
      if (percent > 0 && room < 1) this.page.say(word('sheet.misses-full'));
      else this.page.set('misses', misses);
      this.show();
    };
    tick.addEventListener('change', () =>
      keep(tick.checked ? Math.max(10, Math.round(noMiss(this.page.sheet.misses) / 20) * 10) : 0),
    );
    likely.addEventListener('change', () => keep(Number(likely.value)));
  }

  /** Goes to a part of the case, from wherever somebody is. */
  reach(selector) {
    this.page.toCase();
    this.find(selector)?.focus();
  }

  name(key) {
    if (key === OTHER && this.page.sheet['other-cause']) return this.page.sheet['other-cause'];
    return this.outsideNames[key] ?? this.page.names[key]?.name ?? key;
  }

  leads(from, to) {
    return word('sheet.leads-to', { from: this.name(from), to: this.name(to) });
  }

  keepCue() {
    const cue = this.find('[data-cue]').value.trim();
    if (cue !== this.page.sheet.cue) this.page.set('cue', cue);
  }

  cause(key) {
    const { sheet, set, say } = this.page;
    if (!isOutside(key) && sheet.calls[key]?.presence !== 'present') return;
    const has = sheet.causes.includes(key);
    set('causes', has ? sheet.causes.filter((c) => c !== key) : [...sheet.causes, key].slice(-CAUSES));
    say(word(has ? 'sheet.no-cause' : 'sheet.is-cause', { fault: this.name(key) }));
  }

  /** First press: the cause; second, on another finding: the effect. */
  link(key) {
    const { sheet, say } = this.page;
    if (sheet.calls[key]?.presence !== 'present') return;
    if (this.from === null || this.from === key) {
      this.from = this.from === key ? null : key;
      say(this.from ? word('sheet.choose-effect', { fault: this.name(key) }) : word('sheet.no-link'));
      this.page.show();
      return;
    }
    const from = this.from;
    this.from = null;
    this.join(from, key);
  }

  join(from, to) {
    const { sheet, set, say } = this.page;
    const has = sheet.chain.some(([a, b]) => a === from && b === to);
    if (has)
      set(
        'chain',
        sheet.chain.filter(([a, b]) => a !== from || b !== to),
      );
    else if (!from || !to || from === to) say(word('sheet.choose-both'));
    else if (circles(sheet.chain, from, to)) say(word('sheet.circle'));
    else if (sheet.chain.length >= MOST) say(word('sheet.chain-full'));
    else {
      set('chain', [...sheet.chain, [from, to]]);
      say(this.leads(from, to));
    }
    this.page.show();
  }

  mark(code) {
    const stage = this.page.stage();
    if (!stage || !this.find(`[data-mark="${code}"]`)) return;
    const t = Number(stage.t.toFixed(4));
    this.page.set(`mark:${code}`, this.page.sheet.marks[code] === t ? null : t);
    this.page.say(word(`sheet.marked.${code}`, { t: t.toFixed(3) }));
  }

  words(text) {
    const words = text.trim() ? text.trim().split(/\s+/).length : 0;
    this.find('[data-words]').textContent = word(words > 8 ? 'sheet.too-many-words' : 'sheet.of-eight', {
      count: words,
    });
  }

  show() {
    const { sheet } = this.page;
    const causes = this.find('[data-causes]');
    causes.textContent = sheet.causes.map((k) => this.name(k)).join(word('sheet.and')) || word('sheet.none-chosen');
    causes.hidden = sheet.causes.length > 0;
    this.showCauses();
    const cue = this.find('[data-cue]');
    if (document.activeElement !== cue) cue.value = sheet.cue;
    this.words(cue.value);
    this.find('[data-drill]').value = sheet.drill?.key ?? '';
    this.find('[data-stop]').value = sheet.drill?.stop ?? '';
    for (const text of this.root.querySelectorAll('[data-drill-text]'))
      text.hidden = text.dataset.drillText !== sheet.drill?.key;
    this.showMisses();
    for (const radio of this.root.querySelectorAll('[data-breaks]'))
      radio.checked = sheet.breaks !== null && Number(radio.value) === sheet.breaks;
    for (const code of ['TP', 'IM'])
      if (this.find(`[data-mark="${code}"]`))
        this.find(`[data-mark="${code}"]`).textContent =
          sheet.marks[code] === undefined ? '–' : `${sheet.marks[code].toFixed(3)} s`;
    this.showChain();
  }

  /** First causes, each with a way to take it away; one outside the feet that fits no name is said in words. */
  showCauses() {
    const { sheet, locked } = this.page;
    this.find('[data-chosen]').replaceChildren(
      ...sheet.causes.map((key) => {
        const item = Object.assign(document.createElement('li'), { textContent: `${this.name(key)} ` });
        if (!locked) item.append(this.taker(() => this.cause(key), this.name(key)));
        return item;
      }),
    );
    const other = this.find('[data-other]');
    this.find('[data-other-cause]').hidden = !outside(sheet).includes(OTHER);
    if (document.activeElement !== other) other.value = sheet['other-cause'] ?? '';
  }

  taker(act, what) {
    const button = Object.assign(document.createElement('button'), {
      type: 'button',
      className: 'link',
      textContent: word('sheet.take-away'),
    });
    button.setAttribute('aria-label', word('sheet.take-link-away', { link: what }));
    button.addEventListener('click', act);
    return button;
  }

  showMisses() {
    const { misses } = this.page.sheet;
    for (const row of this.root.querySelectorAll('[data-miss]')) {
      const percent = misses[row.dataset.miss],
        likely = row.querySelector('[data-likely]');
      row.querySelector('[data-expect]').checked = percent !== undefined;
      likely.hidden = percent === undefined;
      if (percent === undefined) continue;
      // One that was never offered: a certain miss of a sheet of before, or what another window left of the hundred.
      if (![...likely.options].some((o) => Number(o.value) === percent))
        likely.append(new Option(`${percent} %`, percent));
      likely.value = String(percent);
    }
    const none = noMiss(misses);
    this.find('[data-no-miss]').textContent = Object.keys(misses).length
      ? word('sheet.no-miss', { percent: none })
      : '';
  }

  showChain() {
    const { sheet, locked } = this.page;
    const may = [...present(sheet), ...outside(sheet)];
    for (const [selector, keys] of [
      ['[data-link-from]', may],
      ['[data-link-to]', present(sheet)],
    ]) {
      const select = this.find(selector);
      if (!select) continue;
      const was = select.value;
      select.replaceChildren(new Option('…', ''), ...keys.map((k) => new Option(this.name(k), k)));
      select.value = keys.includes(was) ? was : '';
    }
    this.find('[data-links]').replaceChildren(
      ...sheet.chain.map(([from, to]) => {
        const item = document.createElement('li');
        item.textContent = `${this.name(from)} → ${this.name(to)} `;
        if (!locked) item.append(this.taker(() => this.join(from, to), this.leads(from, to)));
        return item;
      }),
    );
    this.draw(this.find('[data-chain]'), sheet.chain);
  }

  /** The chain from left to right, causes first. */
  draw(svg, links) {
    svg.toggleAttribute('hidden', !links.length);
    svg.replaceChildren();
    if (!links.length) return;
    const columns = layers(links),
      width = 380,
      rows = Math.max(...columns.map((c) => c.length)),
      at = {};
    svg.setAttribute('viewBox', `0 0 ${width} ${rows * 34 + 6}`);
    const add = (name, attributes, text) => {
      const n = document.createElementNS(NS, name);
      for (const [k, v] of Object.entries(attributes)) n.setAttribute(k, v);
      if (text) n.textContent = text;
      svg.append(n);
    };
    const wide = width / columns.length;
    columns.forEach((column, i) =>
      column.forEach((key, j) => {
        at[key] = [i * wide + 4, j * 34 + 20];
      }),
    );
    const most = Math.max(8, Math.floor((wide - 26) / 6.6));
    for (const [from, to] of links) {
      const [x1, y1] = at[from],
        [x2, y2] = at[to];
      const reach = x1 + Math.min(wide - 22, 6.6 * Math.min(most, this.name(from).length) + 6);
      add('path', {
        class: 'arrow',
        d: `M${reach} ${y1 - 4}C${(reach + x2) / 2} ${y1 - 4} ${(reach + x2) / 2} ${y2 - 4} ${x2 - 4} ${y2 - 4}m-6 -4l6 4l-6 4`,
      });
    }
    for (const [key, [x, y]] of Object.entries(at)) {
      const name = this.name(key);
      add(
        'text',
        { x, y, class: this.page.sheet.causes.includes(key) ? 'first' : '' },
        name.length > most ? `${name.slice(0, most - 1)}…` : name,
      );
    }
    svg.setAttribute(
      'aria-label',
      word('sheet.chain-is', { links: links.map(([a, b]) => this.leads(a, b)).join('; ') }),
    );
  }
}
