/** Rows that speak of a dial-in, each put in its place in the house or refused with words. */
import { daysBetween } from '@/core/rest/day';
import { personOf, type Context } from '@/data/command';
import type { Db } from '@/data/database';
import { listPeople } from '@/data/people';
import { plain, type Columns, type Mapping } from '@/formats/sheets/columns';
import { columnName } from '@/formats/sheets/cells';
import type { ReadEntry, RowFault } from '@/formats/sheets/rows';
import type { Where } from '@/formats/sheets/where';
import { placeFinder, type ImportTarget } from './places';

export interface PlannedRows<P> {
  readonly planned: readonly P[];
  readonly known: number;
  readonly faults: readonly RowFault[];
}

/** Says which column is wrong, and what to do. */
export class Refusal {
  constructor(
    readonly column: string,
    readonly message: string,
  ) {}
}

interface Rows<E> {
  readonly entries: readonly ReadEntry<E>[];
  readonly faults: readonly RowFault[];
}

interface Sheet<E> {
  readonly columns: Columns;
  readonly mapping: Mapping;
  readonly today: string;
  /** The column and the day of the row itself; it cannot lie ahead. */
  readonly day: { readonly column: string; readonly of: (entry: E) => string };
  /** The day its batch was roasted by; the row's own when absent. */
  readonly batchBy?: (entry: E) => string;
  readonly ofDialIn?: boolean;
}

/** `judge` says what a row becomes in its place, that it is known, or why it cannot be taken. */
export function planRows<E extends Where, P extends object>(
  db: Db,
  { entries, faults: readFaults }: Rows<E>,
  { columns, mapping, today, day, batchBy = day.of, ofDialIn = false }: Sheet<E>,
  judge: (place: ImportTarget, entry: E) => P | 'known' | Refusal,
): PlannedRows<P> {
  const findPlace = placeFinder(db, { ofDialIn });
  const faults: RowFault[] = [...readFaults];
  const planned: P[] = [];
  let known = 0;
  const judged = (entry: E) => {
    const on = day.of(entry);
    if (daysBetween(on, today) < 0)
      return new Refusal(day.column, `${on} is in the future. Enter ${today} or earlier.`);
    const place = findPlace(entry, batchBy(entry));
    return 'message' in place ? new Refusal(place.column, place.message) : judge(place, entry);
  };
  for (const { row, entry } of entries) {
    const found = judged(entry);
    if (found instanceof Refusal)
      faults.push({
        row,
        column: columnName(columns, found.column, mapping),
        message: found.message,
      });
    else if (found === 'known') known++;
    else planned.push(found);
  }
  return { planned, known, faults: faults.sort((a, b) => a.row - b.row) };
}

/** What is read of a dial-in once, however many rows speak of it. */
export function keptByPlace<T>(read: (place: ImportTarget) => T): (place: ImportTarget) => T {
  const kept = new Map<string, T>();
  return (place) => {
    const name = Object.values(place.key).join(' ');
    if (!kept.has(name)) kept.set(name, read(place));
    return kept.get(name)!;
  };
}

/** Who a row names: one of the house, or the one who imports, with the name kept in the remark. */
export function signer(context: Context): (
  name: string,
  /** What is said in the remark of a stranger; null where their name has a place of its own. */
  did: string | null,
  remark: string,
) => {
  readonly personId: string;
  readonly remark: string;
  /** Name of somebody who is not of the house. */
  readonly stranger?: string;
} {
  const people = new Map(listPeople(context.db).map(({ id, name }) => [plain(name), id]));
  const self = personOf(context).id;
  return (name, did, remark) => {
    const personId = name === '' ? self : people.get(plain(name));
    const isStranger = personId === undefined;
    const by = isStranger && did !== null ? `${did} by ${name}` : '';
    return {
      personId: personId ?? self,
      ...(isStranger && { stranger: name }),
      remark: [remark, by].filter((part) => part !== '').join('; '),
    };
  };
}
