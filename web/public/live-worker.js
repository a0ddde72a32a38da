// Opens Live without a connection: the page and what it is made of as they were seen last. Taps are kept by the page itself.
const KEPT = 'eager-bench-live';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

// What the server answers goes first; a page that was sent is kept for the next time.
const freshOrKept = async (request) => {
  const kept = await caches.open(KEPT);
  try {
    const answer = await fetch(request);
    if (answer.ok && request.mode === 'navigate') kept.put(request, answer.clone());
    return answer;
  } catch (failure) {
    const found = await kept.match(request, { ignoreVary: true, ignoreSearch: request.mode === 'navigate' });
    if (found) return found;
    throw failure;
  }
};

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const plain = request.method === 'GET' && new URL(request.url).origin === self.location.origin && !request.headers.has('X-Redraw');
  if (plain) event.respondWith(freshOrKept(request));
});
