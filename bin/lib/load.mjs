// Readers at work: each saves a call a second and opens a page every ten seconds, or saves as fast as it is answered.
// Prints how long it took and whether anything that was acknowledged is not there afterwards. For bin/bench load;
// loopback only.
import { readFileSync } from 'node:fs';
import { Browser, json } from './as-browser.mjs';

const [url, given, seconds = '60', how = 'paced'] = process.argv.slice(2);
const { readers } = JSON.parse(readFileSync(given, 'utf8'));
const WARM_S = 15;
const pause = (ms) =>
  new Promise((done) => {
    setTimeout(done, ms);
  });

class Reader extends Browser {
  constructor({ email, readings }, n) {
    super(url);
    Object.assign(this, { email, readings, n, acknowledged: new Map(), version: new Map() });
  }

  async enter() {
    await this.logIn(this.email);
    for (const reading of this.readings.slice(0, 3)) await this.open(reading);
  }

  async open(reading) {
    const sheet = await (await this.ask(`/read/${reading}/sheet`)).json();
    this.token = sheet.token;
    this.version.set(reading, sheet.version);
    return sheet;
  }

  async save(i, tell) {
    const reading = this.readings[i % 3];
    const base = this.version.get(reading);
    const id = `c-${this.n}-${i}-${Math.random().toString(16).slice(2, 10)}`;
    const from = performance.now();
    const answer = await this.ask(`/read/${reading}/changes`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({
        writer: `w-load-${this.n}`,
        changes: [
          {
            id,
            target: 'call:sway',
            value: { presence: 'absent', confidence: 50 + 5 * (i % 10), pins: [] },
            base,
            at: Date.now(),
          },
        ],
      }),
    });
    const body = await answer.json().catch(() => ({}));
    tell('save', performance.now() - from, answer.status === 200 && body.applied?.includes(id));
    if (answer.status === 200) {
      this.version.set(reading, body.version);
      this.acknowledged.set(reading, (this.acknowledged.get(reading) ?? 0) + 1);
    }
  }

  async look(i, tell) {
    const from = performance.now();
    const answer = await this.ask(`/read/${this.readings[i % this.readings.length]}`);
    await answer.text();
    tell('page', performance.now() - from, answer.status === 200);
  }
}

const people = readers.map((r, n) => new Reader(r, n));
for (const reader of people) await reader.enter();
const before = new Map();
for (const reader of people) for (const [reading, version] of reader.version) before.set(reading, version);

/** @returns what the requests of so many seconds took, in ms, and how many failed */
async function driven(lasts) {
  const took = { save: [], page: [] };
  const failed = { save: 0, page: 0 };
  const tell = (what, ms, isRight) => {
    took[what].push(ms);
    if (!isRight) failed[what] += 1;
  };
  const end = performance.now() + lasts * 1000;
  await Promise.all(
    people.map(async (reader, n) => {
      if (how === 'paced') await pause((1000 * n) / people.length);
      for (let i = 0; performance.now() < end; i++) {
        const from = performance.now();
        await reader.save(i, tell).catch(() => tell('save', performance.now() - from, false));
        if (how === 'paced') {
          if (i % 10 === n % 10) await reader.look(i, tell).catch(() => tell('page', performance.now() - from, false));
          await pause(Math.max(0, 1000 - (performance.now() - from)));
        }
      }
    }),
  );
  return { took, failed };
}
const at = (list, q) => (list.length ? list[Math.min(list.length - 1, Math.floor(q * list.length))].toFixed(0) : '–');
function told({ took, failed }, name, lasts) {
  for (const what of ['save', 'page']) {
    const list = took[what].sort((one, other) => one - other);
    if (list.length)
      console.log(
        `${name}, ${people.length} readers, ${lasts} s: ${list.length} × ${what}, p50 ${at(list, 0.5)} ms, ` +
          `p95 ${at(list, 0.95)} ms, slowest ${at(list, 1)} ms, ${failed[what]} failed`,
      );
  }
}
// A server that has just begun has its code still to compile, and tells so by itself.
told(await driven(WARM_S), `${how}, just begun`, WARM_S);
const then = await driven(Number(seconds));
told(then, how, seconds);
const { took } = then;
let lost = 0;
for (const reader of people)
  for (const [reading, count] of reader.acknowledged) {
    const { version } = await reader.open(reading);
    lost += Math.max(0, before.get(reading) + count - version);
  }
console.log(
  `${((took.save.length + took.page.length) / Number(seconds)).toFixed(1)} requests a second; acknowledged and not there: ${lost}`,
);

// One after the other: a page of the application beside the framework's empty one, in pairs.
const median = (list) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)];
const pairs = { read: [], sheet: [], empty: [], save: [] };
for (let i = 0; i < 60; i++) {
  for (const [name, path] of [
    ['empty', '/_empty'],
    ['sheet', `/read/${people[0].readings[0]}/sheet`],
    ['read', `/read/${people[0].readings[0]}`],
  ]) {
    const from = performance.now();
    await (await people[0].ask(path)).text();
    pairs[name].push(performance.now() - from);
  }
  await people[0].save(i, (_, ms) => pairs.save.push(ms));
}
const empty = median(pairs.empty);
const beside = (name) => `${median(pairs[name]).toFixed(1)} ms (${(median(pairs[name]) / empty).toFixed(1)}×)`;
console.log(
  `alone: the framework's empty page ${empty.toFixed(1)} ms, a sheet's answers ${beside('sheet')}, a save ${beside('save')}, ` +
    `a reading's page ${beside('read')}`,
);
