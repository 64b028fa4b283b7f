/** Signing in (POST), out (DELETE), and a new password (PUT). */
import { cookies } from 'next/headers';
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { parse } from '@/core/schema/fields';
import { passwordField } from '@/core/schema/person';
import { database } from '@/data/database';
import { findPerson, setPassword } from '@/data/people';
import { endSession, findSignedIn, startSession } from '@/data/session';
import { hashPassword, signIn } from '@/data/signIn';
import { answer, jsonOf } from '../edge';

export const dynamic = 'force-dynamic';

const typed = (label: string) =>
  z
    .string({ error: `${label} is missing. Enter it.` })
    .min(1, { error: `${label} is empty. Enter it.` })
    .max(200, { error: `${label} is over 200 characters. Check it.` });

const signInInput = z.strictObject({
  signInName: typed('Sign-in name'),
  password: typed('Password'),
});

export async function POST(request: Request): Promise<Response> {
  return answer(request, async () => {
    const { signInName, password } = parse(signInInput, await jsonOf(request));
    const person = signIn(database(), signInName.trim(), password);
    await startSession(database(), await cookies(), person);
    return {};
  });
}

export async function DELETE(request: Request): Promise<Response> {
  return answer(request, async () => {
    await endSession(database(), await cookies());
    return {};
  });
}

const newPasswordInput = z.strictObject({ password: typed('Password'), next: passwordField });

export async function PUT(request: Request): Promise<Response> {
  return answer(request, async () => {
    const { password, next } = parse(newPasswordInput, await jsonOf(request));
    const db = database();
    const person = await findSignedIn(db, await cookies());
    if (!person?.signInName)
      throw userFault('signedOut', '', 'You are not signed in. Sign in first.');
    signIn(db, person.signInName, password);
    setPassword(db, person.id, hashPassword(next));
    // Every other session of this person ends; this one goes on.
    await startSession(db, await cookies(), findPerson(db, person.id)!);
    return {};
  });
}
