/**
 * `npm run schema`: writes docs/schema.sql, the database as all migrations leave it, for reading. `-- --check` writes nothing and
 * says whether it is up to date.
 */
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ensureInstalled } from './lib/install.mjs';
import { ROOT } from './lib/packages.mjs';

const MIGRATIONS = join(ROOT, 'src/data/migrations');
const FILE = join(ROOT, 'docs/schema.sql');
const HEAD =
  '-- The database as all migrations leave it. Made by `npm run schema`; a test keeps it true.\n';

const isCheck = process.argv.includes('--check');
// Whoever checks has what is needed; a test must not begin an install.
if (!isCheck) ensureInstalled();
const Database = createRequire(import.meta.url)('better-sqlite3');
const db = new Database(':memory:');
for (const name of readdirSync(MIGRATIONS)
  .filter((file) => file.endsWith('.sql'))
  .sort())
  db.exec(readFileSync(join(MIGRATIONS, name), 'utf8'));

const things = db
  .prepare(
    `SELECT sql FROM sqlite_schema WHERE sql IS NOT NULL AND name NOT LIKE 'sqlite_%'
     ORDER BY tbl_name, type = 'table' DESC, type, name`,
  )
  .all();
const schema = `${HEAD}\n${things.map(({ sql }) => `${sql};\n`).join('\n')}`;

if (!isCheck) writeFileSync(FILE, schema);
else if (!existsSync(FILE) || readFileSync(FILE, 'utf8') !== schema) {
  process.stderr.write('docs/schema.sql is not what the migrations make. Run: npm run schema\n');
  process.exitCode = 1;
}
