/** Is every published version what it was when it was published? */
import type { Db } from '@/data/database';
import { readDocument } from '@/formats/recipe/readers';

interface Row {
  readonly name: string;
  readonly number: number;
  readonly document: string;
  readonly sha256: string;
}

/** Those that are not, named as "Dembi Ridge, version 2". */
export function brokenVersions(db: Db): string[] {
  const rows = db.prepare(
    `SELECT l.name, v.number, v.document, v.sha256
     FROM recipe_version v JOIN release l ON l.id = v.release_id ORDER BY v.published_at`,
  );
  const broken: string[] = [];
  for (const row of rows.iterate() as IterableIterator<Row>)
    if (!isWhole(row)) broken.push(`${row.name}, version ${row.number}`);
  return broken;
}

function isWhole({ document, sha256 }: Row): boolean {
  try {
    return readDocument(document).sha256 === sha256;
  } catch {
    return false;
  }
}
