import { database } from '@/data/database';
import { SHEET_NAMES, SHEET_WORDS } from '@/features/import/sheetNames';
import { ReleasesPage } from '@/features/releases/ReleasesPage';
import { loadHouse } from '@/features/frame/load';
import { readReleaseList } from '@/views/releaseList';

export const metadata = { title: 'Releases' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Releases({ searchParams }: Props) {
  await loadHouse();
  const sheets = SHEET_NAMES.map((name) => ({ name, label: SHEET_WORDS[name].label }));
  return <ReleasesPage view={readReleaseList(database(), await searchParams)} sheets={sheets} />;
}
