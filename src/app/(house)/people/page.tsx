import { database } from '@/data/database';
import { listOpenInvitations } from '@/data/invitations';
import { listPeople } from '@/data/people';
import { loadHouse } from '@/features/frame/load';
import { PeoplePage } from '@/features/people/PeoplePage';

export const metadata = { title: 'People' };

export default async function People() {
  const { person } = await loadHouse();
  const db = database();
  const people = listPeople(db).map(({ id, name, role, signInName }) => ({
    id,
    name,
    role,
    signInName,
  }));
  const invitations = person.role === 'lead' ? listOpenInvitations(db) : [];
  return (
    <PeoplePage
      people={people}
      invitations={invitations.map(({ id, forWhom, role, expiresAt }) => ({
        id,
        forWhom,
        role,
        expiresAt,
      }))}
    />
  );
}
