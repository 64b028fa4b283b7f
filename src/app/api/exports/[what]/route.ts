/** What the house knows as CSV: its sheets as they can be brought in again, and what Patterns shows. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { MOST_EXPORTED } from '@/core/limits';
import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { logAccess } from '@/data/accessLog';
import { exportSheet, exportStaged } from '@/features/import/exports';
import { SHEET_NAMES } from '@/features/import/sheetNames';
import { exportPatterns, PATTERN_EXPORTS } from '@/features/patterns/exports';
import { csvChunks } from '@/formats/sheets/csv';
import { prepareRecords } from '@/views/records';
import { admit, sourceOf } from '../../caller';
import { answer } from '../../edge';

export const dynamic = 'force-dynamic';

/** Staged cups go out alone: they are not brought in as a sheet. */
const STAGED = 'staged';

interface Props {
  readonly params: Promise<{ what: string }>;
}

export async function GET(request: Request, { params }: Props): Promise<Response> {
  return answer(request, async () => {
    const db = database();
    const { person } = await admit(db, 'self');
    const { what } = await params;
    const house = findHouse(db)!;
    const sheet = SHEET_NAMES.find((name) => name === what);
    const pattern = PATTERN_EXPORTS.find((name) => name === what);
    const isStaged = what === STAGED;
    if (!sheet && !pattern && !isStaged)
      throw userFault('notFound', '', `There is nothing called “${what.slice(0, 40)}” to export.`);
    logAccess(db, {
      personId: person.id,
      kind: 'export',
      words: `took out the ${what} as a sheet`,
      source: sourceOf(request),
    });
    if (pattern) await prepareRecords(db, house);
    const search = Object.fromEntries(new URL(request.url).searchParams);
    const rows = isStaged
      ? exportStaged(db)
      : sheet
        ? exportSheet(db, sheet, onlyOf(search.releases))
        : exportPatterns(db, house, pattern!, search);
    return new Response(streamOf(csvChunks(rows)), {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': `attachment; filename="kettlebrand-${what}.csv"`,
        'cache-control': 'no-store',
      },
    });
  });
}

/** Releases that were ticked, by their ids with commas between; all where none is named. */
function onlyOf(asked: string | undefined): readonly string[] | null {
  if (asked === undefined) return null;
  const read = ONLY.safeParse(asked.split(','));
  if (read.success) return read.data;
  throw userFault(
    'badInput',
    'releases',
    `These are not at most ${MOST_EXPORTED} releases of this house. Tick them in Releases and export from there.`,
  );
}

const ONLY = z.array(z.string().regex(/^[0-9a-f]{32}$/)).max(MOST_EXPORTED);

/** Chunks as they are asked for: other requests are answered between two of them. */
function streamOf(chunks: Iterator<string>): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream({
    async pull(controller) {
      await new Promise((resolve) => setImmediate(resolve));
      const { value, done } = chunks.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value));
    },
  });
}
