import { clientsClaim, type WorkboxPlugin } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import { cleanupOutdatedCaches, type PrecacheEntry, precacheAndRoute } from 'workbox-precaching';
import { registerRoute, setCatchHandler } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { fromDevice, keptPageAttribute, recordsOut } from '../contract/offline.ts';

/** Every file that a page is made of, as it was built; those not named by their content with a revision. */
declare const __FILES__: readonly PrecacheEntry[];

/** The page that is shown in the place of one that this device has never seen. */
const unseen = '/offline.html';
/** A line this slow is as good as none: the page as it was is shown. */
const patienceS = 6;

/** So many of the latest, and none older than so many days. */
const atMost = (entries: number, days: number) =>
  new ExpirationPlugin({ maxEntries: entries, maxAgeSeconds: days * 24 * 60 * 60, purgeOnQuotaError: true }) as WorkboxPlugin;

precacheAndRoute([...__FILES__], { directoryIndex: '', cleanURLs: false });
cleanupOutdatedCaches();
// The page that asked for it is kept usable from now on, not from when it is loaded next.
clientsClaim();

/** All that stands at a fitting is one page for each client: the rest of its address is read once it stands. */
const keyOf = (url: string): string => {
  const { origin, pathname, search, searchParams } = new URL(url);
  if (pathname !== '/') return origin + pathname + search;
  const client = searchParams.get('client');
  return origin + pathname + (client === null ? '' : `?client=${client}`);
};

/** A page as it was, marked as that: what stands on it is asked for anew, and its day is told. */
async function asOf(page: Response): Promise<Response> {
  const html = await page.text();
  const marked = html.replace('<html ', `<html ${keptPageAttribute}="${page.headers.get('date') ?? ''}" `);
  return new Response(marked, { headers: page.headers });
}

const pages = new NetworkFirst({
  cacheName: 'pages',
  networkTimeoutSeconds: patienceS,
  plugins: [
    {
      cacheKeyWillBeUsed: async ({ request }) => keyOf(request.url),
      // A page that came without its records is worth less than the one from before.
      fetchDidSucceed: async ({ request, response }) => {
        if (response.headers.has(recordsOut) && (await caches.match(keyOf(request.url), { cacheName: 'pages' })))
          throw new Error('No records.');
        return response;
      },
      cacheWillUpdate: async ({ response }) => (response.ok && !response.headers.has(recordsOut) ? response : null),
      cachedResponseWillBeUsed: async ({ cachedResponse }) => (cachedResponse ? asOf(cachedResponse) : undefined),
    },
    atMost(60, 7),
  ],
});
registerRoute(({ request }) => request.mode === 'navigate', pages);

// What a client can be dressed from: without it a fitting begun at another client’s page would stand without its pieces.
registerRoute(
  ({ url }) => url.pathname === '/api/wardrobe',
  new NetworkFirst({
    cacheName: 'wardrobes',
    networkTimeoutSeconds: patienceS,
    plugins: [
      {
        cachedResponseWillBeUsed: async ({ cachedResponse }) => {
          if (!cachedResponse) return undefined;
          const headers = new Headers(cachedResponse.headers);
          headers.set(fromDevice, 'true');
          return new Response(await cachedResponse.blob(), { headers });
        },
      },
      atMost(30, 7),
    ],
  }),
);

// Knots and steps that were looked at stand ready.
registerRoute(
  ({ url }) => url.pathname.startsWith('/cloth/'),
  new NetworkFirst({
    cacheName: 'cloth',
    plugins: [atMost(200, 30)],
  }),
);

/** What ends only once a promise does. */
interface Lasting extends Event {
  readonly waitUntil: (until: Promise<unknown>) => void;
}

// A page that stood before there was anything to keep it asks to be kept.
addEventListener('message', (event) => {
  if (typeof event.data !== 'string') return;
  const request = new Request(event.data);
  (event as MessageEvent & Lasting).waitUntil(pages.handle({ event: event as MessageEvent & Lasting, request }));
});

// Pages of an earlier build ask for files that are gone with it.
addEventListener('activate', (event) => (event as Lasting).waitUntil(caches.delete(pages.cacheName)));

setCatchHandler(async ({ request }) => {
  if (request.mode !== 'navigate') return Response.error();
  const cache = await caches.open('pages');
  // The fitting goes on under any address: who stands at hand is kept by the window.
  const fitting = new URL(request.url).pathname === '/' ? (await cache.matchAll(request, { ignoreSearch: true })).at(-1) : undefined;
  if (fitting) return asOf(fitting);
  return (await caches.match(unseen, { ignoreSearch: true })) ?? Response.error();
});
