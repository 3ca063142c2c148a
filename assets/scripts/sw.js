// Opens the player without a network. What lies in the caches is an empty shell, scripts, styles and pictures of hands:
// nothing of a person. Scores and what happened lie in the browser's database, under their sitting.
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { registerRoute } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';

const SHELL = '/play';
const HOME = '/home';
const HOME_PLAY = '/home/play';
const KEPT_IN = 'garden-shell';

// The list is written in when the scripts are built.
precacheAndRoute(FILES);
cleanupOutdatedCaches();

self.addEventListener('install', (event) => {
  const kept = caches.open(KEPT_IN).then((cache) => cache.addAll([SHELL, HOME, HOME_PLAY]));
  event.waitUntil(Promise.all([kept, self.skipWaiting()]));
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

/**
 * A page with nobody in it: from the network, and out of the cache without one.
 * @param {RegExp} path
 * @param {string} shell
 */
const opensWith = (path, shell) =>
  registerRoute(
    ({ request, url }) => request.mode === 'navigate' && path.test(url.pathname),
    async ({ request }) => {
      try {
        return await fetch(request);
      } catch {
        return (await caches.match(shell, { cacheName: KEPT_IN })) ?? Response.error();
      }
    },
  );
opensWith(/^\/sittings\/[0-9a-f-]{36}$/, SHELL);
opensWith(/^\/home$/, HOME);
opensWith(/^\/home\/sittings\/[0-9a-f-]{36}$/, HOME_PLAY);
registerRoute(
  ({ url }) => url.pathname.startsWith('/hands/'),
  new CacheFirst({ cacheName: 'garden-hands' }),
);

// a notice before a sitting leads to it
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  event.waitUntil(self.clients.openWindow('/home'));
});
