import { clientsClaim } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';
import { PICTURES } from '../src/offline/pictures';

declare const self: ServiceWorkerGlobalScope & { readonly __WB_MANIFEST: readonly PrecacheEntry[] };

// The whole application is on the device: every part of one version, and of no other.
precacheAndRoute([...self.__WB_MANIFEST]);
cleanupOutdatedCaches();
registerRoute(new NavigationRoute(createHandlerBoundToURL('/'), { denylist: [/^\/api\//, /^\/c\//] }));

// A thumbnail never changes under its address.
registerRoute(
  ({ url }) => /^\/api\/jobs\/[^/]+\/photos\/[^/]+\/thumb\.jpg$/.test(url.pathname),
  new CacheFirst({
    cacheName: PICTURES,
    plugins: [new ExpirationPlugin({ maxEntries: 3000, maxAgeSeconds: 14 * 86_400 })],
  }),
);

// What reads numbers off photographs is large: kept once it has been needed.
registerRoute(
  ({ url }) => url.pathname.startsWith('/ocr/'),
  new CacheFirst({ cacheName: 'ocr', plugins: [new ExpirationPlugin({ maxEntries: 6, maxAgeSeconds: 60 * 86_400 })] }),
);

// The first page is looked after at once; a newer version waits until the page says that nothing is lost by it.
clientsClaim();
self.addEventListener('message', (event) => {
  if ((event.data as { readonly type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting();
});
