import type { Db } from './database';

const HEAD =
  '-- The database as all migrations leave it. Made by `npm run schema`; a test keeps it true.\n';

/** Every table, index and trigger of a database, for reading. */
export function schemaText(db: Db): string {
  const definitions = db
    .prepare(
      `SELECT sql FROM sqlite_schema WHERE sql IS NOT NULL AND name NOT LIKE 'sqlite_%'
       ORDER BY tbl_name, type = 'table' DESC, type, name`,
    )
    .pluck()
    .all() as string[];
  return `${HEAD}\n${definitions.map((sql) => `${sql};\n`).join('\n')}`;
}
