import { database } from '@/data/database';
import { listSetups } from '@/data/setups';
import { loadHouse } from '@/features/frame/load';
import { ReadyMark } from '@/ui/ReadyMark';
import { PatternsPage } from '@/features/patterns/PatternsPage';
import { prepareModel } from '@/views/houseModel';
import { prepareRecords } from '@/views/records';
import { MOST_POINTS, readPatterns } from '@/views/patterns';

export const metadata = { title: 'Patterns' };

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Patterns({ searchParams }: Props) {
  const asked = await searchParams;
  const { house } = await loadHouse(async (db, house) => {
    await prepareModel(db, house);
    await prepareRecords(db, house);
  });
  const db = database();
  return (
    <>
      <PatternsPage
        view={readPatterns(db, house, asked, MOST_POINTS)}
        setups={listSetups(db).map(({ id, name }) => ({ id, name }))}
      />
      <ReadyMark />
    </>
  );
}
