/** Hostile inputs over every command and importer in this process, and over every route of a running server. */
import fc from 'fast-check';
import { UserFault } from '@/core/errors';
import { clock } from '@/data/clock';
import { knownWords } from '@/data/storage';
import { runToEnd } from '@/core/runToEnd';
import { prepareImport } from '@/features/import/kinds';
import { SHEET_NAMES } from '@/features/import/sheetNames';
import { SHEETS } from '@/features/import/sheets';
import { suggestMapping } from '@/formats/sheets/columns';
import { decodeCsv, parseCsv } from '@/formats/sheets/csv';
import { bent, pathsOf, sizes, strange, validInputs } from '../tests/support/hostile';
import { newId, openHouse, send, shotInput, TODAY, type TestHouse } from '../tests/support/house';
import { startServer } from '../tests/support/server';
import { cookieOf } from '../tests/support/signIn';
import type { Counts } from './counts';

const SEED = 20_261_126;

/** Signs that mean something to a shell, a page, SQL, CSV, a path, a terminal or a reader's eye. */
const HOSTILE = [
  '\u0000',
  '\u001b[31m',
  '\u202e',
  '\u200b'.repeat(30),
  "'; DROP TABLE shot; --",
  '<script>alert(1)</script>',
  '{{7*7}}',
  '=HYPERLINK("http://x")',
  '../../../etc/passwd',
  '%00%ff',
  'é'.repeat(500),
  '👩🏽‍🚀'.repeat(60),
  '\ud800',
  'a\r\nb: c',
  '9'.repeat(400),
  '1e999',
  '-0',
  '__proto__',
] as const;

const hostile = fc.oneof(strange, fc.constantFrom(...HOSTILE), fc.string({ unit: 'binary' }));

/** Bends the input of each command `each` times. */
export function sendHostile(house: TestHouse, each: number, counts: Counts): void {
  const { shotId } = send(house.db, 'logShot', shotInput(house.draftId));
  const valid = validInputs(house, String(shotId));
  for (const [kind, input] of valid) {
    const tries = fc.sample(fc.tuple(fc.constantFrom(...pathsOf(input)), hostile), {
      numRuns: each,
      seed: SEED,
    });
    for (const [path, by] of tries)
      attempt(house, counts, () => send(house.db, kind, bent(input, path, by), newId()));
  }
}

/** Sheets that are broken in every way, at each importer. */
export function importHostile(house: TestHouse, each: number, counts: Counts): void {
  for (const sheet of SHEET_NAMES) {
    const headers = Object.values(SHEETS[sheet].columns).map(({ headers: [first] }) => first!);
    const rows = fc.sample(
      fc.array(
        fc.array(fc.oneof(fc.string({ unit: 'binary' }), fc.constantFrom(...HOSTILE)), {
          maxLength: 30,
        }),
        { maxLength: 6 },
      ),
      { numRuns: each, seed: SEED },
    );
    for (const cells of rows) {
      const text = [headers, ...cells].map((row) => row.join(',')).join('\n');
      attempt(house, counts, () => {
        const csv = decodeCsv(new TextEncoder().encode(text));
        const mapping = suggestMapping(SHEETS[sheet].columns, parseCsv(csv).columns);
        const input = { csv, mapping, units: {}, dateOrder: 'ymd' as const };
        runToEnd(prepareImport(house.db, sheet, input, TODAY));
        send(house.db, SHEETS[sheet].command, input, newId());
      });
    }
  }
}

/** A refusal stores nothing and has words; anything else that is thrown is ours. */
function attempt({ db }: TestHouse, counts: Counts, act: () => unknown): void {
  counts.inputs++;
  const before = sizes(db);
  try {
    act();
  } catch (error) {
    if (!(error instanceof UserFault)) {
      counts.crashes++;
      process.stderr.write(`${String((error as Error).stack)}\n`);
    }
    if (sizes(db) !== before) counts.partial++;
  }
}

/** A disk that is full, a database that can only be read, a clock set back. */
export function hinder(counts: Counts): void {
  const house = openHouse();
  const { db, draftId } = house;
  const refused = (words: RegExp) => {
    counts.inputs++;
    try {
      for (let n = 0; n < 5000; n++)
        send(db, 'logShot', shotInput(draftId, { remark: 'x'.repeat(400) }));
      counts.crashes++;
    } catch (error) {
      if (!words.test(knownWords(error, 'The database') ?? '')) counts.crashes++;
    }
    const [rows, events] = ['shot', "event WHERE kind = 'logShot'"].map(
      (from) => db.prepare(`SELECT count(*) FROM ${from}`).pluck().get() as number,
    );
    if (rows !== events) counts.partial++;
  };
  const pages = db.pragma('page_count', { simple: true }) as number;
  db.pragma(`max_page_count = ${pages + 40}`);
  refused(/disk is full/);
  db.pragma('max_page_count = 1000000');
  db.pragma('query_only = ON');
  refused(/can only be read/);
  db.pragma('query_only = OFF');
  clock.now = () => new Date('2020-01-01T12:00:00Z');
  attempt(house, counts, () => send(db, 'logShot', shotInput(draftId)));
}

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'] as const;
const PATHS = [
  '/',
  '/sign-in',
  '/welcome',
  '/status',
  '/find',
  '/patterns',
  '/people',
  '/house',
  '/equipment',
  '/api/commands',
  '/api/session',
  '/api/session/proof',
  '/api/imports',
  '/api/exports/shots',
  '/api/exports/effects',
  '/api/find',
  '/api/backups',
  '/releases/x/pull',
  '/api/stream',
  '/p/x',
  '/p/x/card.pdf',
  '/schema/recipe-document-1.json',
  '/fonts/x',
  '/invitation/x',
] as const;

/** Requests nobody means, at a running server; a 5xx is counted. */
export async function askHostile(tries: number, counts: Counts): Promise<void> {
  const server = await startServer({ demo: true });
  const cookie = await cookieOf(server.url);
  const word = fc.oneof(fc.constantFrom(...HOSTILE), fc.string({ unit: 'binary', maxLength: 60 }));
  const requests = fc.sample(
    fc.record({
      method: fc.constantFrom(...METHODS),
      path: fc.constantFrom(...PATHS),
      question: word,
      body: fc.oneof(word, fc.json({ maxDepth: 3 })),
      type: fc.constantFrom('application/json', 'text/plain', 'multipart/form-data; boundary=x'),
      isSignedIn: fc.boolean(),
      tree: fc.option(fc.constantFrom('%', '[]', '{}', 'x')),
    }),
    { numRuns: tries, seed: SEED },
  );
  try {
    for (const { method, path, question, body, type, isSignedIn, tree } of requests) {
      counts.inputs++;
      const address = `${server.url}${path}?q=${encodeURIComponent(question.toWellFormed())}`;
      const hasBody = !['GET', 'HEAD', 'OPTIONS'].includes(method);
      const answer = await fetch(address, {
        method,
        redirect: 'manual',
        signal: AbortSignal.timeout(20_000),
        headers: {
          ...(isSignedIn && method !== 'DELETE' ? { cookie } : {}),
          ...(hasBody ? { 'content-type': type } : {}),
          ...(tree ? { 'next-router-state-tree': tree, rsc: '1' } : {}),
        },
        ...(hasBody ? { body } : {}),
      });
      if (answer.status >= 500) {
        counts.serverErrors++;
        process.stderr.write(`${method} ${path} ${answer.status} ${await answer.text()}\n`);
      } else await answer.body?.cancel();
    }
    // It still stands, and still lets in who has the password.
    await cookieOf(server.url, 'tobin');
  } catch (error) {
    counts.crashes++;
    process.stderr.write(`${String((error as Error).stack)}\n`);
  } finally {
    await server.close();
  }
}
