/** What the cups of past releases teach, as it was last worked out. */
import { Matrix } from 'ml-matrix';
import type { CupSite } from '@/core/start/fit';
import { prepared, type Db } from './database';
import { invalidate } from './cache';

interface Row {
  readonly releaseId: string;
  readonly signature: string;
  readonly site: string | null;
}

const allOf = (db: Db) =>
  prepared(db, 'SELECT release_id AS releaseId, signature, site FROM taste_site').all() as Row[];

/** By release; those whose cups leave a direction open that the recipe tells are missing. */
export function listTasteEvidence(db: Db): ReadonlyMap<string, CupSite> {
  return new Map(
    allOf(db).flatMap(({ releaseId, site }) =>
      site === null ? [] : [[releaseId, siteFrom(site)] as const],
    ),
  );
}

/** What each was worked out from. */
export function tasteEvidenceSignatures(db: Db): ReadonlyMap<string, string> {
  return new Map(allOf(db).map(({ releaseId, signature }) => [releaseId, signature]));
}

/** Keeps what was worked out; whatever rests on sites is worked out anew. */
export function storeTasteEvidence(
  db: Db,
  { releaseId, signature, site }: { releaseId: string; signature: string; site: CupSite | null },
): void {
  db.transaction(() => {
    const before = allOf(db).find((row) => row.releaseId === releaseId)?.site ?? null;
    const written = site === null ? null : JSON.stringify({ ...site, P: site.P.to2DArray() });
    prepared(
      db,
      `INSERT INTO taste_site (release_id, signature, site) VALUES (@releaseId, @signature, @site)
       ON CONFLICT (release_id) DO UPDATE SET signature = excluded.signature, site = excluded.site`,
    ).run({ releaseId, signature, site: written });
    if (written !== before) invalidate(db, ['tasteEvidence']);
  }).immediate();
}

/** A release that is no longer decided teaches nothing. */
export function dropTasteEvidence(db: Db, releaseIds: readonly string[]): void {
  if (releaseIds.length === 0) return;
  db.transaction(() => {
    prepared(db, 'DELETE FROM taste_site WHERE release_id IN (SELECT value FROM json_each(?))').run(
      JSON.stringify(releaseIds),
    );
    invalidate(db, ['tasteEvidence']);
  }).immediate();
}

function siteFrom(text: string): CupSite {
  const { P, h, cups } = JSON.parse(text) as { P: number[][]; h: number[]; cups: number };
  return { P: new Matrix(P), h, cups };
}
