/**
 * `npm run faults`: kills, hostile inputs, a full disk, two servers on one file. Longer than the tests;
 * prints what was tried and what was found, and fails when anything was. KILLS and INPUTS change how many.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openHouse } from '../tests/support/house';
import { BAD, noCounts } from './counts';
import { askHostile, hinder, importHostile, sendHostile } from './inputs';
import { kill } from './kills';
import { sendToBoth } from './twoServers';
import { takeOver } from './warmCopy';

const kills = Number(process.env.KILLS ?? 500);
const inputs = Number(process.env.INPUTS ?? 10_000);
const counts = noCounts();
const folders = [0, 1].map(() => mkdtempSync(join(tmpdir(), 'kettlebrand-faults-')));

const say = (what: string) => process.stdout.write(`${what}\n`);
try {
  const house = openHouse();
  sendHostile(house, Math.ceil((inputs * 0.6) / 26), counts);
  say(`commands: ${counts.inputs} inputs`);
  importHostile(openHouse(), Math.ceil((inputs * 0.16) / 4), counts);
  hinder(counts);
  say(`and importers, full disk, read-only, clock set back: ${counts.inputs}`);
  await askHostile(Math.ceil(inputs * 0.25), counts);
  say(`and routes: ${counts.inputs}`);
  await sendToBoth(60, counts);
  say(`and two servers on one file: ${counts.inputs}`);
  const { seconds, logged, found } = await takeOver(counts);
  say(
    `a second machine took over ${seconds.toFixed(1)} s after the first was gone, with ${found} of ${logged} shots: all of its last copy`,
  );
  await Promise.all(folders.map((folder) => kill(folder, Math.ceil(kills / 2), counts)));
} finally {
  for (const folder of folders) rmSync(folder, { recursive: true, force: true });
}
say(
  Object.entries(counts)
    .map(([name, count]) => `${name} ${count}`)
    .join(', '),
);
process.exitCode = BAD.every((name) => counts[name] === 0) ? 0 : 1;
