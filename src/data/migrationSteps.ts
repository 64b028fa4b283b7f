/** What a migration does that SQL cannot say, by its version; after its SQL, in the same transaction. Append only. */
import type { Database as Db } from 'better-sqlite3';
import { changeChecks, withLimit, withoutWordList } from './changeChecks';

const WORD_LISTS = [
  ['house', 'temperature_school'],
  ['house', 'rest_school'],
  ['house', 'dose_school'],
  ['house', 'headspace'],
  ['house', 'card_language'],
  ['partner', 'language'],
  ['release', 'dose_school'],
] as const;

export const MIGRATION_STEPS: Readonly<Record<number, (db: Db) => void>> = {
  23: (db) => {
    for (const [table, column] of WORD_LISTS) changeChecks(db, table, withoutWordList(column));
  },
  26: (db) => {
    changeChecks(db, 'grinder', withLimit('retention_g', [20, 60]));
    changeChecks(db, 'shot', withLimit('purge_g', [40, 120]));
  },
};
