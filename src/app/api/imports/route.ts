/**
 * Importing a spreadsheet in three steps, each with the file itself, so that nothing is kept between
 * them: look at its columns, check every row, take all of it or nothing.
 */
import { cookies } from 'next/headers';
import { z } from 'zod';
import { commands } from '@/app/commands';
import { userFault } from '@/core/errors';
import { oneOf, parse } from '@/core/schema/fields';
import { requireDuty, submit } from '@/data/command';
import { database } from '@/data/database';
import { findSignedIn } from '@/data/session';
import { today } from '@/data/today';
import { importInput, planImport } from '@/features/import/releases';
import { CSV_LIMITS, decodeCsv, guessDateOrder, parseCsv } from '@/formats/csv';
import { suggestMapping } from '@/formats/releaseColumns';
import { answer, bytesOf } from '../edge';

export const dynamic = 'force-dynamic';

/** The parts around the file: its name, the mapping. */
const ROOM_BYTES = 100_000;
const SAMPLE_ROWS = 3;

const request = z.strictObject({
  step: oneOf('Step', ['look', 'check', 'take']),
  id: z.string().max(64).optional(),
  mapping: importInput.shape.mapping.optional(),
  dateOrder: importInput.shape.dateOrder.optional(),
});

export async function POST(received: Request): Promise<Response> {
  return answer(received, async () => {
    const db = database();
    const person = await findSignedIn(db, await cookies());
    requireDuty(db, 'lead', person);
    const { csv, asked } = await partsOf(received);
    const { step, id, mapping, dateOrder } = parse(request, asked);
    if (step === 'look') return lookAt(csv);
    const input = { csv, mapping, dateOrder };
    if (step === 'check') return planImport(db, parse(importInput, input), today());
    return submit(db, commands, { id, kind: 'importReleases', input }, person.id);
  });
}

function lookAt(csv: string) {
  const { columns, rows, delimiter } = parseCsv(csv);
  const mapping = suggestMapping(columns);
  const dayColumn = columns.indexOf(mapping.roastDate ?? '');
  return {
    columns,
    delimiter,
    rows: rows.length,
    sample: rows.slice(0, SAMPLE_ROWS),
    mapping,
    dateOrder: guessDateOrder(rows.map((row) => row[dayColumn] ?? '')),
  };
}

/** The file's text and the JSON that goes with it. */
async function partsOf(received: Request): Promise<{ csv: string; asked: unknown }> {
  const type = received.headers.get('content-type') ?? '';
  if (!type.startsWith('multipart/form-data'))
    throw userFault('badInput', 'file', 'No file came. Choose a CSV file.');
  const most = CSV_LIMITS.megabytes * 1_000_000 + ROOM_BYTES;
  const bytes = await bytesOf(received, most, `${CSV_LIMITS.megabytes} MB`);
  const form = await new Response(bytes, { headers: { 'content-type': type } })
    .formData()
    .catch(() => null);
  const file = form?.get('file');
  const asked = form?.get('asked');
  if (!(file instanceof Blob) || typeof asked !== 'string')
    throw userFault('badInput', 'file', 'No file came. Choose a CSV file.');
  const csv = decodeCsv(new Uint8Array(await file.arrayBuffer()));
  try {
    return { csv, asked: JSON.parse(asked) };
  } catch {
    throw userFault('badInput', '', 'The question that came with the file is not JSON.');
  }
}
