/** The edge of every change: one address, one schema per command, typed faults as 4xx. */
import { cookies } from 'next/headers';
import { commands } from '@/app/commands';
import { submit } from '@/data/command';
import { database } from '@/data/database';
import { findSignedIn } from '@/data/session';
import { answer, jsonOf } from '../edge';

export const dynamic = 'force-dynamic';

export async function POST(request: Request): Promise<Response> {
  return answer(request, async () => {
    const body = await jsonOf(request);
    const person = await findSignedIn(database(), await cookies());
    return submit(database(), commands, body, person?.id ?? null);
  });
}
