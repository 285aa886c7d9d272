// Draws the demo's films from the synthetic golfers and codes them: node draws in headless Chromium, ffmpeg codes.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { chromium } from '@playwright/test';

const only = process.argv[2];
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
const page = await browser.newPage();
await page.route('http://films.test/**', (route) => {
  const path = new URL(route.request().url()).pathname;
  if (path === '/') return route.fulfill({ contentType: 'text/html', body: '<!DOCTYPE html><canvas></canvas>' });
  return route.fulfill({
    contentType: 'text/javascript',
    body: readFileSync(path === '/filmed.js' ? 'bin/lib/filmed.js' : `public${path}`),
  });
});
await page.goto('http://films.test/');

/** Codes pictures as they come. */
function coder(file, fps) {
  const run = spawn(
    'ffmpeg',
    [
      '-y',
      '-v',
      'error',
      '-f',
      'image2pipe',
      '-c:v',
      'mjpeg',
      '-framerate',
      String(fps),
      '-i',
      '-',
      '-c:v',
      'libx264',
      '-preset',
      'veryslow',
      '-crf',
      '29',
      '-g',
      '8',
      '-bf',
      '0',
      '-pix_fmt',
      'yuv420p',
      '-movflags',
      '+faststart',
      '-map_metadata',
      '-1',
      file,
    ],
    { stdio: ['pipe', 'inherit', 'inherit'] },
  );
  const ended = new Promise((done) => {
    run.on('exit', done);
  });
  return {
    write: (data) =>
      new Promise((done) => {
        run.stdin.write(Buffer.from(data, 'base64'), done);
      }),
    end: () => {
      run.stdin.end();
      return ended;
    },
  };
}

async function film(file, fps, frames, size, begin) {
  // A canvas of its own for each film: its size is asked for once.
  await page.evaluate(() => {
    const c = document.querySelector('canvas');
    c.replaceWith(c.cloneNode());
  });
  await page.evaluate(begin.set, begin.with);
  await page.evaluate(([w, h]) => {
    const c = document.querySelector('canvas');
    c.style.width = `${w}px`;
    c.style.height = `${h}px`;
    c.width = w;
    c.height = h;
  }, size);
  const out = coder(file, fps);
  for (let n = 0; n < frames; n += 30) {
    const batch = await page.evaluate(
      ([from, to]) => Array.from({ length: to - from }, (_, i) => window.picture(from + i)),
      [n, Math.min(frames, n + 30)],
    );
    for (const picture of batch) await out.write(picture);
  }
  await out.end();
  console.log(file, frames, 'frames');
}

const golfers = spawn('php', ['bin/lib/film-motion.php'], { stdio: ['ignore', 'pipe', 'inherit'] });
for await (const line of createInterface({ input: golfers.stdout })) {
  const motion = JSON.parse(line);
  if (only && !motion.file.includes(only)) continue;
  const until = Math.min(motion.t0 + (motion.points.pelvis[0].length - 1) / motion.rate, motion.stations.FI + 0.5);
  await film(
    `demo/films/${motion.file}`,
    motion.fps,
    Math.floor((until - motion.from) * motion.fps),
    motion.view === 'face-on' ? [520, 520] : [440, 520],
    {
      with: motion,
      set: async (m) => {
        const { Filmed } = await import('/filmed.js');
        const canvas = document.querySelector('canvas');
        const golfer = new Filmed(canvas, m, m.view);
        window.picture = (n) => {
          golfer.draw(m.from + n / m.fps);
          return canvas.toDataURL('image/jpeg', 0.93).split(',')[1];
        };
      },
    },
  );
}
if (!only || only === 'numbered') {
  await film('demo/films/numbered.mp4', 120, 360, [288, 240], {
    with: null,
    set: async () => {
      const { numbered } = await import('/filmed.js');
      const canvas = document.querySelector('canvas');
      window.picture = (n) => {
        numbered(canvas, n);
        return canvas.toDataURL('image/jpeg', 0.95).split(',')[1];
      };
    },
  });
}
await browser.close();
