// Whoever logs in begins afresh: readings that another person left open in this browser are let go. What of them has
// not reached the server stays, sealed, and is said.
globalThis.caches?.delete('vc-readings');
try {
  const unsent = Object.keys(localStorage).filter((key) => key.startsWith('vc-change:') && !key.endsWith('-t'));
  const says = document.querySelector('[data-unsent]');
  if (says && unsent.length > 0) {
    says.textContent = says.dataset[unsent.length === 1 ? 'one' : 'many'].replace(':n', String(unsent.length));
    says.hidden = false;
  }
} catch {
  /* no storage: nothing waits in it */
}
