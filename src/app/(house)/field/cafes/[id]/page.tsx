import { notFound } from 'next/navigation';
import { publicAddress } from '@/data/address';
import { database } from '@/data/database';
import { listServable } from '@/data/publications';
import { CafePage } from '@/features/cafes/CafePage';
import { loadHouse } from '@/features/frame/load';
import { readCafe } from '@/views/cafe';

export const metadata = { title: 'Café' };

export default async function Cafe({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ signal?: string | string[] }>;
}) {
  const { house } = await loadHouse();
  const { signal } = await searchParams;
  const asked = typeof signal === 'string' ? signal : undefined;
  const db = database();
  const view = readCafe(db, house, (await params).id, asked);
  if (view === null) notFound();
  const isOpen = view.signals.some(({ key }) => key === asked);
  return (
    <CafePage
      view={view}
      signal={isOpen ? asked : undefined}
      coffees={listServable(db)}
      houseAddress={publicAddress(db)}
    />
  );
}
