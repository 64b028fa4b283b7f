import { notFound } from 'next/navigation';
import { publicAddress } from '@/data/address';
import { database } from '@/data/database';
import { loadRelease } from '@/features/frame/load';
import { FlightPage } from '@/features/taste/flights/FlightPage';
import { qrSquares } from '@/formats/qrCode';
import { readFlight } from '@/views/flight';

export const metadata = { title: 'Blind flight' };

export default async function Flight({
  params,
}: {
  params: Promise<{ id: string; flight: string }>;
}) {
  const { id, flight: flightId } = await params;
  const { view, person } = await loadRelease(id);
  const { release } = view;
  const db = database();
  const flight = readFlight(db, {
    releaseId: release.id,
    id: flightId,
    isLead: person.role === 'lead',
  });
  if (!flight) notFound();
  const address = `${publicAddress(db)}/flight/${flight.code}`;
  return <FlightPage flight={flight} address={address} qr={qrSquares(address)} />;
}
