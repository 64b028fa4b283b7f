/**
 * Importing a spreadsheet in three steps, each with the file itself, so that nothing is kept between
 * them: look at its columns, check every row, take all of it or nothing. Checking tells how far it is,
 * a line of JSON at a time, and stops when whoever asked goes away.
 */
import { z } from 'zod';
import { commands } from '@/app/commands';
import { userFault } from '@/core/errors';
import { oneOf, parse } from '@/core/schema/fields';
import { submit } from '@/data/command';
import { database } from '@/data/database';
import { today } from '@/data/today';
import { importPlanOf, prepareImport } from '@/features/import/kinds';
import { importInput } from '@/features/import/prepared';
import { SHEET_NAMES, type SheetName } from '@/features/import/sheetNames';
import { SHEETS } from '@/features/import/sheets';
import { suggestMapping, suggestUnits } from '@/formats/sheets/columns';
import { asksCommas, guessCommas } from '@/formats/sheets/commas';
import { CSV_LIMITS, decodeCsv, guessDateOrder, parseCsv } from '@/formats/sheets/csv';
import { admit, sourceOf } from '../caller';
import { answer, bytesOf, streamed } from '../edge';

export const dynamic = 'force-dynamic';

/** The parts around the file: its name, the mapping. */
const ROOM_BYTES = 100_000;
const SAMPLE_ROWS = 3;

const request = z.strictObject({
  sheet: oneOf('Sheet', SHEET_NAMES).default('releases'),
  step: oneOf('Step', ['look', 'check', 'take']),
  id: z.string().max(64).optional(),
  mapping: importInput.shape.mapping.optional(),
  units: importInput.shape.units.optional(),
  dateOrder: importInput.shape.dateOrder.optional(),
  commas: importInput.shape.commas,
});

export async function POST(received: Request): Promise<Response> {
  return answer(received, async () => {
    const db = database();
    const { person, session } = await admit(db, 'lead');
    const caller = { personId: person.id, session, source: sourceOf(received) };
    const { csv, asked } = await partsOf(received);
    const { step, sheet, id, ...question } = parse(request, asked);
    if (step === 'look') return lookAt(sheet, csv);
    const input = parse(importInput, { csv, ...question });
    const kind = SHEETS[sheet].command;
    // Whatever is wrong with the question as a whole is said at once, with its own status.
    const reading = prepareImport(db, sheet, input, today());
    const first = reading.next();
    return streamed(reading, first, (prepared) => {
      if (step === 'check') return importPlanOf(prepared);
      if (prepared.faults.length > 0)
        throw userFault('badInput', 'file', 'The sheet has faults now. Check every row again.');
      return submit(db, commands, { id, kind, input }, caller);
    });
  });
}

function lookAt(sheet: SheetName, csv: string) {
  const { columns: known, dayColumn } = SHEETS[sheet];
  const table = parseCsv(csv);
  const { columns, rows, delimiter } = table;
  const mapping = suggestMapping(known, columns);
  const dayAt = columns.indexOf(mapping[dayColumn] ?? '');
  return {
    columns,
    delimiter,
    rows: rows.length,
    sample: rows.slice(0, SAMPLE_ROWS),
    fields: Object.entries(known).map(([name, { label, required, measure }]) => ({
      name,
      label,
      required,
      measure,
    })),
    mapping,
    units: suggestUnits(known, mapping, table),
    asksCommas: asksCommas(table),
    commas: guessCommas(table),
    dateOrder: guessDateOrder(rows.map((row) => row[dayAt] ?? '')),
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
