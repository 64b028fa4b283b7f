/** Published versions and the public address of a release. */
import { randomBytes } from 'node:crypto';
import { z } from 'zod';
import type { RecipeFigures } from '@/core/state/recipeState';
import { prepared, type Db } from './database';
import { groupedByOwner, IDS } from './many';
import { now } from './rows';

const versionRow = z.object({
  id: z.string(),
  releaseId: z.string(),
  number: z.number(),
  document: z.string(),
  sha256: z.string(),
  publishedAt: z.string(),
  publishedBy: z.string(),
  /** The recipe it was made from; unknown of some made with an older program. */
  draftId: z.string().nullable(),
});
export type StoredVersion = z.output<typeof versionRow>;

const SELECT_VERSION = `
  SELECT v.id, v.release_id AS releaseId, v.number, v.document, v.sha256,
         v.published_at AS publishedAt, p.name AS publishedBy, v.draft_id AS draftId
  FROM recipe_version v JOIN person p ON p.id = v.published_by`;

/** What a list of versions says; the document is read where it is shown. */
export interface VersionLine extends Omit<StoredVersion, 'document' | 'sha256' | 'releaseId'> {
  /** What its card says to brew. */
  readonly recipe: RecipeFigures;
}

type VersionRow = Omit<VersionLine, 'recipe'> & { readonly recipe: string };

/** Every version of these releases, newest first. */
export function versionsOfReleases(
  db: Db,
  releaseIds: readonly string[],
): (releaseId: string) => readonly VersionLine[] {
  const sql = `
    SELECT v.release_id AS owner, v.id, v.number, v.published_at AS publishedAt,
      p.name AS publishedBy, v.draft_id AS draftId, json_extract(v.document, '$.body.recipe') AS recipe
    FROM recipe_version v JOIN person p ON p.id = v.published_by
    WHERE v.release_id IN ${IDS} ORDER BY v.number DESC`;
  return groupedByOwner(db, sql, releaseIds, (row) => {
    const { id, number, publishedAt, publishedBy, draftId, recipe } = row as VersionRow;
    const { doseG, yieldG, timeS, clock, temperatureC } = JSON.parse(recipe) as RecipeFigures;
    const figures = { doseG, yieldG, timeS, clock, temperatureC };
    return { id, number, publishedAt, publishedBy, draftId, recipe: figures };
  });
}

/** Every version of a release with its document, newest first. */
export function listVersions(db: Db, releaseId: string): StoredVersion[] {
  return prepared(db, `${SELECT_VERSION} WHERE v.release_id = ? ORDER BY v.number DESC`)
    .all(releaseId)
    .map((row) => versionRow.parse(row));
}

export function findVersionByHash(db: Db, sha256: string): StoredVersion | null {
  const row = prepared(
    db,
    `${SELECT_VERSION} WHERE v.sha256 = ? ORDER BY v.published_at LIMIT 1`,
  ).get(sha256);
  return row === undefined ? null : versionRow.parse(row);
}

const publicRow = versionRow.extend({
  withdrawnAt: z.string().nullable(),
  withdrawnWhy: z.string().nullable(),
});
export type PublicVersion = z.output<typeof publicRow>;

const PUBLIC = `${SELECT_VERSION.replace(
  'FROM recipe_version v',
  `, b.withdrawn_at AS withdrawnAt, b.withdrawn_why AS withdrawnWhy
   FROM recipe_version v JOIN publication b ON b.version_id = v.id`,
)}`;

/** The version a public address shows, or null for an address nothing was published at. */
export function findPublished(db: Db, token: string): PublicVersion | null {
  const row = prepared(db, `${PUBLIC} WHERE b.token = ?`).get(token);
  return row === undefined ? null : publicRow.parse(row);
}

/** An earlier version of what an address shows; null where there was none of that number. */
export function findEarlier(db: Db, token: string, number: number): PublicVersion | null {
  const row = prepared(
    db,
    `${PUBLIC.replace('b.version_id = v.id', 'b.release_id = v.release_id')}
     WHERE b.token = ? AND v.number = ?`,
  ).get(token, number);
  return row === undefined ? null : publicRow.parse(row);
}

export interface PublicName {
  readonly name: string;
  readonly token: string;
}

/** Releases whose card is public now, by name. */
export function listPublicNames(db: Db): PublicName[] {
  return prepared(
    db,
    `SELECT l.name, b.token FROM publication b JOIN release l ON l.id = b.release_id
     WHERE b.withdrawn_at IS NULL AND l.removed_at IS NULL ORDER BY l.name COLLATE NOCASE`,
  ).all() as PublicName[];
}

/** Releases with a public card, by name. */
export function listServable(db: Db): { id: string; name: string }[] {
  return prepared(
    db,
    `SELECT l.id, l.name FROM publication b JOIN release l ON l.id = b.release_id
     WHERE b.withdrawn_at IS NULL AND l.removed_at IS NULL ORDER BY l.name COLLATE NOCASE`,
  ).all() as { id: string; name: string }[];
}

/** Differs whenever something else is public than before. */
export function publicState(db: Db): string {
  const row = prepared(
    db,
    `SELECT group_concat(version_id || coalesce(withdrawn_at, ''), ' ') AS state
     FROM (SELECT version_id, withdrawn_at FROM publication ORDER BY release_id)`,
  ).get() as { state: string | null };
  return row.state ?? '';
}

/** Addresses something was published at, the newest first. */
export function listPublicTokens(db: Db): string[] {
  return prepared(
    db,
    `SELECT b.token FROM publication b JOIN recipe_version v ON v.id = b.version_id
     ORDER BY v.published_at DESC`,
  )
    .all()
    .map((row) => (row as { token: string }).token);
}

export interface PublicAddress {
  readonly token: string;
  readonly withdrawnAt: string | null;
  readonly withdrawnWhy: string | null;
  /** Withdrawn as wrong: it teaches nothing, and nobody is sent back to it. */
  readonly isWrong: boolean;
}

/** The public addresses of these releases; none before the first version. */
export function addressesOfReleases(
  db: Db,
  releaseIds: readonly string[],
): (releaseId: string) => readonly PublicAddress[] {
  const sql = `
    SELECT release_id AS owner, token, withdrawn_at AS withdrawnAt, withdrawn_why AS withdrawnWhy,
      teaches
    FROM publication WHERE release_id IN ${IDS}`;
  return groupedByOwner(db, sql, releaseIds, (row) => {
    const { teaches, ...address } = row as Omit<PublicAddress, 'isWrong'> & { teaches: 0 | 1 };
    const { token, withdrawnAt, withdrawnWhy } = address;
    return { token, withdrawnAt, withdrawnWhy, isWrong: teaches === 0 };
  });
}

/** The public address of a release and whether it was withdrawn; null before the first version. */
export function findAddress(db: Db, releaseId: string): PublicAddress | null {
  return addressesOfReleases(db, [releaseId])(releaseId)[0] ?? null;
}

/** Withdraws what is public, with the words its page shows; as wrong, it no longer teaches the model. */
export function withdrawPublic(
  db: Db,
  releaseId: string,
  { why, wasWrong }: { why: string; wasWrong: boolean },
): void {
  prepared(
    db,
    `UPDATE publication SET withdrawn_at = ?, withdrawn_why = ?, teaches = ? WHERE release_id = ?`,
  ).run(now(), why, Number(!wasWrong), releaseId);
}

/** Shows a withdrawn recipe again. */
export function showPublicAgain(db: Db, releaseId: string): void {
  prepared(
    db,
    `UPDATE publication SET withdrawn_at = NULL, withdrawn_why = NULL, teaches = 1
     WHERE release_id = ?`,
  ).run(releaseId);
}

/** Number of the newest version published from a recipe after a moment: its proof rests on what was pulled before. */
export function versionRestingOn(db: Db, draftId: string, pulledAt: string): number | null {
  const row = prepared(
    db,
    `SELECT max(number) AS number FROM recipe_version WHERE draft_id = ? AND published_at >= ?`,
  ).get(draftId, pulledAt) as { number: number | null };
  return row.number;
}

export const PUBLISH_CHECKS = ['confirmed', 'tasted', 'rested'] as const;
export type PublishCheck = (typeof PUBLISH_CHECKS)[number];

const passRow = z.object({
  versionId: z.string(),
  gate: z.enum(PUBLISH_CHECKS),
  reason: z.string(),
});
export type PassedCheck = z.output<typeof passRow>;

/** Gates of a release's versions that were passed by the lead's word. */
export function listPassedChecks(db: Db, releaseId: string): PassedCheck[] {
  return prepared(
    db,
    `SELECT g.version_id AS versionId, g.gate, g.reason FROM gate_pass g
       JOIN recipe_version v ON v.id = g.version_id WHERE v.release_id = ? ORDER BY v.number, g.gate`,
  )
    .all(releaseId)
    .map((row) => passRow.parse(row));
}

export function insertPassedCheck(db: Db, { versionId, gate, reason }: PassedCheck): void {
  prepared(db, 'INSERT INTO gate_pass (version_id, gate, reason) VALUES (?, ?, ?)').run(
    versionId,
    gate,
    reason,
  );
}

const TOKEN_BYTES = 18;

/**
 * Stores a version and points the release's public address at it; the address keeps its token, and
 * a withdrawn one is open again.
 */
export function insertVersion(
  db: Db,
  version: Omit<StoredVersion, 'publishedAt' | 'publishedBy' | 'draftId'> & {
    /** The recipe on the bench it was made from. */
    readonly draftId: string;
  },
  personId: string,
): void {
  prepared(
    db,
    `INSERT INTO recipe_version (id, release_id, number, document, sha256, published_at,
       published_by, draft_id)
     VALUES (@id, @releaseId, @number, @document, @sha256, @publishedAt, @personId, @draftId)`,
  ).run({ ...version, publishedAt: now(), personId });
  prepared(
    db,
    `INSERT INTO publication (release_id, token, version_id) VALUES (@releaseId, @token, @id)
     ON CONFLICT (release_id) DO UPDATE SET version_id = excluded.version_id,
       withdrawn_at = NULL, withdrawn_why = NULL, teaches = 1`,
  ).run({
    releaseId: version.releaseId,
    id: version.id,
    token: randomBytes(TOKEN_BYTES).toString('base64url'),
  });
}
