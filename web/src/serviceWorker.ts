import { DEMO_MOUNT } from '@brine/contract/paths';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';

/** What of its own world this file uses; its types and those of a page do not go into one program. */
declare const self: {
  readonly __WB_MANIFEST: (string | { url: string; revision: string | null })[];
  readonly clients: { claim(): Promise<void> };
  skipWaiting(): Promise<void>;
  addEventListener(type: 'message', listener: (event: MessageEvent) => void): void;
  addEventListener(
    type: 'activate',
    listener: (event: Event & { waitUntil(work: Promise<void>): void }) => void,
  ): void;
  addEventListener(type: 'install', listener: (event: Event & Routes) => void): void;
};

/** What goes past this worker without waking it; not every browser has it. */
interface Routes {
  addRoutes?(rules: { condition: { urlPattern: { pathname: string } }; source: 'network' }[]): Promise<void>;
}

// What is the server's own goes straight there: a request that this worker only lets pass still holds back a new version while it is under way, and takes its turn.
const ofServer = ['/api/*', `${DEMO_MOUNT}/api/*`, '/health/*'];
self.addEventListener('install', (event) => {
  void event.addRoutes?.(
    ofServer.map((pathname) => ({ condition: { urlPattern: { pathname } }, source: 'network' })),
  );
});

// The program's files, all of them: a page that was never opened must open without signal.
precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();
// Any address of a page is the one page; what the server says of itself is never answered from here.
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), {
    denylist: ['', DEMO_MOUNT].map((mount) => new RegExp(`^${mount}/api/`)).concat(/^\/health\//),
  }),
);
// The reader of photographed booklets is large and seldom wanted: kept once it was used.
registerRoute(({ url }) => url.pathname.startsWith('/letters/'), new CacheFirst({ cacheName: 'letters' }));

// A new version waits until a page says so.
self.addEventListener('message', (event) => {
  if ((event.data as { type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting();
});
// The first one serves the page that brought it as well.
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
