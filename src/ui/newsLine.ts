/**
 * What others do, as they do it: one line to the server for the whole browser, however many pages are open.
 * Pages in view ask for a lock; who has it holds the line and tells the others. A page out of view holds
 * none, and hears that it has been away when it comes back. Where a browser cannot share, it asks now and then.
 */

/** An event of the house. */
export interface HouseNews {
  readonly id: string;
  readonly releaseId: string | null;
  readonly words: string;
  readonly isMine: boolean;
}

/** What a page is told: something was done, or it was away and may have missed it. */
export type Heard = HouseNews | 'away';
type Listener = (heard: Heard) => void;

const NAME = 'kettlebrand news';
const ADDRESS = '/api/stream';
/** A page that cannot share a line looks again this often. */
const ASK_EVERY_MS = 20_000;

const listeners = new Set<Listener>();
let stop: (() => void) | null = null;

/** Tells `listener` until the answer is called. */
export function listenToHouse(listener: Listener): () => void {
  listeners.add(listener);
  stop ??= begin();
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    stop?.();
    stop = null;
  };
}

const tell = (heard: Heard) => listeners.forEach((listener) => listener(heard));

function begin(): () => void {
  let leave = inView() ? join() : null;
  const onView = () => {
    if (inView() === (leave !== null)) return;
    leave?.();
    leave = inView() ? join() : null;
    if (leave) tell('away');
  };
  document.addEventListener('visibilitychange', onView);
  return () => {
    document.removeEventListener('visibilitychange', onView);
    leave?.();
  };
}

const inView = () => document.visibilityState === 'visible';

/** Takes part in the one line of this browser. */
function join(): () => void {
  const canShare = 'locks' in navigator && typeof BroadcastChannel !== 'undefined';
  if (typeof EventSource === 'undefined' || !canShare) return askNowAndThen();
  const channel = new BroadcastChannel(NAME);
  channel.onmessage = ({ data }: MessageEvent<HouseNews>) => tell(data);
  const leaving = new AbortController();
  const holdLine = () =>
    new Promise<void>((resolve) => {
      const source = new EventSource(ADDRESS);
      source.onmessage = ({ data }: MessageEvent<string>) => {
        const news = JSON.parse(data) as HouseNews;
        channel.postMessage(news);
        tell(news);
      };
      leaving.signal.addEventListener('abort', () => {
        source.close();
        resolve();
      });
    });
  navigator.locks.request(NAME, { signal: leaving.signal }, holdLine).catch(() => {
    // It left before its turn came.
  });
  return () => {
    leaving.abort();
    channel.close();
  };
}

function askNowAndThen(): () => void {
  const timer = setInterval(() => tell('away'), ASK_EVERY_MS);
  return () => clearInterval(timer);
}
