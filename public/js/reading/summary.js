// The check before handing in: what was said, what stands in the way, what was left out.
import { present } from './sheet.js';

export const WORDS = { present: 'present', absent: 'absent', 'cannot-tell': 'cannot tell' };

export class Summary {
  constructor(page, queue) {
    Object.assign(this, { page, queue, box: page.root.querySelector('[data-summary-box]') });
  }

  /** @returns {{said: string[], open: string[], left: string[]}} */
  lines() {
    const { sheet, names, root } = this.page;
    const calls = Object.entries(sheet.calls),
      here = present(sheet);
    const count = (p) => calls.filter(([, c]) => c.presence === p).length;
    const select = (name) => {
      const s = root.querySelector(`[data-${name}]`);
      return s.value ? s.options[s.selectedIndex].textContent : '';
    };
    return {
      said: [
        here.length
          ? `Present: ${here.map((k) => `${names[k].name}${sheet.calls[k].severity ? ` (${sheet.calls[k].severity})` : ''}`).join(', ')}.`
          : 'Nothing is called present.',
        `Absent: ${count('absent')}. Cannot tell: ${count('cannot-tell')}.`,
        `First cause: ${root.querySelector('[data-causes]').textContent}.`,
        ...(sheet.chain.length
          ? [
              `Chain: ${sheet.chain.map(([a, b]) => `${names[a]?.name ?? 'not in the feet'} → ${names[b].name}`).join('; ')}.`,
            ]
          : []),
        ...(sheet.cue ? [`To say: “${sheet.cue}”.`] : []),
        ...(sheet.drill ? [`Drill: ${select('drill')}${select('stop') ? `, as far as ${select('stop')}` : ''}.`] : []),
        ...(sheet.miss ? [`Expected miss: ${select('miss')}.`] : []),
      ],
      open: [
        ...Object.keys(names)
          .filter((k) => !sheet.calls[k])
          .map((k) => `No call yet: ${names[k].name}.`),
        ...here.filter((k) => !sheet.calls[k].severity).map((k) => `No severity yet: ${names[k].name}.`),
        ...(root.dataset.kind === 'pair'
          ? here.filter((k) => !sheet.calls[k].trend).map((k) => `Better, same or worse? ${names[k].name}.`)
          : []),
        ...(here.length && !sheet.causes.length ? ['No first cause yet.'] : []),
        ...(sheet.drill && !sheet.drill.stop ? ['How far to take the drill?'] : []),
        ...(sheet.cue.trim().split(/\s+/).length > 8 ? ['The one thing to say has more than eight words.'] : []),
      ],
      left: [
        ...(here.length && !sheet.cue ? ['the one thing to say'] : []),
        ...(here.length && !sheet.drill ? ['a drill'] : []),
        ...(sheet.miss ? [] : ['the miss to expect']),
        ...(here.length > 1 && !sheet.chain.length ? ['the chain'] : []),
        ...(this.page.root.dataset.kind === 'single' && Object.keys(sheet.marks).length < 2
          ? ['your own top and impact']
          : []),
      ],
    };
  }

  async open() {
    document.activeElement?.blur?.();
    const { said, open, left } = this.lines();
    const text = this.box.querySelector('[data-summary-text]');
    const line = (words, name = '') =>
      Object.assign(document.createElement('p'), { textContent: words, className: name });
    text.replaceChildren(
      ...said.map((s) => line(s)),
      ...open.map((s) => line(s, 'call present')),
      ...(left.length ? [line(`Left out, and may be: ${left.join(', ')}.`, 'quiet small')] : []),
    );
    const button = this.box.querySelector('[data-hand-in-button]');
    button.disabled = true;
    this.box.showModal();
    const settled = await this.queue.settled();
    button.disabled = open.length > 0 || !settled;
    if (!settled && !open.length)
      text.append(
        line('Not everything has reached the server yet; it is kept here and will be sent when the network is back.'),
      );
    if (!button.disabled) button.focus();
  }
}
