/** Taking in shots: each belongs to the recipe its dial-in had on that day. */
import { daysBetween } from '@/core/rest/day';
import { personOf } from '@/data/command';
import type { Db } from '@/data/database';
import { findDialIn, listDrafts, type StoredDraft } from '@/data/dialIns';
import { listPeople } from '@/data/people';
import { restDaysOf } from '@/data/releaseView';
import { insertShot, listShots, type StoredShot } from '@/data/shots';
import { dayOf, momentOf, timeOf } from '@/data/today';
import { plain } from '@/formats/sheets/columns';
import type { CsvTable } from '@/formats/sheets/csv';
import { readShots, type ShotRow } from '@/formats/sheets/shotSheet';
import { SHOT_COLUMNS } from '@/formats/sheets/shotColumns';
import { columnName, type ReadOptions, type RowFault } from '@/formats/sheets/rows';
import { placeFinder, type Place } from './places';
import { countWords, type Prepared } from './prepared';

interface DialIn {
  readonly drafts: readonly StoredDraft[];
  readonly shots: readonly StoredShot[];
}

interface Planned {
  readonly place: Place;
  readonly entry: ShotRow;
  readonly draft: StoredDraft;
}

export function* prepareShots(
  db: Db,
  table: CsvTable,
  options: ReadOptions,
): Generator<number, Prepared> {
  const { entries, faults: readFaults } = yield* readShots(table, options);
  const faults: RowFault[] = [...readFaults];
  const planned: Planned[] = [];
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
          ? { drafts: [], shots: [] }
          : { drafts: listDrafts(db, id), shots: listShots(db, id) };
      dialIns.set(name, found);
    }
    return found;
  };
  for (const { row, entry } of entries) {
    const refuse = (column: string, message: string) =>
      faults.push({ row, column: columnName(SHOT_COLUMNS, column, options.mapping), message });
    if (daysBetween(entry.pulledOn, options.today) < 0) {
      refuse('pulledOn', `${entry.pulledOn} is in the future. Enter ${options.today} or earlier.`);
      continue;
    }
    const place = findPlace(entry, entry.pulledOn);
    if ('message' in place) {
      refuse(place.column, place.message);
      continue;
    }
    if (daysBetween(place.batch.roastDate, entry.pulledOn) < 0) {
      refuse('pulledOn', `The batch was roasted on ${place.batch.roastDate}, after this shot.`);
      continue;
    }
    const { drafts, shots } = dialInOf(place);
    const draft =
      drafts.findLast(({ createdAt }) => dayOf(createdAt) <= entry.pulledOn) ?? drafts[0];
    if (!draft) {
      refuse(
        'release',
        `${place.release.name} has no recipe for this batch, setup and style. Import its recipe first: a shot is judged against one.`,
      );
      continue;
    }
    if (shots.some((shot) => isSameShot(shot, entry))) known++;
    else planned.push({ place, entry, draft });
  }
  return {
    faults: faults.sort((a, b) => a.row - b.row),
    news: countWords(planned.length, 'new shot', 'new shots'),
    known,
    apply: (context) => {
      const people = new Map(listPeople(db).map(({ id, name }) => [plain(name), id]));
      const self = personOf(context).id;
      planned.forEach(({ place, entry, draft }, i) => {
        const { person, remark } = entry;
        const personId = person === '' ? self : people.get(plain(person));
        const by = personId === undefined ? `pulled by ${person}` : '';
        insertShot(
          db,
          `${context.id}s${i}`,
          {
            draftId: draft.id,
            // Rows without an hour keep the order of the sheet.
            pulledAt: momentOf(entry.pulledOn, entry.pulledAt, i),
            dial: entry.dial,
            doseG: entry.doseG,
            yieldG: entry.yieldG,
            timeS: entry.timeS,
            firstDripS: entry.firstDripS,
            clock: entry.clock,
            temperatureC: entry.temperatureC ?? draft.temperatureC,
            purged: entry.purged,
            seen: entry.seen,
            tdsPct: entry.tdsPct,
            restDays: restDaysOf(place.batch, entry.pulledOn),
            remark: [remark, by].filter((part) => part !== '').join('; '),
          },
          personId ?? self,
        );
      });
    },
  };
}

/** The same figures on the same day, and at the same minute where the sheet says one. */
function isSameShot(shot: StoredShot, entry: ShotRow): boolean {
  return (
    dayOf(shot.pulledAt) === entry.pulledOn &&
    (entry.pulledAt === undefined ||
      timeOf(shot.pulledAt).startsWith(entry.pulledAt.padStart(5, '0').slice(0, 5))) &&
    shot.dial === entry.dial &&
    Math.abs(shot.doseG - entry.doseG) < 0.011 &&
    Math.abs(shot.yieldG - entry.yieldG) < 0.011 &&
    Math.abs(shot.timeS - entry.timeS) < 0.011
  );
}
