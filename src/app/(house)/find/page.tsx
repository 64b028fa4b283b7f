import { database } from '@/data/database';
import { FindPage } from '@/features/find/FindPage';
import { loadHouse } from '@/features/frame/load';
import { ReadyMark } from '@/ui/ReadyMark';
import { prepareFind, readFind } from '@/views/find';

export const metadata = { title: 'Find' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Find({ searchParams }: Props) {
  const asked = await searchParams;
  const { house } = await loadHouse(prepareFind);
  return (
    <>
      <FindPage found={readFind(database(), house, asked)} />
      <ReadyMark />
    </>
  );
}
