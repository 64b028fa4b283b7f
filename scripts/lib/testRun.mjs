/** What the tests of one run share: a time zone in which no midnight falls into it, and the demo house. Node alone. */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { BUILT, programArgs } from './build.mjs';
import { ROOT } from './packages.mjs';

const MORNING = 9;

/** The zone in which it is past nine in the morning now: a run meets no midnight, and another zone at another hour. */
export function morningZone(utcHour = new Date().getUTCHours()) {
  const east = MORNING - utcHour;
  // Zones reach from 12 hours behind to 14 ahead; their names carry the sign the other way round.
  const hours = east < -12 ? east + 24 : east;
  return hours === 0 ? 'Etc/GMT' : `Etc/GMT${hours > 0 ? '-' : '+'}${Math.abs(hours)}`;
}

/**
 * The demo house of this build and this day, made once and kept for the next run. Answers its file.
 * @throws Error with what the seed printed, when it cannot be made.
 */
export async function demoHouseFile() {
  const folder = join(ROOT, '.cache/demo');
  const day = new Date().toLocaleDateString('en-CA');
  const name = `${readFileSync(BUILT, 'utf8').slice(0, 16)}-${day}-${process.env.TZ.replace(/\W/g, '_')}.sqlite`;
  const file = join(folder, name);
  if (existsSync(file)) return file;
  mkdirSync(folder, { recursive: true });
  for (const old of readdirSync(folder)) rmSync(join(folder, old), { force: true });
  const making = `${file}.making`;
  await new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [...programArgs('seedDemo'), making], {
      cwd: ROOT,
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    let said = '';
    child.stderr.on('data', (chunk) => (said += chunk));
    child.once('exit', (code) => (code === 0 ? resolve() : reject(new Error(said))));
  });
  renameSync(making, file);
  return file;
}
