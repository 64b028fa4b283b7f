/**
 * A command: one change a person makes. Its id is made by the client, its input crosses one schema,
 * it runs in one transaction together with its entry in the event log. The same id again, from the
 * same person, is answered with the first result and changes nothing. Who may give it is checked
 * here, before its input is looked at.
 */
import { z } from 'zod';
import type { CacheTag } from '@/core/command/cacheTags';
import { assert, userFault, type UserFault } from '@/core/errors';
import { mayDo, ROLE_LABELS, type Duty } from '@/core/roles';
import { parse } from '@/core/schema/fields';
import type { Db } from './database';
import { findDone, insertEvent } from './events';
import { invalidate } from './cache';
import { logAccess } from './accessLog';
import { findLead, findPerson, type Person } from './people';
import { isPasswordFresh, type Session } from './session';
import { today } from './today';

export interface Context {
  readonly db: Db;
  /** Id of the command, and of the thing it makes, if it makes one. */
  readonly id: string;
  /** Who does it; null only for commands that are open to all. */
  readonly person: Person | null;
  /** The house's calendar day. */
  readonly today: string;
  readonly caller: Caller;
}

/** Where a command comes from. */
export interface Caller {
  readonly personId: string | null;
  /** How they are signed in; absent for what runs on this machine itself. */
  readonly session?: Session | undefined;
  /** Address and browser, for the log of access. */
  readonly source?: string;
  /** Hash of the password of the input: hashing takes too long for a transaction. */
  readonly passwordHash?: string | undefined;
}

export interface Outcome {
  readonly releaseId: string | null;
  /** One line for the event log, in the past tense. */
  readonly words: string;
  readonly result: Readonly<Record<string, unknown>>;
  /** Who did it, where the command itself makes the person. */
  readonly personId?: string;
  /** What it changed besides what its kind always does. */
  readonly alsoChanged?: readonly CacheTag[];
  /** It changes who may do what: a line in the log of access too. */
  readonly changesAccess?: boolean;
}

export interface Command {
  readonly kind: string;
  readonly duty: Duty;
  /** What it may change: what is cached of it is worked out anew. */
  readonly changes: readonly CacheTag[];
  /** A body with more than this is refused. */
  readonly maxBytes: number;
  /** Leaves the house or changes who is in it: asks for a password given not long ago. */
  readonly needsFreshPassword: boolean;
  /** Its input has a password, which is hashed before it runs. */
  readonly hasPassword: boolean;
  readonly execute: (input: unknown, context: Context) => Outcome;
}

/** What a command's body may hold, and what that of somebody who is not signed in. */
export const [MOST_BYTES, ANONYMOUS_BYTES] = [400_000, 4_000];

/** A command with the types of what it asks for and answers, which no value carries. */
export interface Defined<K extends string, Asks, Answers> extends Command {
  readonly kind: K;
  readonly asks?: Asks;
  readonly answers?: Answers;
}

export function defineCommand<
  const K extends string,
  S extends z.ZodType,
  O extends Outcome,
>(options: {
  kind: K;
  changes: readonly CacheTag[];
  duty: Duty;
  maxBytes?: number;
  needsFreshPassword?: boolean;
  hasPassword?: boolean;
  input: S;
  run: (input: z.output<S>, context: Context) => O;
}): Defined<K, z.input<S>, O['result']> {
  const {
    kind,
    changes,
    duty,
    needsFreshPassword = false,
    hasPassword = false,
    input,
    run,
  } = options;
  const { maxBytes = duty === 'open' ? ANONYMOUS_BYTES : MOST_BYTES } = options;
  return {
    kind,
    changes,
    duty,
    maxBytes,
    needsFreshPassword,
    hasPassword,
    execute: (raw, context) => run(parse(input, raw), context),
  };
}

const envelope = z.strictObject({
  id: z
    .string({ error: 'The command has no id. Send one made by the client.' })
    .regex(/^[A-Za-z0-9_-]{16,64}$/, {
      error: 'The command id is not 16-64 letters and digits. Make a random one.',
    }),
  kind: z.string({ error: 'The command has no kind. Name what is to be done.' }),
  input: z.unknown(),
});

/** The command a body names, with its id and input. */
export function commandOf(commands: ReadonlyMap<string, Command>, body: unknown) {
  const { id, kind, input } = parse(envelope, body);
  const command = commands.get(kind);
  if (!command)
    throw userFault(
      'badInput',
      'kind',
      `There is no command "${kind.slice(0, 40)}". Reload the page.`,
    );
  return { id, kind, input, command };
}

/** Runs a submitted command exactly once, for a person or for nobody, and answers its result. */
export function submit(
  db: Db,
  commands: ReadonlyMap<string, Command>,
  body: unknown,
  caller: Caller,
): Outcome['result'] {
  const { id, kind, input, command } = commandOf(commands, body);
  return db
    .transaction(() => {
      const { personId, session, source = '' } = caller;
      const person = personId === null ? null : findPerson(db, personId);
      if (command.duty !== 'open') requireDuty(db, command.duty, person);
      const done = findDone(db, id);
      const isTheirs = command.duty === 'open' || done?.personId === person?.id;
      if (done?.kind === kind && isTheirs) return done.result as Outcome['result'];
      if (done)
        throw userFault('conflict', 'id', 'This id was used for another command. Make a new one.');
      if (command.needsFreshPassword && session && !isPasswordFresh(session))
        throw userFault(
          'unproved',
          '',
          'It is a while since you gave your password. Give it again, and this goes on as you sent it.',
        );
      const {
        personId: doneBy,
        alsoChanged = [],
        changesAccess = false,
        ...outcome
      } = command.execute(input, {
        db,
        id,
        person,
        today: today(),
        caller,
      });
      const by = doneBy ?? person?.id ?? null;
      insertEvent(db, { id, personId: by, kind, ...outcome });
      if (changesAccess) logAccess(db, { personId: by, kind, words: outcome.words, source });
      invalidate(db, [...command.changes, ...alsoChanged]);
      return outcome.result;
    })
    .immediate();
}

/** Refuses whoever may not do what asks for this duty, with the words to say so. */
export function requireDuty(
  db: Db,
  duty: Exclude<Duty, 'open'>,
  person: Person | null,
): asserts person is Person {
  if (!person)
    throw userFault(
      'signedOut',
      '',
      'You are not signed in. Sign in again, in another tab if you like: your entry is kept here.',
    );
  if (mayDo(person.role, duty)) return;
  const who = duty === 'lead' ? 'Only the lead does this' : 'Only the lead and bench hands do this';
  throw userFault(
    'refused',
    '',
    `${who}; you are signed in as ${ROLE_LABELS[person.role].toLowerCase()}. Ask ${findLead(db)?.name ?? 'the lead'}.`,
  );
}

/** The person of a context, in a command that is not open to all. */
export function personOf({ person }: Context): Person {
  if (!person) throw userFault('signedOut', '', 'You are not signed in. Sign in first.');
  return person;
}

/** The hash of the password in a command's input, made before the command ran. */
export function passwordHashOf({ caller }: Context): string {
  assert(caller.passwordHash !== undefined, 'the password was not hashed');
  return caller.passwordHash;
}

/** Someone else saved a newer version of what this person saved. */
export function changedMeanwhile(what: string): UserFault {
  return userFault(
    'conflict',
    what,
    'Someone else changed this meanwhile. Nothing of yours is lost: both versions are shown, choose what holds.',
  );
}
