// What happens to people at work when a process is killed, a disk fills up or the clock is put back under bin/serve:
// tries each, prints a table, and fails where anything acknowledged is not there afterwards, or an answer is no
// sentence. Loopback only; bin/test serve mishaps lays the ground.
import { execFileSync, spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { Browser, json } from './as-browser.mjs';

const [url, site, given, film, swings] = process.argv.slice(2);
const { readers, rounds } = JSON.parse(readFileSync(given, 'utf8'));
const FILM = readFileSync(film);
const SWINGS = swings.split(',');
const PART = 16 * 1024;
const CLOCK = process.env.CLOCK_FILE;
const SENTENCES = /back shortly|disk is full|Closed for a moment|No room left|kept/;
const sum = (bytes) => createHash('sha256').update(bytes).digest('hex');

/** Its number; nought while it is being started again. */
function pidOf(name) {
  const conf = `${site}/storage/serve/supervisor.conf`;
  try {
    return Number(execFileSync('supervisorctl', ['-c', conf, 'pid', `${name}:${name}-0`], { encoding: 'utf8' }));
  } catch {
    return 0;
  }
}
const children = (pid) =>
  execFileSync('ps', ['-eo', 'pid=,ppid='], { encoding: 'utf8' })
    .split('\n')
    .map((line) => line.trim().split(/\s+/).map(Number))
    .filter(([, parent]) => parent === pid)
    .map(([child]) => child);
const dead = (pid) => {
  try {
    if (pid > 1) process.kill(pid, 'SIGKILL');
  } catch {
    // Gone already.
  }
};
/** Whom it meets, with the signal that nobody can catch. */
const KILLS = {
  'php-fpm’s workers': () => children(pidOf('pages')),
  'the queue’s workers': () => ['queue', 'films'].map(pidOf),
  PostgreSQL: () => [pidOf('database')],
};

const table = [];
let wrong = 0;
function told(mishap, during, { acknowledged, lost, answers, then }) {
  const bad = lost || answers.silent;
  if (bad) wrong += 1;
  const list = Object.entries(answers.by)
    .sort()
    .map(([status, n]) => `${n} × ${status}`)
    .join(', ');
  table.push(
    `| ${mishap} | ${during} | ${acknowledged} | ${lost} | ${list || '–'}${answers.silent ? ` (${answers.silent} without a sentence)` : ''} | ${then} |`,
  );
  console.log(table.at(-1));
}
class Answers {
  by = {};

  silent = 0;

  async note(answer) {
    const status = answer?.status ?? 'no answer';
    this.by[status] = (this.by[status] ?? 0) + 1;
    const text = (await answer?.text().catch(() => '')) ?? '';
    if (status >= 500 && !SENTENCES.test(text)) {
      this.silent += 1;
      console.error(`${status}: ${text.slice(0, 300)}`);
    }
    return text;
  }
}

async function until(what, look, times = 600) {
  for (let n = 0; n < times; n += 1) {
    if (await look().catch(() => false)) return;
    await pause(250);
  }
  throw new Error(`not in time: ${what}`);
}
const up = () =>
  until('pages answer', async () => {
    const answer = await fetch(`${url}/login`);
    await answer.text();
    return answer.status === 200;
  });

/** People who save until they are told to stop; what is not acknowledged is sent again as it was, as their pages do. */
class Savers {
  going = true;

  acknowledged = 0;

  last = new Map();

  constructor(people, answers) {
    this.people = people;
    this.answers = answers;
    this.done = Promise.all(people.map((person, n) => this.work(person, n)));
  }

  async work(person, n) {
    for (let i = 0; this.going; i += 1) {
      const reading = person.readings[i % person.readings.length];
      const confidence = 50 + 5 * (i % 10);
      const change = {
        id: `c-${n}-${i}-${Math.random().toString(16).slice(2, 10)}`,
        target: 'call:sway',
        value: { presence: 'absent', confidence, pins: [] },
        base: person.versions.get(reading) ?? 0,
        at: Date.now(),
      };
      for (let tries = 0; tries < 400; tries += 1) {
        const answer = await person
          .ask(`/read/${reading}/changes`, {
            method: 'POST',
            headers: json,
            body: JSON.stringify({ writer: `w-mishap-${n}`, changes: [change] }),
          })
          .catch(() => null);
        const text = await this.answers.note(answer);
        if (answer?.status === 200 && JSON.parse(text).applied.includes(change.id)) {
          this.acknowledged += 1;
          this.last.set(reading, [person, confidence]);
          person.versions.set(reading, JSON.parse(text).version);
          break;
        }
        if (!this.going) return;
        // A log-in that has ended meanwhile: the calls are kept, and go out after the next one.
        if ([401, 419].includes(answer?.status)) await enter(person).catch(() => null);
        await pause(150);
      }
      await pause(20);
    }
  }

  /** @returns how many readings do not hold what was acknowledged last, or what was sent after it */
  async lost() {
    this.going = false;
    await this.done;
    await up();
    let lost = 0;
    for (const [reading, [person, confidence]] of this.last) {
      const sheet = await (await person.ask(`/read/${reading}/sheet`)).json();
      const is = sheet.calls.sway?.confidence;
      // One that was sent and not acknowledged may be there.
      if (is !== confidence && is !== 50 + ((confidence - 50 + 5 * person.readings.length) % 50)) lost += 1;
    }
    return lost;
  }
}

async function enter(person) {
  await person.logIn(person.email);
  for (const reading of person.readings) {
    const sheet = await (await person.ask(`/read/${reading}/sheet`)).json();
    person.token = sheet.token;
    person.versions.set(reading, sheet.version);
  }
}
const people = [];
for (const { email, readings } of readers) {
  const person = new Browser(url);
  Object.assign(person, { email, readings: readings.slice(0, 3), versions: new Map() });
  await enter(person);
  people.push(person);
}
const coach = new Browser(url);
await coach.logIn('maren@fernhollow.example');

async function inMidSave(mishap, harm, times = 3) {
  const answers = new Answers();
  const savers = new Savers(people, answers);
  for (let n = 0; n < times; n += 1) {
    await pause(1200 + Math.random() * 800);
    await harm();
  }
  await up();
  await pause(1500);
  const lost = await savers.lost();
  if (!savers.acknowledged) throw new Error('nothing was saved at all');
  told(mishap, 'saving', { acknowledged: savers.acknowledged, lost, answers, then: 'saves go on' });
}

async function begunFilm(swing, bytes = FILM) {
  await coach.page(`/bench/${swing}`);
  const begun = await coach.ask(`/bench/${swing}/films`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify({ view: 'face-on', name: 'mishap.mp4', bytes: bytes.length, slowed: 1 }),
  });
  if (begun.status !== 201) throw new Error(`no film: ${begun.status} ${await begun.text()}`);
  return new URL((await begun.json()).to).pathname;
}
async function putPart(to, at, answers, bytes = FILM) {
  const answer = await coach
    .ask(`${to}?offset=${at}`, {
      method: 'PUT',
      headers: { ...json, 'Content-Type': 'application/octet-stream' },
      body: bytes.subarray(at, at + PART),
    })
    .catch(() => null);
  const text = await answers.note(answer);
  return answer?.status === 200 ? JSON.parse(text).received : null;
}
const filmIs = async (to) => (await coach.ask(to, { headers: json })).json();
async function original(to) {
  await until('the film is ready', async () => (await filmIs(to)).state === 'ready', 1200);
  return sum(Buffer.from(await (await coach.ask(`${to}/original`)).arrayBuffer()));
}
async function inMidUpload(mishap, harm, swing) {
  const answers = new Answers();
  const to = await begunFilm(swing);
  const steps = Math.ceil(FILM.length / PART);
  const at = new Set([1, 2, 3].map((n) => Math.floor((n * steps) / 4)));
  let acknowledged = 0;
  for (let step = 0, tries = 0; acknowledged < FILM.length && tries < 2000; tries += 1) {
    // While the part is on its way.
    const sent = putPart(to, acknowledged, answers);
    if (at.delete(step)) await harm();
    const received = await sent;
    if (received === null) await pause(150);
    else {
      acknowledged = received;
      step += 1;
    }
  }
  await up();
  // And once more while it is made ready.
  await harm();
  await up();
  const lost = (await original(to)) === sum(FILM) ? 0 : 1;
  await coach.page('/');
  await (await coach.ask(to, { method: 'DELETE' })).text();
  told(mishap, 'sending a film, and its conversion', {
    acknowledged: `${FILM.length} bytes`,
    lost,
    answers,
    then: 'the film is whole',
  });
}

async function inMidPublish(mishap, whom, longest, of) {
  const answers = new Answers();
  let lost = 0;
  for (const round of of) {
    await coach.page('/rounds');
    const pids = whom();
    const sent = coach.form(`/rounds/${round}/publish`).catch(() => null);
    // While it is asked for, or while it is done.
    await pause(Math.random() * longest);
    pids.forEach(dead);
    await answers.note(await sent);
    await up();
    await coach.page('/rounds');
    // Either published or not at all; where nothing came of it, it can be asked for again.
    const published = async () => (await coach.ask(`/agreement/${round}`)).status === 200;
    const seen = async () => (await people[0].ask(`/agreement/${round}`)).status === 200;
    if (
      !(await until('it is published', published, 120).then(
        () => true,
        () => false,
      ))
    ) {
      await coach.page('/rounds');
      await answers.note(await coach.form(`/rounds/${round}/publish`));
      await until('it is published', published, 240).catch(() => null);
    }
    if (!(await published()) || !(await seen())) lost += 1;
  }
  told(mishap, 'publishing a round', { acknowledged: of.length, lost, answers, then: 'each is published once' });
}

const artisan = (...args) =>
  execFileSync('bash', ['-c', 'cd "$0" && . bin/lib/common.sh && "${PHP[@]}" artisan "$@"', site, ...args], {
    encoding: 'utf8',
  });
const backups = () => {
  try {
    return execFileSync('ls', [`${site}/storage/backups`], { encoding: 'utf8' })
      .trim()
      .split('\n')
      .filter(Boolean);
  } catch {
    return [];
  }
};
async function inMidBackup(mishap, harm) {
  artisan('backup:make');
  const before = backups();
  const runs = spawn('bash', ['-c', 'cd "$0" && . bin/lib/common.sh && exec "${PHP[@]}" artisan backup:make', site], {
    stdio: 'ignore',
  });
  const over = new Promise((done) => {
    runs.on('exit', (code) => done(code));
  });
  await pause(1500 + Math.random() * 1500);
  await harm(runs.pid);
  await over;
  await up();
  // The newest that counts is whole, and the next one is made.
  const said = [artisan('backup:verify')];
  artisan('backup:make');
  said.push(artisan('backup:verify'));
  const lost = said.filter((s) => !/is whole/.test(s)).length;
  told(mishap, 'a backup', {
    acknowledged: before.length,
    lost,
    answers: new Answers(),
    then: 'the newest opens whole, the next is made',
  });
}

for (const [name, kill] of Object.entries(KILLS))
  await inMidSave(`kill -9 of ${name}`, async () => kill().forEach(dead));
let n = 0;
for (const [name, kill] of Object.entries(KILLS))
  await inMidUpload(`kill -9 of ${name}`, async () => kill().forEach(dead), SWINGS[n++ % SWINGS.length]);
const each = Math.floor(rounds.length / 3);
for (const [i, [name, whom]] of Object.entries(KILLS).entries())
  await inMidPublish(`kill -9 of ${name}`, whom, i === 0 ? 60 : 1500, rounds.slice(i * each, (i + 1) * each));
await inMidBackup('kill -9 of who makes it', async (pid) => dead(pid));
await inMidBackup('kill -9 of PostgreSQL', async () => KILLS.PostgreSQL().forEach(dead));

// A full disk under the films: a file takes what is left of a small one.
if (process.env.FILMS_MOUNT) {
  const answers = new Answers();
  const to = await begunFilm(SWINGS[0]);
  let at = 0;
  while (at < FILM.length / 2) at = (await putPart(to, at, answers)) ?? at;
  const ballast = `${process.env.FILMS_MOUNT}/ballast`;
  execFileSync('bash', ['-c', `dd if=/dev/zero of="${ballast}" bs=1k 2>/dev/null || true`]);
  const full = await putPart(to, at, answers);
  const page = await coach.ask('/shelf');
  await answers.note(page);
  rmSync(ballast);
  const still = (await filmIs(to)).received;
  for (let tries = 0; at < FILM.length && tries < 500; tries += 1) at = (await putPart(to, at, answers)) ?? at;
  const lost =
    still >= FILM.length / 2 && full === null && page.status === 200 && (await original(to)) === sum(FILM) ? 0 : 1;
  told('full disk under the films', 'sending a film', {
    acknowledged: `${still} bytes before`,
    lost,
    answers,
    then: 'once there is room the film is whole',
  });
}
// A full disk under the database.
if (process.env.DATABASE_MOUNT) {
  const ballast = `${process.env.DATABASE_MOUNT}/ballast`;
  await inMidSave(
    'full disk under the database',
    async () => {
      execFileSync('bash', ['-c', `dd if=/dev/zero of="${ballast}" bs=64k 2>/dev/null || true`]);
      for (let i = 0; i < 6; i += 1) {
        await pause(1000);
        await (await fetch(`${url}/login`).catch(() => null))?.text();
      }
      console.error(`ballast ${statSync(ballast).size} bytes`);
      rmSync(ballast);
      await up();
    },
    2,
  );
}
// The clock, back by five hours and then where it was.
if (CLOCK) {
  await inMidSave(
    'clock put back by 5 h, then forward again',
    async () => {
      writeFileSync(CLOCK, '-18000');
      await pause(8000);
      const answer = await people[0].ask('/');
      if (!answer.ok) throw new Error(`after the clock was put back: ${answer.status}`);
      await answer.text();
      writeFileSync(CLOCK, '0');
    },
    1,
  );
}
const whole = artisan('audit:verify');
console.log(`the record: ${whole.trim().split('\n').at(-1)}`);
if (wrong) {
  console.error(`${wrong} went wrong`);
  process.exit(1);
}
