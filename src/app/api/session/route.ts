/** Signing in (POST), out (DELETE), and a new password (PUT). */
import { cookies } from 'next/headers';
import { z } from 'zod';
import { parse } from '@/core/schema/fields';
import { passwordField } from '@/core/schema/person';
import { refuseCommon } from '@/data/commonPasswords';
import { database } from '@/data/database';
import { logAccess } from '@/data/accessLog';
import { hashPassword } from '@/data/passwords';
import { findSignIn, keepPasswordHash } from '@/data/people';
import { browserOf, endSession, endSessions, findSignedIn, startSession } from '@/data/session';
import { signIn } from '@/data/signIn';
import { addressOf, admit, deviceOf, sourceOf } from '../caller';
import { ANONYMOUS_BYTES } from '@/data/command';
import { answer, jsonOf } from '../edge';
import { isWrong, checkPasswordAgain, typed } from './passwordAgain';

export const dynamic = 'force-dynamic';

const signInInput = z.strictObject({
  signInName: typed('Sign-in name'),
  password: typed('Password'),
});

export async function POST(request: Request): Promise<Response> {
  return answer(request, async () => {
    const { signInName, password } = parse(signInInput, await jsonOf(request, ANONYMOUS_BYTES));
    const [db, store] = [database(), await cookies()];
    const name = signInName.trim();
    const source = sourceOf(request);
    const knock = { address: addressOf(request), browser: browserOf(store) };
    try {
      const person = await signIn(db, { signInName: name, password }, knock);
      startSession(db, store, person, deviceOf(request));
      logAccess(db, { personId: person.id, kind: 'signIn', words: 'signed in', source });
    } catch (error) {
      // Only what was looked at: tries the brake refuses must not push the log out.
      if (!isWrong(error)) throw error;
      const personId = findSignIn(db, name)?.id ?? null;
      // What was typed is kept only where it is somebody's name: it might be a password.
      const words = personId ? 'was not let in: wrong password' : 'a name nobody has was tried';
      logAccess(db, { personId, kind: 'failure', words, source });
      throw error;
    }
    return {};
  });
}

export async function DELETE(request: Request): Promise<Response> {
  return answer(request, async () => {
    const [db, store] = [database(), await cookies()];
    const person = findSignedIn(db, store)?.person;
    endSession(db, store);
    const source = sourceOf(request);
    if (person)
      logAccess(db, { personId: person.id, kind: 'signOut', words: 'signed out', source });
    return {};
  });
}

const newPasswordInput = z.strictObject({ password: typed('Password'), next: passwordField });

export async function PUT(request: Request): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    const signedIn = await admit(db, 'self');
    const { password, next } = parse(newPasswordInput, await jsonOf(request, ANONYMOUS_BYTES));
    await checkPasswordAgain(db, signedIn, { password, request });
    refuseCommon(next, 'next');
    const { person } = signedIn;
    keepPasswordHash(db, person.id, await hashPassword(next));
    // Every session of this person ends; this browser gets a new one.
    endSessions(db, person.id, { exceptId: null });
    startSession(db, await cookies(), person, deviceOf(request));
    logAccess(db, {
      personId: person.id,
      kind: 'password',
      words: 'changed the password',
      source: sourceOf(request),
    });
    return {};
  });
}
