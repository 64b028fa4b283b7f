import { redirect } from 'next/navigation';
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { findLead, hasSignIns } from '@/data/people';
import { Welcome } from '@/features/house/Welcome';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'First set-up' };

export default function WelcomePage() {
  const db = database();
  if (hasSignIns(db)) redirect('/');
  return <Welcome houseName={findHouse(db)?.name ?? ''} leadName={findLead(db)?.name ?? ''} />;
}
