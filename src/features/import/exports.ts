/** What the house has written down, as the sheets it can bring in again: row by row. Server only. */
import { prepared, type Db } from '@/data/database';
import type { House } from '@/data/house';
import { findRelease, listReleaseNames } from '@/data/releases';
import { completeShot, SHOT_COLUMNS as SHOT_SELECT, type StoredShot } from '@/data/shots';
import { completeTasting, TASTING_COLUMNS as TASTING_SELECT } from '@/data/tastings';
import { dayOf, timeOf } from '@/data/today';
import { writeCells, type Cell } from '@/formats/sheets/cells';
import { RECIPE_SHEET } from '@/formats/sheets/recipeSheet';
import { RELEASE_SHEET } from '@/formats/sheets/releaseSheet';
import { SHOT_SHEET } from '@/formats/sheets/shotSheet';
import { TASTING_SHEET } from '@/formats/sheets/tastingSheet';
import { listDecided } from '@/views/history';
import { SHEETS, type SheetName } from './sheets';

type Row = Readonly<Record<string, Cell>>;

/** Header and rows of a sheet, in the order of its columns, as they are read. */
export function* exportSheet(
  db: Db,
  house: House,
  sheet: SheetName,
): Generator<(string | number)[]> {
  const { columns } = SHEETS[sheet];
  const names = Object.keys(columns);
  yield names.map((name) => columns[name]!.headers[0]!);
  for (const row of ROWS[sheet](db, house)) yield names.map((name) => row[name] ?? '');
}

const ROWS: Readonly<Record<SheetName, (db: Db, house: House) => Iterable<Row>>> = {
  releases: releaseRows,
  recipes: recipeRows,
  shots: shotRows,
  tastings: tastingRows,
};

/** A row for each component of each batch. */
function* releaseRows(db: Db): Generator<Row> {
  for (const { id } of listReleaseNames(db)) {
    const release = findRelease(db, id)!;
    for (const batch of release.batches)
      for (const component of release.components)
        yield writeCells(RELEASE_SHEET, { ...release, ...batch, ...component });
  }
}

function* recipeRows(db: Db, house: House): Generator<Row> {
  for (const { name, draft, setup, dial, decidedAt } of listDecided(db, house)) {
    const release = findRelease(db, draft.releaseId)!;
    yield writeCells(RECIPE_SHEET, {
      release: name,
      roastDate: release.batches.find(({ id }) => id === draft.batchId)?.roastDate,
      setup: setup.name,
      style: draft.style,
      decidedOn: dayOf(decidedAt),
      ...draft.recipe,
      dial: dial ?? undefined,
      why: draft.why,
    });
  }
}

/** Where a shot `s` was pulled: joined once for the whole sheet. */
const PLACED = `
  FROM shot s JOIN recipe_draft r ON r.id = s.recipe_draft_id
  JOIN dial_in d ON d.id = r.dial_in_id
  JOIN batch b ON b.id = d.batch_id AND b.removed_at IS NULL
  JOIN release l ON l.id = d.release_id AND l.removed_at IS NULL
  JOIN setup u ON u.id = d.setup_id`;
const WHERE_COLUMNS = `l.name AS release, b.roast_date AS roastDate, u.name AS setup, d.style AS style`;
const ORDER = 'ORDER BY d.started_at, d.rowid, s.pulled_at, s.rowid';

interface Where {
  readonly release: string;
  readonly roastDate: string;
  readonly setup: string;
  readonly style: string;
}
const whereOf = ({ release, roastDate, setup, style }: Where) => ({
  release,
  roastDate,
  setup,
  style,
});

function* shotRows(db: Db): Generator<Row> {
  const rows = prepared(
    db,
    `SELECT ${WHERE_COLUMNS}, ${SHOT_SELECT} ${PLACED} JOIN person p ON p.id = s.pulled_by
     WHERE s.removed_at IS NULL ${ORDER}`,
  ).all();
  for (const row of rows) {
    const shot = completeShot(row);
    yield writeCells(SHOT_SHEET, {
      ...whereOf(row as Where),
      ...shot,
      ...pulled(shot),
      person: shot.pulledBy,
    });
  }
}

const pulled = ({ pulledAt }: Pick<StoredShot, 'pulledAt'>) => ({
  pulledOn: dayOf(pulledAt),
  pulledAt: timeOf(pulledAt),
});

function* tastingRows(db: Db): Generator<Row> {
  const rows = prepared(
    db,
    `SELECT ${WHERE_COLUMNS}, s.pulled_at AS pulledAt, ${TASTING_SELECT} ${PLACED}
     JOIN tasting t ON t.shot_id = s.id JOIN person p ON p.id = t.tasted_by
     WHERE s.removed_at IS NULL ${ORDER}, t.tasted_at, t.rowid`,
  ).all();
  for (const row of rows) {
    const { scales, ...tasting } = completeTasting(row);
    yield writeCells(TASTING_SHEET, {
      ...whereOf(row as Where),
      ...tasting,
      ...scales,
      ...pulled(row as StoredShot),
      tastedOn: dayOf(tasting.tastedAt),
      taster: tasting.tastedBy,
    });
  }
}
