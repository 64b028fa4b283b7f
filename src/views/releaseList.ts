/** Every release in a line, for who puts several in order at once. Server only. */
import type { Served } from '@/core/vocabulary';
import { prepared, type Db } from '@/data/database';

export interface ReleaseLine {
  readonly id: string;
  readonly name: string;
  readonly rowVersion: number;
  readonly serving: Served;
  readonly promisedNotes: readonly string[];
  readonly isArchived: boolean;
  /** Of its newest batch; null where it has none. */
  readonly roastDate: string | null;
  /** Its newest version, and whether that is public now. */
  readonly version: number | null;
  readonly isPublic: boolean;
  readonly hasBench: boolean;
}

export interface ReleaseListView {
  readonly words: string;
  readonly shows: 'current' | 'archived';
  readonly lines: readonly ReleaseLine[];
  /** There are more than are listed. */
  readonly isCut: boolean;
  readonly archived: number;
}

/** So many lines at once; words narrow them. */
const MOST_LINES = 200;
const MOST_CHARACTERS = 80;

const LINES = `
  SELECT l.id, l.name, l.row_version AS rowVersion, l.serving, l.promised_notes AS promisedNotes,
    l.is_archived AS isArchived,
    (SELECT max(b.roast_date) FROM batch b WHERE b.release_id = l.id AND b.removed_at IS NULL) AS roastDate,
    (SELECT max(v.number) FROM recipe_version v WHERE v.release_id = l.id) AS version,
    EXISTS (SELECT 1 FROM publication p WHERE p.release_id = l.id AND p.withdrawn_at IS NULL) AS isPublic,
    EXISTS (SELECT 1 FROM dial_in d WHERE d.release_id = l.id) AS hasBench
  FROM release l
  WHERE l.removed_at IS NULL AND l.is_archived = @archived AND l.name LIKE @like ESCAPE '\\'
  ORDER BY roastDate DESC NULLS LAST, l.created_at DESC, l.rowid DESC LIMIT @most`;

/** A line as SQLite gives it. */
type LineRow = Omit<ReleaseLine, 'promisedNotes' | 'isArchived' | 'isPublic' | 'hasBench'> & {
  readonly promisedNotes: string;
  readonly isArchived: 0 | 1;
  readonly isPublic: 0 | 1;
  readonly hasBench: 0 | 1;
};

type Search = Readonly<Record<string, string | string[] | undefined>>;

export function readReleaseList(db: Db, search: Search): ReleaseListView {
  const words = (typeof search.q === 'string' ? search.q : '').trim().slice(0, MOST_CHARACTERS);
  const shows = search.shows === 'archived' ? 'archived' : 'current';
  const rows = prepared(db, LINES).all({
    archived: shows === 'archived' ? 1 : 0,
    like: `%${words.replace(/[\\%_]/g, '\\$&')}%`,
    most: MOST_LINES + 1,
  }) as LineRow[];
  const { archived } = prepared(
    db,
    'SELECT count(*) AS archived FROM release WHERE removed_at IS NULL AND is_archived = 1',
  ).get() as { archived: number };
  return {
    words,
    shows,
    archived,
    isCut: rows.length > MOST_LINES,
    lines: rows.slice(0, MOST_LINES).map((row) => ({
      ...row,
      promisedNotes: JSON.parse(row.promisedNotes) as string[],
      isArchived: Boolean(row.isArchived),
      isPublic: Boolean(row.isPublic),
      hasBench: Boolean(row.hasBench),
    })),
  };
}
