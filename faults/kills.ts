/** Kills a writer at any moment, again and again, and looks what it left. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { openHouse } from '../tests/support/house';
import type { Counts } from './counts';

/** The rows a command makes, by the id it was given; what stands must be all or nothing. */
const MADE: Readonly<Record<string, string>> = {
  createRelease: `SELECT count(*) FROM release l JOIN component c ON c.release_id = l.id
    JOIN batch b ON b.release_id = l.id AND b.id = l.id || '-1' WHERE l.id = ?`,
  acceptRecipe: 'SELECT count(*) FROM recipe_draft WHERE id = ?',
  logShot: 'SELECT count(*) FROM shot WHERE id = ?',
  recordTasting: 'SELECT count(*) FROM tasting WHERE id = ?',
  publish: `SELECT count(*) FROM recipe_version v JOIN publication b ON b.release_id = v.release_id
    WHERE v.id = ?`,
  acceptInvitation: 'SELECT count(*) FROM person WHERE id = ?',
  invite: 'SELECT count(*) FROM invitation WHERE id = ?',
  saveProgramme: 'SELECT count(*) FROM programme WHERE id = ?',
  savePart: 'SELECT count(*) FROM grinder WHERE id = ?',
};
/** Tables in which each row was made by one command of a kind. */
const ROWS: Readonly<Record<string, string>> = {
  logShot: 'shot',
  recordTasting: 'tasting',
  acceptRecipe: 'recipe_draft',
  publish: 'recipe_version',
};

export async function kill(folder: string, kills: number, counts: Counts): Promise<void> {
  const file = join(folder, 'kettlebrand.sqlite');
  openHouse(file).db.close();
  const said = new Map<string, string>();
  for (let n = 0; n < kills; n++) {
    for (const [id, kind] of await killed(file, 40 + ((n * 37) % 400))) said.set(id, kind);
    counts.kills++;
    look(file, said, counts);
    said.clear();
  }
}

/** Starts a writer, kills it so long after its first word, and answers what it said was stored. */
function killed(file: string, afterMs: number): Promise<Map<string, string>> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'faults/writer.ts', file], {
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let words = '';
    let faults = '';
    let isTimed = false;
    child.stderr.on('data', (chunk: Buffer) => (faults += chunk.toString()));
    child.stdout.on('data', (chunk: Buffer) => {
      words += chunk.toString();
      if (!isTimed) setTimeout(() => child.kill('SIGKILL'), afterMs);
      isTimed = true;
    });
    child.once('exit', (_code, signal) => {
      if (signal !== 'SIGKILL') return reject(new Error(`The writer ended by itself:\n${faults}`));
      // A line that broke off was not said.
      const lines = words.split('\n').slice(0, -1);
      resolve(new Map(lines.map((line) => line.split(' ').slice(1).reverse() as [string, string])));
    });
  });
}

function look(file: string, said: ReadonlyMap<string, string>, counts: Counts): void {
  const db = new Database(file);
  if (db.pragma('quick_check', { simple: true }) !== 'ok') counts.partial++;
  if ((db.pragma('foreign_key_check') as unknown[]).length > 0) counts.partial++;
  const one = (sql: string, ...of: unknown[]) =>
    db
      .prepare(sql)
      .pluck()
      .get(...of) as number;
  for (const [id, kind] of said) {
    counts.acknowledged++;
    if (one('SELECT count(*) FROM event WHERE id = ?', id) !== 1) counts.lost++;
    const made = MADE[kind];
    if (made && one(made, id) !== 1) counts.lost++;
  }
  for (const [kind, table] of Object.entries(ROWS)) {
    const [rows, events] = [
      one(`SELECT count(*) FROM ${table}`),
      one('SELECT count(*) FROM event WHERE kind = ?', kind),
    ];
    if (rows > events) counts.doubled++;
    if (rows < events) counts.partial++;
  }
  db.close();
}
