/**
 * A whole house as open files, and back into an empty place: each table as CSV, the sheets people know,
 * every published document, and a manifest with the hash of each file.
 */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { openDatabase, type Db } from '@/data/database';
import { now } from '@/data/rows';
import { exportSheet } from '@/features/import/exports';
import { SHEET_NAMES } from '@/features/import/sheetNames';
import { writeCsv } from '@/formats/sheets/csv';
import {
  readTable,
  writeTable,
  type TableColumn,
  type TableValue,
} from '@/formats/sheets/tableCsv';

const FORMAT = 'kettlebrand-house';
const FORMAT_VERSION = 1;
const MANIFEST = 'manifest.json';

/** What lets somebody in, and what is made anew from the rest. */
const LEFT_OUT = [
  'session',
  'known_browser',
  'sign_in_try',
  'epoch',
  'findable',
  'findable_state',
  'public_file',
];

function tablesOf(db: Db): string[] {
  const names = db
    .prepare(
      `SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%'
         AND name NOT LIKE 'found%' ORDER BY rowid`,
    )
    .pluck()
    .all() as string[];
  return names.filter((name) => !LEFT_OUT.includes(name));
}

function columnsOf(db: Db, table: string): TableColumn[] {
  const columns = db.pragma(`table_info(${table})`) as { name: string; type: string }[];
  return columns.map(({ name, type }) => ({ name, kind: type === 'TEXT' ? 'text' : 'number' }));
}

export interface Exported {
  readonly folder: string;
  readonly files: number;
  readonly rows: number;
}

/** @throws UserFault when the folder has something in it. */
export function exportHouse(db: Db, folder: string): Exported {
  if (existsSync(folder) && readdirSync(folder).length > 0)
    throw userFault('refused', 'folder', `${folder} is not empty. Name a new folder.`);
  const files: z.output<typeof manifest>['files'] = [];
  const write = (path: string, text: string, rows?: number) => {
    mkdirSync(dirname(join(folder, path)), { recursive: true, mode: 0o700 });
    writeFileSync(join(folder, path), text, { mode: 0o600 });
    files.push({ path, sha256: sha256Of(text), ...(rows === undefined ? {} : { rows }) });
  };
  // One moment of the house, whoever writes meanwhile.
  const rows = db.transaction(() => {
    let all = 0;
    for (const table of tablesOf(db)) {
      const found = db.prepare(`SELECT * FROM ${table}`).raw().all() as TableValue[][];
      write(`tables/${table}.csv`, writeTable(columnsOf(db, table), found), found.length);
      all += found.length;
    }
    for (const sheet of SHEET_NAMES) write(`sheets/${sheet}.csv`, writeCsv(exportSheet(db, sheet)));
    for (const { path, document } of documentsOf(db)) write(path, document);
    return all;
  })();
  const schema = db.pragma('user_version', { simple: true }) as number;
  const said = { format: FORMAT, formatVersion: FORMAT_VERSION, schema, madeAt: now(), files };
  writeFileSync(join(folder, MANIFEST), `${JSON.stringify(said, null, 2)}\n`, { mode: 0o600 });
  return { folder, files: files.length, rows };
}

function documentsOf(db: Db): { path: string; document: string }[] {
  const rows = db
    .prepare(
      `SELECT l.name, v.release_id AS id, v.number, v.document
       FROM recipe_version v JOIN release l ON l.id = v.release_id ORDER BY v.published_at`,
    )
    .all() as { name: string; id: string; number: number; document: string }[];
  return rows.map(({ name, id, number, document }) => {
    const plain = name
      .normalize('NFKD')
      .replace(/[^A-Za-z0-9]+/g, '-')
      .toLowerCase();
    return { path: `recipes/${plain}-${id.slice(0, 8)}-v${number}.json`, document };
  });
}

const manifest = z.object({
  format: z.literal(FORMAT),
  formatVersion: z.literal(FORMAT_VERSION),
  schema: z.number().int(),
  madeAt: z.string(),
  files: z.array(
    z.object({
      // Nothing outside the folder.
      path: z.string().regex(/^(tables|sheets|recipes)\/[\w.-]+$/),
      sha256: z.string(),
      rows: z.number().int().optional(),
    }),
  ),
});

/** Reads such a folder into a place where there is no house. Nothing stays of it when anything is wrong. */
export function importHouse(folder: string, file: string): { rows: number } {
  if (existsSync(file))
    throw userFault(
      'refused',
      'folder',
      `There is a database in ${dirname(file)} already, and it was left alone. Name an empty folder by KETTLEBRAND_DATA.`,
    );
  const said = readManifest(folder);
  const db = openDatabase(file);
  try {
    const schema = db.pragma('user_version', { simple: true }) as number;
    if (said.schema !== schema)
      throw userFault(
        'badInput',
        'schema',
        `This was exported by another version (schema ${said.schema}, here ${schema}). Restore a backup with this version, or import with that one.`,
      );
    const texts = readFiles(folder, said.files);
    const rows = db.transaction(() => fill(db, texts))();
    db.close();
    return { rows };
  } catch (error) {
    db.close();
    for (const suffix of ['', '-wal', '-shm']) rmSync(file + suffix, { force: true });
    throw error;
  }
}

function readManifest(folder: string): z.output<typeof manifest> {
  let text: unknown = null;
  try {
    text = JSON.parse(readFileSync(join(folder, MANIFEST), 'utf8'));
  } catch {
    // Said below: what is no manifest is none, missing or broken.
  }
  const read = manifest.safeParse(text);
  if (read.success) return read.data;
  throw userFault(
    'badInput',
    'folder',
    `${folder} has no ${MANIFEST} of a house. Name the folder that kb export wrote.`,
  );
}

/** The texts of all files, each as its hash says. */
function readFiles(
  folder: string,
  files: z.output<typeof manifest>['files'],
): ReadonlyMap<string, string> {
  return new Map(
    files.map(({ path, sha256 }) => {
      const full = join(folder, path);
      const text = existsSync(full) ? readFileSync(full, 'utf8') : null;
      if (text === null)
        throw userFault('badInput', path, `${path} is missing. Copy the whole folder.`);
      if (sha256Of(text) !== sha256)
        throw userFault(
          'hashMismatch',
          path,
          `${path} is not what was exported: its hash is another. Copy the folder again.`,
        );
      return [path, text];
    }),
  );
}

function fill(db: Db, texts: ReadonlyMap<string, string>): number {
  db.pragma('defer_foreign_keys = ON');
  let all = 0;
  for (const table of tablesOf(db)) {
    const columns = columnsOf(db, table);
    const rows = readTable(texts.get(`tables/${table}.csv`) ?? '', table, columns);
    const insert = db.prepare(
      `INSERT INTO ${table} (${columns.map(({ name }) => name).join(', ')})
       VALUES (${columns.map(() => '?').join(', ')})`,
    );
    for (const row of rows) insert.run(...row);
    all += rows.length;
  }
  return all;
}

const sha256Of = (text: string) => createHash('sha256').update(text).digest('hex');
