// Never lose a call: each change is written to this browser's storage, sealed, and sent in the order made until the
// server says it has it. What was sent twice counts once there, so sending again is always safe.
import { word } from '../words.js';

export const newId = () =>
  Array.from(crypto.getRandomValues(new Uint8Array(12)), (b) => b.toString(16).padStart(2, '0')).join('');

/** One window's name; it outlives a reload. */
const writer = (() => {
  try {
    const kept = sessionStorage.getItem('writer') ?? `w-${newId()}`;
    sessionStorage.setItem('writer', kept);
    return kept;
  } catch {
    return `w-${newId()}`;
  }
})();

export class ChangeQueue {
  /**
   * @param {{id: string, url: string, version: number, token: string, renew: () => Promise<?string>, seal: Seal}} of
   * @param {{state: (state: string, text: string) => void, sheet: (sheet: object) => void, refused: (list: object[]) =>
   *     void}} tell
   */
  constructor(of, tell) {
    Object.assign(this, of, { tell, memory: new Map(), busy: false, locked: false, failures: 0, count: 0 });
    this.prefix = `vc-change:${of.id}:`;
    addEventListener('online', () => this.push());
    addEventListener('storage', (e) => e.key?.startsWith(this.prefix) && this.take(e.key, e.newValue));
  }

  /** Takes up what a closed window left; to be waited for before anything is laid over the sheet. */
  async open() {
    let kept = [];
    try {
      kept = Object.entries({ ...localStorage }).filter(([key]) => key.startsWith(this.prefix));
    } catch {
      /* no storage: what is in memory counts */
    }
    await Promise.all(kept.map(([key, text]) => this.take(key, text)));
  }

  /** What storage holds under a key now: of this window or of another, or nothing any more. */
  async take(key, text) {
    if (text === null) this.memory.delete(key);
    else if (!this.memory.has(key)) {
      const change = await this.seal.open(text);
      if (change !== null) this.memory.set(key, JSON.parse(change));
    }
    this.show();
  }

  /** Changes not confirmed yet, of this window and of others that were closed, in the order made. */
  pending() {
    return [...this.memory].sort(([a], [b]) => (a < b ? -1 : 1));
  }

  add(target, value) {
    if (this.locked) return;
    const now = this.pending().at(-1)?.[1].at ?? 0;
    const change = { id: `c-${newId()}`, target, value, base: this.version, at: Math.max(Date.now(), now), writer };
    const at = `${String(change.at).padStart(15, '0')}-${String(this.count++).padStart(6, '0')}`;
    // Time spent is no call: who logs out is not told of it.
    const key = `${this.prefix}${at}${target === 'time' ? '-t' : ''}`;
    this.memory.set(key, change);
    this.keep(key, change);
    this.show();
    this.push();
  }

  async keep(key, change) {
    try {
      const text = await this.seal.close(JSON.stringify(change));
      // It may have reached the server while it was sealed.
      if (this.memory.has(key)) localStorage.setItem(key, text);
    } catch {
      /* no cipher or no storage: it is kept in this window */
    }
  }

  remove(keys) {
    for (const key of keys) {
      this.memory.delete(key);
      try {
        localStorage.removeItem(key);
      } catch {
        /* it was in memory */
      }
    }
  }

  show() {
    if (this.locked) return;
    const n = this.pending().filter(([, c]) => c.target !== 'time').length;
    if (n === 0) this.tell.state('saved', word('sheet.saved'));
    else this.tell.state('waiting', this.failures ? word('sheet.waiting', { n }) : word('sheet.saving'));
  }

  async push() {
    if (this.busy || this.locked) return;
    const batch = this.pending().slice(0, 100);
    if (!batch.length) {
      this.show();
      return;
    }
    this.busy = true;
    let again = 0;
    try {
      const answer = await fetch(this.url, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': this.token },
        body: JSON.stringify({ writer, changes: batch.map(([, c]) => c) }),
      });
      const body = await answer.json().catch(() => ({}));
      if (answer.ok) {
        this.failures = 0;
        this.version = body.version;
        const done = new Set([...body.applied, ...body.refused.map((r) => r.id)]);
        const said = new Map(batch.map(([, c]) => [c.id, c]));
        this.remove(batch.filter(([, c]) => done.has(c.id)).map(([key]) => key));
        if (body.sheet) this.tell.sheet(body.sheet);
        if (body.refused.length) this.tell.refused(body.refused.map((r) => ({ ...r, value: said.get(r.id)?.value })));
        if (this.pending().length) again = 1;
      } else if ([403, 404, 409, 410, 423].includes(answer.status)) {
        this.lock(body.message ?? word('sheet.not-open'));
      } else if (answer.status === 419 || answer.status === 401) {
        this.token = (await this.renew()) ?? this.token;
        this.failures += 1;
        again = 3000;
        if (this.failures > 1) this.tell.state('waiting', word('sheet.logged-out'));
      } else if (answer.status === 422) {
        // A change no server will ever take must not stand in the way of the others.
        this.remove(batch.slice(0, 1).map(([key]) => key));
        this.tell.refused([
          { target: batch[0][1].target, because: body.message ?? word('sheet.no-sense'), conflict: false },
        ]);
        again = 1;
      } else {
        throw new Error(String(answer.status));
      }
    } catch {
      this.failures += 1;
      this.show();
      again = Math.min(4000, 400 * this.failures);
    }
    this.busy = false;
    if (again) setTimeout(() => this.push(), again);
    else this.show();
  }

  lock(message) {
    const late = this.pending().filter(([, c]) => c.target !== 'time').length;
    this.locked = true;
    this.remove(this.pending().map(([key]) => key));
    this.tell.state('refused', late ? `${message} ${word('sheet.too-late', { count: late })}` : message);
  }

  /** Resolves when everything has reached the server; false when it cannot now. */
  async settled() {
    for (let i = 0; i < 30 && (this.busy || this.pending().length) && !this.locked; i++) {
      this.push();
      await new Promise((done) => {
        setTimeout(done, 100);
      });
    }
    return !this.busy && !this.pending().length && !this.locked;
  }
}
