/**
 * The index to find anything by: every text of the house by what it belongs to, brought up to date when
 * somebody searches. The event log says which releases were touched since.
 */
import { BATCH } from '@/core/entity/batch';
import { COMPONENT } from '@/core/entity/component';
import { DRAFT } from '@/core/entity/draft';
import { entriesOf, type Fields } from '@/core/entity/field';
import { RECIPE } from '@/core/entity/recipe';
import { RELEASE } from '@/core/entity/release';
import { SHOT } from '@/core/entity/shot';
import { SCALES, TASTING } from '@/core/entity/tasting';
import { valueWords } from '@/core/entity/words';
import { dayWords } from '@/core/dayWords';
import { OF_MANY } from './events';
import { prepared, type Db } from './database';
import { completeDraft, DRAFT_COLUMNS } from './dialIns';
import { listPeople } from './people';
import { findRelease } from './releases';
import { completeShot, SHOT_FIELDS_SQL } from './shots';
import { completeTasting, TASTING_COLUMNS } from './tastings';
import { dayOf } from './today';

export const FINDABLE_KINDS = ['release', 'recipe', 'shot', 'cup', 'card', 'person'] as const;
export type FindableKind = (typeof FINDABLE_KINDS)[number];

interface Entry {
  readonly kind: FindableKind;
  readonly rowId: string;
  readonly place: string;
  readonly text: string;
}

/** Kinds of fields that say something in words. */
const IN_WORDS = ['text', 'word', 'words', 'notes'];

/** Everything an entity says in words, as people read it. */
function wordsOf(fields: Fields, values: object): string {
  const given = values as Readonly<Record<string, unknown>>;
  return entriesOf(fields)
    .filter(([, { kind }]) => IN_WORDS.includes(kind))
    .map(([name, field]) => valueWords(field, given[name]))
    .filter((words) => words !== '')
    .join(' · ');
}

/** What stands unsaid on most rows would be found everywhere. */
const without = <F extends Fields>(fields: F, ...names: (keyof F)[]): Fields =>
  Object.fromEntries(Object.entries(fields).filter(([name]) => !names.includes(name)));

const SHOT_WORDS = without(SHOT, 'clock', 'beans');
const CUP_WORDS = { ...without(TASTING, 'moment', 'serving'), signs: SCALES.signs };
const DRAFT_WORDS = { programme: RECIPE.programme, why: DRAFT.why };

const ofRelease = (sql: string) =>
  `${sql} JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN dial_in d ON d.id = r.dial_in_id
   JOIN batch b ON b.id = d.batch_id WHERE d.release_id = ? AND s.removed_at IS NULL`;

function entriesOfRelease(db: Db, releaseId: string): Entry[] {
  const release = findRelease(db, releaseId);
  if (!release) return [];
  const coffee = [
    wordsOf(without(RELEASE, 'serving'), release),
    ...release.components.map((component) => wordsOf(COMPONENT, component)),
    ...release.batches.map((batch) => wordsOf(BATCH, batch)),
  ];
  const drafts = prepared(
    db,
    `SELECT ${DRAFT_COLUMNS} FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id
     WHERE d.release_id = ?`,
  )
    .all(releaseId)
    .map(completeDraft);
  const shots = prepared(
    db,
    ofRelease(
      `SELECT b.roast_date AS roastDate, ${SHOT_FIELDS_SQL} FROM shot s JOIN person p ON p.id = s.pulled_by`,
    ),
  )
    .all(releaseId)
    .map(completeShot);
  const cups = prepared(
    db,
    ofRelease(`SELECT ${TASTING_COLUMNS} FROM tasting t JOIN shot s ON s.id = t.shot_id AND t.removed_at IS NULL
      JOIN person p ON p.id = t.tasted_by`),
  )
    .all(releaseId)
    .map(completeTasting);
  const cards = prepared(
    db,
    `SELECT id, number, json_extract(document, '$.body.sensory.right') || ' · ' ||
       json_extract(document, '$.body.sensory.short') || ' · ' ||
       json_extract(document, '$.body.sensory.long') || ' · ' ||
       json_extract(document, '$.body.whatChanged') AS text
     FROM recipe_version WHERE release_id = ?`,
  ).all(releaseId) as { id: string; number: number; text: string | null }[];
  const entries: Entry[] = [
    { kind: 'release', rowId: release.id, place: 'Coffee', text: coffee.join(' · ') },
    ...drafts.map((draft): Entry => ({
      kind: 'recipe',
      rowId: draft.id,
      place: `Recipe of ${dayWords(dayOf(draft.createdAt))}`,
      text: wordsOf(DRAFT_WORDS, { ...draft.recipe, ...draft }),
    })),
    ...shots.map((shot): Entry => ({
      kind: 'shot',
      rowId: shot.id,
      place: `Shot of ${dayWords(dayOf(shot.pulledAt))}, ${shot.pulledBy}`,
      text: wordsOf(SHOT_WORDS, shot),
    })),
    ...cups.map((cup): Entry => ({
      kind: 'cup',
      rowId: cup.id,
      place: `Cup of ${dayWords(dayOf(cup.tastedAt))}, ${cup.tastedBy}`,
      text: wordsOf(CUP_WORDS, { ...cup, ...cup.scales }),
    })),
    ...cards.map(({ id, number, text }): Entry => ({
      kind: 'card',
      rowId: id,
      place: `Card, version ${number}`,
      text: text ?? '',
    })),
  ];
  return entries.filter(({ text }) => text !== '');
}

function replace(db: Db, releaseId: string | null, entries: readonly Entry[]): void {
  prepared(db, 'DELETE FROM findable WHERE release_id IS ?').run(releaseId);
  const insert = prepared(
    db,
    `INSERT INTO findable (release_id, kind, row_id, place, text)
     VALUES (@releaseId, @kind, @rowId, @place, @text)`,
  );
  for (const entry of entries) insert.run({ ...entry, releaseId });
}

/** So many releases are indexed between two other requests. */
const AT_ONCE = 40;

/** Brings the index up to date with everything stored, in steps. */
export function* refreshIndex(db: Db): Generator<void, void> {
  const { newest, known } = prepared(
    db,
    `SELECT (SELECT coalesce(max(rowid), 0) FROM event) AS newest,
       (SELECT event FROM findable_state WHERE id = 1) AS known`,
  ).get() as { newest: number; known: number | null };
  if (known === newest) return;
  const touched = prepared(
    db,
    'SELECT DISTINCT release_id AS releaseId, kind FROM event WHERE rowid > ?',
  ).all(known ?? 0) as { releaseId: string | null; kind: string }[];
  const isWhole = known === null || touched.some(({ kind }) => OF_MANY.includes(kind));
  const ids = isWhole
    ? (prepared(db, 'SELECT id FROM release').all() as { id: string }[]).map(({ id }) => id)
    : [...new Set(touched.flatMap(({ releaseId }) => releaseId ?? []))];
  for (let at = 0; at < ids.length; at += AT_ONCE) {
    if (at > 0) yield;
    db.transaction(() => {
      for (const id of ids.slice(at, at + AT_ONCE)) replace(db, id, entriesOfRelease(db, id));
    }).immediate();
  }
  db.transaction(() => {
    replace(db, null, peopleEntries(db));
    prepared(
      db,
      `INSERT INTO findable_state (id, event) VALUES (1, ?)
       ON CONFLICT (id) DO UPDATE SET event = excluded.event`,
    ).run(newest);
  }).immediate();
}

const peopleEntries = (db: Db): Entry[] =>
  listPeople(db).map(({ id, name }) => ({
    kind: 'person',
    rowId: id,
    place: 'Person of the house',
    text: name,
  }));

/** Signs around what was found, that no text can hold. */
const [OPEN, CLOSE] = ['\u0001', '\u0002'];
const SNIPPET_WORDS = 16;

export interface FoundRow {
  readonly releaseId: string | null;
  readonly releaseName: string | null;
  readonly kind: FindableKind;
  readonly rowId: string;
  readonly place: string;
  /** The text around what was found, in parts. */
  readonly parts: readonly { readonly text: string; readonly isFound: boolean }[];
}

export interface FindFilters {
  readonly process: string | null;
  readonly variety: string | null;
  readonly style: string | null;
  readonly year: string | null;
}

const FILTERED = `
  (@process IS NULL OR EXISTS (
     SELECT 1 FROM component c WHERE c.release_id = l.id AND c.process = @process))
  AND (@variety IS NULL OR EXISTS (
     SELECT 1 FROM component c WHERE c.release_id = l.id AND instr(lower(c.variety), lower(@variety)) > 0))
  AND (@style IS NULL OR EXISTS (
     SELECT 1 FROM dial_in d WHERE d.release_id = l.id AND d.style = @style))
  AND (@year IS NULL OR EXISTS (
     SELECT 1 FROM batch b WHERE b.release_id = l.id AND b.removed_at IS NULL
       AND substr(b.roast_date, 1, 4) = @year))`;

/** What holds all of the words, each from its beginning; the best first, coffees before what was said of them. */
export function findWords(db: Db, words: string, filters: FindFilters, most: number): FoundRow[] {
  const query = words
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '')
    .map((word) => `"${word}"*`)
    .join(' ');
  if (query === '') return findReleases(db, filters, most);
  const isNarrowed = Object.values(filters).some((value) => value !== null);
  const rows = prepared(
    db,
    // A common word is found thousands of times: releases are looked up for the best alone.
    `SELECT f.release_id AS releaseId, (SELECT name FROM release WHERE id = f.release_id) AS releaseName,
       f.kind, f.row_id AS rowId, f.place,
       snippet(found, 0, '${OPEN}', '${CLOSE}', '…', ${SNIPPET_WORDS}) AS snippet
     FROM found JOIN findable f ON f.id = found.rowid
     WHERE found MATCH @query
       AND (@isNarrowed = 0 OR f.release_id IN (SELECT l.id FROM release l WHERE ${FILTERED}))
     ORDER BY f.kind <> 'release', bm25(found), f.id DESC LIMIT @most`,
  ).all({ ...filters, query, most, isNarrowed: Number(isNarrowed) }) as (Omit<FoundRow, 'parts'> & {
    snippet: string;
  })[];
  return rows.map(({ snippet, ...row }) => ({ ...row, parts: partsOf(snippet) }));
}

/** Releases the filters let through, the newest first. */
function findReleases(db: Db, filters: FindFilters, most: number): FoundRow[] {
  const rows = prepared(
    db,
    `SELECT l.id AS releaseId, l.name AS releaseName, 'release' AS kind, l.id AS rowId,
       'Coffee' AS place, coalesce(f.text, '') AS text
     FROM release l LEFT JOIN findable f ON f.release_id = l.id AND f.kind = 'release'
     WHERE l.removed_at IS NULL AND ${FILTERED} ORDER BY l.created_at DESC, l.rowid DESC LIMIT @most`,
  ).all({ ...filters, most }) as (Omit<FoundRow, 'parts'> & { text: string })[];
  return rows.map(({ text, ...row }) => ({
    ...row,
    parts: [{ text: text.slice(0, 160), isFound: false }],
  }));
}

function partsOf(snippet: string): FoundRow['parts'] {
  return snippet
    .replace(/^[ ·…]*· | ·[ ·…]*$/g, '')
    .split(OPEN)
    .flatMap((part, i) => {
      if (i === 0) return [{ text: part, isFound: false }];
      const [found = '', rest = ''] = part.split(CLOSE);
      return [
        { text: found, isFound: true },
        { text: rest, isFound: false },
      ];
    })
    .filter(({ text }) => text !== '');
}

/** Years coffees of the house were roasted in, the latest first. */
export function listRoastYears(db: Db): string[] {
  const rows = prepared(
    db,
    `SELECT DISTINCT substr(roast_date, 1, 4) AS year FROM batch WHERE removed_at IS NULL
     ORDER BY year DESC`,
  ).all() as { year: string }[];
  return rows.map(({ year }) => year);
}
