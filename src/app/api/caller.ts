/** Who sends a request, from where, and by what: read in one place for every route. */
import Bowser from 'bowser';
import { cookies } from 'next/headers';
import { z } from 'zod';
import { parse } from '@/core/schema/fields';
import { passwordField } from '@/core/schema/person';
import { requireDuty, type Caller, type Command } from '@/data/command';
import { refuseCommon } from '@/data/commonPasswords';
import type { Db } from '@/data/database';
import type { Duty } from '@/core/roles';
import { hashPassword } from '@/data/passwords';
import { findSignedIn, type SignedIn } from '@/data/session';

/** The header our own server puts a request's address in; what a client sends under it is dropped there. */
const FROM = 'x-kettlebrand-from';

export const addressOf = (request: Request): string => request.headers.get(FROM) ?? 'unknown';

const MOST_DEVICE_CHARACTERS = 80;

/** "Firefox on Linux". */
export function deviceOf(request: Request): string {
  const agent = request.headers.get('user-agent');
  const { browser, os } = agent ? Bowser.parse(agent) : {};
  const words = [browser?.name || 'A program', os?.name].filter(Boolean).join(' on ');
  return words.slice(0, MOST_DEVICE_CHARACTERS);
}

/** For the log of access. */
export const sourceOf = (request: Request): string => `${addressOf(request)}, ${deviceOf(request)}`;

/** Refuses whoever may not do what asks for this duty; answers who may. */
export async function admit(db: Db, duty: Exclude<Duty, 'open'>): Promise<SignedIn> {
  const signedIn = findSignedIn(db, await cookies());
  requireDuty(db, duty, signedIn?.person ?? null);
  return signedIn!;
}

/** Who sends a command. */
export async function callerOf(db: Db, request: Request): Promise<Caller> {
  const signedIn = findSignedIn(db, await cookies());
  return {
    personId: signedIn?.person.id ?? null,
    session: signedIn?.session,
    source: sourceOf(request),
  };
}

const withPassword = z.looseObject({ password: passwordField });

/** The caller of a command whose input has a password, with its hash. */
export async function withPasswordHash(
  caller: Caller,
  { hasPassword }: Pick<Command, 'hasPassword'>,
  input: unknown,
): Promise<Caller> {
  if (!hasPassword) return caller;
  const { password } = parse(withPassword, input);
  refuseCommon(password, 'password');
  return { ...caller, passwordHash: await hashPassword(password) };
}
