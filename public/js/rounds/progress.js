// How far an open round is read, looked at again while the page is.
const EVERY = 10_000;
const root = document.querySelector('[data-follow]');

async function follow() {
  for (;;) {
    await new Promise((done) => setTimeout(done, EVERY));
    if (document.hidden) continue;
    try {
      const part = await fetch(root.dataset.follow);
      if (part.ok && !part.redirected) root.innerHTML = await part.text();
      else if (part.status === 404 || part.redirected) return;
    } catch {
      // The network has gone; it is asked again.
    }
  }
}
follow();
