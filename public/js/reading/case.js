// What is said of the case as a whole: first cause, chain, cue, drill, miss, own times.
import { word } from '../words.js';
import { NOT_FEET, circles, layers, present } from './sheet.js';

const NS = 'http://www.w3.org/2000/svg';
const MOST = 16;

export class CasePart {
  /** @param {{sheet: object, names: object, set: (target: string, value: any) => void, say: (text: string) => void, stage: () => ?object}} page */
  constructor(root, page) {
    this.root = root;
    this.page = page;
    this.find = (selector) => root.querySelector(selector);
    this.from = null;
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
    this.find('[data-miss]').addEventListener('change', (e) => page.set('miss', e.target.value || null));
    this.find('[data-not-feet]').addEventListener('change', () => this.cause(NOT_FEET));
  }

  name(key) {
    return key === NOT_FEET ? word('sheet.not-feet') : (this.page.names[key]?.name ?? key);
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
    if (key !== NOT_FEET && sheet.calls[key]?.presence !== 'present') return;
    const has = sheet.causes.includes(key);
    set('causes', has ? sheet.causes.filter((c) => c !== key) : [...sheet.causes, key].slice(-2));
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
    this.find('[data-causes]').textContent =
      sheet.causes.map((k) => this.name(k)).join(word('sheet.and')) || word('sheet.none-chosen');
    this.find('[data-not-feet]').checked = sheet.causes.includes(NOT_FEET);
    const cue = this.find('[data-cue]');
    if (document.activeElement !== cue) cue.value = sheet.cue;
    this.words(cue.value);
    this.find('[data-drill]').value = sheet.drill?.key ?? '';
    this.find('[data-stop]').value = sheet.drill?.stop ?? '';
    for (const text of this.root.querySelectorAll('[data-drill-text]'))
      text.hidden = text.dataset.drillText !== sheet.drill?.key;
    this.find('[data-miss]').value = sheet.miss ?? '';
    for (const code of ['TP', 'IM'])
      if (this.find(`[data-mark="${code}"]`))
        this.find(`[data-mark="${code}"]`).textContent =
          sheet.marks[code] === undefined ? '–' : `${sheet.marks[code].toFixed(3)} s`;
    this.showChain();
  }

  showChain() {
    const { sheet, locked } = this.page;
    const may = [...present(sheet), NOT_FEET];
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
        if (!locked) {
          const button = Object.assign(document.createElement('button'), {
            type: 'button',
            className: 'link',
            textContent: word('sheet.take-away'),
          });
          button.setAttribute('aria-label', word('sheet.take-link-away', { link: this.leads(from, to) }));
          button.addEventListener('click', () => this.join(from, to));
          item.append(button);
        }
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
