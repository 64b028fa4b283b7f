/** Is the server reached? Looked at when a page opens and when the network comes or goes; while it is away, again and again. */
import { isProxyAlone } from '@/workers/offlinePages';

const AGAIN_MS = 3_000;

let isReached = true;
let timer: ReturnType<typeof setTimeout> | null = null;
const listeners = new Set<() => void>();

export const readReach = (): boolean => isReached;

export function onReach(listener: () => void): () => void {
  listeners.add(listener);
  const look = () => void lookForServer();
  window.addEventListener('online', look);
  window.addEventListener('offline', look);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('online', look);
    window.removeEventListener('offline', look);
  };
}

/** Calls back when the server is there again. */
export function onBack(listener: () => void): () => void {
  const tell = () => isReached && listener();
  listeners.add(tell);
  return () => void listeners.delete(tell);
}

/** Asks the server whether it is there. */
export async function lookForServer(): Promise<void> {
  if (timer) clearTimeout(timer);
  timer = null;
  const answered = await isServerThere();
  if (answered !== isReached) {
    isReached = answered;
    for (const listener of listeners) listener();
  }
  if (!answered && listeners.size > 0) timer ??= setTimeout(() => void lookForServer(), AGAIN_MS);
}

async function isServerThere(): Promise<boolean> {
  try {
    const response = await fetch('/health', { cache: 'no-store' });
    // Read to its end, or the browser keeps it open.
    await response.text();
    return !isProxyAlone(response.status);
  } catch {
    return false;
  }
}
