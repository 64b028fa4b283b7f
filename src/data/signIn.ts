/**
 * Signing in by name and password, and the brake on guessing. Tries are counted by name and where they
 * come from, in the database, so that a restart does not forget. A browser that has signed in before has
 * an allowance of its own, so that no stranger can bar anybody's way; strangers are slowed.
 */
import { userFault, type UserFault } from '@/core/errors';
import { clock } from './clock';
import { prepared, type Db } from './database';
import { comparePassword, hashOfNobody, hashPassword } from './passwords';
import { findPerson, findSignIn, keepPasswordHash, type Person } from './people';
import { now } from './rows';

/** Where a try comes from. */
export interface Knock {
  /** Network address of who asks. */
  readonly address: string;
  /** Hash of the token of a browser that has signed in before. */
  readonly browser?: string | undefined;
  /** Somebody who is signed in and proves who they are. */
  readonly sessionId?: string | undefined;
}

const WINDOW_MS = 15 * 60_000;
/** Wrong passwords in a quarter of an hour that one source has for one name. House heuristic. */
const MOST_FROM_ONE = 10;
/** Beyond this many of one address over all names, or of strangers for one name, one try at a time. */
const MANY_FROM_ADDRESS = 30;
const MANY_FOR_NAME = 50;
const PAUSE_MS = 5_000;

/**
 * The person of a sign-in name and password.
 * @throws UserFault `tooMany` where this source has tried too often, `signedOut` when they do not go together.
 */
export async function signIn(
  db: Db,
  { signInName, password }: { signInName: string; password: string },
  knock: Knock,
): Promise<Person> {
  const nameKey = signInName.toLowerCase();
  const found = findSignIn(db, signInName);
  const source = sourceOf(db, knock, found?.id);
  const tryId = refuseGuessing(db, nameKey, { source, address: knock.address });
  const { isRight, isOld } = await comparePassword(
    password,
    found?.passwordHash ?? (await hashOfNobody()),
  );
  const person = found && isRight ? findPerson(db, found.id) : null;
  if (!person)
    throw userFault(
      'signedOut',
      'password',
      'Name and password do not go together. Check both, or ask the lead for a new invitation.',
    );
  prepared(db, 'DELETE FROM sign_in_try WHERE id = ? OR (name_key = ? AND source = ?)').run(
    tryId,
    nameKey,
    source,
  );
  if (isOld) keepPasswordHash(db, person.id, await hashPassword(password));
  return person;
}

/** A known browser is one for the people who signed in with it, and a stranger for all others. */
function sourceOf(db: Db, { address, browser, sessionId }: Knock, personId?: string): string {
  if (sessionId !== undefined) return `session ${sessionId}`;
  const isKnown =
    browser !== undefined &&
    personId !== undefined &&
    prepared(db, 'SELECT 1 FROM known_browser WHERE token_hash = ? AND person_id = ?').get(
      browser,
      personId,
    ) !== undefined;
  return isKnown ? `browser ${browser}` : addressSource(address);
}

const addressSource = (address: string) => `address ${address}`;

/** Counts the try before it is looked at, so that many at once are as many tries; answers its id. */
function refuseGuessing(
  db: Db,
  nameKey: string,
  { source, address }: { source: string; address: string },
): number | bigint {
  return db
    .transaction(() => {
      const at = clock.now();
      const since = new Date(at.getTime() - WINDOW_MS).toISOString();
      prepared(db, 'DELETE FROM sign_in_try WHERE at < ?').run(since);
      const isStranger = source === addressSource(address);
      const count = countTries(db, { nameKey, source, until: at.toISOString() });
      const endsOf = (oldest: string | null, forMs: number) =>
        Math.max(0, Date.parse(oldest ?? since) + forMs - at.getTime());
      if (count.own >= MOST_FROM_ONE) throw tooMany(endsOf(count.oldestOwn, WINDOW_MS));
      if (isStranger && (count.ofSource >= MANY_FROM_ADDRESS || count.ofName >= MANY_FOR_NAME)) {
        const waitMs = endsOf(count.newest, PAUSE_MS);
        if (waitMs > 0) throw tooMany(waitMs);
      }
      return prepared(db, 'INSERT INTO sign_in_try (name_key, source, at) VALUES (?, ?, ?)').run(
        nameKey,
        source,
        now(),
      ).lastInsertRowid;
    })
    .immediate();
}

interface Tries {
  readonly own: number;
  readonly oldestOwn: string | null;
  readonly ofSource: number;
  readonly ofName: number;
  /** Of the source or of strangers for the name. */
  readonly newest: string | null;
}

/** Tries of the window; what a clock that ran ahead has dated in the future is let by. */
function countTries(db: Db, asked: { nameKey: string; source: string; until: string }): Tries {
  return prepared(
    db,
    `SELECT count(*) FILTER (WHERE name_key = @nameKey AND source = @source) AS own,
       min(at) FILTER (WHERE name_key = @nameKey AND source = @source) AS oldestOwn,
       count(*) FILTER (WHERE source = @source) AS ofSource,
       count(*) FILTER (WHERE name_key = @nameKey AND source LIKE 'address %') AS ofName,
       max(at) AS newest
     FROM sign_in_try WHERE at <= @until
       AND (source = @source OR (name_key = @nameKey AND source LIKE 'address %'))`,
  ).get(asked) as Tries;
}

function tooMany(waitMs: number): UserFault {
  const seconds = Math.ceil(waitMs / 1000);
  const wait =
    seconds < 90
      ? `${seconds} ${seconds === 1 ? 'second' : 'seconds'}`
      : `${Math.ceil(seconds / 60)} minutes`;
  return userFault(
    'tooMany',
    'password',
    `Too many wrong passwords from here. Wait ${wait}, then try again; whoever is signed in stays signed in.`,
  );
}
