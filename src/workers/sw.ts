/// <reference lib="webworker" />
/**
 * The service worker: what this browser opened before opens again without the server. Parts of the program
 * never change under their names, so the kept one is taken; a page is asked for first, and the kept one is
 * shown when the server does not answer. What is asked of `/api` never comes from here. A new worker waits
 * until somebody takes it.
 */
import {
  CacheFirst,
  ExpirationPlugin,
  NetworkFirst,
  NetworkOnly,
  Serwist,
  type SerwistPlugin,
} from 'serwist';
import { isKeptPage, KEPT_PAGES, KEPT_PARTS, PART_ADDRESS } from './kept';

/** A server that is there but says nothing for this long counts as not reached. */
const WAIT_S = 6;
const A_WEEK_S = 7 * 24 * 3600;

/** Nothing that leads elsewhere is kept, least of all to the sign-in. */
const whole: SerwistPlugin = {
  cacheWillUpdate: async ({ response }) => (response.status === 200 ? response : null),
};

/** Words in place of the browser's own. */
const unreached: SerwistPlugin = { handlerDidError: async () => nothingKept() };

new Serwist({
  clientsClaim: true,
  skipWaiting: false,
  runtimeCaching: [
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith(PART_ADDRESS),
      handler: new CacheFirst({
        cacheName: KEPT_PARTS,
        plugins: [whole, new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: 4 * A_WEEK_S })],
      }),
    },
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin && request.mode === 'navigate' && isKeptPage(url.pathname),
      handler: new NetworkFirst({
        cacheName: KEPT_PAGES,
        networkTimeoutSeconds: WAIT_S,
        matchOptions: { ignoreVary: true },
        plugins: [
          whole,
          new ExpirationPlugin({ maxEntries: 60, maxAgeSeconds: A_WEEK_S }),
          unreached,
        ],
      }),
    },
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin &&
        request.mode === 'navigate' &&
        !/^\/(api|p|schema|fonts)\//.test(url.pathname),
      handler: new NetworkOnly({ plugins: [unreached] }),
    },
  ],
}).addEventListeners();

/** A page that was never opened here, while the server is away. */
async function nothingKept(): Promise<Response> {
  const kept = await (await caches.open(KEPT_PAGES)).keys();
  const links = kept
    .map(({ url }) => new URL(url).pathname)
    .map(
      (path) =>
        `<li><a href="${path}">${PAGE_WORDS.find(([end]) => path.endsWith(end))![1]}</a></li>`,
    );
  const list = links.length > 0 ? `<p>Kept on this device:</p><ul>${links.join('')}</ul>` : '';
  return new Response(
    `<!doctype html><html lang="en-GB"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Not reached · Kettlebrand</title><h1>The server is not reached</h1><p>This page was not opened on this device before. Check that the server runs and the network is there, then reload.</p>${list}</html>`,
    { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } },
  );
}

/** How kept pages are called in that list; the last one fits any. */
const PAGE_WORDS = [
  ['/pull', 'Pull'],
  ['/taste', 'Taste'],
  ['/start', 'Start'],
  ['/read', 'Read'],
  ['/publish', 'Publish'],
  ['', 'Today'],
] as const;
