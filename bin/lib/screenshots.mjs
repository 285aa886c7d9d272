// One picture of each main view at 1280 × 800, from the demo data.
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const base = process.env.VC_URL;
mkdirSync('docs/screenshots', { recursive: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});

async function as(who, options = {}) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, ...options });
  await page.goto(`${base}/login`);
  await page.fill('#email', `${who}@fernhollow.example`);
  await page.fill('#password', 'fernhollow-winter');
  await page.keyboard.press('Enter');
  await page.waitForURL(`${base}/`);
  return page;
}
const shot = async (page, name) => {
  await page.waitForTimeout(500);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};
const press = async (page, ...keys) => {
  for (const key of keys) {
    await page.keyboard.press(key);
    await page.waitForTimeout(60);
  }
};
const ready = (page) => page.waitForSelector('[data-ready]', { state: 'attached' });

const head = await as('maren');
for (const [path, name] of [
  ['/', 'today-head-coach'],
  ['/shelf', 'shelf'],
  ['/rounds', 'rounds'],
  ['/panel', 'panel'],
  ['/agreement', 'agreement'],
  ['/codebook', 'codebook'],
]) {
  await head.goto(base + path);
  await shot(head, name);
}
await head.goto(`${base}/reports`);
await head.getByRole('link', { name: 'The board’s page' }).first().click();
await shot(head, 'report');
await head.goto(`${base}/golfers?find=Dunnock`);
await head.getByRole('link', { name: 'Dunnock' }).click();
await shot(head, 'golfer');
await head.goto(`${base}/rounds/plan?suggest=12`);
await shot(head, 'plan');
await head.goto(`${base}/debrief`);
await ready(head);
await press(head, 'd', 'k');
await head.waitForTimeout(600);
await shot(head, 'debrief');
await head.goto(`${base}/shelf?club=fairway+wood&hand=left&find=Plover`);
await head.locator('table.sessions a').first().click();
await ready(head);
await press(head, ...Array(6).fill('Shift+ArrowRight'));
await head.waitForTimeout(600);
await shot(head, 'bench');
await head.goto(`${base}/lessons`);
await head.locator('tr', { hasText: 'a drill was given' }).getByRole('link').first().click();
const session = head.url();
await head.getByRole('link', { name: /handed over/ }).click();
await head.getByRole('link', { name: 'The note' }).click();
await shot(head, 'note');
await head.goto(`${base}/lessons`);
await head.locator('tr', { hasText: 'followed up' }).getByRole('link').first().click();
await head.getByRole('link', { name: /what was prescribed on/ }).click();
await shot(head, 'follow-up');
await head.goto(`${session}/prescription`);
await head.selectOption('select[name="faults[late-recentre]"]', 'now');
await head.getByRole('checkbox', { name: 'pressure comes back late is a first cause' }).check();
await head.getByRole('button', { name: 'Set out the drills' }).click();
await shot(head, 'prescription');
await head.getByRole('button', { name: 'Drop this draft' }).click();
await head.goto(`${base}/shelf`);
await head.setInputFiles('#files', {
  name: 'studio take 12.csv',
  mimeType: 'text/csv',
  buffer: readFileSync(process.env.VC_TAKE),
});
await head.getByRole('button', { name: 'Look at it' }).click();
await head.waitForURL('**/imports/**');
await head.getByRole('button', { name: 'Leave it' }).click();

await head.goto(`${base}/capture`);
await head.fill('input[name="name"]', 'bench mat');
await head.getByRole('button', { name: 'Register' }).click();
const token = await head.locator('code').textContent();
const device = spawn('php', [
  'artisan',
  'device:simulate',
  `--url=${base}`,
  `--token=${token}`,
  '--device=mat',
  '--fault=hang-back:2',
  '--swings=3',
]);
do {
  await head.waitForTimeout(500);
  await head.goto(`${base}/capture`);
} while (await head.getByText('No device has sent anything yet').isVisible());
await head.waitForSelector('.caught', { timeout: 60000 });
await head.waitForTimeout(2600);
await shot(head, 'capture');
await new Promise((done) => device.on('exit', done));

const reader = await as('tam');
const asked = (swing, has) =>
  reader.locator('table a', { hasText: /^read$/ }).evaluateAll(
    async (all, [n, film]) => {
      for (const a of all) {
        const e = await fetch(`${a.href}/evidence/${n}`);
        if (e.ok && (!film || (await e.json()).films.length === 2)) return a.href;
      }
      return null;
    },
    [swing, has],
  );
await reader.goto(await asked(1, true));
await ready(reader);
await press(reader, 'a', 'a', 'p', '2', ']', 'f', 'r');
await reader.waitForSelector('[data-saved][data-state="saved"]');
await shot(reader, 'reading');
await reader.goto(`${base}/`);
await reader.goto(await asked(3, false));
await ready(reader);
await press(
  reader,
  'v',
  'Shift+ArrowRight',
  'Shift+ArrowRight',
  'Shift+ArrowRight',
  '\\',
  'a',
  'a',
  'a',
  'p',
  '2',
  't',
);
await reader.waitForSelector('[data-saved][data-state="saved"]');
await reader.goto(`${base}/agreement`);
await reader.goto(`${base}/practice`);
await reader.click('.practice-modes button[value="alike"]');
await ready(reader);
await press(reader, '4');
await reader.waitForSelector('.truth');
await ready(reader);
await reader.waitForTimeout(600);
await shot(reader, 'practice');

await head.goto(`${base}/contrast`);
await head.click('.contrast-sets a:has-text("Hanging back, from")');
await ready(head);
await press(head, '\\', '\\');
await head.waitForTimeout(600);
await shot(head, 'contrast');
await head.goto(`${base}/readiness`);
await head.click('.standings a[aria-label^="Dov"]');
await head.waitForSelector('.rungs');
await shot(head, 'readiness');

await browser.close();
