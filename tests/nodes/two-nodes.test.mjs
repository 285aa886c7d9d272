// Two web machines with folders of their own behind one database, one store of files and one Redis. Run by bin/test
// serve.
import assert from 'node:assert/strict';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { test } from 'node:test';
import { Browser, json } from '../../bin/lib/as-browser.mjs';

const NODES = process.env.NODES.split(',').map((port) => `http://127.0.0.1:${port}`);
/** Leaders of the process groups of the first node: its pages and its worker. */
const FIRST = process.env.NODE_GROUPS.split(',').map(Number);
const SWINGS = process.env.SWINGS.split(',');
const ROUND = process.env.ROUND;
const FILM = readFileSync(process.env.FILM);
const PART = 24 * 1024;

const sum = (bytes) => createHash('sha256').update(bytes).digest('hex');

async function until(what, look) {
  for (let n = 0; n < 1200; n += 1) {
    const got = await look();
    if (got) return got;
    await wait(250);
  }
  throw new Error(`not within five minutes: ${what}`);
}

async function announced(coach, node, swing) {
  await coach[node].page(`/bench/${swing}`);
  const answer = await coach[node].ask(`/bench/${swing}/films`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify({ view: 'face-on', name: 'shared.mp4', bytes: FILM.length, slowed: 1 }),
  });
  assert.equal(answer.status, 201, await answer.clone().text());
  return new URL((await answer.json()).to).pathname;
}

async function sent(coach, node, to, offset) {
  const answer = await coach[node].ask(`${to}?offset=${offset}`, {
    method: 'PUT',
    headers: { ...json, 'Content-Type': 'application/octet-stream' },
    body: FILM.subarray(offset, offset + PART),
  });
  return { status: answer.status, ...(await answer.json()) };
}

const ready = (coach, node, to) =>
  until('the film is ready', async () => {
    const film = await (await coach[node].ask(to, { headers: json })).json();
    assert.notEqual(film.state, 'refused', film.message);
    return film.state === 'ready' && film;
  });

/** A page without what is new in every answer. */
const plain = (html) =>
  html
    .replace(/http:\/\/127\.0\.0\.1:\d+/g, '')
    .replace(/(csrf-token" content|_token" value|nonce)="[^"]*"/g, '')
    .replace(/\s+/g, ' ');

/** One browser that may ask either. */
const coach = NODES.map((base) => new Browser(base));
coach[1].cookies = coach[0].cookies;

test('who logs in on one is in on the other', async () => {
  await coach[0].logIn('maren@fernhollow.example');
  for (const node of [0, 1]) assert.match(await coach[node].page('/'), /csrf-token/);
});

test('a film whose parts go to either is whole on both', async () => {
  const to = await announced(coach, 0, SWINGS[0]);
  let node = 0;
  for (let at = 0; at < FILM.length; node += 1) {
    if (at === 2 * PART) {
      // Once more to the other, and one too far on.
      assert.equal((await sent(coach, (node + 1) % 2, to, PART)).received, at);
      assert.equal((await sent(coach, node % 2, to, at + PART)).status, 409);
    }
    const answer = await sent(coach, node % 2, to, at);
    assert.equal(answer.status, 200, answer.message);
    at = answer.received;
  }
  assert.ok(node >= 4, 'the film is too short to tell');
  await ready(coach, 1, to);
  for (const of of [0, 1]) {
    const bytes = Buffer.from(await (await coach[of].ask(`${to}/original`)).arrayBuffer());
    assert.equal(sum(bytes), sum(FILM));
  }
  const stream = `/bench/${SWINGS[0]}/film/face-on/stream`;
  const whole = Buffer.from(await (await coach[0].ask(stream)).arrayBuffer());
  for (const of of [0, 1]) {
    for (const [from, last] of [
      [0, 99],
      [5000, 70_000],
      [whole.length - 9, whole.length - 1],
    ]) {
      const part = await coach[of].ask(stream, { headers: { Range: `bytes=${from}-${last}` } });
      assert.equal(part.status, 206);
      assert.equal(part.headers.get('content-range'), `bytes ${from}-${last}/${whole.length}`);
      assert.equal(sum(Buffer.from(await part.arrayBuffer())), sum(whole.subarray(from, last + 1)));
    }
  }
});

test('both say that they stand well, with the queue where it is', async () => {
  for (const of of [0, 1]) assert.match(await (await coach[of].ask('/up')).text(), /queue/);
});

test('both say the same figures', async () => {
  for (const path of [`/agreement/${ROUND}`, '/shelf', `/bench/${SWINGS[0]}`]) {
    assert.equal(plain(await coach[0].page(path)), plain(await coach[1].page(path)), path);
  }
});

test('what is asked for on one is taken away from the other', async () => {
  await coach[0].page(`/agreement/${ROUND}`);
  const asked = await coach[0].ask(`/agreement/${ROUND}/export`, {
    method: 'POST',
    body: new URLSearchParams({ _token: coach[0].token }),
  });
  assert.ok(asked.status < 400, `${asked.status}`);
  const sums = await until('the export is there', async () => {
    const files = await Promise.all([0, 1].map((node) => coach[node].ask(`/agreement/${ROUND}/export`)));
    if (!files.every((f) => f.status === 200 && /zip/.test(f.headers.get('content-type')))) return null;
    return Promise.all(files.map(async (f) => sum(Buffer.from(await f.arrayBuffer()))));
  });
  assert.equal(sums[0], sums[1]);
});

test('one killed in mid-upload: the other goes on, and nothing that was acknowledged is lost', async () => {
  const to = await announced(coach, 0, SWINGS[1]);
  let at = 0;
  for (let node = 0; at < FILM.length / 2; node += 1) at = (await sent(coach, node % 2, to, at)).received;
  for (const group of FIRST) process.kill(-group, 'SIGKILL');
  await until('the first is gone', () =>
    fetch(NODES[0]).then(
      () => false,
      () => true,
    ),
  );
  const film = await (await coach[1].ask(to, { headers: json })).json();
  assert.equal(film.received, at);
  while (at < FILM.length) at = (await sent(coach, 1, to, at)).received;
  await ready(coach, 1, to);
  assert.equal(sum(Buffer.from(await (await coach[1].ask(`${to}/original`)).arrayBuffer())), sum(FILM));
  assert.match(await coach[1].page(`/bench/${SWINGS[0]}`), /film\/face-on/);
});
