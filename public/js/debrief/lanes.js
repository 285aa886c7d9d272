// One line for each person under the ribbon, on the ribbon's own scale: where they pinned, where they say it begins.
import { word } from '../words.js';

const NS = 'http://www.w3.org/2000/svg';
const ROW = 16;

/**
 * What stands in the lanes for a topic.
 * @param {{people: object[], faults: Object<string, object>}} said
 * @param {string} topic a fault's key, or "times" for the marks of top and impact
 * @param {number} swing the swing on show, from 1
 * @returns {{letter: string, name: string, onset: ?string, at: {t: number, on: string, reason: string}[]}[]}
 */
export function lanesOf(said, topic, swing) {
  const name = (letter) => said.people.find((p) => p.letter === letter)?.name ?? '';
  if (topic === 'times') {
    return said.people
      .map((p) => ({
        letter: p.letter,
        name: p.name,
        onset: null,
        at: Object.entries(p.marks).map(([code, t]) => ({ t, on: 'mark', reason: code })),
      }))
      .filter((lane) => lane.at.length);
  }
  return (said.faults[topic]?.calls ?? [])
    .map((c) => ({
      letter: c.letter,
      name: name(c.letter),
      onset: c.presence === 'present' ? c.onset : null,
      at: c.pins
        .filter((p) => p.t !== undefined && (p.swing ?? 1) === swing)
        .map((p) => ({ t: p.t, on: p.on, reason: p.reason ?? '' })),
    }))
    .filter((lane) => lane.at.length || lane.onset);
}

export class Lanes {
  /**
   * @param {SVGElement} svg
   * @param {import('../bench/stage.js').Stage} stage
   */
  constructor(svg, stage) {
    Object.assign(this, { svg, stage, lanes: [], named: false });
    new ResizeObserver(() => this.draw()).observe(svg.parentElement);
  }

  show(lanes, named) {
    Object.assign(this, { lanes, named });
    this.draw();
  }

  draw() {
    const { ribbon, evidence } = this.stage;
    const height = Math.max(1, this.lanes.length) * ROW + 4;
    this.svg.setAttribute('viewBox', `0 0 ${ribbon.width} ${height}`);
    this.svg.style.height = `${height}px`;
    this.svg.replaceChildren();
    const add = (name, attributes, text) => {
      const n = document.createElementNS(NS, name);
      for (const [k, v] of Object.entries(attributes)) n.setAttribute(k, v);
      if (text) n.textContent = text;
      this.svg.append(n);
      return n;
    };
    if (!this.lanes.length) add('text', { class: 'none', x: ribbon.width / 2, y: 14 }, word('debrief.script.no-marks'));
    this.lanes.forEach((lane, i) => {
      const y = 2 + i * ROW + ROW / 2;
      add('line', { class: 'rail', x1: 0, x2: ribbon.width, y1: y + ROW / 2, y2: y + ROW / 2 });
      add('text', { x: 4, y: y + 4 }, this.who(lane));
      if (lane.onset && evidence.stations[lane.onset] !== undefined) {
        const x = ribbon.placeOf(evidence.stations[lane.onset]);
        add('path', { class: 'onset', d: `M${x - 9} ${y + 6}H${x + 9}` });
      }
      for (const mark of lane.at) {
        const x = ribbon.placeOf(mark.t);
        const pin = add('path', { class: `pin ${mark.on}`, d: `M${x} ${y - 6}l6 10h-12Z`, 'data-t': mark.t });
        const title = document.createElementNS(NS, 'title');
        const says = { who: this.who(lane), on: word(`debrief.script.on.${mark.on}`), t: mark.t.toFixed(2) };
        title.textContent = word('debrief.script.mark-at', says) + (mark.reason ? `: ${mark.reason}` : '');
        pin.append(title);
        pin.addEventListener('click', () => {
          this.stage.halt();
          this.stage.seek(mark.t);
        });
      }
    });
    this.svg.setAttribute('aria-label', this.said());
  }

  who(lane) {
    return this.named ? lane.name : lane.letter;
  }

  /** The lanes in words. */
  said() {
    if (!this.lanes.length) return word('debrief.script.no-marks');
    const marks = this.lanes.map((lane) => {
      const at = lane.at.map((m) => `${word(`debrief.script.on.${m.on}`)} ${m.t.toFixed(2)} s`);
      return `${this.who(lane)}: ${[lane.onset ? word('debrief.script.begins', { station: lane.onset }) : '', ...at].filter(Boolean).join(', ')}`;
    });
    return word('debrief.script.marks-are', { marks: marks.join('; ') });
  }
}
