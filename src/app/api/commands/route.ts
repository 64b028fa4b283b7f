/** The edge of every change: one address, one schema per command, typed faults as 4xx. */
import { UserFault, userFault, type FaultCode } from '@/core/errors';
import { submit } from '@/data/command';
import { database } from '@/data/database';
import { commands } from '@/app/commands';

export const dynamic = 'force-dynamic';

const MOST_BYTES = 400_000;

const STATUS: Record<FaultCode, number> = {
  badInput: 400,
  hashMismatch: 400,
  refused: 403,
  notFound: 404,
  conflict: 409,
  newerDatabase: 503,
};

export async function POST(request: Request): Promise<Response> {
  try {
    refuseForeign(request);
    return Response.json({ result: submit(database(), commands, await bodyOf(request)) });
  } catch (error) {
    if (error instanceof UserFault)
      return Response.json({ faults: error.faults }, { status: STATUS[error.code] });
    console.error(error);
    const message = 'Something broke in Kettlebrand. Nothing was stored; your entry is kept here.';
    return Response.json({ faults: [{ field: '', message }] }, { status: 500 });
  }
}

/** Another site's page must not make this browser write here. */
function refuseForeign(request: Request): void {
  const site = request.headers.get('sec-fetch-site');
  const origin = request.headers.get('origin');
  const host = request.headers.get('host');
  const sameHost = origin === null || origin === `http://${host}` || origin === `https://${host}`;
  if ((site !== null && site !== 'same-origin' && site !== 'none') || !sameHost)
    throw userFault('refused', '', 'This came from another site. Open Kettlebrand itself.');
  if (!request.headers.get('content-type')?.startsWith('application/json'))
    throw userFault('badInput', '', 'Send JSON with content-type application/json.');
}

async function bodyOf(request: Request): Promise<unknown> {
  const text = await request.text();
  if (text.length > MOST_BYTES)
    throw userFault('badInput', '', 'That is over 400 kB. Send less at once.');
  try {
    return JSON.parse(text);
  } catch {
    throw userFault('badInput', '', 'That is not JSON.');
  }
}
