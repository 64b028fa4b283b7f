/** Coming to the door of a house in memory, as the routes do. */
import type { Db } from '@/data/database';
import type { SignedIn } from '@/data/session';
import { findSignedIn, startSession } from '@/data/session';
import type { Person } from '@/data/people';
import { signIn, type Knock } from '@/data/signIn';

type Store = Parameters<typeof startSession>[1];

/** A browser's cookies, in a map. */
export function cookieJar() {
  const kept = new Map<string, string>();
  const store = {
    get: (name: string) => {
      const value = kept.get(name);
      return value === undefined ? undefined : { name, value };
    },
    set: (name: string, value: string) => kept.set(name, value),
    delete: ({ name }: { name: string }) => kept.delete(name),
  };
  return { store: store as unknown as Store, kept };
}

export function signInAs(
  db: Db,
  signInName: string,
  password: string,
  knock: Knock = { address: '192.0.2.1' },
): Promise<Person> {
  return signIn(db, { signInName, password }, knock);
}

/** Signs a person in on a browser of their own; answers what the next request would find. */
export function onNewBrowser(db: Db, person: Person, device = 'Firefox on Linux') {
  const { store, kept } = cookieJar();
  startSession(db, store, person, device);
  return { store, kept, find: (): SignedIn | null => findSignedIn(db, store) };
}
