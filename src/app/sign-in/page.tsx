import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { hasSignIns } from '@/data/people';
import { findSignedIn } from '@/data/session';
import { demoSignIns } from '@/features/people/demoPeople';
import { SignIn } from '@/features/people/SignIn';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Sign in' };

export default async function SignInPage() {
  const db = database();
  const house = findHouse(db);
  if (!house || !hasSignIns(db)) redirect('/welcome');
  if (findSignedIn(db, await cookies())) redirect('/');
  return <SignIn houseName={house.name} demo={demoSignIns()} />;
}
