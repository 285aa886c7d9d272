// Somebody who joined: what the room is asked appears by itself; a vote is kept where it stands and may be changed.
const EVERY = 900;
const root = document.querySelector('[data-voter]');
const says = document.querySelector('[data-voted]');
let asked = 0;

/** Shows what is asked now, with the own vote; an answer that was overtaken by a later one is dropped. */
async function refresh() {
  const turn = ++asked;
  const part = await fetch(root.dataset.part);
  if (!part.ok) throw new Error(String(part.status));
  const html = await part.text();
  if (turn === asked) root.innerHTML = html;
}

async function follow() {
  let step = root.dataset.step;
  for (;;) {
    await new Promise((done) => setTimeout(done, EVERY));
    try {
      const response = await fetch(root.dataset.state, { headers: { Accept: 'application/json' } });
      if (!response.ok) continue;
      const state = await response.json();
      if (String(state.step) === step) continue;
      const before = root.querySelector('form')?.action;
      await refresh();
      if (root.querySelector('form')?.action !== before) says.textContent = '';
      step = String(state.step);
      if (state.over) return;
    } catch {
      // The network has gone; it is asked again.
    }
  }
}

root.addEventListener('submit', async (e) => {
  e.preventDefault();
  const body = new FormData(e.target);
  body.set(e.submitter.name, e.submitter.value);
  try {
    const response = await fetch(e.target.action, { method: 'POST', body, headers: { Accept: 'application/json' } });
    const said = await response.json().catch(() => ({}));
    says.textContent = response.ok ? root.dataset.kept : (said.message ?? root.dataset.failed);
    says.classList.toggle('refused', !response.ok);
    await refresh();
  } catch {
    says.textContent = root.dataset.failed;
    says.classList.add('refused');
  }
});
follow();
