/** A process that logs shots is killed again and again: nothing acknowledged is lost or doubled. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase } from '@/data/database';
import { openHouse } from '../support/house';

const KILLS = 5;

/** Starts the logging process, waits for some acknowledgements, kills it; answers those it gave. */
function logUntilKilled(file: string, draftId: string, after: number): Promise<string[]> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [
      '--import',
      'tsx',
      'tests/support/logShots.ts',
      file,
      draftId,
    ]);
    let text = '';
    let errors = '';
    child.stderr.on('data', (chunk: Buffer) => (errors += chunk.toString()));
    child.stdout.on('data', (chunk: Buffer) => {
      text += chunk.toString();
      const pid = /^pid (\d+)$/m.exec(text)?.[1];
      if (pid && (text.match(/^ok /gm)?.length ?? 0) >= after) process.kill(Number(pid), 'SIGKILL');
    });
    child.once('error', reject);
    child.once('close', () => {
      if (errors) reject(new Error(errors));
      // A last line cut short by the kill was never an acknowledgement.
      const complete = text.slice(0, text.lastIndexOf('\n')).split('\n');
      resolve(complete.filter((line) => line.startsWith('ok ')).map((line) => line.slice(3)));
    });
  });
}

test('kill -9 while shots are being logged', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-'));
  const file = join(folder, 'kettlebrand.sqlite');
  const { db, draftId } = openHouse(file);
  db.close();
  const acknowledged: string[] = [];
  for (let kill = 0; kill < KILLS; kill++)
    acknowledged.push(...(await logUntilKilled(file, draftId, 3 + 5 * kill)));
  const after = openDatabase(file);
  const stored = (after.prepare('SELECT id FROM shot').all() as { id: string }[]).map((r) => r.id);
  expect(acknowledged.length).toBeGreaterThanOrEqual(3 + 8 + 13 + 18 + 23);
  expect(stored).toEqual(expect.arrayContaining(acknowledged));
  expect(new Set(stored).size).toBe(stored.length);
  // The killed process may have stored one more than it could say.
  expect(stored.length - acknowledged.length).toBeLessThanOrEqual(KILLS);
  expect(after.pragma('integrity_check', { simple: true })).toBe('ok');
  after.close();
  rmSync(folder, { recursive: true });
}, 60_000);
