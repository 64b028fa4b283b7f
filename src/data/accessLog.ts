/** Who came in, or tried to: sign-ins, wrong passwords, people who came and went, exports, backups. */
import { z } from 'zod';
import { prepared, type Db } from './database';
import { now } from './rows';

export interface DoorEntry {
  readonly personId: string | null;
  /** What was done: a command's kind, or a word of the session. */
  readonly kind: string;
  readonly words: string;
  /** Address and browser it came from; empty for this machine itself. */
  readonly source: string;
}

/** The oldest go when there are more; a year of a busy house is a tenth of it. */
const MOST_ENTRIES = 20_000;

const MOST_CHARACTERS = { words: 200, source: 120 } as const;

export function logAccess(db: Db, { personId, kind, words, source }: DoorEntry): void {
  prepared(
    db,
    'INSERT INTO door_log (at, person_id, kind, words, source) VALUES (?, ?, ?, ?, ?)',
  ).run(
    now(),
    personId,
    kind,
    words.slice(0, MOST_CHARACTERS.words),
    source.slice(0, MOST_CHARACTERS.source),
  );
  prepared(db, 'DELETE FROM door_log WHERE id <= (SELECT max(id) FROM door_log) - ?').run(
    MOST_ENTRIES,
  );
}

const entryRow = z.object({
  id: z.number(),
  at: z.string(),
  person: z.string().nullable(),
  words: z.string(),
  source: z.string(),
});
export type StoredDoorEntry = z.output<typeof entryRow>;

/** So many of the newest, newest first. */
export function listDoorLog(db: Db, most: number): StoredDoorEntry[] {
  return prepared(
    db,
    `SELECT d.id, d.at, p.name AS person, d.words, d.source
     FROM door_log d LEFT JOIN person p ON p.id = d.person_id ORDER BY d.id DESC LIMIT ?`,
  )
    .all(most)
    .map((row) => entryRow.parse(row));
}
