/** The password once more, before something that leaves the house or changes who is in it. */
import { z } from 'zod';
import { parse } from '@/core/schema/fields';
import { database } from '@/data/database';
import { admit } from '../../caller';
import { ANONYMOUS_BYTES } from '@/data/command';
import { answer, jsonOf } from '../../edge';
import { checkPasswordAgain, typed } from '../passwordAgain';

export const dynamic = 'force-dynamic';

const proofInput = z.strictObject({ password: typed('Password') });

export async function POST(request: Request): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    const signedIn = await admit(db, 'self');
    const { password } = parse(proofInput, await jsonOf(request, ANONYMOUS_BYTES));
    await checkPasswordAgain(db, signedIn, { password, request });
    return {};
  });
}
