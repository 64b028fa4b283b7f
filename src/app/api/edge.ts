/** What every address that writes has in common: who may call, how much, and how faults answer. */
import { UserFault, userFault, type FaultCode } from '@/core/errors';
import { log } from '@/data/log';
import { knownWords } from '@/data/storage';
import { wordedFaults } from '@/words/faults';

const STATUS: Record<FaultCode, number> = {
  badInput: 400,
  hashMismatch: 400,
  signedOut: 401,
  unproved: 401,
  refused: 403,
  notFound: 404,
  conflict: 409,
  gone: 410,
  tooMany: 429,
  newerDatabase: 503,
  storage: 507,
};

/** Answers a request with what `act` makes of it, or as it says; a fault becomes its status and its words. */
export async function answer(request: Request, act: () => Promise<unknown>): Promise<Response> {
  try {
    refuseForeign(request);
    const result = await act();
    return result instanceof Response ? result : Response.json({ result });
  } catch (error) {
    const { status, body } = faultAnswer(error, request.headers.get('x-kettlebrand-request'));
    return Response.json(body, { status });
  }
}

function faultAnswer(error: unknown, requestId?: string | null): { status: number; body: object } {
  if (error instanceof UserFault)
    return {
      status: STATUS[error.code],
      body: { code: error.code, faults: wordedFaults(error.faults) },
    };
  const storage = knownWords(error, 'The database');
  if (storage) log.warn({ requestId, storage }, 'nothing was stored');
  else log.error({ requestId, err: error }, 'a request broke');
  if (storage)
    return {
      status: STATUS.storage,
      body: {
        code: 'storage',
        faults: [{ field: '', message: `Nothing was stored, your entry is kept here: ${storage}` }],
      },
    };
  const message = 'Something broke in Kettlebrand. Nothing was stored; your entry is kept here.';
  return { status: 500, body: { faults: [{ field: '', message }] } };
}

/**
 * Long work as a stream: a line of JSON for each step that is done, the last one with what `finish`
 * makes of the whole, or with its faults. Other requests are answered between two steps; when the
 * reader goes away the work stops and nothing is finished.
 */
export function streamed<R>(
  work: Generator<number, R>,
  first: IteratorResult<number, R>,
  finish: (result: R) => unknown,
): Response {
  const encoder = new TextEncoder();
  let step = first;
  let isGone = false;
  const stream = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const say = (line: object) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      // Lets whatever else waits have its turn.
      await new Promise((resolve) => setImmediate(resolve));
      if (isGone) return;
      try {
        if (!step.done) {
          say({ done: step.value });
          step = work.next();
          return;
        }
        say({ result: finish(step.value) });
      } catch (error) {
        say(faultAnswer(error).body);
      }
      controller.close();
    },
    cancel() {
      isGone = true;
    },
  });
  return new Response(stream, {
    headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
  });
}

/** Another site's page must not make this browser write here. */
function refuseForeign(request: Request): void {
  const site = request.headers.get('sec-fetch-site');
  const origin = request.headers.get('origin');
  const host = request.headers.get('host');
  const sameHost = origin === null || origin === `http://${host}` || origin === `https://${host}`;
  if ((site !== null && site !== 'same-origin' && site !== 'none') || !sameHost)
    throw userFault('refused', '', 'This came from another site. Open Kettlebrand itself.');
}

/** The JSON of a request's body. */
export async function jsonOf(request: Request, mostBytes: number): Promise<unknown> {
  return (await sizedJsonOf(request, mostBytes)).body;
}

/** The JSON of a request's body, and how many bytes it came in. */
export async function sizedJsonOf(
  request: Request,
  mostBytes: number,
): Promise<{ body: unknown; length: number }> {
  if (!request.headers.get('content-type')?.startsWith('application/json'))
    throw userFault('badInput', '', 'Send JSON with content-type application/json.');
  const bytes = await bytesOf(request, mostBytes, kilobytes(mostBytes));
  try {
    return { body: JSON.parse(new TextDecoder().decode(bytes)), length: bytes.length };
  } catch {
    throw userFault('badInput', '', 'That is not JSON.');
  }
}

const kilobytes = (bytes: number) => `${bytes / 1000} kB`;

/** Refuses a body that is longer than it may be. */
export function refuseLarger(
  length: number,
  mostBytes: number,
  words = kilobytes(mostBytes),
): void {
  if (length > mostBytes)
    throw userFault('badInput', 'file', `That is over ${words}. Send less at once.`);
}

/**
 * The bytes of a request's body; too many are refused, however many were announced. They are read to
 * their end even so, and thrown away: the next request of the same connection stands behind them.
 */
export async function bytesOf(
  request: Request,
  mostBytes: number,
  mostWords: string,
): Promise<Uint8Array<ArrayBuffer>> {
  const chunks: Uint8Array[] = [];
  let length = 0;
  for await (const chunk of request.body ?? []) {
    length += chunk.length;
    if (length <= mostBytes) chunks.push(chunk);
    else chunks.length = 0;
  }
  refuseLarger(length, mostBytes, mostWords);
  const bytes = new Uint8Array(length);
  let at = 0;
  for (const chunk of chunks) {
    bytes.set(chunk, at);
    at += chunk.length;
  }
  return bytes;
}
