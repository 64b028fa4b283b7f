/** What a browser keeps of the house to open without the server: page and service worker agree on it here. */
export const OFFLINE_PAGES = 'kettlebrand pages';
export const OFFLINE_PARTS = 'kettlebrand parts';

/** Parts of the program; their names change with what is in them. */
export const PART_ADDRESS = '/_next/static/';

/** Today, what is open, the stages of a release and the cup sheets of a flight, a café's check sheet; settings and people are never kept. */
export const isOfflinePage = (path: string): boolean =>
  /^\/(open|flight\/[A-Z0-9]+|check\/[\w-]{22}|releases\/[0-9a-f]+\/(read|start|pull|taste|rest|publish|field))?$/.test(
    path,
  );

/** A proxy answers for a server that it does not reach: to whoever asked, that is no answer. */
export const isProxyAlone = (status: number): boolean => status === 502 || status === 504;
