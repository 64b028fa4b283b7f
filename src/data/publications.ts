/** Published versions and the public address of a release. */
import { randomBytes } from 'node:crypto';
import { z } from 'zod';
import type { Db } from './database';
import { now } from './rows';

const versionRow = z.object({
  id: z.string(),
  releaseId: z.string(),
  number: z.number(),
  document: z.string(),
  sha256: z.string(),
  publishedAt: z.string(),
  publishedBy: z.string(),
});
export type StoredVersion = z.output<typeof versionRow>;

const SELECT_VERSION = `
  SELECT v.id, v.release_id AS releaseId, v.number, v.document, v.sha256,
         v.published_at AS publishedAt, p.name AS publishedBy
  FROM recipe_version v JOIN person p ON p.id = v.published_by`;

/** Every version of a release, newest first. */
export function listVersions(db: Db, releaseId: string): StoredVersion[] {
  return db
    .prepare(`${SELECT_VERSION} WHERE v.release_id = ? ORDER BY v.number DESC`)
    .all(releaseId)
    .map((row) => versionRow.parse(row));
}

export function findVersionByHash(db: Db, sha256: string): StoredVersion | null {
  const row = db.prepare(`${SELECT_VERSION} WHERE v.sha256 = ? ORDER BY v.published_at LIMIT 1`).get(sha256);
  return row === undefined ? null : versionRow.parse(row);
}

/** The version a public address shows, or null for an address nothing was published at. */
export function findPublished(db: Db, token: string): StoredVersion | null {
  const row = db
    .prepare(
      `${SELECT_VERSION} JOIN publication b ON b.version_id = v.id WHERE b.token = ?`,
    )
    .get(token);
  return row === undefined ? null : versionRow.parse(row);
}

export function findToken(db: Db, releaseId: string): string | null {
  const row = db.prepare('SELECT token FROM publication WHERE release_id = ?').get(releaseId) as
    { token: string } | undefined;
  return row?.token ?? null;
}

const TOKEN_BYTES = 18;

/** Stores a version and points the release's public address at it; the address keeps its token. */
export function insertVersion(
  db: Db,
  version: Omit<StoredVersion, 'publishedAt' | 'publishedBy'>,
  personId: string,
): void {
  db.prepare(
    `INSERT INTO recipe_version (id, release_id, number, document, sha256, published_at, published_by)
     VALUES (@id, @releaseId, @number, @document, @sha256, @publishedAt, @personId)`,
  ).run({ ...version, publishedAt: now(), personId });
  db.prepare(
    `INSERT INTO publication (release_id, token, version_id) VALUES (@releaseId, @token, @id)
     ON CONFLICT (release_id) DO UPDATE SET version_id = excluded.version_id`,
  ).run({
    releaseId: version.releaseId,
    id: version.id,
    token: randomBytes(TOKEN_BYTES).toString('base64url'),
  });
}
