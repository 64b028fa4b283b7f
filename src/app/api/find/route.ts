/** What the search field offers while somebody types: releases by name, then whatever holds the words. */
import { cookies } from 'next/headers';
import { requireDuty } from '@/data/command';
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { findReleaseNames } from '@/data/releases';
import { findSignedIn } from '@/data/session';
import { find, readAskedFind } from '@/views/find';
import { answer } from '../edge';

export const dynamic = 'force-dynamic';

const MOST_NAMES = 12;
const MOST_HITS = 12;

export async function GET(request: Request): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    requireDuty(db, 'self', await findSignedIn(db, await cookies()));
    const asked = readAskedFind(Object.fromEntries(new URL(request.url).searchParams));
    const names = findReleaseNames(db, asked.words, MOST_NAMES);
    const hits = asked.words === '' ? [] : find(db, findHouse(db)!, asked, MOST_HITS);
    return { names, hits };
  });
}
