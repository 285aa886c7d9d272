// The presenter's page tells the room what is talked about and where the swing is halted.
const EVERY = 500;
const held = document.querySelector('[data-held]');
const root = document.querySelector('[data-debrief]');
const token = document.querySelector('meta[name="csrf-token"]').content;

async function tell(what) {
  const body = new URLSearchParams({ case: held.dataset.case, ...what });
  try {
    await fetch(held.dataset.show, {
      method: 'POST',
      body,
      headers: { Accept: 'application/json', 'X-CSRF-TOKEN': token },
    });
  } catch {
    // The network has gone: the next thing that is shown tells it all.
  }
}

/** The topic that is open here is the one the room sees, and the one its questions ask of. */
function topic() {
  const open = root.querySelector('.topic.current')?.dataset.topic;
  const fault = JSON.parse(document.getElementById('said').textContent).faults[open] ? open : null;
  if (fault === null || held.dataset.topic === fault) return;
  held.dataset.topic = fault;
  for (const field of held.querySelectorAll('[data-held-topic]')) field.value = fault;
  tell({ topic: fault });
}

function follow(stage) {
  let told = null;
  let swing = null;
  setInterval(() => {
    topic();
    if (stage.playing || (stage.t === told && stage.swing === swing)) return;
    told = stage.t;
    swing = stage.swing;
    tell({ t: stage.t.toFixed(4), swing: stage.swing + 1 });
  }, EVERY);
}

/** Opens the topic the room sees, wherever this page was loaded. */
function open() {
  const now = held.querySelector('[data-held-topic]')?.value;
  held.dataset.topic = now ?? '';
  const line = now ? root.querySelector(`[data-topic="${CSS.escape(now)}"] .line`) : null;
  line?.click();
}

/** How many have joined or voted is told anew, as long as nothing is being written here. */
function refresh() {
  setInterval(async () => {
    try {
      const response = await fetch(held.dataset.state, { headers: { Accept: 'application/json' } });
      const state = response.ok ? await response.json() : null;
      const busy = document.activeElement?.matches('input, textarea, select') || held.querySelector('details[open]');
      if (state !== null && String(state.voted) !== held.dataset.voted && !busy) {
        const html = await (await fetch(location.href)).text();
        const fresh = new DOMParser().parseFromString(html, 'text/html').querySelector('[data-held]');
        if (fresh === null) return;
        for (const part of ['.vote-now', '[data-joined]']) {
          const [now, next] = [held.querySelector(part), fresh.querySelector(part)];
          if (now && next) now.replaceWith(next);
        }
        held.dataset.voted = String(state.voted);
      }
    } catch {
      // It is asked again.
    }
  }, 3 * EVERY);
}

if (held && root) {
  const ready = new MutationObserver(() => {
    if (!('ready' in root.dataset)) return;
    ready.disconnect();
    open();
    follow(root.stage);
    refresh();
    held.dataset.ready = '';
  });
  ready.observe(root, { attributes: true, attributeFilter: ['data-ready'] });
  if ('ready' in root.dataset) root.dataset.ready = '';
}
