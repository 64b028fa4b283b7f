/** The demo house takes some seconds to make: it is made once for a whole run, and each test takes a copy. */
import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { programArgs } from './program';

/** Handed on to the processes that run the tests. */
const MADE = 'KETTLEBRAND_TEST_DEMO';

function demoHouse(): string {
  const made = process.env[MADE];
  if (made) return made;
  const file = join(mkdtempSync(join(tmpdir(), 'kettlebrand-demo-')), 'kettlebrand.sqlite');
  const { status, stderr } = spawnSync(process.execPath, [...programArgs('seedDemo'), file]);
  if (status !== 0) throw new Error(stderr.toString());
  process.env[MADE] = file;
  process.once('exit', () => rmSync(dirname(file), { recursive: true, force: true }));
  return file;
}

export function copyDemoHouse(databaseFile: string): void {
  mkdirSync(dirname(databaseFile), { recursive: true });
  copyFileSync(demoHouse(), databaseFile);
}

/** Before the first browser test. */
export default function makeDemoHouse(): void {
  demoHouse();
}
