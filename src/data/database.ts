/**
 * The one SQLite file: opening, pragmas, migrations, transactions.
 * Invariants: WAL with synchronous=FULL, so an acknowledged write survives a killed process;
 * foreign keys on; the schema version is `user_version`; migrations are applied in order, each in
 * its own transaction; a database newer than the program is refused, never touched.
 */
import {
  accessSync,
  chmodSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { userFault } from '@/core/errors';
import { MIGRATION_STEPS } from './migrationSteps';
import { knownWords } from './storage';

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
 * Opens (and creates or upgrades) the database of a file; nobody else of the machine can read it.
 * @throws UserFault `newerDatabase` when it was written by a newer program, `storage` when the disk or the
 *   file is against it, in one sentence with the remedy.
 */
export function openDatabase(file: string): Db {
  if (file === ':memory:') return prepare(new Database(file), file);
  return explained(file, () => {
    refuseEmpty(file);
    mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
    const db = prepare(new Database(file), file);
    chmodSync(file, 0o600);
    return db;
  });
}

function prepare(db: Db, file: string): Db {
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

function explained<T>(file: string, open: () => T): T {
  try {
    return open();
  } catch (error) {
    const words = knownWords(againstWriting(dirname(file)) ?? error, file);
    if (words === null) throw error;
    throw userFault('storage', 'database', `Kettlebrand cannot open its database: ${words}`);
  }
}

/** What keeps us from writing in a folder: SQLite does not tell a disk that can only be read from a closed one. */
function againstWriting(folder: string): unknown {
  try {
    accessSync(folder, constants.W_OK);
    return null;
  } catch (error) {
    return error;
  }
}

/** An empty file is what a full disk or a broken copy leaves: taken for a new house, it would be claimed. */
function refuseEmpty(file: string): void {
  if (existsSync(file) && statSync(file).size === 0)
    throw userFault(
      'storage',
      'database',
      `${file} is empty: a copy broke off or the disk was full. Put it aside and bring back the last backup (npm run kb -- restore FILE).`,
    );
}

/** Is every page of the file as SQLite left it? Null, or what is wrong in words. */
export function damageOf(db: Db, file: string): string | null {
  try {
    const found = db.pragma('quick_check(1)', { simple: true });
    return found === 'ok' ? null : wordsOfDamage(file, String(found));
  } catch (error) {
    return knownWords(error, file) ?? String(error);
  }
}

const wordsOfDamage = (file: string, found: string) =>
  `${file} is damaged (${found.replaceAll('\n', ' ').slice(0, 120)}). It was left as it is: put it aside and bring back the last backup (npm run kb -- restore FILE).`;

function versionOf(db: Db): number {
  return db.pragma('user_version', { simple: true }) as number;
}

/** The schema this program knows up to. */
export const newestSchema = (): number => readMigrations().at(-1)!.version;

function refuseNewer(db: Db, file: string): void {
  const newest = newestSchema();
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
      MIGRATION_STEPS[version]?.(db);
      db.pragma(`user_version = ${version}`);
    }).immediate();
  }
}

/** Where the database of this process lives. */
export function databaseFile(): string {
  const folder =
    process.env.KETTLEBRAND_DATA ?? join(/* turbopackIgnore: true */ process.cwd(), 'data/house');
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
