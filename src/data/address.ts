/**
 * Under which addresses this server answers, and whether the way to it is closed (HTTPS). Whoever runs it
 * sets KETTLEBRAND_ADDRESS to the address people type, as https://recipes.example; the lead may say the
 * public one in House.
 */
import type { Db } from './database';
import { findHouse } from './house';

const LOCAL_NAMES = ['localhost', '127.0.0.1', '[::1]'] as const;

function configured(): URL | null {
  const text = process.env.KETTLEBRAND_ADDRESS;
  return text === undefined || text === '' ? null : new URL(text);
}

/** The address that stands on paper and in codes; never what a request calls this server. */
export function publicAddress(db: Db): string {
  return (
    configured()?.origin ?? ofHouse(db)?.origin ?? `http://localhost:${process.env.PORT ?? '3210'}`
  );
}

function ofHouse(db: Db): URL | null {
  const text = findHouse(db)?.publicAddress;
  return text ? new URL(text) : null;
}

/** Cookies and headers of a closed way are set where the configured address says so. */
export function isHttps(): boolean {
  return configured()?.protocol === 'https:';
}

/** Is this what a request may call this server? `host` as in its Host header. */
export function isKnownHost(db: Db, host: string | null): boolean {
  if (host === null) return false;
  const name = host.toLowerCase().replace(/:\d*$/, '');
  const known: readonly (string | undefined)[] = [
    ...LOCAL_NAMES,
    configured()?.hostname,
    process.env.HOST?.toLowerCase(),
  ];
  return known.includes(name) || ofHouse(db)?.hostname === name;
}
