// The app shell, kept on the device. The build fills in the version and the list of files.
const CACHE = 'shell-__VERSION__';
const FILES = '__FILES__';

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.addAll(FILES))
      .then(() => self.skipWaiting()),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      // The version before stays: a tab that is open still fetches its screens by their old names.
      .then((keys) => {
        const before = keys.filter((key) => key.startsWith('shell-') && key !== CACHE).slice(-1);
        return Promise.all(
          keys.filter((key) => key !== CACHE && !before.includes(key)).map((key) => caches.delete(key)),
        );
      })
      .then(() => self.clients.claim()),
  );
});

// Files are named by content, so the kept copy is the right one; pages all open from the one index. The API is never kept here.
self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url);
  if (event.request.method !== 'GET' || url.origin !== location.origin || url.pathname.startsWith('/api/')) return;
  const wanted = event.request.mode === 'navigate' ? '/index.html' : url.pathname;
  event.respondWith(kept(wanted).then((found) => found ?? fetch(event.request)));
});

/** A file as this version has it, else as the one before had it. */
async function kept(path) {
  const own = await (await caches.open(CACHE)).match(path);
  return own ?? caches.match(path);
}
