// Keeps a reading's sheet: every change goes to this browser's storage at once and to the server as soon as
// it can be reached. One save is under way at a time; what changes meanwhile goes with the next.
const newId = () => Array.from(crypto.getRandomValues(new Uint8Array(12)), (b) => b.toString(16).padStart(2, '0')).join('');
const token = document.querySelector('meta[name="csrf-token"]').content;

export class SheetStore {
  constructor(id, url, sheet, say) {
    this.key = `reading:${id}`;
    this.url = url;
    this.say = say;
    this.sheet = sheet;
    this.dirty = false;
    this.busy = false;
    this.refused = false;
    // Ids of saves sent since the last answer: one of them may have arrived all the same.
    this.sent = [];
    const kept = this.recall();
    // Changes made here that the server has not confirmed, made from the version it has or from one we sent.
    if (kept && (kept.version === sheet.version || kept.sent?.includes(sheet.last_save))) {
      this.sent = kept.sent ?? [];
      this.sheet = { ...sheet, calls: kept.calls, first_causes: kept.first_causes, cue: kept.cue };
      this.dirty = true;
    } else {
      this.forget();
    }
    addEventListener('online', () => this.push());
    setInterval(() => this.push(), 4000);
    if (this.dirty) this.push();
  }

  change() {
    if (this.refused) return;
    this.dirty = true;
    this.keep();
    this.say('waiting', 'saving …');
    this.push();
  }

  async push() {
    if (!this.dirty || this.busy || this.refused) return;
    this.busy = true;
    this.dirty = false;
    const { version, calls, first_causes, cue } = this.sheet;
    const after = this.sent.slice(-80);
    const id = newId();
    this.sent = [...after, id].slice(-80);
    this.keep();
    try {
      const answer = await fetch(this.url, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': token },
        body: JSON.stringify({ version, id, after, calls, first_causes, cue }),
      });
      const body = await answer.json().catch(() => ({}));
      if (answer.ok) {
        this.sheet.version = body.version;
        this.sent = [];
        if (this.dirty) this.keep(); else { this.forget(); this.say('saved', 'saved'); }
      } else if (answer.status >= 500) {
        throw new Error(String(answer.status));
      } else {
        this.refused = true;
        if (answer.status === 409) this.forget();
        this.say('refused', body.message ?? 'You are logged out. Your calls are kept in this browser: log in and reload.');
      }
    } catch {
      this.dirty = true;
      this.say('waiting', 'waiting for the network – kept in this browser');
    }
    this.busy = false;
    if (this.dirty && navigator.onLine && !this.refused) setTimeout(() => this.push(), 800);
  }

  /** Resolves when everything has reached the server; false when it cannot now. */
  async settled() {
    for (let i = 0; i < 25 && (this.dirty || this.busy) && !this.refused; i++) {
      this.push();
      await new Promise((done) => { setTimeout(done, 120); });
    }
    return !this.dirty && !this.busy && !this.refused;
  }

  keep() { try { localStorage.setItem(this.key, JSON.stringify({ ...this.sheet, sent: this.sent })); } catch { /* the server has it */ } }
  recall() { try { return JSON.parse(localStorage.getItem(this.key)); } catch { return null; } }
  forget() { try { localStorage.removeItem(this.key); } catch { /* nothing kept */ } }
}
