/** Logs shots as fast as it can, saying each id once it is stored; for the test that kills it. */
import { openDatabase } from '@/data/database';
import { newId, send, shotInput } from './house';

const [file, draftId] = process.argv.slice(2);
if (!file || !draftId) throw new Error('Name the database file and the recipe on the bench.');
const db = openDatabase(file);
process.stdout.write(`pid ${process.pid}\n`);

function logNext(): void {
  const id = newId();
  send(db, 'logShot', shotInput(draftId!), id);
  process.stdout.write(`ok ${id}\n`, () => setImmediate(logNext));
}
logNext();
