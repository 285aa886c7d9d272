// Time spent on a case, without idle time: seconds in which the page is in sight and somebody did something
// within the last half minute, or the swing is playing.
const IDLE = 30_000;
const PART = 20_000;

export class Activity {
  constructor(add, playing) {
    Object.assign(this, { add, playing, spent: 0, last: Date.now(), tick: Date.now() });
  }

  start() {
    for (const kind of ['keydown', 'pointerdown', 'pointermove', 'wheel'])
      addEventListener(
        kind,
        () => {
          this.last = Date.now();
        },
        { passive: true },
      );
    setInterval(() => this.count(), 1000);
    addEventListener('visibilitychange', () => document.hidden && this.flush());
    addEventListener('pagehide', () => this.flush());
  }

  count() {
    const now = Date.now();
    // A lid that was closed is no time spent: one tick counts two seconds at most.
    if (!document.hidden && (now - this.last < IDLE || this.playing())) this.spent += Math.min(2000, now - this.tick);
    this.tick = now;
    if (this.spent >= PART) this.flush();
  }

  flush() {
    if (this.spent < 1000) return;
    this.add(Math.round(this.spent));
    this.spent = 0;
  }
}
