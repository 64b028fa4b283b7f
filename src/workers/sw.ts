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
import {
  isOfflinePage,
  isProxyAlone,
  OFFLINE_PAGES,
  OFFLINE_PARTS,
  PART_ADDRESS,
} from './offlinePages';

/** A server that is there but says nothing for this long counts as not reached. */
const WAIT_S = 6;
const A_WEEK_S = 7 * 24 * 3600;

/** Nothing that leads elsewhere is kept, least of all to the sign-in. */
const whole: SerwistPlugin = {
  cacheWillUpdate: async ({ response }) => (response.status === 200 ? response : null),
};

/** Behind a proxy the server is away when the proxy says so. */
const beyondProxy: SerwistPlugin = {
  fetchDidSucceed: async ({ response }) => {
    if (isProxyAlone(response.status)) throw new Error('The proxy does not reach the server.');
    return response;
  },
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
        cacheName: OFFLINE_PARTS,
        plugins: [whole, new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: 4 * A_WEEK_S })],
      }),
    },
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin && request.mode === 'navigate' && isOfflinePage(url.pathname),
      handler: new NetworkFirst({
        cacheName: OFFLINE_PAGES,
        networkTimeoutSeconds: WAIT_S,
        matchOptions: { ignoreVary: true },
        plugins: [
          whole,
          beyondProxy,
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
      handler: new NetworkOnly({ plugins: [beyondProxy, unreached] }),
    },
  ],
}).addEventListeners();

/** A page that was never opened here, while the server is away: says so, and what is kept. */
async function nothingKept(): Promise<Response> {
  const cache = await caches.open(OFFLINE_PAGES);
  const links = await Promise.all(
    (await cache.keys()).map(async (request) => {
      const page = await (await cache.match(request))?.text();
      const title = /<title>([^<]*)<\/title>/.exec(page ?? '')?.[1] ?? request.url;
      return `<li><a href="${new URL(request.url).pathname}">${title}</a></li>`;
    }),
  );
  const list = links.length > 0 ? `<p>Kept on this device:</p><ul>${links.join('')}</ul>` : '';
  return new Response(
    `<!doctype html><html lang="en-GB"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>Not reached · Kettlebrand</title><style>${STYLE}</style><main><h1>The server is not reached</h1>
<p>This page was not opened on this device before. Check that the server runs and the network is there, then reload.</p>
${list}</main></html>`,
    { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } },
  );
}

/** The house's ground and ink; its own style sheet may not be here. */
const STYLE = `:root{color-scheme:light dark;background:light-dark(#f1f4f1,#0c1411);color:light-dark(#10201a,#e4ece7)}
body{font:17px/1.5 sans-serif;margin:0}main{max-width:60ch;padding:22px 24px}h1{font-size:24px}a{color:inherit}li{margin:8px 0}`;
