/**
 * Keeps the page and what the room needs for when there is no network. The program's own files are kept by their
 * hashed names; what was read is kept for a day and given only when the program does not answer, marked with when it
 * was read. Nothing that is sent is kept here: the page itself keeps what was touched in class, and tells of any other
 * change that could not be saved.
 */
import { ExpirationPlugin } from 'workbox-expiration';
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope;

/** What the addresses of the school begin with, its slash at the end: the worker keeps this school's page alone. */
const SCHOOL = new URL(self.registration.scope).pathname;

/** The program's own files, which all schools of a host share; the build writes them in. */
const FILES = (self.__WB_MANIFEST as { url: string; revision: string | null }[]).map((file) => ({
  ...file,
  url: `/${file.url}`,
}));

/** Made of the files that are kept: each build has a page of its own. */
const VERSION = FILES.map(({ url, revision }) => `${url} ${revision ?? ''}`)
  .join()
  .split('')
  .reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) >>> 0, 7)
  .toString(36);

/** The page, as it was when this worker was installed: it names the very files that are kept with it. */
const PAGE = `yard-notch-page ${SCHOOL}`;

/** What was read of the school. */
const ROOM = `yard-notch-room ${SCHOOL}`;

const DAY_SECONDS = 24 * 60 * 60;

/** So long an answer is waited for before what is kept is shown instead. */
const PATIENCE_SECONDS = 8;

/** Says in an answer when it was read, where it was kept. */
const KEPT_AT = 'kept-at';

/** Who is signed in and who may is never answered from what is kept. */
const NEVER = [
  'api/staff',
  'api/changes',
  'api/copies',
  'api/join',
  'api/sign-in',
  'api/made-up',
  'api/live',
];

// The page itself gets a nonce with each answer, so it is kept as it was answered, not as a file.
precacheAndRoute(FILES);
cleanupOutdatedCaches();

/** What browsers know that take some requests past the worker; the types do not know it yet. */
type Past = {
  addRoutes?: (rules: { condition: { requestMethod: string }; source: 'network' }[]) => Promise<void>;
};

self.addEventListener('install', (event) => {
  // What is sent goes straight to the program: a figure that follows the hand waits for nobody.
  const past = (event as Past).addRoutes?.(
    ['POST', 'PUT', 'DELETE'].map((requestMethod) => ({ condition: { requestMethod }, source: 'network' })),
  );
  if (past) event.waitUntil(past);
  event.waitUntil(
    (async () => {
      const page = await fetch(SCHOOL, { cache: 'reload', credentials: 'same-origin' });
      if (!page.ok) throw new Error(`the page answered ${page.status}`);
      await (await caches.open(PAGE)).put(`${SCHOOL}?${VERSION}`, page);
    })(),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      const pages = await caches.open(PAGE);
      const old = (await pages.keys()).filter(({ url }) => !url.endsWith(`${SCHOOL}?${VERSION}`));
      await Promise.all(old.map((request) => pages.delete(request)));
      // The page that is open is kept from now on, not from its next visit.
      await self.clients.claim();
    })(),
  );
});

self.addEventListener('message', (event: ExtendableMessageEvent) => {
  if (event.data === 'take-over') void self.skipWaiting();
  // Who signs out leaves nothing of the school behind on the device.
  if (event.data === 'forget') event.waitUntil(caches.delete(ROOM));
});

registerRoute(
  new NavigationRoute(
    async ({ request }) => {
      try {
        return await fetch(request);
      } catch {
        return (await (await caches.open(PAGE)).match(`${SCHOOL}?${VERSION}`)) ?? Response.error();
      }
    },
    // The page about trust is no place of the program.
    { denylist: [/^\/trust/, /^\/s\/[^/]*\/trust/, /\/api\//] },
  ),
);

const isJson = (response: Response) => response.headers.get('content-type') === 'application/json';

registerRoute(
  ({ url, sameOrigin }) =>
    sameOrigin &&
    url.pathname.startsWith(`${SCHOOL}api/`) &&
    !NEVER.some((path) => url.pathname.startsWith(`${SCHOOL}${path}`)),
  new NetworkFirst({
    cacheName: ROOM,
    networkTimeoutSeconds: PATIENCE_SECONDS,
    plugins: [
      new ExpirationPlugin({ maxAgeSeconds: DAY_SECONDS, maxEntries: 400 }),
      {
        cacheWillUpdate: async ({ response }) => (response.ok && isJson(response) ? response : null),
        cachedResponseWillBeUsed: async ({ cachedResponse }) => {
          const read = cachedResponse?.headers.get('date');
          if (!cachedResponse || !read) return null;
          const headers = new Headers(cachedResponse.headers);
          headers.set(KEPT_AT, new Date(read).toISOString());
          return new Response(cachedResponse.body, { status: cachedResponse.status, headers });
        },
      },
    ],
  }),
);
