/** Taking in tastings: each belongs to a shot that is in the house. */
import { daysBetween } from '@/core/rest/day';
import { personOf } from '@/data/command';
import type { Db } from '@/data/database';
import { findDialIn } from '@/data/dialIns';
import { listPeople } from '@/data/people';
import {
  insertTasting,
  listShots,
  listTastings,
  type StoredShot,
  type StoredTasting,
} from '@/data/shots';
import { dayOf, momentOf, timeOf } from '@/data/today';
import { plain } from '@/formats/sheets/columns';
import type { CsvTable } from '@/formats/sheets/csv';
import { readTastings, type TastingRow } from '@/formats/sheets/tastingSheet';
import { TASTING_COLUMNS } from '@/formats/sheets/tastingColumns';
import { columnName, type ReadOptions, type RowFault } from '@/formats/sheets/rows';
import { placeFinder, type Place } from './places';
import { countWords, type Prepared } from './prepared';

interface DialIn {
  readonly shots: readonly StoredShot[];
  readonly tastings: readonly StoredTasting[];
}

export function* prepareTastings(
  db: Db,
  table: CsvTable,
  options: ReadOptions,
): Generator<number, Prepared> {
  const { entries, faults: readFaults } = yield* readTastings(table, options);
  const faults: RowFault[] = [...readFaults];
  const planned: { entry: TastingRow; shot: StoredShot }[] = [];
  let known = 0;
  const findPlace = placeFinder(db, { ofDialIn: true });
  const dialIns = new Map<string, DialIn>();
  const dialInOf = ({ key }: Place): DialIn => {
    const name = Object.values(key).join(' ');
    let found = dialIns.get(name);
    if (!found) {
      const id = findDialIn(db, key);
      found =
        id === null
          ? { shots: [], tastings: [] }
          : { shots: listShots(db, id), tastings: listTastings(db, id) };
      dialIns.set(name, found);
    }
    return found;
  };
  for (const { row, entry } of entries) {
    const refuse = (column: string, message: string) =>
      faults.push({ row, column: columnName(TASTING_COLUMNS, column, options.mapping), message });
    if (daysBetween(entry.tastedOn, options.today) < 0) {
      refuse('tastedOn', `${entry.tastedOn} is in the future. Enter ${options.today} or earlier.`);
      continue;
    }
    const place = findPlace(entry, entry.pulledOn ?? entry.tastedOn);
    if ('message' in place) {
      refuse(place.column, place.message);
      continue;
    }
    const { shots, tastings } = dialInOf(place);
    const shot = shotOf(shots, entry);
    if (!shot) {
      refuse(
        entry.pulledOn === undefined ? 'tastedOn' : 'pulledOn',
        'No shot of this coffee, setup and style was pulled then. Import its shots first, or correct the day.',
      );
      continue;
    }
    if (tastings.some((tasting) => isSameTasting(tasting, entry, shot))) known++;
    else planned.push({ entry, shot });
  }
  return {
    faults: faults.sort((a, b) => a.row - b.row),
    news: countWords(planned.length, 'new tasting', 'new tastings'),
    known,
    apply: (context) => {
      const people = new Map(listPeople(db).map(({ id, name }) => [plain(name), id]));
      const self = personOf(context).id;
      planned.forEach(({ entry, shot }, i) => {
        const { taster, remark } = entry;
        const personId = taster === '' ? self : people.get(plain(taster));
        const by = personId === undefined ? `tasted by ${taster}` : '';
        insertTasting(
          db,
          `${context.id}t${i}`,
          {
            shotId: shot.id,
            tastedAt: momentOf(entry.tastedOn, undefined, i),
            moment: entry.moment,
            serving: entry.serving,
            scales: entry.scales,
            notesFound: entry.notesFound,
            remark: [remark, by].filter((part) => part !== '').join('; '),
          },
          personId ?? self,
        );
      });
    },
  };
}

/** The shot of that day and minute, else the last of that day, else the last before the tasting. */
function shotOf(
  shots: readonly StoredShot[],
  { tastedOn, pulledOn, pulledAt }: TastingRow,
): StoredShot | undefined {
  const sameDay = shots.filter((shot) => dayOf(shot.pulledAt) === (pulledOn ?? tastedOn));
  if (pulledAt !== undefined) {
    const minute = pulledAt.padStart(5, '0').slice(0, 5);
    return sameDay.find((shot) => timeOf(shot.pulledAt).startsWith(minute));
  }
  if (sameDay.length > 0 || pulledOn !== undefined) return sameDay.at(-1);
  return shots.findLast((shot) => dayOf(shot.pulledAt) <= tastedOn);
}

function isSameTasting(tasting: StoredTasting, entry: TastingRow, shot: StoredShot): boolean {
  const figures = ({ signs: _signs, ...scales }: TastingRow['scales']) =>
    JSON.stringify(
      Object.entries(scales)
        .filter(([, value]) => value !== undefined)
        .sort(),
    );
  return (
    tasting.shotId === shot.id &&
    dayOf(tasting.tastedAt) === entry.tastedOn &&
    tasting.moment === entry.moment &&
    figures(tasting.scales) === figures(entry.scales) &&
    (entry.taster === '' ||
      plain(tasting.tastedBy) === plain(entry.taster) ||
      tasting.remark.includes(entry.taster))
  );
}
