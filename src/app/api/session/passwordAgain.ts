/** Somebody who is signed in gives the password again. */
import { z } from 'zod';
import { assert, UserFault, userFault } from '@/core/errors';
import type { Db } from '@/data/database';
import { logAccess } from '@/data/accessLog';
import { notePasswordGiven, type SignedIn } from '@/data/session';
import { signIn } from '@/data/signIn';
import { addressOf, sourceOf } from '../caller';

export const typed = (label: string) =>
  z
    .string({ error: `${label} is missing. Enter it.` })
    .min(1, { error: `${label} is empty. Enter it.` })
    .max(200, { error: `${label} is over 200 characters. Check it.` });

/** Was the password looked at and another one? */
export const isWrong = (error: unknown): boolean =>
  error instanceof UserFault && error.code === 'signedOut';

const WRONG = 'is signed in and gave a wrong password';

/** @throws UserFault when it is another password; strangers' tries do not count against who is signed in. */
export async function checkPasswordAgain(
  db: Db,
  { person, session }: SignedIn,
  { password, request }: { password: string; request: Request },
): Promise<void> {
  assert(person.signInName !== null, 'somebody without a sign-in is signed in');
  const knock = { address: addressOf(request), sessionId: session.id };
  try {
    await signIn(db, { signInName: person.signInName, password }, knock);
  } catch (error) {
    if (!isWrong(error)) throw error;
    const source = sourceOf(request);
    logAccess(db, { personId: person.id, kind: 'failure', words: WRONG, source });
    throw userFault('refused', 'password', 'This is not your password. Type it again.');
  }
  notePasswordGiven(db, session.id);
}
