/** Somebody who is signed in gives the password again. */
import { z } from 'zod';
import { assert } from '@/core/errors';
import type { Db } from '@/data/database';
import { noteProof, type SignedIn } from '@/data/session';
import { signIn } from '@/data/signIn';
import { addressOf } from '../caller';

export const typed = (label: string) =>
  z
    .string({ error: `${label} is missing. Enter it.` })
    .min(1, { error: `${label} is empty. Enter it.` })
    .max(200, { error: `${label} is over 200 characters. Check it.` });

/** @throws UserFault when it is another password; strangers' tries do not count against who is signed in. */
export async function proveAgain(
  db: Db,
  { person, session }: SignedIn,
  { password, request }: { password: string; request: Request },
): Promise<void> {
  assert(person.signInName !== null, 'somebody without a sign-in is signed in');
  const knock = { address: addressOf(request), sessionId: session.id };
  await signIn(db, { signInName: person.signInName, password }, knock);
  noteProof(db, session.id);
}
