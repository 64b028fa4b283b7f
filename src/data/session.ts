/**
 * Who a request is from. The cookie carries a random token and nothing else; its hash, the person and
 * when it was last used are kept, so that any session can be ended at once.
 */
import { createHash, randomBytes } from 'node:crypto';
import type { cookies } from 'next/headers';
import { z } from 'zod';
import { isHttps } from './address';
import { clock } from './clock';
import { prepared, type Db } from './database';
import { findPerson, type Person } from './people';
import { now } from './rows';

/** What the framework's cookies() gives. */
type CookieStore = Awaited<ReturnType<typeof cookies>>;

const DAY_MS = 86_400_000;
/** A session nobody uses ends after this long, any session after the other. */
const IDLE_DAYS = 14;
const LONGEST_DAYS = 90;
/** A browser is known this long after it was last signed in. */
const BROWSER_DAYS = 365;
/** Its use is noted at most so often: a page is no write. */
const NOTED_EVERY_MS = 5 * 60_000;

const TOKEN_BYTES = 32;
const newToken = () => randomBytes(TOKEN_BYTES).toString('base64url');
const hashOf = (token: string) => createHash('sha256').update(token).digest('base64url');

/** A browser keeps a cookie of this name to this very host, and only over HTTPS. */
const named = (name: string) => (isHttps() ? `__Host-${name}` : name);
const SESSION = 'kettlebrand';
const BROWSER = 'kettlebrand-browser';

function putCookie(store: CookieStore, name: string, token: string, days: number): void {
  store.set(named(name), token, {
    httpOnly: true,
    sameSite: 'lax',
    path: '/',
    secure: isHttps(),
    maxAge: (days * DAY_MS) / 1000,
  });
}

const sessionRow = z.object({
  id: z.string(),
  personId: z.string(),
  madeAt: z.string(),
  usedAt: z.string(),
  provedAt: z.string(),
  device: z.string(),
});
export type Session = z.output<typeof sessionRow>;

export interface SignedIn {
  readonly person: Person;
  readonly session: Session;
}

const SELECT = `
  SELECT id, person_id AS personId, made_at AS madeAt, used_at AS usedAt, proved_at AS provedAt, device
  FROM session`;
/** Neither too old nor unused for too long, by the present moment. */
const OPEN = 'used_at > @idleSince AND made_at > @madeSince';

const daysAgo = (days: number) => new Date(clock.now().getTime() - days * DAY_MS).toISOString();
const limits = () => ({ idleSince: daysAgo(IDLE_DAYS), madeSince: daysAgo(LONGEST_DAYS) });

/** The signed-in person and how; null when nobody is, also after the session was ended. */
export function findSignedIn(db: Db, store: CookieStore): SignedIn | null {
  const token = store.get(named(SESSION))?.value;
  if (!token) return null;
  const row = prepared(db, `${SELECT} WHERE token_hash = @hash AND ${OPEN}`).get({
    hash: hashOf(token),
    ...limits(),
  });
  if (row === undefined) return null;
  const session = sessionRow.parse(row);
  const person = findPerson(db, session.personId);
  if (!person) return null;
  if (clock.now().getTime() - Date.parse(session.usedAt) > NOTED_EVERY_MS)
    prepared(db, 'UPDATE session SET used_at = ? WHERE id = ?').run(now(), session.id);
  return { person, session };
}

/** Does a session still stand? One indexed row. */
export function isOpenSession(db: Db, id: string): boolean {
  return (
    prepared(db, `SELECT 1 FROM session WHERE id = @id AND ${OPEN}`).get({ id, ...limits() }) !==
    undefined
  );
}

/** Signs a browser in; whoever was signed in there is no more. The browser is known from now on. */
export function startSession(db: Db, store: CookieStore, person: Person, device: string): void {
  const token = newToken();
  const browser = store.get(named(BROWSER))?.value ?? newToken();
  const at = now();
  db.transaction(() => {
    dropOwn(db, store);
    prepared(db, 'DELETE FROM session WHERE used_at < @idleSince OR made_at < @madeSince').run(
      limits(),
    );
    prepared(
      db,
      `INSERT INTO session (id, token_hash, person_id, made_at, used_at, proved_at, device)
       VALUES (@id, @hash, @personId, @at, @at, @at, @device)`,
    ).run({ id: newToken(), hash: hashOf(token), personId: person.id, at, device });
    prepared(
      db,
      `INSERT INTO known_browser (token_hash, person_id, used_at) VALUES (?, ?, ?)
       ON CONFLICT (token_hash, person_id) DO UPDATE SET used_at = excluded.used_at`,
    ).run(hashOf(browser), person.id, at);
    prepared(db, 'DELETE FROM known_browser WHERE used_at < ?').run(daysAgo(BROWSER_DAYS));
  }).immediate();
  putCookie(store, SESSION, token, LONGEST_DAYS);
  putCookie(store, BROWSER, browser, BROWSER_DAYS);
}

/** Hash of the token of a browser that has signed in before, whoever it was. */
export function browserOf(store: CookieStore): string | undefined {
  const token = store.get(named(BROWSER))?.value;
  return token === undefined ? undefined : hashOf(token);
}

function dropOwn(db: Db, store: CookieStore): void {
  const token = store.get(named(SESSION))?.value;
  if (token) prepared(db, 'DELETE FROM session WHERE token_hash = ?').run(hashOf(token));
}

/** Signs this browser out. */
export function endSession(db: Db, store: CookieStore): void {
  dropOwn(db, store);
  store.delete({ name: named(SESSION), path: '/', secure: isHttps() });
}

/** Where a person is signed in, the latest used first. */
export function listSessions(db: Db, personId: string): Session[] {
  return prepared(
    db,
    `${SELECT} WHERE person_id = @personId AND ${OPEN} ORDER BY used_at DESC, made_at DESC`,
  )
    .all({ personId, ...limits() })
    .map((row) => sessionRow.parse(row));
}

/** Ends sessions of a person: one, or all but one; answers how many ended. */
export function endSessions(
  db: Db,
  personId: string,
  which: { readonly id: string } | { readonly exceptId: string | null },
): number {
  const { changes } =
    'id' in which
      ? prepared(db, 'DELETE FROM session WHERE person_id = ? AND id = ?').run(personId, which.id)
      : prepared(db, 'DELETE FROM session WHERE person_id = ? AND id IS NOT ?').run(
          personId,
          which.exceptId,
        );
  return changes;
}

/** The person of a session gave the password just now. */
export function notePasswordGiven(db: Db, id: string): void {
  prepared(db, 'UPDATE session SET proved_at = ? WHERE id = ?').run(now(), id);
}

/** What leaves the house or changes who is in it asks for a password given within this long. */
const FRESH_PASSWORD_MS = 12 * 3_600_000;

export function isPasswordFresh({ provedAt }: Pick<Session, 'provedAt'>): boolean {
  return clock.now().getTime() - Date.parse(provedAt) <= FRESH_PASSWORD_MS;
}
