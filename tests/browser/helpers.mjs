import { execFileSync } from 'node:child_process';
import AxeBuilder from '@axe-core/playwright';
import { test as base, expect } from '@playwright/test';

export { expect };

const lanes = process.env.VC_LANES?.split(',') ?? [];
let laid = null;

/**
 * In bin/test each worker has a lane: a server with a database and films of its own, laid afresh before each file.
 * Against one server (VC_URL) files run as they are.
 */
export const test = base.extend({
  baseURL: async ({ baseURL }, use, info) => {
    if (!lanes.length) return use(baseURL);
    const lane = info.parallelIndex;
    if (laid !== info.file) {
      execFileSync('bash', ['bin/lib/lanes.sh', String(lane + 1)], { stdio: 'pipe' });
      sessions.clear();
      laid = info.file;
    }
    return use(`${process.env.VC_SCHEME ?? 'http'}://127.0.0.1:${lanes[lane]}`);
  },
  /** What a process that stands beside the server has in its environment. */
  env: async ({}, use, info) => {
    const lane = info.parallelIndex + 1;
    const run = 'storage/run/lanes';
    await use(
      lanes.length
        ? {
            ...process.env,
            DB_DATABASE: `verified_consensus_browser_${lane}`,
            FILMS_ROOT: `${process.cwd()}/${run}/films-${lane}`,
            CLOCK_FILE: `${process.cwd()}/${run}/clock-${lane}`,
          }
        : process.env,
    );
  },
});

export const PASSWORD = 'fernhollow-winter';

/** Sessions of those who have logged in already: the page allows only so many log-ins a minute. */
const sessions = new Map();

export async function logIn(page, who) {
  await page.context().clearCookies();
  if (sessions.has(who)) {
    await page.context().addCookies(sessions.get(who));
    await page.goto('/');
    if (new URL(page.url()).pathname === '/') return;
    await page.context().clearCookies();
  }
  await page.goto('/login');
  await page.fill('#email', `${who}@fernhollow.example`);
  await page.fill('#password', PASSWORD);
  await page.keyboard.press('Enter');
  await page.waitForURL((url) => url.pathname === '/', { timeout: 30_000 });
  sessions.set(who, await page.context().cookies());
}

/** Opens the next case and waits until film and sheet stand. */
export async function openCase(page, path = '/read/next') {
  await page.goto(path);
  await page.waitForSelector('[data-reading][data-ready]', { state: 'attached' });
}

export async function press(page, ...keys) {
  for (const key of keys) await page.keyboard.press(key);
}

export const saved = (page) =>
  expect(page.locator('[data-saved]')).toHaveAttribute('data-state', 'saved', { timeout: 10_000 });

/** Fails on any script error or refused resource while the body runs. */
export function watchErrors(page) {
  const errors = [];
  page.on('pageerror', (e) => errors.push(`${e}\n${e.stack}`));
  page.on('response', (r) => {
    if (r.status() >= 400) errors.push(`${r.status()} ${r.url()}`);
  });
  return errors;
}

let lang = null;

/** The scripts' words, as <x-words> prints them into a page that uses them. */
export async function layWords(page) {
  const areas = ['keys', 'sheet', 'stage', 'bench', 'films', 'debrief', 'capture'];
  const code = `$o = []; foreach (${JSON.stringify(areas)} as $a) { $o[$a] = require "lang/en/$a.php"; } echo json_encode($o);`;
  lang ??= execFileSync('php', ['-r', code], { encoding: 'utf8' });
  await page.evaluate((words) => {
    const script = Object.assign(document.createElement('script'), { type: 'application/json', id: 'words' });
    script.textContent = words;
    document.head.append(script);
  }, lang);
}

/** What the accessibility checker finds that would keep somebody out; in the dark only colours are asked about. */
export async function serious(page, theme = 'light') {
  await page.evaluate(() => document.fonts.ready);
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] });
  if (theme === 'dark') axe.withRules(['color-contrast']);
  const { violations } = await axe.analyze();
  return violations
    .filter((v) => ['serious', 'critical'].includes(v.impact))
    .map((v) => `${v.id} ${v.nodes[0].html.slice(0, 200)} ${v.nodes[0].failureSummary}`);
}

/** The sheet of the open reading, as the server has it. */
export const sheetOf = (page) =>
  page.evaluate(async () => (await fetch(document.querySelector('[data-reading]').dataset.sheetUrl)).json());

/** Logs in somebody who has such a case before him, nothing called in it yet, and opens it. */
export async function openKind(page, kind) {
  for (const who of ['kit', 'dov', 'arlo', 'vesna', 'tam']) {
    await logIn(page, who);
    for (const link of await page
      .locator('table a', { hasText: /^read$/ })
      .evaluateAll((all) => all.map((a) => a.href))) {
      const shown = await (
        await page.request.get(`${link}/evidence/1`, { headers: { Accept: 'application/json' } })
      ).json();
      const { calls } = await (await page.request.get(`${link}/sheet`)).json();
      if (Object.keys(calls).length) continue;
      const film = shown.motion !== null || shown.films.length > 0;
      if (kind === (film && shown.trace ? 'both' : film ? 'film' : 'trace')) {
        await openCase(page, link);
        return link;
      }
    }
  }
  throw new Error(`nobody has a ${kind} case left`);
}

export async function takeWay(page, way) {
  if ((await page.locator(`[data-way="${way}"]`).getAttribute('aria-pressed')) !== 'true') await press(page, 'v');
  await expect(page.locator(`[data-way="${way}"]`)).toHaveAttribute('aria-pressed', 'true');
}

/** Hands a sheet in through the pages' own addresses, after changes as the bench sends them. */
export async function handInChanges(page, link, changes) {
  const { version, token } = await (await page.request.get(`${link}/sheet`)).json();
  const saved = await page.request.post(`${link}/changes`, {
    data: { writer: 'journey-writer', changes: changes.map((c) => ({ ...c, base: version, at: Date.now() })) },
    headers: { 'X-CSRF-TOKEN': token, Accept: 'application/json' },
  });
  expect((await saved.json()).refused).toEqual([]);
  const done = await page.request.post(`${link}/hand-in`, { form: { _token: token } });
  expect(done.ok()).toBe(true);
}

/** Hands in everything absent but what is given. */
export async function handInSheet(page, link, present) {
  const faults = await page.request
    .get(link)
    .then((r) => r.text())
    .then((html) => [...html.matchAll(/data-fault="([\w-]+)"/g)].map((m) => m[1]));
  const call = (fault) =>
    fault === present
      ? { presence: 'present', severity: 2, decision: 'now', pins: [{ on: 'film', t: 1.2, reason: 'past the foot' }] }
      : { presence: 'absent', confidence: 80 };
  const changes = [
    ...faults.map((fault) => [`call:${fault}`, call(fault)]),
    ['causes', present ? ['outside-grip', present] : []],
    ['chain', present ? [['outside-grip', present]] : []],
    ['misses', present ? { fat: 50, push: 20 } : {}],
    ...(present ? [['drill', { key: 'box-turn', stop: 'short-iron' }]] : []),
  ].map(([target, value], i) => ({ id: `journey-${i}-${link.slice(-12)}`, target, value }));
  await handInChanges(page, link, changes);
}

/** Opens the round whose page this is, and waits until it stands: its cases are dealt in the queue. */
export async function openedRound(page) {
  const round = page.url();
  await page.click('button.act.big');
  await expect(async () => {
    await page.goto(round);
    await expect(page.locator('button.act.big')).toContainText(/Close/, { timeout: 500 });
  }).toPass({ timeout: 60_000 });
}
