/**
 * Passwords and the brake on guessing them. Hashes are scrypt (Node's own, N 2^15, r 8, p 1) with a
 * salt each; a name is held for a quarter of an hour after ten wrong passwords, counted in the
 * database so that a restart does not forget.
 */
import { randomBytes, scryptSync, timingSafeEqual } from 'node:crypto';
import { userFault } from '@/core/errors';
import { clock } from './clock';
import { prepared, type Db } from './database';
import { findPerson, findSignIn, type Person } from './people';

const SCRYPT = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 } as const;
const KEY_BYTES = 32;
const SALT_BYTES = 16;

/** "scrypt$salt$key", both base64url. */
export function hashPassword(password: string): string {
  const salt = randomBytes(SALT_BYTES);
  return `scrypt$${salt.toString('base64url')}$${keyOf(password, salt).toString('base64url')}`;
}

function keyOf(password: string, salt: Buffer): Buffer {
  return scryptSync(password.normalize('NFKC'), salt, KEY_BYTES, SCRYPT);
}

/** Compared in constant time; a hash that is not ours fits no password. */
export function isPassword(password: string, hash: string): boolean {
  const [kind, salt, key] = hash.split('$');
  if (kind !== 'scrypt' || !salt || !key) return false;
  const wanted = Buffer.from(key, 'base64url');
  const found = keyOf(password, Buffer.from(salt, 'base64url'));
  return wanted.length === found.length && timingSafeEqual(wanted, found);
}

/** A name nobody has costs as much time as a wrong password, so that names cannot be probed. */
const NOBODYS_HASH = hashPassword(randomBytes(SALT_BYTES).toString('base64url'));

const MOST_FAILURES = 10;
const MOST_FAILURES_OF_ALL = 100;
const HELD_MS = 15 * 60_000;

/**
 * The person of a sign-in name and password.
 * @throws UserFault `tooMany` after ten wrong passwords in a quarter of an hour, `signedOut` otherwise.
 */
export function signIn(db: Db, signInName: string, password: string): Person {
  const nameKey = signInName.toLowerCase();
  refuseGuessing(db, nameKey);
  const found = findSignIn(db, signInName);
  const isRight = isPassword(password, found?.passwordHash ?? NOBODYS_HASH);
  const person = found && isRight ? findPerson(db, found.id) : null;
  if (person) {
    prepared(db, 'DELETE FROM sign_in_failure WHERE name_key = ?').run(nameKey);
    return person;
  }
  prepared(db, 'INSERT INTO sign_in_failure (name_key, at) VALUES (?, ?)').run(
    nameKey,
    clock.now().toISOString(),
  );
  throw userFault(
    'signedOut',
    'password',
    'Name and password do not go together. Check both, or ask the lead for a new invitation.',
  );
}

function refuseGuessing(db: Db, nameKey: string): void {
  const since = new Date(clock.now().getTime() - HELD_MS).toISOString();
  prepared(db, 'DELETE FROM sign_in_failure WHERE at < ?').run(since);
  const { own, all } = prepared(
    db,
    `SELECT count(*) AS "all", count(*) FILTER (WHERE name_key = ?) AS own FROM sign_in_failure`,
  ).get(nameKey) as { own: number; all: number };
  if (own >= MOST_FAILURES || all >= MOST_FAILURES_OF_ALL)
    throw userFault(
      'tooMany',
      'password',
      `Too many wrong passwords. Wait ${HELD_MS / 60_000} minutes, then try again; whoever is signed in stays signed in.`,
    );
}
