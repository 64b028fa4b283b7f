/** Taking in shots: each belongs to the recipe its dial-in had on that day. */
import { daysBetween } from '@/core/rest/day';
import type { Db } from '@/data/database';
import { findDialIn, listDrafts, type StoredDraft } from '@/data/dialIns';
import { insertShot, listShots, type StoredShot } from '@/data/shots';
import { dayOf, momentOf, timeOf } from '@/data/today';
import type { CsvTable } from '@/formats/sheets/csv';
import { readShots, SHOT_SHEET_COLUMNS, type ShotRow } from '@/formats/sheets/shotSheet';
import type { ReadOptions } from '@/formats/sheets/rows';
import { keptByPlace, planRows, Refusal, signer } from './planRows';
import { countWords, type Prepared } from './prepared';

interface DialIn {
  readonly drafts: readonly StoredDraft[];
  readonly shots: readonly StoredShot[];
}

interface Planned {
  readonly entry: ShotRow;
  readonly draft: StoredDraft;
}

export function* prepareShots(
  db: Db,
  table: CsvTable,
  options: ReadOptions,
): Generator<number, Prepared> {
  const rows = yield* readShots(table, options);
  const dialInOf = keptByPlace(({ key }): DialIn => {
    const id = findDialIn(db, key);
    return id === null
      ? { drafts: [], shots: [] }
      : { drafts: listDrafts(db, id), shots: listShots(db, id) };
  });
  const { planned, known, faults } = planRows<ShotRow, Planned>(
    db,
    rows,
    {
      ...options,
      columns: SHOT_SHEET_COLUMNS,
      day: { column: 'pulledOn', of: ({ pulledOn }) => pulledOn },
      ofDialIn: true,
    },
    (place, entry) => {
      if (daysBetween(place.batch.roastDate, entry.pulledOn) < 0)
        return new Refusal(
          'pulledOn',
          `The batch was roasted on ${place.batch.roastDate}, after this shot.`,
        );
      const { drafts, shots } = dialInOf(place);
      const draft =
        drafts.findLast(({ createdAt }) => dayOf(createdAt) <= entry.pulledOn) ?? drafts[0];
      if (!draft)
        return new Refusal(
          'release',
          `${place.release.name} has no recipe for this batch, setup and style. Import its recipe first: a shot is judged against one.`,
        );
      return shots.some((shot) => isSameShot(shot, entry)) ? 'known' : { entry, draft };
    },
  );
  return {
    faults,
    news: countWords(planned.length, 'new shot', 'new shots'),
    known,
    apply: (context) => {
      const sign = signer(context);
      planned.forEach(({ entry, draft }, i) => {
        const { personId, remark } = sign(entry.person, 'pulled', entry.remark);
        insertShot(
          db,
          `${context.id}s${i}`,
          {
            ...entry,
            draftId: draft.id,
            // Rows without an hour keep the order of the sheet.
            pulledAt: momentOf(entry.pulledOn, entry.pulledAt, i),
            temperatureC: entry.temperatureC ?? draft.recipe.temperatureC,
            remark,
          },
          personId,
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
