import type { ReactNode } from 'react';
import { database } from '@/data/database';
import { listReleaseNames } from '@/data/releases';
import { loadHouse } from '@/features/frame/load';
import { TopBar } from '@/features/frame/TopBar';

export const dynamic = 'force-dynamic';

export default function HouseLayout({ children }: { children: ReactNode }) {
  const { house, lead } = loadHouse();
  return (
    <>
      <TopBar houseName={house.name} leadName={lead.name} releases={listReleaseNames(database())} />
      {children}
    </>
  );
}
