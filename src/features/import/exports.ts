/** What the house has written down, as the sheets it can bring in again: row by row. Server only. */
import { prepared, type Db } from '@/data/database';
import type { House } from '@/data/house';
import { listReleases } from '@/data/releases';
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
  for (const release of listReleases(db))
    for (const batch of release.batches)
      for (const component of release.components)
        yield writeCells(RELEASE_SHEET, release, batch, component);
}

function* recipeRows(db: Db, house: House): Generator<Row> {
  for (const { name, roastDate, draft, setup, dial, decidedAt } of listDecided(db, house))
    yield writeCells(RECIPE_SHEET, draft.recipe, {
      release: name,
      roastDate,
      setup: setup.name,
      style: draft.style,
      decidedOn: dayOf(decidedAt),
      dial: dial ?? undefined,
      why: draft.why,
    });
}

/** Where a shot `s` was pulled: joined once for the whole sheet. */
const PLACED = `
  JOIN recipe_draft r ON r.id = s.recipe_draft_id
  JOIN dial_in d ON d.id = r.dial_in_id
  JOIN batch b ON b.id = d.batch_id AND b.removed_at IS NULL
  JOIN release l ON l.id = d.release_id AND l.removed_at IS NULL
  JOIN setup u ON u.id = d.setup_id`;
const WHERE_COLUMNS = `l.name AS release, b.roast_date AS roastDate, u.name AS setup, d.style AS style`;
const ORDER = 'd.started_at, d.rowid, s.pulled_at, s.rowid';

/** Rows fetched at once: other requests are answered between two fetches. */
const PAGE = 500;

/** Rows of ids in their order, a page at a time; `rows` takes the ids of a page as JSON. */
function* inPages(db: Db, ids: string, rows: string): Generator {
  const all = prepared(db, ids).all() as { id: string }[];
  const statement = prepared(db, rows);
  for (let at = 0; at < all.length; at += PAGE)
    yield* statement.all(JSON.stringify(all.slice(at, at + PAGE).map(({ id }) => id)));
}

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
  const rows = inPages(
    db,
    `SELECT s.id FROM shot s ${PLACED} WHERE s.removed_at IS NULL ORDER BY ${ORDER}`,
    `SELECT ${WHERE_COLUMNS}, ${SHOT_SELECT}
     FROM json_each(?) page CROSS JOIN shot s ON s.id = page.value ${PLACED}
     JOIN person p ON p.id = s.pulled_by ORDER BY page.key`,
  );
  for (const row of rows) {
    const shot = completeShot(row);
    yield writeCells(SHOT_SHEET, shot, whereOf(row as Where), pulled(shot), {
      person: shot.pulledBy,
    });
  }
}

const pulled = ({ pulledAt }: Pick<StoredShot, 'pulledAt'>) => ({
  pulledOn: dayOf(pulledAt),
  pulledAt: timeOf(pulledAt),
});

function* tastingRows(db: Db): Generator<Row> {
  const rows = inPages(
    db,
    `SELECT t.id FROM tasting t JOIN shot s ON s.id = t.shot_id ${PLACED}
     WHERE s.removed_at IS NULL ORDER BY ${ORDER}, t.tasted_at, t.rowid`,
    `SELECT ${WHERE_COLUMNS}, s.pulled_at AS pulledAt, ${TASTING_SELECT}
     FROM json_each(?) page CROSS JOIN tasting t ON t.id = page.value
     JOIN shot s ON s.id = t.shot_id ${PLACED}
     JOIN person p ON p.id = t.tasted_by ORDER BY page.key`,
  );
  for (const row of rows) {
    const { scales, ...tasting } = completeTasting(row);
    yield writeCells(
      TASTING_SHEET,
      tasting,
      scales,
      whereOf(row as Where),
      pulled(row as StoredShot),
      {
        tastedOn: dayOf(tasting.tastedAt),
        taster: tasting.tastedBy,
      },
    );
  }
}
