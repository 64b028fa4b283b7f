import { mayDo } from '@/core/roles';
import { database } from '@/data/database';
import { loadHouse } from '@/features/frame/load';
import { HousePage } from '@/features/house/HousePage';
import { readBackups } from '@/views/backups';

export const metadata = { title: 'House' };

export default async function House() {
  const { house, person } = await loadHouse();
  const backups = mayDo(person.role, 'lead') ? readBackups(database()) : null;
  return <HousePage house={house} backups={backups} />;
}
