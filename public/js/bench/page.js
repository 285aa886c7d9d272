import { openStage } from './stage.js';

const root = document.querySelector('[data-bench]');

/** Fetches the curves of a verdict the first time it is opened. */
async function showWhy(details) {
  const host = details.querySelector('[data-curves]');
  if (!details.open || host.childElementCount) return;
  host.textContent = 'drawing …';
  const answer = await fetch(details.dataset.why, { headers: { Accept: 'text/html' } }).catch(() => null);
  host.innerHTML = answer?.ok ? await answer.text() : '<p class="small">The curve could not be fetched; close and open to try again.</p>';
  if (!answer?.ok) setTimeout(() => host.replaceChildren(), 4000);
}
for (const details of root.querySelectorAll('[data-why]')) {
  details.addEventListener('toggle', () => showWhy(details));
  showWhy(details);
}

openStage(root).then((stage) => {
  root.dataset.ready = '';
  for (const button of root.querySelectorAll('[data-go]')) button.addEventListener('click', () => { stage.halt(); stage.seek(Number(button.dataset.go)); });
  for (const form of root.querySelectorAll('[data-mark]')) {
    form.addEventListener('submit', () => {
      form.elements.t_s.value = stage.t.toFixed(6);
      sessionStorage.setItem('bench-t', String(stage.t));
    });
  }
  const kept = sessionStorage.getItem('bench-t');
  sessionStorage.removeItem('bench-t');
  if (kept) { stage.seek(Number(kept)); document.querySelector('#stations')?.scrollIntoView(); }
  addEventListener('keydown', (e) => {
    if (e.target.closest('input, textarea, select, summary, button') && e.key === ' ') return;
    if (e.ctrlKey || e.metaKey || e.altKey || e.target.closest('input, textarea, select')) return;
    if (stage.key(e)) e.preventDefault();
  });
}).catch((error) => { root.querySelector('.films').textContent = error.message; });
