/** Dial-ins and the revisions of the recipe on the bench. */
import type { CacheTag } from '@/core/command/cacheTags';
import { DRAFT, type DraftInput, type DraftRow } from '@/core/entity/draft';
import { RECIPE, type RecipeInput, type StoredRecipeRow } from '@/core/entity/recipe';
import { withRatio, type Recipe } from '@/core/schema/recipe';
import type { BrewStyle } from '@/core/vocabulary';
import { prepared, type Db } from './database';
import { IDS } from './many';
import type { ReleaseName } from './releases';
import { now } from './rows';
import { tableOf } from './table';

export interface StoredDraft extends DraftRow {
  readonly id: string;
  readonly dialInId: string;
  readonly releaseId: string;
  readonly batchId: string;
  readonly setupId: string;
  readonly style: BrewStyle;
  readonly revision: number;
  readonly createdAt: string;
  readonly recipe: StoredRecipe;
  /** The recipe of an older batch it came over from; null for one of its own. */
  readonly carriedFrom: string | null;
  /** What the model had proposed, raw values by output. */
  readonly proposed: Readonly<Record<string, number>> | undefined;
}

export type StoredRecipe = StoredRecipeRow & Pick<Recipe, 'ratio'>;

export const RECIPE_TABLE = tableOf('recipe_draft', RECIPE);
export const DRAFT_TABLE = tableOf('recipe_draft', DRAFT);

/** Columns of a draft `r` of a dial-in `d`. */
export const DRAFT_COLUMNS = `
  r.id, r.dial_in_id AS dialInId, d.release_id AS releaseId, d.batch_id AS batchId,
  d.setup_id AS setupId, d.style, r.revision, r.created_at AS createdAt, r.proposed,
  r.carried_from AS carriedFrom,
  ${RECIPE_TABLE.selected('r')}, ${DRAFT_TABLE.selected('r')}`;

export function completeDraft(row: unknown): StoredDraft {
  const { id, dialInId, releaseId, batchId, setupId, style, ...rest } = row as StoredDraft;
  const { revision, createdAt, carriedFrom, proposed } = rest;
  return {
    id,
    dialInId,
    releaseId,
    batchId,
    setupId,
    style,
    revision,
    createdAt,
    carriedFrom,
    recipe: withRatio(RECIPE_TABLE.read(row)),
    ...DRAFT_TABLE.read(row),
    proposed:
      proposed === null ? undefined : (JSON.parse(String(proposed)) as Record<string, number>),
  };
}

const SELECT_DRAFT = `
  SELECT ${DRAFT_COLUMNS} FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id`;

/** The recipes on the benches of these releases, as somebody put them there. */
export function findBenchDrafts(db: Db, releaseIds: readonly string[]): StoredDraft[] {
  return prepared(
    db,
    `${SELECT_DRAFT} WHERE r.id IN (SELECT draft_id FROM bench WHERE release_id IN ${IDS})`,
  )
    .all(JSON.stringify(releaseIds))
    .map(completeDraft);
}

/** The recipe on the bench; null before the first. */
export function findBenchDraft(db: Db, releaseId: string): StoredDraft | null {
  return findBenchDrafts(db, [releaseId])[0] ?? null;
}

/** States which recipe of a release is on the bench. */
export function putOnBench(db: Db, releaseId: string, draftId: string): void {
  prepared(
    db,
    `INSERT INTO bench (release_id, draft_id) VALUES (?, ?)
     ON CONFLICT (release_id) DO UPDATE SET draft_id = excluded.draft_id`,
  ).run(releaseId, draftId);
}

/** The newest recipe of each dial-in of a release, straight and for milk, the newest first: those one can go on with. */
export function listOpenDrafts(db: Db, releaseId: string): StoredDraft[] {
  return prepared(
    db,
    `${SELECT_DRAFT} WHERE d.release_id = ? AND r.revision =
       (SELECT max(revision) FROM recipe_draft WHERE dial_in_id = d.id AND drink = r.drink)
     ORDER BY r.created_at DESC, r.rowid DESC`,
  )
    .all(releaseId)
    .map(completeDraft);
}

/**
 * What a shot of this recipe changes besides the shots: one pulled before the recipe was decided, however
 * late it comes in, may be the one the recipe ended on.
 */
export function changedByShot(db: Db, draftId: string, pulledAt: string): readonly CacheTag[] {
  const isBefore = prepared(
    db,
    `SELECT 1 FROM recipe_draft r WHERE r.id = @draftId
       AND (r.decided_on || 'T23:59:59.999Z' >= @pulledAt
         OR EXISTS (SELECT 1 FROM recipe_version v
                    WHERE v.draft_id = r.id AND v.published_at >= @pulledAt))`,
  ).get({ draftId, pulledAt });
  return isBefore === undefined ? [] : ['decidedShot'];
}

export function findDraft(db: Db, id: string): StoredDraft | null {
  const row = prepared(db, `${SELECT_DRAFT} WHERE r.id = ?`).get(id);
  return row === undefined ? null : completeDraft(row);
}

/** A bench remembers this many coffees: one comes from a recent one. */
const MOST_BENCHES = 25;

/** Releases with a recipe on the bench, the latest first. */
export function listBenchNames(db: Db): ReleaseName[] {
  return prepared(
    db,
    `SELECT l.id, l.name FROM release l JOIN bench b ON b.release_id = l.id
     JOIN recipe_draft r ON r.id = b.draft_id WHERE l.removed_at IS NULL ORDER BY r.created_at DESC LIMIT ?`,
  ).all(MOST_BENCHES) as ReleaseName[];
}

export interface DialInKey {
  readonly releaseId: string;
  readonly batchId: string;
  readonly setupId: string;
  readonly style: string;
}

export interface StoredDialIn extends DialInKey {
  readonly id: string;
  readonly style: BrewStyle;
}

/** Dial-ins of these releases, oldest first. */
export function listDialIns(db: Db, releaseIds: readonly string[]): StoredDialIn[] {
  return prepared(
    db,
    `SELECT id, release_id AS releaseId, batch_id AS batchId, setup_id AS setupId, style
     FROM dial_in WHERE release_id IN ${IDS} ORDER BY started_at, rowid`,
  ).all(JSON.stringify(releaseIds)) as StoredDialIn[];
}

/** The newest dial-ins of the house, the newest first. */
export function listNewestDialIns(db: Db, most: number): StoredDialIn[] {
  return prepared(
    db,
    `SELECT id, release_id AS releaseId, batch_id AS batchId, setup_id AS setupId, style
     FROM dial_in ORDER BY started_at DESC LIMIT ?`,
  ).all(most) as StoredDialIn[];
}

/** Where a shot or a cup stands. */
export interface Whereabouts {
  readonly dialInId: string;
  readonly stage: 'pull' | 'taste';
}

/** Where each of these shots and cups stands, by its id; other ids are left out. */
export function whereaboutsOf(db: Db, ids: readonly string[]): Map<string, Whereabouts> {
  const asked = JSON.stringify(ids);
  const rows = prepared(
    db,
    `SELECT s.id, r.dial_in_id AS dialInId, 'pull' AS stage FROM shot s
       JOIN recipe_draft r ON r.id = s.recipe_draft_id WHERE s.id IN ${IDS}
     UNION ALL
     SELECT t.id, r.dial_in_id, 'taste' FROM tasting t JOIN shot s ON s.id = t.shot_id
       JOIN recipe_draft r ON r.id = s.recipe_draft_id WHERE t.id IN ${IDS}`,
  ).all(asked, asked) as (Whereabouts & { id: string })[];
  return new Map(rows.map(({ id, ...place }) => [id, place]));
}

/** Every revision of every recipe of these releases, by its id. */
export function findDraftsOf(db: Db, releaseIds: readonly string[]): Map<string, StoredDraft> {
  const drafts = prepared(db, `${SELECT_DRAFT} WHERE d.release_id IN ${IDS}`)
    .all(JSON.stringify(releaseIds))
    .map(completeDraft);
  return new Map(drafts.map((draft) => [draft.id, draft]));
}

/** Every revision of a dial-in, oldest first. */
export function listDrafts(db: Db, dialInId: string): StoredDraft[] {
  return prepared(db, `${SELECT_DRAFT} WHERE d.id = ? ORDER BY r.created_at, r.rowid`)
    .all(dialInId)
    .map(completeDraft);
}

/** The dial-in of a batch on a setup in a style, or null. */
export function findDialIn(db: Db, key: DialInKey): string | null {
  const found = prepared(
    db,
    `SELECT id FROM dial_in
     WHERE release_id = @releaseId AND batch_id = @batchId AND setup_id = @setupId AND style = @style`,
  ).get(key) as { id: string } | undefined;
  return found?.id ?? null;
}

/** The dial-in of a batch on a setup in a style, begun now if there is none. */
export function ensureDialIn(db: Db, newId: string, key: DialInKey, at: string = now()): string {
  const found = findDialIn(db, key);
  if (found !== null) return found;
  prepared(
    db,
    `INSERT INTO dial_in (id, release_id, batch_id, setup_id, style, started_at)
     VALUES (@id, @releaseId, @batchId, @setupId, @style, @at)`,
  ).run({ ...key, id: newId, at });
  return newId;
}

export interface DraftFields extends DraftInput {
  readonly recipe: RecipeInput;
  readonly carriedFrom?: string | undefined;
  readonly proposed?: Readonly<Record<string, number>> | undefined;
}

export function insertDraft(
  db: Db,
  id: string,
  dialInId: string,
  { recipe, proposed, carriedFrom, ...fields }: DraftFields,
  personId: string,
  at: string = now(),
): void {
  prepared(
    db,
    `INSERT INTO recipe_draft (id, dial_in_id, revision, proposed, carried_from, created_at, created_by,
       ${RECIPE_TABLE.columns}, ${DRAFT_TABLE.columns})
     VALUES (@id, @dialInId,
       (SELECT coalesce(max(revision), 0) + 1 FROM recipe_draft WHERE dial_in_id = @dialInId),
       @proposed, @carriedFrom, @at, @personId, ${RECIPE_TABLE.parameters}, ${DRAFT_TABLE.parameters})`,
  ).run({
    ...RECIPE_TABLE.write(recipe),
    ...DRAFT_TABLE.write(fields),
    proposed: proposed === undefined ? null : JSON.stringify(proposed),
    carriedFrom: carriedFrom ?? null,
    id,
    dialInId,
    at,
    personId,
  });
}
