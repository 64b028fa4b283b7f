/** Taking in tastings: each belongs to a shot that is in the house. */
import type { Db } from '@/data/database';
import { findDialIn } from '@/data/dialIns';
import { listShots, type StoredShot } from '@/data/shots';
import { insertTasting, listTastings, type StoredTasting } from '@/data/tastings';
import { dayOf, momentOf, timeOf } from '@/data/today';
import { plain } from '@/formats/sheets/columns';
import type { CsvTable } from '@/formats/sheets/csv';
import { readTastings, TASTING_COLUMNS, type TastingRow } from '@/formats/sheets/tastingSheet';
import type { ReadOptions } from '@/formats/sheets/rows';
import { keptByPlace, planRows, Refusal, signer } from './planRows';
import { countWords, type Prepared } from './prepared';

interface Planned {
  readonly entry: TastingRow;
  readonly shot: StoredShot;
}

interface DialIn {
  readonly shots: readonly StoredShot[];
  readonly tastings: readonly StoredTasting[];
}

export function* prepareTastings(
  db: Db,
  table: CsvTable,
  options: ReadOptions,
): Generator<number, Prepared> {
  const rows = yield* readTastings(table, options);
  const dialInOf = keptByPlace(({ key }): DialIn => {
    const id = findDialIn(db, key);
    return id === null
      ? { shots: [], tastings: [] }
      : { shots: listShots(db, id), tastings: listTastings(db, id) };
  });
  const { planned, known, faults } = planRows<TastingRow, Planned>(
    db,
    rows,
    {
      ...options,
      columns: TASTING_COLUMNS,
      day: { column: 'tastedOn', of: ({ tastedOn }) => tastedOn },
      batchBy: ({ pulledOn, tastedOn }) => pulledOn ?? tastedOn,
      ofDialIn: true,
    },
    (place, entry) => {
      const { shots, tastings } = dialInOf(place);
      const shot = shotOf(shots, entry);
      if (!shot)
        return new Refusal(
          entry.pulledOn === undefined ? 'tastedOn' : 'pulledOn',
          'No shot of this coffee, setup and style was pulled then. Import its shots first, or correct the day.',
        );
      const isKnown = tastings.some((tasting) => isSameTasting(tasting, entry, shot));
      return isKnown ? 'known' : { entry, shot };
    },
  );
  return {
    faults,
    news: countWords(planned.length, 'new tasting', 'new tastings'),
    known,
    apply: (context) => {
      const sign = signer(context);
      planned.forEach(({ entry, shot }, i) => {
        const { personId, remark, stranger } = sign(entry.taster, null, entry.remark);
        insertTasting(
          db,
          `${context.id}t${i}`,
          {
            ...entry,
            shotId: shot.id,
            tastedAt: momentOf(entry.tastedOn, undefined, i),
            guest: stranger,
            remark,
          },
          personId,
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
