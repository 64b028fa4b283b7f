import { redirect } from 'next/navigation';
import { mayDo } from '@/core/roles';
import { database } from '@/data/database';
import { findRelease } from '@/data/releases';
import { loadHouse } from '@/features/frame/load';
import { NewRelease } from '@/features/read/NewRelease';

export const metadata = { title: 'A new release' };

interface Props {
  readonly searchParams: Promise<{ like?: string | string[] }>;
}

/** A new release, or one like another: the same coffee of the next harvest. */
export default async function NewReleasePage({ searchParams }: Props) {
  const { person } = await loadHouse();
  if (!mayDo(person.role, 'lead')) redirect('/');
  const { like } = await searchParams;
  return <NewRelease like={typeof like === 'string' ? findRelease(database(), like) : null} />;
}
