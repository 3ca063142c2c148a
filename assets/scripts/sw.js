// Opens the player without a network. What lies in the caches is an empty shell, scripts, styles and pictures of hands:
// nothing of a person. Scores and what happened lie in the browser's database, under their sitting.
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { registerRoute } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';

const SHELL = '/play';
const KEPT_IN = 'garden-shell';

// The list is written in when the scripts are built.
precacheAndRoute(FILES);
cleanupOutdatedCaches();

self.addEventListener('install', (event) => {
  const kept = caches.open(KEPT_IN).then((cache) => cache.add(SHELL));
  event.waitUntil(Promise.all([kept, self.skipWaiting()]));
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

registerRoute(
  ({ request, url }) =>
    request.mode === 'navigate' && /^\/sittings\/[0-9a-f-]{36}$/.test(url.pathname),
  async ({ request }) => {
    try {
      return await fetch(request);
    } catch {
      return (await caches.match(SHELL, { cacheName: KEPT_IN })) ?? Response.error();
    }
  },
);
registerRoute(
  ({ url }) => url.pathname.startsWith('/hands/'),
  new CacheFirst({ cacheName: 'garden-hands' }),
);
