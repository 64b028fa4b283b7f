/** Every release in a line, for who puts several in order at once. Server only. */
import type { Served } from '@/core/vocabulary';
import { prepared, type Db } from '@/data/database';

export interface ReleaseLine {
  readonly id: string;
  readonly name: string;
  readonly rowVersion: number;
  readonly serving: Served;
  readonly promisedNotes: readonly string[];
  readonly tags: readonly string[];
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
  readonly sort: ReleaseSort;
  readonly order: Order;
  /** Which page of how many, from 1. */
  readonly page: number;
  readonly pages: number;
  /** Of all pages. */
  readonly count: number;
  readonly archived: number;
}

/** So many lines on a page. */
const PAGE_LINES = 200;
const MOST_CHARACTERS = 80;

/** What the lines can be put in order by; the first order is how each is asked for first. */
const SORTS = {
  roasted: { by: 'roastDate', first: 'down' },
  name: { by: 'l.name COLLATE NOCASE', first: 'up' },
  recipe: { by: 'version', first: 'down' },
  served: { by: 'l.serving', first: 'up' },
} as const;
export type ReleaseSort = keyof typeof SORTS;
export type Order = 'up' | 'down';

const MATCHING = `
  FROM release l
  WHERE l.removed_at IS NULL AND l.is_archived = @archived AND (l.name LIKE @like ESCAPE '\\' OR EXISTS (SELECT 1 FROM json_each(l.tags) tag WHERE tag.value LIKE @like ESCAPE '\\'))`;

const linesBy = (sort: ReleaseSort, order: Order) => `
  SELECT l.id, l.name, l.row_version AS rowVersion, l.serving, l.promised_notes AS promisedNotes, l.tags,
    l.is_archived AS isArchived,
    (SELECT max(b.roast_date) FROM batch b WHERE b.release_id = l.id AND b.removed_at IS NULL) AS roastDate,
    (SELECT max(v.number) FROM recipe_version v WHERE v.release_id = l.id) AS version,
    EXISTS (SELECT 1 FROM publication p WHERE p.release_id = l.id AND p.withdrawn_at IS NULL) AS isPublic,
    EXISTS (SELECT 1 FROM dial_in d WHERE d.release_id = l.id) AS hasBench
  ${MATCHING}
  ORDER BY ${SORTS[sort].by} ${order === 'up' ? 'ASC' : 'DESC'} NULLS LAST, l.created_at DESC, l.rowid DESC
  LIMIT @most OFFSET @skip`;

/** A line as SQLite gives it. */
type LineRow = Omit<
  ReleaseLine,
  'promisedNotes' | 'tags' | 'isArchived' | 'isPublic' | 'hasBench'
> & {
  readonly promisedNotes: string;
  readonly tags: string;
  readonly isArchived: 0 | 1;
  readonly isPublic: 0 | 1;
  readonly hasBench: 0 | 1;
};

type Search = Readonly<Record<string, string | string[] | undefined>>;

const oneOf = <T extends string>(value: unknown, all: readonly T[]): T | undefined =>
  all.find((one) => one === value);

export function readReleaseList(db: Db, search: Search): ReleaseListView {
  const words = (typeof search.q === 'string' ? search.q : '').trim().slice(0, MOST_CHARACTERS);
  const shows = search.shows === 'archived' ? 'archived' : 'current';
  const sort = oneOf(search.sort, Object.keys(SORTS) as ReleaseSort[]) ?? 'roasted';
  const order = oneOf(search.order, ['up', 'down']) ?? SORTS[sort].first;
  const matching = {
    archived: shows === 'archived' ? 1 : 0,
    like: `%${words.replace(/[\\%_]/g, '\\$&')}%`,
  };
  const count = countOf(db, `SELECT count(*) AS count ${MATCHING}`, matching);
  const pages = Math.max(1, Math.ceil(count / PAGE_LINES));
  const page = Math.min(pages, Math.max(1, Math.trunc(Number(search.page)) || 1));
  const rows = prepared(db, linesBy(sort, order)).all({
    ...matching,
    most: PAGE_LINES,
    skip: (page - 1) * PAGE_LINES,
  }) as LineRow[];
  return {
    words,
    shows,
    sort,
    order,
    page,
    pages,
    count,
    archived: countOf(db, `SELECT count(*) AS count ${MATCHING}`, { archived: 1, like: '%' }),
    lines: rows.map((row) => ({
      ...row,
      promisedNotes: JSON.parse(row.promisedNotes) as string[],
      tags: JSON.parse(row.tags) as string[],
      isArchived: Boolean(row.isArchived),
      isPublic: Boolean(row.isPublic),
      hasBench: Boolean(row.hasBench),
    })),
  };
}

function countOf(db: Db, sql: string, of: object): number {
  return (prepared(db, sql).get(of) as { count: number }).count;
}
