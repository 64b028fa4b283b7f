/** Keeps the page at hand on this device, so that it opens without the server. Does nothing where a browser cannot. */
import { isOfflinePage, OFFLINE_PAGES, OFFLINE_PARTS, PART_ADDRESS } from '@/workers/offlinePages';

/** A page that was kept this lately is not asked for again. */
const FRESH_MS = 20_000;
const keptAt = new Map<string, number>();

const canKeep = () => typeof caches !== 'undefined' && 'serviceWorker' in navigator;

/** Asks for the page as it would be opened anew, and keeps it with the parts it has loaded. */
export async function saveOffline(path: string): Promise<void> {
  if (!canKeep() || !isOfflinePage(path)) return;
  // Without whoever gives it out again it would be fetched for nothing; where none may be installed this never comes.
  await navigator.serviceWorker.ready;
  if (Date.now() - (keptAt.get(path) ?? 0) < FRESH_MS) return;
  keptAt.set(path, Date.now());
  try {
    const page = await fetch(path, { headers: { accept: 'text/html' } });
    if (!page.ok || page.redirected) return void (await page.text());
    await (await caches.open(OFFLINE_PAGES)).put(path, page);
    const parts = await caches.open(OFFLINE_PARTS);
    for (const { name } of performance.getEntriesByType('resource')) {
      const isPart = new URL(name).pathname.startsWith(PART_ADDRESS);
      if (isPart && !(await parts.match(name))) await parts.add(name);
    }
  } catch {
    // Not reached, or no room on the device: the page goes on without.
    keptAt.delete(path);
  }
}

/** Whoever leaves takes what they saw with them. */
export async function forgetOfflinePages(): Promise<void> {
  keptAt.clear();
  if (canKeep()) await caches.delete(OFFLINE_PAGES).catch(() => false);
}
