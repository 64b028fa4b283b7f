/** Server-sent events: what is done to a release, as it is done, to whoever of the house has it open. */
import { cookies } from 'next/headers';
import { requireDuty } from '@/data/command';
import { database } from '@/data/database';
import { listEventsAfter, newestEvent } from '@/data/events';
import { findPerson } from '@/data/people';
import { findSignedIn } from '@/data/session';
import { answer } from '../../../edge';

export const dynamic = 'force-dynamic';

/** The log is asked this often: one indexed row. */
const ASK_EVERY_MS = 700;
/** A word now and then, so that nothing on the way closes the line; and a look whether they still may. */
const ALIVE_EVERY_MS = 15_000;

const HEADERS = {
  'content-type': 'text/event-stream; charset=utf-8',
  'cache-control': 'no-store',
  'x-accel-buffering': 'no',
  connection: 'close',
};

/** Lines that are open now: a server that is told to end must not wait for them. */
const open = new Set<() => void>();
let isEnding = false;
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.once(signal, () => {
    isEnding = true;
    for (const close of open) close();
  });

export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  return answer(request, async () => {
    const { id: releaseId } = await params;
    const db = database();
    const person = await findSignedIn(db, await cookies());
    requireDuty(db, 'self', person);
    // A browser that tries again on a connection it still has must not keep the server from ending.
    if (isEnding) return new Response(': ending\n\n', { headers: HEADERS });
    const encoder = new TextEncoder();
    // A browser that comes back says what it last heard of.
    let seen = Number(request.headers.get('last-event-id')) || newestEvent(db, releaseId);
    let timers: NodeJS.Timeout[] = [];
    const end = () => timers.forEach(clearInterval);
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
          for (const event of listEventsAfter(db, releaseId, seen)) {
            seen = event.order;
            const words = `${event.person ?? 'Somebody'} ${event.words}`;
            const data = JSON.stringify({
              id: event.id,
              words,
              isMine: event.personId === person.id,
            });
            say(`id: ${seen}\ndata: ${data}\n\n`);
          }
        };
        const stay = () => {
          const now = findPerson(db, person.id);
          if (!now || now.sessionEpoch !== person.sessionEpoch) return close();
          say(': here\n\n');
        };
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
