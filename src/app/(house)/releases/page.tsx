import { database } from '@/data/database';
import { ReleasesPage } from '@/features/releases/ReleasesPage';
import { loadHouse } from '@/features/frame/load';
import { readReleaseList } from '@/views/releaseList';

export const metadata = { title: 'Releases' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Releases({ searchParams }: Props) {
  await loadHouse();
  return <ReleasesPage view={readReleaseList(database(), await searchParams)} />;
}
