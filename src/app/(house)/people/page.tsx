import { database } from '@/data/database';
import { listOpenInvitations } from '@/data/invitations';
import { listPeople } from '@/data/people';
import { listSessions } from '@/data/session';
import { loadHouse } from '@/features/frame/load';
import { PeoplePage } from '@/features/people/PeoplePage';

export const metadata = { title: 'People' };

export default async function People() {
  const { person, session } = await loadHouse();
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
      sessions={listSessions(db, person.id).map(({ id, device, madeAt, usedAt }) => ({
        id,
        device,
        madeAt,
        usedAt,
        isHere: id === session.id,
      }))}
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
