/** What the search field offers while somebody types: releases by name, then whatever holds the words. */
import { cookies } from 'next/headers';
import { requireDuty } from '@/data/command';
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { findSignedIn } from '@/data/session';
import { prepareFind, readQuickFind } from '@/views/find';
import { answer } from '../edge';

export const dynamic = 'force-dynamic';

export async function GET(request: Request): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    requireDuty(db, 'self', await findSignedIn(db, await cookies()));
    await prepareFind(db);
    const search = Object.fromEntries(new URL(request.url).searchParams);
    return readQuickFind(db, findHouse(db)!, search);
  });
}
