import { Link } from '@/ui/Link';
import { redirect } from 'next/navigation';
import { UserFault } from '@/core/errors';
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { openInvitation, type Invitation } from '@/data/invitations';
import { Invited } from '@/features/people/Invited';
import { EntryPage } from '@/ui/EntryPage';
import { faultWords } from '@/words/faults';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Invitation', robots: { index: false } };

export default async function InvitationPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const house = findHouse(database());
  if (!house) redirect('/welcome');
  const found = lookUp(token);
  if ('refused' in found)
    return (
      <EntryPage title="This link does not open">
        <p>{found.refused}</p>
        <p>
          <Link href="/sign-in">Sign in</Link>
        </p>
      </EntryPage>
    );
  const { role, forWhom } = found;
  return <Invited token={token} houseName={house.name} forWhom={forWhom} role={role} />;
}

function lookUp(token: string): Invitation | { readonly refused: string } {
  try {
    return openInvitation(database(), token);
  } catch (error) {
    if (error instanceof UserFault) return { refused: faultWords(error) };
    throw error;
  }
}
