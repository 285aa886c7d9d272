// The room's page follows the presenter: the case, how much of it is shown, and where the swing is halted.
import { openStage } from '../bench/stage.js';

const EVERY = 700;

async function follow(root) {
  const stage = root.dataset.evidence ? await openStage(root) : null;
  const side = root.querySelector('[data-side-box]');
  let step = null;
  root.dataset.ready = '';
  for (;;) {
    try {
      const response = await fetch(root.dataset.state, { headers: { Accept: 'application/json' } });
      // Over, or no longer theirs: what stands here says so when it is loaded anew.
      if (response.status === 403 || response.status === 404) return void location.reload();
      const state = await response.json();
      if (String(state.case ?? '') !== root.dataset.case) return void location.reload();
      const seen = `${state.step}|${state.voted}`;
      if (seen !== step) {
        const answer = await fetch(root.dataset.side);
        if (answer.status === 403 || answer.status === 404) return void location.reload();
        side.innerHTML = await answer.text();
        step = seen;
        if (state.over) return;
        root.dataset.step = String(state.step);
      }
      if (stage && state.t !== null) await goTo(stage, state);
    } catch {
      // The network has gone; it is asked again.
    }
    await new Promise((done) => setTimeout(done, EVERY));
  }
}

let told = '';

async function goTo(stage, { swing, t }) {
  if (told === `${swing}|${t}`) return;
  told = `${swing}|${t}`;
  stage.halt();
  if (stage.swing !== swing - 1 && stage.swings.length >= swing) await stage.toSwing(swing - 1);
  stage.seek(t);
}

const root = document.querySelector('[data-room]');
if (root) follow(root);
