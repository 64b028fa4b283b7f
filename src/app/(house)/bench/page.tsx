import { database } from '@/data/database';
import { listSetups } from '@/data/setups';
import { BenchPage } from '@/features/equipment/BenchPage';

export const metadata = { title: 'The bench' };

export default function Bench() {
  const setups = listSetups(database());
  return <BenchPage setups={setups} />;
}
