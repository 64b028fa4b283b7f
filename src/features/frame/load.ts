import 'server-only';

import { cookies } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import { UserFault } from '@/core/errors';
import { database } from '@/data/database';
import { findHouse, type House } from '@/data/house';
import { log } from '@/data/log';
import { hasSignIns } from '@/data/people';
import { readRelease, type ReleaseView } from '@/views/release';
import { findSignedIn, type SignedIn } from '@/data/session';
import { knownWords } from '@/data/storage';
import { liveIn } from '@/data/timeZone';
import { today } from '@/data/today';

interface Loaded extends SignedIn {
  readonly house: House;
}

/**
 * The house of this request and who asks. An empty database leads to the set-up, anyone who is not
 * signed in to the sign-in: before anything of the house is read, so that all addresses answer alike.
 */
export const loadHouse = cache(async (): Promise<Loaded> => {
  const { db, house } = openHouse();
  if (!house || !hasSignIns(db)) redirect('/welcome');
  const signedIn = findSignedIn(db, await cookies());
  if (!signedIn) redirect('/sign-in');
  return { house, ...signedIn };
});

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

/** A release as the screens show it, read once per request. */
export const loadRelease = cache(async (id: string): Promise<ReleaseView> => {
  const { house, person } = await loadHouse();
  const { units } = person;
  return readRelease(database(), house, id, { today: today(), units }) ?? notFound();
});
