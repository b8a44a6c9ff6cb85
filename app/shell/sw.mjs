// The app shell, kept on the device. The build puts in the version and the list of files, and bundles it.
import { PrecacheController } from 'workbox-precaching';

const CACHE = `shell-${__VERSION__}`;
const shell = new PrecacheController({ cacheName: CACHE });
shell.addToCacheList(__FILES__);

self.addEventListener('install', (event) => {
  event.waitUntil(shell.install(event).then(() => self.skipWaiting()));
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    shell
      .activate(event)
      .then(() => caches.keys())
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
  return (await shell.matchPrecache(path)) ?? caches.match(path);
}
