import { redirect } from 'next/navigation';
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { Welcome } from '@/features/house/Welcome';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'First set-up' };

export default function WelcomePage() {
  if (findHouse(database())) redirect('/');
  return <Welcome />;
}
