// The two ways through the sheet: station by station, where the film halts at each station and only its faults are
// asked, or all at once.
import { word } from '../words.js';

export class Walk {
  constructor(root, page) {
    Object.assign(this, { root, page, stations: JSON.parse(document.getElementById('stations').textContent) });
    this.rows = page.rows;
    this.asked = Object.keys(this.stations).filter((code) => this.rows.some((row) => row.dataset.at === code));
    this.steps = [...this.asked, 'case'];
    let way = null;
    try {
      way = localStorage.getItem('way');
    } catch {
      /* the first way */
    }
    this.way = way === 'all' ? 'all' : 'stations';
    this.at = this.asked[0];
    for (const button of root.querySelectorAll('[data-walk-to]')) {
      button.hidden = !this.steps.includes(button.dataset.walkTo);
      button.addEventListener('click', () => this.to(button.dataset.walkTo));
    }
    for (const button of root.querySelectorAll('[data-way]'))
      button.addEventListener('click', () => this.go(button.dataset.way));
  }

  go(way) {
    this.way = way;
    try {
      localStorage.setItem('way', way);
    } catch {
      /* it holds for this page */
    }
    this.page.say(word(`sheet.ways.${way}`));
    this.show();
    if (way === 'stations') this.to(this.rows[this.page.current].dataset.at);
  }

  turn() {
    this.go(this.way === 'all' ? 'stations' : 'all');
  }

  /** Halts the film at a station and asks its faults; "case" asks for the case as a whole. */
  to(step, quiet = false) {
    this.at = step;
    const row = this.rows.findIndex((r) => r.dataset.at === step && !this.page.sheet.calls[r.dataset.fault]);
    const first = row < 0 ? this.rows.findIndex((r) => r.dataset.at === step) : row;
    if (first >= 0) this.page.go(first);
    if (step !== 'case') this.page.stage()?.goTo(step);
    this.show();
    this.root.querySelector('.side').scrollTop = 0;
    if (step === 'case')
      (this.way === 'all' ? this.root.querySelector('[data-case]') : this.root.querySelector('.side')).scrollIntoView({
        block: 'start',
      });
    if (!quiet)
      this.page.say(
        step === 'case'
          ? word('sheet.whole')
          : word('sheet.to-call', {
              station: this.stations[step],
              n: this.rows.filter((r) => r.dataset.at === step).length,
            }),
      );
  }

  step(by) {
    this.to(this.steps[Math.min(this.steps.length - 1, Math.max(0, this.steps.indexOf(this.at) + by))]);
  }

  /** After a call the next fault of the station is current; after the last one the next station. */
  after(index) {
    if (this.way === 'all') {
      this.page.go(index + 1, true);
      return;
    }
    const next = this.rows.findIndex((r, i) => i > index && r.dataset.at === this.at);
    if (next >= 0) this.page.go(next);
    else this.step(1);
  }

  /** Keeps the station with the fault that is current, however that came to be so. */
  follow(index) {
    if (this.way === 'stations' && this.rows[index].dataset.at !== this.at && this.at !== 'case') {
      this.at = this.rows[index].dataset.at;
      this.show();
    }
  }

  show() {
    const walking = this.way === 'stations';
    for (const row of this.rows) row.hidden = walking && row.dataset.at !== this.at;
    this.root.querySelector('[data-case]').hidden = walking && this.at !== 'case';
    const name = this.root.querySelector('[data-station-name]');
    name.hidden = !walking || this.at === 'case';
    name.textContent = this.stations[this.at] ?? '';
    this.root.querySelector('[data-walk]').hidden = !walking;
    for (const button of this.root.querySelectorAll('[data-way]'))
      button.setAttribute('aria-pressed', String(button.dataset.way === this.way));
    for (const button of this.root.querySelectorAll('[data-on-walk]')) button.hidden = !walking || this.at === 'case';
    for (const button of this.root.querySelectorAll('[data-walk-to]')) {
      const mine = this.rows.filter((r) => r.dataset.at === button.dataset.walkTo);
      const called = mine.filter((r) => this.page.sheet.calls[r.dataset.fault]).length;
      button.dataset.done = mine.length && called === mine.length ? 'all' : called ? 'some' : 'none';
      button.setAttribute(
        'aria-label',
        mine.length
          ? word('sheet.called-of', { station: this.stations[button.dataset.walkTo], called, n: mine.length })
          : word('sheet.whole'),
      );
      if (button.dataset.walkTo === this.at) button.setAttribute('aria-current', 'step');
      else button.removeAttribute('aria-current');
    }
  }
}
