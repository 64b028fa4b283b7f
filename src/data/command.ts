/**
 * A command: one change a person makes. Its id is made by the client, its input crosses one schema,
 * it runs in one transaction together with its entry in the event log. The same id again is answered
 * with the first result and changes nothing.
 */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { parse } from '@/core/schema/fields';
import type { Db } from './database';
import { findDone, insertEvent } from './events';
import { findLead, type Person } from './house';
import { today } from './today';

export interface Context {
  readonly db: Db;
  /** Id of the command, and of the thing it makes, if it makes one. */
  readonly id: string;
  /** Who does it; null only while the house is being set up. */
  readonly person: Person | null;
  /** The house's calendar day. */
  readonly today: string;
}

export interface Outcome {
  readonly releaseId: string | null;
  /** One line for the event log, in the past tense. */
  readonly words: string;
  readonly result: Readonly<Record<string, unknown>>;
}

export interface Command {
  readonly kind: string;
  readonly execute: (input: unknown, context: Context) => Outcome;
}

export function defineCommand<S extends z.ZodType>(options: {
  kind: string;
  input: S;
  run: (input: z.output<S>, context: Context) => Outcome;
}): Command {
  return {
    kind: options.kind,
    execute: (raw, context) => options.run(parse(options.input, raw), context),
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

/** Runs a submitted command exactly once and answers its result. */
export function submit(
  db: Db,
  commands: ReadonlyMap<string, Command>,
  body: unknown,
): Outcome['result'] {
  const { id, kind, input } = parse(envelope, body);
  const command = commands.get(kind);
  if (!command)
    throw userFault('badInput', 'kind', `There is no command "${kind.slice(0, 40)}". Reload the page.`);
  return db
    .transaction(() => {
      const done = findDone(db, id);
      if (done?.kind === kind) return done.result as Outcome['result'];
      if (done)
        throw userFault('conflict', 'id', 'This id was used for another command. Make a new one.');
      const person = findLead(db);
      const outcome = command.execute(input, { db, id, person, today: today() });
      insertEvent(db, { id, personId: person?.id ?? null, kind, ...outcome });
      return outcome.result;
    })
    .immediate();
}

/** The person of a context, for commands that need a set-up house. */
export function personOf({ person }: Context): Person {
  if (!person)
    throw userFault('refused', '', 'This house is not set up yet. Open the start page and set it up.');
  return person;
}
