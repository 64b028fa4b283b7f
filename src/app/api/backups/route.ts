/** A backup at once, into the folder the house names. */
import { userFault } from '@/core/errors';
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { logAccess } from '@/data/accessLog';
import { makeBackup } from '@/data/makeBackup';
import { admit, sourceOf } from '../caller';
import { answer } from '../edge';

export const dynamic = 'force-dynamic';

export async function POST(request: Request): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    const { person } = await admit(db, 'lead');
    const house = findHouse(db)!;
    if (house.backupFolder === '')
      throw userFault(
        'refused',
        'backupFolder',
        'No folder is named. Enter one, and save the house.',
      );
    const made = await makeBackup(db, house);
    logAccess(db, {
      personId: person.id,
      kind: 'backup',
      words: 'made a backup',
      source: sourceOf(request),
    });
    return made;
  });
}
