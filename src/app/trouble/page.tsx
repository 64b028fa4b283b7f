import { Link } from '@/ui/Link';
import { troubleOfDatabase } from '@/data/trouble';
import { EntryPage } from '@/ui/EntryPage';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'The database' };

export default function TroublePage() {
  const words = troubleOfDatabase();
  return (
    <EntryPage title={words ? 'The database is in trouble' : 'The database is whole'}>
      {words ? (
        <>
          <p>{words}</p>
          <p>
            Nothing you entered is lost: shots wait in the browser they were entered in. Whoever
            runs the server finds what to do, command by command, in docs/operations.md.
          </p>
        </>
      ) : (
        <p>
          Every page of it was looked at. <Link href="/">Go on</Link>; what broke is then a mistake
          of ours, and what the server prints says which.
        </p>
      )}
    </EntryPage>
  );
}
