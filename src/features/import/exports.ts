/** What the house has written down, as the sheets it can bring in again: row by row. Server only. */
import { dialWords, type Notation } from '@/core/grinder/notation';
import type { Db } from '@/data/database';
import { allRows } from '@/data/many';
import { checksSince } from '@/data/cafeChecks';
import { listPartners } from '@/data/partners';
import { findReleases, listReleaseNames, listReleases } from '@/data/releases';
import { stagedFrom } from '@/data/staged';
import { listSetups } from '@/data/setups';
import { completeShot, SHOT_FIELDS_SQL } from '@/data/shots';
import { completeTasting, TASTING_COLUMNS as TASTING_SELECT } from '@/data/tastings';
import { dayOf, timeOf } from '@/data/today';
import { writeCells, type Cell } from '@/formats/sheets/cells';
import { CHECK_SHEET } from '@/formats/sheets/checkSheet';
import { RECIPE_SHEET } from '@/formats/sheets/recipeSheet';
import { RELEASE_SHEET } from '@/formats/sheets/releaseSheet';
import { SHOT_SHEET } from '@/formats/sheets/shotSheet';
import { TASTING_SHEET } from '@/formats/sheets/tastingSheet';
import { listEnded } from '@/views/history';
import type { SheetName } from './sheetNames';
import { SHEETS } from './sheets';

type Row = Readonly<Record<string, Cell>>;

/** Of these releases alone; null is all of them. */
export type Only = readonly string[] | null;

/** Header and rows of a sheet, in the order of its columns, as they are read. */
export function* exportSheet(
  db: Db,
  sheet: SheetName,
  only: Only = null,
): Generator<(string | number)[]> {
  const { columns } = SHEETS[sheet];
  const names = Object.keys(columns);
  yield names.map((name) => columns[name]!.headers[0]!);
  for (const row of ROWS[sheet](db, only)) yield names.map((name) => row[name] ?? '');
}

const ROWS: Readonly<Record<SheetName, (db: Db, only: Only) => Iterable<Row>>> = {
  releases: releaseRows,
  recipes: recipeRows,
  shots: shotRows,
  tastings: tastingRows,
  checks: checkRows,
};

/** A row for each component of each batch. */
function* releaseRows(db: Db, only: Only): Generator<Row> {
  for (const release of only ? findReleases(db, only) : listReleases(db))
    for (const batch of release.batches)
      for (const component of release.components)
        yield writeCells(RELEASE_SHEET, release, batch, component);
}

/** Checks of every café, oldest first. */
function* checkRows(db: Db, only: Only): Generator<Row> {
  const isAsked = isIn(only);
  const partners = new Map(listPartners(db).map((partner) => [partner.id, partner]));
  const names = new Map(listReleaseNames(db).map(({ id, name }) => [id, name]));
  for (const check of checksSince(db, '')) {
    const partner = partners.get(check.partnerId);
    const release = names.get(check.releaseId);
    if (partner === undefined || release === undefined || !isAsked(check.releaseId)) continue;
    yield writeCells(CHECK_SHEET, {
      ...check,
      cafe: partner.name,
      release,
      checkedOn: dayOf(check.visitedAt),
      checkedAt: timeOf(check.visitedAt),
      roastDate: check.roastDate ?? undefined,
      dial: check.dial === undefined ? undefined : dialCell(partner, check.dial),
    });
  }
}

function* recipeRows(db: Db, only: Only): Generator<Row> {
  const isAsked = isIn(only);
  for (const { name, roastDate, draft, setup, dial, decidedAt } of listEnded(db)) {
    if (!isAsked(draft.releaseId)) continue;
    yield writeCells(RECIPE_SHEET, draft.recipe, {
      release: name,
      roastDate,
      setup: setup.name,
      style: draft.style,
      decidedOn: draft.decidedOn ?? dayOf(decidedAt),
      dial: dial === null ? undefined : dialCell(setup.grinder, dial),
      why: draft.why,
    });
  }
}

const STAGED_COLUMNS = ['cup', 'mass_g', 'tds_pct', 'taste', 'whole_shot_like'] as const;
const STAGED_PLACE = ['release', 'roast_date', 'setup', 'style', 'pulled_on', 'pulled_at'] as const;

/** A row for each staged cup of each shot that was caught so; it is not brought in again. */
export function* exportStaged(db: Db): Generator<(string | number)[]> {
  yield [...STAGED_PLACE, ...STAGED_COLUMNS];
  const rows = inPages(db, null, {
    places: `SELECT s.id, ${PLACE_COLUMNS} FROM staged_shot g JOIN shot s ON s.id = g.shot_id ${PLACED}`,
    rows: `SELECT g.cups, g.likeness, g.noted_at AS notedAt ${IN_PAGE_ORDER} staged_shot g ON g.shot_id = page.value ORDER BY page.key`,
  });
  for (const [place, row] of rows) {
    const { release, roastDate, setup, style, pulledOn, pulledAt } = placeOf(place);
    const { cups, likeness } = stagedFrom(row);
    for (const [i, { massG, tdsPct = '', taste = '' }] of cups.entries())
      yield [
        ...[release, roastDate, setup, style, pulledOn, pulledAt],
        ...[i + 1, massG, tdsPct, taste, likeness ?? ''],
      ];
  }
}

function isIn(only: Only): (releaseId: string) => boolean {
  const asked = only && new Set(only);
  return (releaseId) => asked === null || asked.has(releaseId);
}

/** A dial as its grinder writes it; a figure where that is a number. */
const dialCell = (grinder: Notation, dial: number): Cell =>
  (grinder.notation ?? 'numbers') === 'numbers' ? dial : dialWords(grinder, dial);

/** Where a shot `s` was pulled: joined once for the whole sheet. */
const PLACED = `
  JOIN recipe_draft r ON r.id = s.recipe_draft_id
  JOIN dial_in d ON d.id = r.dial_in_id
  JOIN batch b ON b.id = d.batch_id AND b.removed_at IS NULL
  JOIN release l ON l.id = d.release_id AND l.removed_at IS NULL
  JOIN setup u ON u.id = d.setup_id
  WHERE s.removed_at IS NULL ORDER BY d.started_at, d.rowid, s.pulled_at, s.rowid`;

/** What is known of a row before the row itself is read. */
interface Place {
  readonly id: string;
  readonly releaseId: string;
  readonly release: string;
  readonly roastDate: string;
  readonly setup: string;
  readonly style: string;
  readonly pulledAt: string;
}
const PLACE_COLUMNS = `
  l.id AS releaseId, l.name AS release, b.roast_date AS roastDate, u.name AS setup, d.style AS style,
  s.pulled_at AS pulledAt`;

const placeOf = ({ release, roastDate, setup, style, pulledAt }: Place) => ({
  release,
  roastDate,
  setup,
  style,
  pulledOn: dayOf(pulledAt),
  pulledAt: timeOf(pulledAt),
});

/** Rows fetched at once: other requests are answered between two fetches. */
const PAGE = 500;

/** Places in their order, each with its row; `rows` takes the ids of a page as JSON. */
function* inPages(
  db: Db,
  only: Only,
  { places, rows }: { places: string; rows: string },
): Generator<[Place, unknown]> {
  const isAsked = isIn(only);
  const all = (allRows(db, places) as Place[]).filter(({ releaseId }) => isAsked(releaseId));
  for (let at = 0; at < all.length; at += PAGE) {
    const page = all.slice(at, at + PAGE);
    const found = allRows(db, rows, JSON.stringify(page.map(({ id }) => id)));
    for (const [i, place] of page.entries()) yield [place, found[i]];
  }
}

const IN_PAGE_ORDER = 'FROM json_each(?) page CROSS JOIN';

function* shotRows(db: Db, only: Only): Generator<Row> {
  const grinders = new Map(listSetups(db).map(({ name, grinder }) => [name, grinder]));
  const rows = inPages(db, only, {
    places: `SELECT s.id, ${PLACE_COLUMNS} FROM shot s ${PLACED}`,
    rows: `SELECT ${SHOT_FIELDS_SQL} ${IN_PAGE_ORDER} shot s ON s.id = page.value
     JOIN person p ON p.id = s.pulled_by ORDER BY page.key`,
  });
  for (const [place, row] of rows) {
    const shot = completeShot(Object.assign(row as object, { roastDate: place.roastDate }));
    yield writeCells(SHOT_SHEET, shot, placeOf(place), {
      person: shot.pulledBy,
      dial: dialCell(grinders.get(place.setup) ?? {}, shot.dial),
    });
  }
}

function* tastingRows(db: Db, only: Only): Generator<Row> {
  const rows = inPages(db, only, {
    places: `SELECT t.id, ${PLACE_COLUMNS} FROM tasting t JOIN shot s ON s.id = t.shot_id AND t.removed_at IS NULL
     ${PLACED}, t.tasted_at, t.rowid`,
    rows: `SELECT ${TASTING_SELECT} ${IN_PAGE_ORDER} tasting t ON t.id = page.value
     JOIN person p ON p.id = t.tasted_by ORDER BY page.key`,
  });
  for (const [place, row] of rows) {
    const { scales, ...tasting } = completeTasting(row);
    yield writeCells(TASTING_SHEET, tasting, scales, placeOf(place), {
      tastedOn: dayOf(tasting.tastedAt),
      taster: tasting.tastedBy,
    });
  }
}
