// The curves that a verdict came from, fetched where somebody wants to see them.
import { word } from '../words.js';

/** Fetches the curves of a verdict the first time it is opened. */
export async function showWhy(details) {
  const host = details.querySelector('[data-curves]');
  if (!details.open || host.childElementCount) return;
  host.textContent = word('bench.script.drawing');
  const answer = await fetch(details.dataset.why, { headers: { Accept: 'text/html' } }).catch(() => null);
  host.innerHTML = answer?.ok ? await answer.text() : `<p class="small">${word('bench.script.no-curve')}</p>`;
  if (!answer?.ok) setTimeout(() => host.replaceChildren(), 4000);
}
