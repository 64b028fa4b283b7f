/** The edge of every change: one address, one schema per command, typed faults as 4xx. */
import { after } from 'next/server';
import { commands } from '@/app/commands';
import { commandOf, submit } from '@/data/command';
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { learnFromCafes } from '@/views/cafesModel';
import { renewGrinderMemories } from '@/views/grinderMemory';
import { renewTasteEvidence } from '@/views/tasteEvidence';
import { callerOf, withPasswordHash } from '../caller';
import { answer, jsonOf, ANONYMOUS_BYTES } from '../edge';

export const dynamic = 'force-dynamic';

export async function POST(request: Request): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    const caller = await callerOf(db, request);
    const body = await jsonOf(request, caller.personId === null ? ANONYMOUS_BYTES : undefined);
    const { command, input } = commandOf(commands, body);
    const result = submit(db, commands, body, await withPasswordHash(caller, command, input));
    // What a check, a dial-in that ended and its cups teach is learnt once its answer is out.
    after(async () => {
      const house = findHouse(db);
      if (!house) return;
      learnFromCafes(db, house);
      await renewGrinderMemories(db, house);
      await renewTasteEvidence(db, house);
    });
    return result;
  });
}
