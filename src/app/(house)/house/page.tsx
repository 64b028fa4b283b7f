import { loadHouse } from '@/features/frame/load';
import { HousePage } from '@/features/house/HousePage';

export const metadata = { title: 'House' };

export default async function House() {
  const { house } = await loadHouse();
  return <HousePage house={house} />;
}
