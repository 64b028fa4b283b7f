/**
 * Being signed in to a house: by a session that is put into its database, as signing in would. The door itself
 * (a password is hashed, which takes a core half a second) is tried where a test is about it.
 */
import Database from 'better-sqlite3';
import type { APIRequestContext, Page } from '@playwright/test';
import { findPerson, findSignIn } from '@/data/people';
import { DEMO_PEOPLE } from '@/features/people/demoPeople';
import { onNewBrowser } from './door';
import { databaseAt } from './server';

type SignInName = (typeof DEMO_PEOPLE)[number]['signInName'];

/** The cookies of a browser that was signed in just now. */
function cookiesFor(url: string, who: SignInName): ReadonlyMap<string, string> {
  const db = new Database(databaseAt(url));
  try {
    const found = findSignIn(db, who);
    const person = found && findPerson(db, found.id);
    if (!person) throw new Error(`There is no ${who} in the house at ${url}.`);
    return onNewBrowser(db, person).kept;
  } finally {
    db.close();
  }
}

/** Signs a browser in as one of the demo house. */
export async function signIn(page: Page, url: string, who: SignInName = 'ines'): Promise<void> {
  const cookies = [...cookiesFor(url, who)].map(([name, value]) => ({
    ...{ name, value, url },
    httpOnly: true,
    sameSite: 'Lax' as const,
  }));
  await page.context().addCookies(cookies);
}

/** The cookie of one of the demo house, for requests without a browser. */
export async function cookieOf(url: string, who: SignInName = 'ines'): Promise<string> {
  return [...cookiesFor(url, who)].map(([name, value]) => `${name}=${value}`).join('; ');
}

/** Comes in by the door, with name and password. */
export async function comeIn(
  { request }: Page | { request: APIRequestContext },
  url: string,
  who: SignInName = 'ines',
): Promise<void> {
  const { signInName, password } = DEMO_PEOPLE.find((person) => person.signInName === who)!;
  const response = await request.post(`${url}/api/session`, { data: { signInName, password } });
  if (!response.ok()) throw new Error(`${who} could not sign in: ${await response.text()}`);
}
