/** Who a request is from: a sealed cookie that names a person and the epoch it was made in. */
import { randomBytes } from 'node:crypto';
import { getIronSession } from 'iron-session';
import type { cookies } from 'next/headers';
import { prepared, type Db } from './database';
import { findPerson, type Person } from './people';

interface SessionData {
  personId?: string;
  epoch?: number;
}

/** What the framework's cookies() gives. */
type CookieStore = Awaited<ReturnType<typeof cookies>>;

const SESSION_DAYS = 14;
const SECRET_BYTES = 32;

/** The secret that seals cookies: made once, kept in the database, so a restart signs nobody out. */
function sessionSecret(db: Db): string {
  const find = () =>
    (
      prepared(db, `SELECT value FROM secret WHERE name = 'session'`).get() as
        { value: string } | undefined
    )?.value;
  const found = find();
  if (found) return found;
  prepared(db, `INSERT INTO secret (name, value) VALUES ('session', ?) ON CONFLICT DO NOTHING`).run(
    randomBytes(SECRET_BYTES).toString('base64url'),
  );
  return find()!;
}

function openSession(db: Db, store: CookieStore) {
  // The two packages write the same cookie options in types that exclude each other.
  return getIronSession<SessionData>(store as never, {
    cookieName: 'kettlebrand',
    password: sessionSecret(db),
    ttl: SESSION_DAYS * 86_400,
    cookieOptions: {
      httpOnly: true,
      sameSite: 'lax',
      path: '/',
      // Behind TLS the cookie must never travel in the open.
      secure: process.env.KETTLEBRAND_TLS === '1',
    },
  });
}

/** The signed-in person, or null: also after they were removed or their sessions were ended. */
export async function findSignedIn(db: Db, store: CookieStore): Promise<Person | null> {
  const { personId, epoch } = await openSession(db, store);
  const person = personId === undefined ? null : findPerson(db, personId);
  return person && person.sessionEpoch === epoch ? person : null;
}

export async function startSession(db: Db, store: CookieStore, person: Person): Promise<void> {
  const session = await openSession(db, store);
  session.personId = person.id;
  session.epoch = person.sessionEpoch;
  await session.save();
}

export async function endSession(db: Db, store: CookieStore): Promise<void> {
  (await openSession(db, store)).destroy();
}
