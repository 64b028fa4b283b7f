/** Each request: through the gate, with what the rest of the program may rely on, to the pages. */
import { randomUUID } from 'node:crypto';
import type { IncomingMessage, RequestListener, ServerResponse } from 'node:http';
import { isKnownHost } from '@/data/address';
import type { Db } from '@/data/database';
import { log, loggedPath } from '@/data/log';
import { addressOfRequest, isInner, refusalOf, type Refusal } from './requestFilter';
import { commonHeaders } from './headers';
import { giveHealth } from './health';
import { feedFolder } from './feedFolder';
import { pressNew } from './press';
import { givePublic } from './publicFiles';

/** Bodies that are still coming in: so many of one address, so many in all. */
const MOST_BODIES = { ofOne: 20, ofAll: 120 } as const;

type Handler = (request: IncomingMessage, response: ServerResponse) => Promise<void>;

export function listener(db: Db, handle: Handler): RequestListener {
  const bodies = new Map<string, number>();
  let all = 0;
  return (request, response) => {
    for (const [name, value] of Object.entries(commonHeaders(request.url ?? '')))
      response.setHeader(name, value);
    const address = addressOfRequest(
      request.socket.remoteAddress,
      oneOf(request.headers['x-forwarded-for']),
      process.env.KETTLEBRAND_PROXY === '1',
    );
    for (const name of Object.keys(request.headers))
      if (isInner(name) || name.startsWith('x-forwarded-')) delete request.headers[name];
    request.headers['x-kettlebrand-from'] = address;
    const requestId = noteAnswer(request, response);
    const { method = '', url = '', headers } = request;
    const refusal = refusalOf({ method, url, headers }, (name) => isKnownHost(db, name));
    if (refusal) return refuse(response, refusal);
    if (method !== 'GET' && method !== 'HEAD') {
      const own = bodies.get(address) ?? 0;
      if (own >= MOST_BODIES.ofOne || all >= MOST_BODIES.ofAll)
        return refuse(response, {
          status: 503,
          words: 'Very much is being sent just now. Wait some seconds, then send it again.',
        });
      bodies.set(address, own + 1);
      all++;
      let isOver = false;
      const over = () => {
        if (isOver) return;
        isOver = true;
        all--;
        const left = bodies.get(address)! - 1;
        if (left === 0) bodies.delete(address);
        else bodies.set(address, left);
      };
      request.once('end', over);
      request.once('close', over);
    }
    if (url.split('?')[0] === '/health') return giveHealth(response);
    void (async () => {
      if (await givePublic(db, request, response)) return;
      if (url.startsWith('/api/commands')) response.once('finish', () => void press(db));
      await handle(request, response);
    })().catch((error: unknown) => {
      log.error({ requestId, err: error }, 'a request broke');
      if (response.headersSent) response.destroy();
      else refuse(response, { status: 500, words: 'Something broke in Kettlebrand.' });
    });
  };
}

/** Gives a request its id, for its headers and the log, and writes down how it was answered. */
function noteAnswer(request: IncomingMessage, response: ServerResponse): string {
  const requestId = randomUUID();
  request.headers['x-kettlebrand-request'] = requestId;
  response.setHeader('x-request-id', requestId);
  const began = performance.now();
  response.once('finish', () => {
    const { statusCode: status } = response;
    log[status >= 500 ? 'warn' : 'debug'](
      {
        requestId,
        method: request.method,
        path: loggedPath(request.url ?? ''),
        status,
        ms: Math.round(performance.now() - began),
      },
      'answered',
    );
  });
  return requestId;
}

/** What was published just now gets its files; a fault of that is ours, and the first reader makes them. */
async function press(db: Db): Promise<void> {
  await pressNew(db).catch((err: unknown) => log.error({ err }, 'public files were not made'));
  await feedFolder(db).catch((err: unknown) => log.error({ err }, 'the folder was not fed'));
}

const oneOf = (header: string | string[] | undefined) =>
  Array.isArray(header) ? header.join(',') : header;

function refuse(response: ServerResponse, { status, words }: Refusal): void {
  response.statusCode = status;
  response.setHeader('content-type', 'application/json; charset=utf-8');
  // What was not read must not be taken for the next request.
  response.setHeader('connection', 'close');
  response.end(JSON.stringify({ faults: [{ field: '', message: words }] }));
}
