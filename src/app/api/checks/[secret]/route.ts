/** A café's check sheet, for whoever has its link. */
import { assert, userFault } from '@/core/errors';
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { findPartnerBySecret } from '@/data/partners';
import { readCheckSheet } from '@/views/checkSheet';
import { answer } from '../../edge';

export const dynamic = 'force-dynamic';

export async function GET(
  request: Request,
  { params }: { params: Promise<{ secret: string }> },
): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    const partner = findPartnerBySecret(db, (await params).secret);
    const house = findHouse(db);
    if (partner === null) throw userFault('gone', '', closedWords(house?.name));
    assert(house !== null, 'a café has a house');
    return readCheckSheet(db, house, partner);
  });
}

/** The same for a link that was revoked and one that never was: nothing is told of either. */
const closedWords = (house = 'the roastery') =>
  `This link does not open a check sheet. Ask ${house} for your café’s link.`;
