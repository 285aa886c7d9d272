import { expect } from '@playwright/test';

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
