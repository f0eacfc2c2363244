/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';

// Keeps the shell of the client on the device, so that it opens while the server is out of reach. What the server knows is not
// kept here but by the page itself, which says how old it is.
declare const self: ServiceWorkerGlobalScope;

/** After so long the shell that is kept is opened: at the edge of the radio an answer may never come. */
const patienceSeconds = 3;

// Scripts, styles, fonts and icons: named after what is in them, so that they never change.
precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();

// The page is fetched anew whenever the server is there. It is kept once for all addresses, with the headers that it came
// with: its styles are allowed by a mark that stands in both.
registerRoute(
  new NavigationRoute(
    new NetworkFirst({
      cacheName: 'shell',
      networkTimeoutSeconds: patienceSeconds,
      plugins: [
        {
          cacheKeyWillBeUsed: () => Promise.resolve(new URL('/', self.location.origin).href),
          cacheWillUpdate: ({ response }) => Promise.resolve(response.ok ? response : null),
        },
      ],
    }),
    { denylist: [/^\/api\//, /^\/calendar\//, /^\/root\.crt$/] },
  ),
);

self.addEventListener('message', (event) => {
  if (event.data === 'take over') {
    void self.skipWaiting();
  }
});

// The first of its kind serves the page that brought it.
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
