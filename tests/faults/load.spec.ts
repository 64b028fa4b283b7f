/** More than one person would send: slow requests end, many at once and many open lines have a bound. */
import { connect, type Socket } from 'node:net';
import { expect, test } from '../support/browserTest';
import type { RunningServer } from '../support/server';
import { cookieOf } from '../support/signIn';

let server: RunningServer;
test.beforeAll(async ({ demoHouse }) => {
  server = await demoHouse.asMade();
});

interface Line {
  readonly socket: Socket;
  /** What came back by the time the server closed it. */
  readonly closed: Promise<string>;
}

/** A connection on which text is sent as it stands; `from` is one of this machine's own addresses. */
function send(text: string, from = '127.0.0.1'): Line {
  const socket = connect({
    host: '127.0.0.1',
    port: Number(new URL(server.url).port),
    localAddress: from,
  });
  let said = '';
  socket.on('data', (chunk: Buffer) => (said += chunk.toString()));
  socket.on('error', () => undefined);
  socket.write(text);
  return { socket, closed: new Promise((resolve) => socket.once('close', () => resolve(said))) };
}

const head = (length: number) =>
  `POST /api/session HTTP/1.1\r\nhost: localhost\r\ncontent-type: application/json\r\ncontent-length: ${length}\r\n\r\n`;

/** Sends a character every two seconds until the line is closed. */
function trickle({ socket, closed }: Line): Promise<string> {
  const timer = setInterval(() => socket.write(' '), 2_000);
  return closed.finally(() => clearInterval(timer));
}

test('a request that never gets whole is ended, its headers sooner', async () => {
  const ended: string[] = [];
  const lines = {
    headers: trickle(send('POST /api/session HTTP/1.1\r\nhost: loc')),
    body: trickle(send(head(1000))),
  };
  for (const [name, line] of Object.entries(lines)) void line.then(() => ended.push(name));
  expect(await lines.headers).toContain('408');
  expect(await lines.body).toContain('408');
  expect(ended).toEqual(['headers', 'body']);
});

test('bodies that are still coming in have a bound for each address, and leave the others alone', async () => {
  const open = Array.from({ length: 20 }, () => send(head(1000)));
  await expect
    // Until the bodies before it are known to be coming in, one more is answered and its connection closed.
    .poll(() => send(`${head(2).replace('\r\n\r\n', '\r\nconnection: close\r\n\r\n')}{}`).closed)
    .toMatch(/^HTTP\/1\.1 503[^]*Wait some seconds/);
  const other = send(
    `${head(2).replace('\r\n\r\n', '\r\nconnection: close\r\n\r\n')}{}`,
    '127.0.0.2',
  );
  expect(await other.closed).toMatch(/^HTTP\/1\.1 400/);
  for (const { socket } of open) socket.destroy();
  await expect
    .poll(async () => {
      const answer = await fetch(`${server.url}/api/session`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: '{}',
      });
      return answer.status;
    })
    .toBe(400);
});

test('more than a body may hold is refused while it comes in', async () => {
  const far = send(head(21_000_000));
  expect(await far.closed).toMatch(/^HTTP\/1\.1 413/);
  const unsaid = send(
    'POST /api/session HTTP/1.1\r\nhost: localhost\r\ncontent-type: application/json\r\ntransfer-encoding: chunked\r\nconnection: close\r\n\r\n',
  );
  for (let n = 0; n < 30; n++) unsaid.socket.write(`3e8\r\n${'x'.repeat(1000)}\r\n`);
  unsaid.socket.write('0\r\n\r\n');
  expect(await unsaid.closed).toMatch(/^HTTP\/1\.1 400[^]*That is over 4 kB/);
});

test('a refused body leaves the connection to the next request', async () => {
  const line = send(`${head(5_000_000)}${'x'.repeat(5_000_000)}`);
  line.socket.write('GET /health HTTP/1.1\r\nhost: localhost\r\nconnection: close\r\n\r\n');
  expect(await line.closed).toMatch(
    /^HTTP\/1\.1 400[^]*That is over 4 kB[^]*HTTP\/1\.1 200[^]*"status":"ok"/,
  );
});

test('open lines have a bound for each person, and one that is closed makes room', async () => {
  const cookie = await cookieOf(server.url);
  const openLine = async (whose: string) => {
    const ending = new AbortController();
    const response = await fetch(`${server.url}/api/stream`, {
      headers: { cookie: whose },
      signal: ending.signal,
    });
    // An answer nobody holds any more is closed when memory is tidied up.
    return { response, status: response.status, close: () => ending.abort() };
  };
  const lines = [];
  for (let n = 0; n < 20; n++) lines.push(await openLine(cookie));
  expect(lines.map(({ status }) => status)).toEqual(Array(20).fill(200));
  expect((await openLine(cookie)).status).toBe(429);
  expect((await openLine(await cookieOf(server.url, 'tobin'))).status).toBe(200);
  lines[0]!.close();
  await expect.poll(async () => (await openLine(cookie)).status).toBe(200);
  lines.forEach(({ close }) => close());
});
