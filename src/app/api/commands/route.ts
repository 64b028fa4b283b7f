/** The edge of every change: one address, one schema per command, typed faults as 4xx. */
import { commands } from '@/app/commands';
import { commandOf, submit } from '@/data/command';
import { database } from '@/data/database';
import { callerOf, withPasswordHash } from '../caller';
import { answer, jsonOf, STRANGERS_BYTES } from '../edge';

export const dynamic = 'force-dynamic';

export async function POST(request: Request): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    const caller = await callerOf(db, request);
    const body = await jsonOf(request, caller.personId === null ? STRANGERS_BYTES : undefined);
    const { command, input } = commandOf(commands, body);
    return submit(db, commands, body, await withPasswordHash(caller, command, input));
  });
}
