/** Server-sent events: what is done in the house, as it is done; one line for each browser of a person. */
import { userFault } from '@/core/errors';
import { database } from '@/data/database';
import { listEventsAfter, newestEvent } from '@/data/events';
import { isOpenSession } from '@/data/session';
import { admit } from '../caller';
import { answer } from '../edge';

export const dynamic = 'force-dynamic';

/** The log is asked this often, and whether the session still stands: two indexed rows. */
const ASK_EVERY_MS = 700;
/** A word now and then, so that nothing on the way closes the line. */
const ALIVE_EVERY_MS = 15_000;

const HEADERS = {
  'content-type': 'text/event-stream; charset=utf-8',
  'cache-control': 'no-store',
  'x-accel-buffering': 'no',
  connection: 'close',
};

/** Lines one person may have open: one for each browser, and those that ended without a word. */
const MOST_LINES = 20;
const linesOf = new Map<string, number>();

/** Lines that are open now: a server that is told to end must not wait for them. */
const open = new Set<() => void>();
let isEnding = false;
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.once(signal, () => {
    isEnding = true;
    for (const close of open) close();
  });

export async function GET(request: Request): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    const { person, session } = await admit(db, 'self');
    // A browser that tries again on a connection it still has must not keep the server from ending.
    if (isEnding) return new Response(': ending\n\n', { headers: HEADERS });
    const lines = linesOf.get(person.id) ?? 0;
    if (lines >= MOST_LINES)
      throw userFault('tooMany', '', `Over ${MOST_LINES} browsers of yours are open. Close some.`);
    linesOf.set(person.id, lines + 1);
    const encoder = new TextEncoder();
    // A browser that comes back says what it last heard of.
    let seen = Number(request.headers.get('last-event-id')) || newestEvent(db);
    let timers: NodeJS.Timeout[] = [];
    let isOpen = true;
    const end = () => {
      timers.forEach(clearInterval);
      if (!isOpen) return;
      isOpen = false;
      const left = linesOf.get(person.id)! - 1;
      if (left === 0) linesOf.delete(person.id);
      else linesOf.set(person.id, left);
    };
    let forget = () => {};
    const stream = new ReadableStream<Uint8Array>({
      start(controller) {
        const say = (text: string) => controller.enqueue(encoder.encode(text));
        const close = () => {
          end();
          forget();
          try {
            controller.close();
          } catch {
            // The browser was faster.
          }
        };
        say(': open\n\n');
        const ask = () => {
          if (!isOpenSession(db, session.id)) return close();
          for (const event of listEventsAfter(db, seen)) {
            seen = event.order;
            const words = `${event.person ?? 'Somebody'} ${event.words}`;
            const data = JSON.stringify({
              id: event.id,
              releaseId: event.releaseId,
              words,
              isMine: event.personId === person.id,
            });
            say(`id: ${seen}\ndata: ${data}\n\n`);
          }
        };
        const stay = () => say(': here\n\n');
        timers = [setInterval(ask, ASK_EVERY_MS), setInterval(stay, ALIVE_EVERY_MS)];
        open.add(close);
        forget = () => open.delete(close);
        request.signal.addEventListener('abort', close);
      },
      cancel: () => {
        end();
        forget();
      },
    });
    return new Response(stream, { headers: HEADERS });
  });
}
