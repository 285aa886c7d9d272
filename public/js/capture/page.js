// The live view of a device: asks a few times a second, draws what came, and never decides anything itself.
import { sole, standing } from '../bench/sole.js';
import { word } from '../words.js';

const root = document.querySelector('[data-capture]');
const csrf = document.querySelector('meta[name="csrf-token"]').content;
const EVERY = 180;

function strip(share, hz) {
  const n = share.length;
  let path = '';
  let down = false;
  share.forEach((v, i) => {
    if (v === null) {
      down = false;
      return;
    }
    path += `${down ? 'L' : 'M'}${(800 - ((n - 1 - i) / hz) * 80).toFixed(1)} ${(200 - 2 * v).toFixed(1)}`;
    down = true;
  });
  return path;
}

/** A stance nobody has told the device of: both feet side by side, drawn and not measured. */
const SOMEWHERE = {
  lead_foot: { x_mm: 230, y_mm: 0, length_mm: 270, flare_deg: 20 },
  trail_foot: { x_mm: -230, y_mm: 0, length_mm: 270, flare_deg: -8 },
};

function feet(svg, live) {
  const stance = live.stance ?? SOMEWHERE;
  const span = Math.max(330, stance.lead_foot.x_mm - stance.trail_foot.x_mm);
  const place = (x, y) => [130 + (x * 150) / span, 84 + (y * 150) / span];
  for (const side of ['lead', 'trail'])
    svg.querySelector(`.sole.${side}`).setAttribute('d', sole(standing(stance[`${side}_foot`]), place));
  const net = svg.querySelector('.net');
  const [x, y] = live.cop ?? [null, null];
  net.style.visibility = x === null ? 'hidden' : 'visible';
  if (x !== null) {
    const [cx, cy] = place(x, y ?? 0);
    net.setAttribute('cx', cx);
    net.setAttribute('cy', cy);
  }
}

function swings(host, list) {
  const template = document.querySelector('[data-swing-form]');
  host.querySelector('[data-none]')?.toggleAttribute('hidden', list.length > 0);
  for (const swing of list.slice().reverse()) {
    let card = host.querySelector(`[data-id="${swing.id}"]`);
    if (!card) {
      card = template.content.firstElementChild.cloneNode(true);
      card.dataset.id = swing.id;
      card.querySelector('[data-at]').textContent = swing.at;
      card.querySelector('[data-length]').textContent = `${swing.seconds} s`;
      for (const form of card.querySelectorAll('form')) form.action = `/capture/swings/${swing.id}`;
      host.prepend(card);
    }
    if (swing.recording) {
      const link = card.querySelector('[data-link]');
      link.hidden = false;
      link.href = `/bench/${swing.recording}`;
      for (const form of card.querySelectorAll('form')) form.remove();
    }
  }
}

function show(live) {
  const state = root.querySelector('[data-state]');
  state.textContent = word(`capture.script.${live.state}`, {
    seconds: live.seconds.toFixed(0),
    silent: Math.round(live.silent_s ?? 0),
  });
  state.dataset.state = live.state;
  const now = live.share?.findLast((v) => v !== null);
  root.querySelector('[data-lead]').textContent = now === undefined ? '–' : Math.round(now);
  root.querySelector('[data-trail]').textContent = now === undefined ? '–' : Math.round(100 - now);
  if (live.share) root.querySelector('[data-strip]').setAttribute('d', strip(live.share, live.shown_hz));
  feet(root.querySelector('[data-feet]'), live);
  const warnings = root.querySelector('[data-warnings]');
  if (warnings.textContent !== live.warnings.join(''))
    warnings.replaceChildren(
      ...live.warnings.map((text) =>
        Object.assign(document.createElement('p'), { className: 'finding', textContent: text }),
      ),
    );
  swings(document.querySelector('[data-swings]'), live.swings);
  const arm = root.querySelector('[data-arm-switch]');
  arm.setAttribute('aria-pressed', String(live.armed));
  arm.textContent = word(live.armed ? 'capture.script.armed' : 'capture.script.not-armed');
}

if (root) {
  root.querySelector('[data-arm-switch]').addEventListener('click', async (e) => {
    await fetch(root.dataset.arm, {
      method: 'POST',
      headers: { 'X-CSRF-TOKEN': csrf, 'Content-Type': 'application/json', Accept: 'application/json' },
      body: JSON.stringify({ armed: e.target.getAttribute('aria-pressed') !== 'true' }),
    });
  });
  const tick = async () => {
    try {
      const answer = await fetch(root.dataset.live, { headers: { Accept: 'application/json' } });
      if (answer.ok) show(await answer.json());
      root.dataset.ready = '';
    } catch {
      root.querySelector('[data-state]').textContent = word('capture.script.no-answer');
    }
    setTimeout(tick, document.hidden ? 2000 : EVERY);
  };
  tick();
}
