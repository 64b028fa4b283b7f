import { database } from '@/data/database';
import { FieldPage } from '@/features/field/FieldPage';
import { loadHouse } from '@/features/frame/load';
import { readField } from '@/views/field';

export const metadata = { title: 'Field' };

export default async function Field() {
  const { house } = await loadHouse();
  return <FieldPage field={readField(database(), house)} />;
}
