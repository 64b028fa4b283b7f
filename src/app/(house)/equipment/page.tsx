import { database } from '@/data/database';
import { listParts } from '@/data/equipment';
import { countReleases } from '@/data/releases';
import { listPeriods } from '@/data/calibrationPeriods';
import { listSetups } from '@/data/setups';
import { EquipmentPage } from '@/features/equipment/EquipmentPage';
import { loadHouse } from '@/features/frame/load';
import { ReadyMark } from '@/ui/ReadyMark';
import { listTaught } from '@/views/grinderMemory';

export const metadata = { title: 'Equipment' };

export default async function Equipment() {
  const { house } = await loadHouse();
  const db = database();
  return (
    <>
      <EquipmentPage
        setups={listSetups(db)}
        taught={await listTaught(db, house)}
        periods={listPeriods(db)}
        hasRelease={countReleases(db) > 0}
        parts={{
          machine: listParts(db, 'machine'),
          grinder: listParts(db, 'grinder'),
          basket: listParts(db, 'basket'),
        }}
      />
      <ReadyMark />
    </>
  );
}
