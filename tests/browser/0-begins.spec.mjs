import { createHmac } from 'node:crypto';
import { expect, logIn, openCase, press, saved, serious, takeWay, test, watchErrors } from './helpers.mjs';

const PASS = 'plain slow river boat';
const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

/** A time-based code, as a telephone makes it: RFC 6238 anew, from the letters that the page shows. */
function code(letters) {
  const bits = [...letters.replace(/\s/g, '')].map((c) => ALPHABET.indexOf(c).toString(2).padStart(5, '0')).join('');
  const key = Buffer.from(bits.match(/.{8}/g).map((b) => parseInt(b, 2)));
  const step = Buffer.alloc(8);
  step.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30_000)));
  const sum = createHmac('sha1', key).update(step).digest();
  return String((sum.readUInt32BE(sum[19] & 15) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

/** A swing on a mat, another one for each number. */
function swing(n) {
  const rows = ['t_s,lead_pct,trail_pct,copx_mm,copy_mm'];
  const corners = [
    [0, 50],
    [0.9, 50],
    [1.5, 22 + n],
    [1.75, 78 - n],
    [1.95, 87],
    [3, 88],
  ];
  for (let i = 0; i <= 300; i++) {
    const t = i / 100;
    const k = corners.findIndex(([at]) => at >= t) || 1;
    const [[a, from], [b, to]] = [corners[k - 1], corners[k]];
    const lead = from + ((t - a) / (b - a)) * (to - from) + 0.4 * Math.sin(i * (1 + n / 10));
    rows.push([t.toFixed(3), lead.toFixed(2), (100 - lead).toFixed(2), (4.6 * (lead - 50)).toFixed(1), '0'].join(','));
  }
  return `${rows.join('\n')}\n`;
}

/** Comes in by the link that the head coach hands over. */
async function join(browser, baseURL, link) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(new URL(new URL(link).pathname, baseURL).href);
  await page.fill('#password', PASS);
  await page.fill('#password_confirmation', PASS);
  await page.getByRole('button', { name: 'Come in' }).click();
  await page.waitForURL((url) => url.pathname === '/');
  return page;
}

/** Reads every case that waits: the first fault present now and then, the rest absent. */
async function readAll(page, baseURL, cases, present) {
  for (let i = 0; i < cases; i++) {
    await openCase(page, new URL('/read/next', baseURL).href);
    await takeWay(page, 'all');
    await press(page, ...(present(i) ? ['p', '2', 'r', 'ArrowDown'] : ['a']), ...Array(27).fill('a'));
    await expect(page.locator('[data-count]')).toHaveText('28');
    await saved(page);
    const at = page.url();
    await press(page, 'h');
    await expect(page.locator('[data-hand-in-button]')).toBeFocused();
    await press(page, 'Enter');
    await page.waitForURL((url) => url.href !== at, { timeout: 30_000 });
  }
}

/** Plans a sitting of the first cases and opens it. */
async function plan(page, name, kind, people, cases) {
  await page.goto('/rounds/plan');
  for (const box of (await page.locator('input[name="recordings[]"]').all()).slice(0, cases)) await box.check();
  await page.getByRole('link', { name: '2 People' }).click();
  await page.fill('#name', name);
  await page.selectOption('#kind', kind);
  for (const person of people) await page.getByLabel(person, { exact: true }).check();
  await page.getByRole('link', { name: '4 Check' }).click();
  await page.getByRole('button', { name: 'Keep as a draft' }).click();
  await page.waitForURL('**/rounds/*');
  await step(page);
}

/** Opens, closes or publishes: what the round's page offers next, until the queue has done it. */
async function step(page) {
  await page.locator('form.next button').click();
  await page.waitForLoadState();
  await expect(page.locator('[data-waits]')).toHaveCount(0, { timeout: 60_000 });
  await expect(page.locator('.notice.refused')).toHaveCount(0);
}

test('from an empty database to a published round with people of its own, by the pages alone', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(400_000);
  const errors = watchErrors(page);
  // The sample goes, and nothing of it is left.
  await logIn(page, 'maren');
  await page.goto('/academy');
  await page.fill('#typed', 'Fernhollow Golf Academy');
  await page.getByRole('button', { name: 'Clear it away and begin' }).click();
  await page.waitForURL('**/begin/**');

  // Begin, and the second factor before anything else.
  await page.fill('#academy', 'Moorgate Academy');
  await page.fill('#name', 'Una Bray');
  await page.fill('#email', 'una@moorgate.example');
  await page.fill('#password', PASS);
  await page.fill('#password_confirmation', PASS);
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.waitForURL('**/account/second-factor');
  await expect(page.locator('.qr svg path')).toHaveAttribute('d', /^M/);
  expect(await serious(page)).toEqual([]);
  await page.fill('#code', code(await page.locator('.secret').innerText()));
  await page.getByRole('button', { name: 'Use it from now on' }).click();
  await expect(page.locator('.codes li')).toHaveCount(8);
  await page.getByRole('link', { name: 'Go on' }).click();
  await expect(page.locator('.steps-first li').first()).toContainText('Invite');

  // Invite, accept.
  const people = {};
  for (const [name, role] of [
    ['Ada Finn', 'panel'],
    ['Bo Lund', 'panel'],
    ['Cy Marsh', 'panel'],
    ['Di Roe', 'instructor'],
    ['Ed Sloan', 'instructor'],
  ]) {
    await page.goto('/people');
    await page.fill('#name', name);
    await page.fill('#email', `${name.split(' ')[0].toLowerCase()}@moorgate.example`);
    await page.selectOption('#role', role);
    await page.getByRole('button', { name: 'Invite', exact: true }).click();
    people[name] = await join(browser, baseURL, await page.locator('[data-select]').inputValue());
  }
  await page.goto('/academy/letters');
  await expect(page.locator('.letter')).toHaveCount(5);

  // Two golfers with what they agree to, and a limit.
  for (const golfer of ['Osier', 'Sedge']) {
    await page.goto('/golfers');
    await page.fill('#pseudonym', golfer);
    await page.getByRole('button', { name: 'Take up' }).click();
    await page.getByText('Record a consent').click();
    await page.getByRole('button', { name: 'Record it' }).click();
    await expect(page.locator('table.rows tr', { hasText: 'staff training' })).toContainText('until');
  }
  await page.getByText('Note a limit').click();
  await page.selectOption('#region', 'ankle');
  await page.selectOption('#side', 'lead');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.locator('.about')).toContainText('lead ankle: careful');
  expect(await serious(page)).toEqual([]);

  // Twelve files at once, told apart by their names.
  await page.goto('/shelf');
  await page.setInputFiles(
    '#files',
    [...Array(12).keys()].map((i) => ({
      name: `${i < 7 ? 'osier' : 'sedge'}_2026-11-20_${String(i + 1).padStart(2, '0')}.csv`,
      mimeType: 'text/csv',
      buffer: Buffer.from(swing(i)),
    })),
  );
  await page.getByRole('button', { name: 'Look at' }).click();
  await expect(page.locator('h1')).toHaveText('12 files, 12 of them ready for the Shelf');
  expect(await serious(page)).toEqual([]);
  await page.locator('[data-all-of="club"]').fill('hybrid');
  await page.getByRole('button', { name: 'Fill down' }).click();
  await page.getByRole('button', { name: 'Put 12 on the Shelf' }).click();
  await expect(page.locator('h1')).toContainText('12 recordings');

  // Facts of one, with what the ball did; taken back, and set again.
  await page.locator('table a[aria-label^="Bench"]').first().click();
  await page.waitForSelector('[data-bench][data-ready]', { state: 'attached', timeout: 60_000 });
  const bench = page.url();
  await page.getByRole('link', { name: 'Set facts right' }).click();
  await page.fill('#start_deg', '-3');
  await page.fill('#curve_deg', '8.4');
  await page.selectOption('#height', 'high');
  await page.selectOption('#strike', 'heel');
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Keep' }).click();
  await page.waitForURL(bench);
  await expect(page.locator('.flight figcaption')).toContainText('Started 3° to the pull side, sliced 8°, high');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.locator('.flight')).toHaveCount(0);

  // A panel study, its key, a round scored against it, published.
  const panel = ['Ada Finn', 'Bo Lund', 'Cy Marsh'];
  await plan(page, 'First study', 'panel', panel, 3);
  for (const name of panel) await readAll(people[name], baseURL, 3, (i) => i === 1);
  await page.reload();
  await step(page);
  await step(page);
  await plan(page, 'First round', 'round', ['Di Roe', 'Ed Sloan'], 3);
  await readAll(people['Di Roe'], baseURL, 3, (i) => i === 1);
  await readAll(people['Ed Sloan'], baseURL, 3, () => false);
  await page.reload();
  await step(page);
  await step(page);
  await page.goto('/agreement');
  await expect(page.locator('h1')).toBeVisible();
  await expect(page.locator('body')).toContainText('First round');
  await people['Di Roe'].goto(new URL('/agreement', baseURL).href);
  await expect(people['Di Roe'].locator('body')).toContainText('First round');
  // Out and in again: the password alone is not enough.
  await page.getByRole('button', { name: 'Log out' }).click();
  await page.fill('#email', 'una@moorgate.example');
  await page.fill('#password', PASS);
  await page.getByRole('button', { name: 'Log in' }).click();
  await expect(page.locator('h1')).toHaveText('One more code');
  expect(errors).toEqual([]);
  for (const other of Object.values(people)) await other.context().close();
});
