import 'server-only';

import { cookies } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import { CACHE_TAGS } from '@/core/command/cacheTags';
import { UserFault } from '@/core/errors';
import { versionOfTags } from '@/data/cache';
import { database, type Db } from '@/data/database';
import { findHouse, type House } from '@/data/house';
import { log } from '@/data/log';
import { hasSignIns, type Person } from '@/data/people';
import { lookedAt, type AskedBatch } from '@/views/lookedAt';
import { readRelease, type ReleaseView } from '@/views/release';
import { findSignedIn, type SignedIn } from '@/data/session';
import { knownWords } from '@/data/storage';
import { liveIn } from '@/data/timeZone';
import { today } from '@/data/today';

interface Loaded extends SignedIn {
  readonly house: House;
}

/**
 * An answer of this request, read again where a command changed something meanwhile: what is worked out and cached
 * later must not rest on an older one. Whoever waits for anything else asks for it after that.
 */
function readForRequest<Key, T>(read: (key: Key) => Promise<T>): (key: Key) => Promise<T> {
  const ofRequest = cache((_key: Key) => ({}) as { version?: string; answer?: Promise<T> });
  return (key) => {
    const held = ofRequest(key);
    const version = versionOfTags(openHouse().db, CACHE_TAGS);
    if (held.version !== version) Object.assign(held, { version, answer: read(key) });
    return held.answer!;
  };
}

const houseOfRequest = readForRequest<null, Loaded>(async () => {
  const { db, house } = openHouse();
  if (!house || !hasSignIns(db)) redirect('/welcome');
  const signedIn = findSignedIn(db, await cookies());
  if (!signedIn) redirect('/sign-in');
  return { house, ...signedIn };
});

const releaseOfRequest = readForRequest<string, ReleaseView>(async (id) => {
  const { house } = await houseOfRequest(null);
  return readRelease(database(), house, id, { today: today() }) ?? notFound();
});

/** Works out in steps, with room for other requests, what a page is about to read. */
type Preparation = (db: Db, house: House, person: Person) => Promise<void>;
const nothing: Preparation = () => Promise.resolve();

/**
 * The house of this request and who asks, once what the page needs is prepared. An empty database leads to the set-up,
 * anyone who is not signed in to the sign-in: before anything of the house is read, so that all addresses answer alike.
 */
export async function loadHouse(prepare = nothing): Promise<Loaded> {
  const { house, person } = await houseOfRequest(null);
  await prepare(database(), house, person);
  return houseOfRequest(null);
}

/**
 * A release as the screens show it, once what the page needs is prepared; another batch than the one on the bench
 * where the address asks for it.
 */
export async function loadRelease(
  id: string,
  prepare = nothing,
  asked: AskedBatch = {},
): Promise<Loaded & { readonly view: ReleaseView }> {
  await loadHouse(prepare);
  const view = await releaseOfRequest(id);
  const loaded = await houseOfRequest(null);
  const db = database();
  const other = lookedAt(db, view, asked);
  return {
    ...loaded,
    view: other
      ? (readRelease(db, loaded.house, id, { today: view.today, lookedAt: other }) ?? notFound())
      : view,
  };
}

/** The database with its house; where the disk or the file is against it, the page that says what to do. */
function openHouse() {
  try {
    const db = database();
    const house = findHouse(db);
    liveIn(house?.timeZone ?? '');
    return { db, house };
  } catch (error) {
    if (knownWords(error, '') === null && !(error instanceof UserFault)) throw error;
    log.error({ err: error }, 'the database cannot be used');
    redirect('/trouble');
  }
}
