// Serves a reading that was open when the network went away. Always the network first; what is kept is only what
// this browser was given, and it goes when the reading is handed in or somebody logs in or out.
const PARTS = 'vc-parts';
const READINGS = 'vc-readings';
const isPart = (path) => /^\/(parts\/[0-9a-f]+\/)?(js|css|vendor)\//.test(path) || path === '/icon.svg';
const isReading = (path) => /^\/read\/[a-z0-9]{26}(\/(evidence\/\d|sheet|film\/.*))?$/.test(path);

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (e) => e.waitUntil(self.clients.claim()));

/**
 * The network's answer goes to the page at once; what a reading showed is kept beside it. Parts are kept when asked to
 * be.
 */
async function networkFirst(event, path) {
  const { request } = event;
  const at = path + new URL(request.url).search;
  try {
    const answer = await fetch(request);
    if (isReading(path)) {
      const copy = answer.status === 200 && !answer.redirected ? answer.clone() : null;
      if (copy || [401, 403, 404, 409, 410].includes(answer.status))
        event.waitUntil(caches.open(READINGS).then((cache) => (copy ? cache.put(at, copy) : cache.delete(path))));
    }
    return answer;
  } catch (error) {
    const kept = await caches.match(at, { ignoreVary: true });
    if (kept) return kept;
    throw error;
  }
}

self.addEventListener('fetch', (e) => {
  const url = new URL(e.request.url);
  if (e.request.method !== 'GET' || url.origin !== location.origin || e.request.headers.has('range')) return;
  if (isPart(url.pathname) || isReading(url.pathname)) e.respondWith(networkFirst(e, url.pathname));
});

/** Keeps the parts of one release; those of others go. */
async function keepParts(paths, release) {
  const name = `${PARTS}-${release}`;
  for (const other of await caches.keys()) if (other.startsWith(PARTS) && other !== name) await caches.delete(other);
  await fill(await caches.open(name), paths);
}

async function fill(cache, paths) {
  for (const path of paths) {
    if (await cache.match(path)) continue;
    const answer = await fetch(path, { credentials: 'same-origin' }).catch(() => null);
    if (answer?.status === 200 && !answer.redirected) await cache.put(path, answer);
  }
}

self.addEventListener('message', (e) => {
  const { keep, forget, release } = e.data ?? {};
  if (keep) {
    const paths = keep.map((url) => new URL(url, location.origin).pathname);
    e.waitUntil(
      Promise.all([
        keepParts(paths.filter(isPart), release),
        caches.open(READINGS).then((cache) => fill(cache, paths.filter(isReading))),
      ]).then(() => e.ports[0]?.postMessage('kept')),
    );
  }
  if (forget) {
    e.waitUntil(
      caches.open(READINGS).then(async (cache) => {
        for (const request of await cache.keys())
          if (forget === 'all' || new URL(request.url).pathname.startsWith(`/read/${forget}`))
            await cache.delete(request);
      }),
    );
  }
});
