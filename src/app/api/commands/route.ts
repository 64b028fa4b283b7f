/** The edge of every change: one address, one schema per command, typed faults as 4xx. */
import { after } from 'next/server';
import { commands } from '@/app/commands';
import { commandOf, MOST_BYTES, submit } from '@/data/command';
import { database } from '@/data/database';
import { learnAll } from '@/views/learners';
import { callerOf, withPasswordHash } from '../caller';
import { answer, refuseLarger, sizedJsonOf } from '../edge';

export const dynamic = 'force-dynamic';

/** The most that somebody who is not signed in may send. */
const MOST_OPEN_BYTES = Math.max(
  ...[...commands.values()].filter(({ duty }) => duty === 'open').map(({ maxBytes }) => maxBytes),
);

export async function POST(request: Request): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    const caller = await callerOf(db, request);
    const isAnonymous = caller.personId === null;
    const { body, length } = await sizedJsonOf(request, isAnonymous ? MOST_OPEN_BYTES : MOST_BYTES);
    const { command, input } = commandOf(commands, body);
    refuseLarger(length, command.maxBytes);
    const result = submit(db, commands, body, await withPasswordHash(caller, command, input));
    // What a check, a dial-in that ended and its cups teach is learnt once its answer is out.
    after(() => learnAll(db));
    return result;
  });
}
