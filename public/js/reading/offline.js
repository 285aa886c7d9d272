// Lets a reading that is open be opened again without a network: its page, its sheet and what it shows are kept by
// the service worker until it is handed in or somebody logs out.
export async function keepOffline(root, stage) {
  if (!navigator.serviceWorker || root.hasAttribute('data-locked')) return;
  const registered = await navigator.serviceWorker.register('/sw.js').catch(() => null);
  if (!registered) return;
  const worker = (await navigator.serviceWorker.ready).active;
  await stage.rest;
  const parts = performance
    .getEntriesByType('resource')
    .map((r) => r.name)
    .filter(
      (url) =>
        url.startsWith(location.origin) && /^\/(parts\/[0-9a-f]+\/)?(js|css|vendor)\//.test(new URL(url).pathname),
    );
  const channel = new MessageChannel();
  channel.port1.onmessage = () => {
    root.dataset.offline = 'kept';
  };
  worker.postMessage(
    {
      release: document.querySelector('meta[name="release"]').content,
      keep: [
        ...new Set([
          location.pathname,
          ...stage.swings.map((s) => s.url),
          root.dataset.sheetUrl,
          '/icon.svg',
          new URL('../bench/picture-worker.js', import.meta.url).pathname,
          ...stage.swings.flatMap((s) => s.evidence?.films.map((f) => f.url) ?? []),
          ...parts,
        ]),
      ],
    },
    [channel.port2],
  );
  root
    .querySelector('[data-hand-in]')
    ?.addEventListener('submit', () => worker.postMessage({ forget: root.dataset.id }));
}
