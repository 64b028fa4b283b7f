/**
 * The one SQLite file: opening, pragmas, migrations, transactions.
 * Invariants: WAL with synchronous=FULL, so an acknowledged write survives a killed process;
 * foreign keys on; the schema version is `user_version`; migrations are applied in order, each in
 * its own transaction; a database newer than the program is refused, never touched.
 */
import { mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { userFault } from '@/core/errors';

export type Db = Database.Database;

const MIGRATIONS_FOLDER = join(/* turbopackIgnore: true */ process.cwd(), 'src/data/migrations');
const BUSY_TIMEOUT_MS = 5000;

interface Migration {
  readonly version: number;
  readonly name: string;
  readonly sql: string;
}

/** Migrations on disk, in order; file names begin with their version: `0001_name.sql`. */
function readMigrations(folder = MIGRATIONS_FOLDER): Migration[] {
  return readdirSync(folder)
    .filter((name) => /^\d{4}_.+\.sql$/.test(name))
    .sort()
    .map((name) => ({
      version: Number(name.slice(0, 4)),
      name,
      sql: readFileSync(join(/* turbopackIgnore: true */ folder, name), 'utf8'),
    }));
}

/**
 * Opens (and creates or upgrades) the database of a file.
 * @throws UserFault `newerDatabase` when it was written by a newer program.
 */
export function openDatabase(file: string): Db {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const db = new Database(file);
  try {
    db.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
    refuseNewer(db, file);
    db.pragma('journal_mode = WAL');
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    migrate(db);
    return db;
  } catch (error) {
    db.close();
    throw error;
  }
}

function versionOf(db: Db): number {
  return db.pragma('user_version', { simple: true }) as number;
}

function refuseNewer(db: Db, file: string): void {
  const newest = readMigrations().at(-1)!.version;
  const found = versionOf(db);
  if (found > newest)
    throw userFault(
      'newerDatabase',
      'database',
      `The database ${file} has schema ${found}; this Kettlebrand knows up to ${newest}. It was written by a newer version and was left untouched. Update Kettlebrand, or point KETTLEBRAND_DATA at another folder.`,
    );
}

/** Applies what is missing; two processes starting at once apply each migration once. */
function migrate(db: Db): void {
  for (const { version, sql } of readMigrations()) {
    db.transaction(() => {
      if (versionOf(db) >= version) return;
      db.exec(sql);
      db.pragma(`user_version = ${version}`);
    }).immediate();
  }
}

/** Where the database of this process lives. */
export function databaseFile(): string {
  const folder =
    process.env.KETTLEBRAND_DATA ?? join(/* turbopackIgnore: true */ process.cwd(), 'data');
  return join(folder, 'kettlebrand.sqlite');
}

const statements = new WeakMap<Db, Map<string, Database.Statement>>();

/** The compiled statement of a text, kept with its database: compiling costs more than most runs. */
export function prepared(db: Db, sql: string): Database.Statement {
  let known = statements.get(db);
  if (!known) statements.set(db, (known = new Map<string, Database.Statement>()));
  let statement = known.get(sql);
  if (!statement) known.set(sql, (statement = db.prepare(sql)));
  return statement;
}

const shared = globalThis as { kettlebrandDb?: Db };

/** The open database of this process; opened on first use. */
export function database(): Db {
  shared.kettlebrandDb ??= openDatabase(databaseFile());
  return shared.kettlebrandDb;
}

/** Ends cleanly: what the log holds goes into the file, and the file stands alone. */
export function closeDatabase(): void {
  const db = shared.kettlebrandDb;
  delete shared.kettlebrandDb;
  if (!db) return;
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
}
