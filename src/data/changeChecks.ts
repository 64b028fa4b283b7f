/**
 * Changes the CHECKs of a table that stands: SQLite keeps them with its definition and alters none. Its rows, indices, triggers
 * and whatever refers to it stay as they are. Source: SQLite, ALTER TABLE, "making other kinds of table schema
 * changes", the procedure for changes that touch no row.
 */
import { assert } from '@/core/errors';
import type { Database as Db } from 'better-sqlite3';

/**
 * Inside a transaction of a migration. Every row is held against the new definition.
 * @param change the definition as it was, answered as it is to be; only CHECKs may differ.
 */
export function changeChecks(db: Db, table: string, change: (sql: string) => string): void {
  const definition = db
    .prepare(`SELECT sql FROM sqlite_schema WHERE type = 'table' AND name = ?`)
    .pluck();
  const before = definition.get(table) as string | undefined;
  assert(before !== undefined, `no table ${table}`);
  const after = change(before);
  assert(after !== before, `the CHECK that was to change in ${table} is not there`);
  const version = db.pragma('schema_version', { simple: true }) as number;
  db.unsafeMode(true);
  try {
    db.pragma('writable_schema = ON');
    db.prepare(`UPDATE sqlite_schema SET sql = ? WHERE type = 'table' AND name = ?`).run(
      after,
      table,
    );
    db.pragma(`schema_version = ${version + 1}`);
  } finally {
    db.pragma('writable_schema = RESET');
    db.unsafeMode(false);
  }
  const found = db.pragma(`integrity_check(${table})`, { simple: true });
  assert(found === 'ok', `${table} does not hold its new definition: ${String(found)}`);
}

/** A definition without the list of words a column is checked against. */
export function withoutWordList(column: string): (sql: string) => string {
  const list = new RegExp(`\\s*CHECK \\(${column} IN \\('[^)]*'\\)\\)`);
  return (sql) => sql.replace(list, '');
}

/** A definition whose column takes values up to another limit. */
export function withLimit(
  column: string,
  [before, after]: readonly [number, number],
): (sql: string) => string {
  const check = new RegExp(`(CHECK \\(${column} BETWEEN -?[\\d.]+ AND )${before}\\)`);
  return (sql) => sql.replace(check, `$1${after})`);
}
