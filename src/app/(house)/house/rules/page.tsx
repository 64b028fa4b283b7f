import { loadHouse } from '@/features/frame/load';
import { RulesPage } from '@/features/house/RulesPage';

export const metadata = { title: 'Rules of the house model' };

export default async function Rules() {
  const { house } = await loadHouse();
  return <RulesPage house={house} />;
}
