/** A blind flight as a phone may see it: by its code alone whether there is a place, by a place the cups. */
import { assert } from '@/core/errors';
import { database } from '@/data/database';
import { findFlightByCode } from '@/data/flights';
import { findHouse } from '@/data/house';
import { openFlight } from '@/features/taste/flights/sheets';
import { doorOf, readTaster } from '@/views/flight';
import { answer } from '../../edge';

export const dynamic = 'force-dynamic';

export async function GET(
  request: Request,
  { params }: { params: Promise<{ code: string }> },
): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    const flight = openFlight(findFlightByCode(db, (await params).code));
    const house = findHouse(db);
    assert(house !== null, 'a flight has a house');
    const tasterId = request.headers.get('flight-taster');
    const device = request.headers.get('flight-device');
    return {
      door: doorOf(db, house, flight),
      taster: tasterId && device ? readTaster(db, flight, { tasterId, device }) : null,
    };
  });
}
