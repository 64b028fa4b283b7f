import { database } from '@/data/database';
import { listProgrammes } from '@/data/programmes';
import { listSetups } from '@/data/setups';
import { loadHouse } from '@/features/frame/load';
import { readAims } from '@/features/programmes/aims';
import { ProgrammesPage } from '@/features/programmes/ProgrammesPage';

export const metadata = { title: 'Programmes' };

export default async function Programmes() {
  const { house } = await loadHouse();
  const db = database();
  return (
    <ProgrammesPage
      programmes={listProgrammes(db)}
      setups={listSetups(db)}
      aims={readAims(db, house)}
    />
  );
}
