/** What the search field offers while somebody types: releases by name, then whatever holds the words. */
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { prepareFind, readQuickFind } from '@/views/find';
import { admit } from '../caller';
import { answer } from '../edge';

export const dynamic = 'force-dynamic';

export async function GET(request: Request): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    await admit(db, 'self');
    await prepareFind(db);
    const search = Object.fromEntries(new URL(request.url).searchParams);
    return readQuickFind(db, findHouse(db)!, search);
  });
}
