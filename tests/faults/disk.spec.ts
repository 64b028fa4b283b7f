/** Disks that are full, or somebody else's: said in one sentence, nothing lost. */
import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, chownSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { expect, test } from '../support/browserTest';
import { copyDemoHouse } from '../support/demoHouse';
import { programArgs } from '../support/program';
import { startServer } from '../support/server';
import { openRelease } from '../support/openRelease';
import { signIn } from '../support/signIn';

const isRoot = process.platform === 'linux' && process.getuid?.() === 0;
let folder: string;
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'kettlebrand-disk-'));
});
test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

test('a full disk: it is said, the shot waits on the device and goes up once there is room', async ({
  page,
}) => {
  test.skip(!isRoot, 'Only root can make a disk of its own to fill.');
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=8m', 'tmpfs', folder]);
  expect(mounted.stderr.toString()).toBe('');
  const databaseFile = join(folder, 'kettlebrand.sqlite');
  copyDemoHouse(databaseFile);
  const server = await startServer({ demo: true, databaseFile });
  const count = () => {
    const db = new Database(databaseFile, { readonly: true });
    const shots = db.prepare('SELECT count(*) FROM shot').pluck().get() as number;
    db.close();
    return shots;
  };
  try {
    const before = count();
    await signIn(page, server.url);
    await openRelease(page, server.url, 'Serra do Lume', 'pull');
    await page.getByLabel('Time, s').fill('26.4');
    const db = new Database(databaseFile);
    db.pragma('wal_checkpoint(TRUNCATE)');
    db.close();
    const filled = spawnSync('dd', ['if=/dev/zero', `of=${join(folder, 'filler')}`, 'bs=4k']);
    expect(filled.stderr.toString()).toMatch(/No space left/);
    await page.getByRole('button', { name: 'Log it' }).click();
    await expect(page.getByText(/1 shot waits to go up/)).toBeVisible();
    await expect(page.getByText(/disk of the server is full.*nothing was stored/)).toBeVisible();
    // A form of its own keeps what was typed.
    const people = await page.context().newPage();
    await people.goto(`${server.url}/people`);
    await people.getByLabel('Who it is for').fill('Marlow');
    await people.getByRole('button', { name: 'Make a link' }).click();
    await expect(
      people.getByText('Nothing was stored, your entry is kept here: the disk is full.'),
    ).toBeVisible();
    await expect(people.getByLabel('Who it is for')).toHaveValue('Marlow');
    expect(count()).toBe(before);
    rmSync(join(folder, 'filler'));
    await expect(page.getByText(/Ledger: 4 shots/)).toBeVisible();
    expect(count()).toBe(before + 1);
  } finally {
    await server.close();
    spawnSync('umount', [folder]);
  }
});

/** What a start of the server as somebody without rights prints before it ends. */
function startAs(environment: Readonly<Record<string, string>>): Promise<string> {
  return new Promise((resolve) => {
    let said = '';
    const child = spawn(process.execPath, [...programArgs('server')], {
      env: {
        ...process.env,
        PORT: '0',
        NODE_ENV: 'production',
        ...environment,
      },
      ...(isRoot ? { uid: 65534, gid: 65534 } : {}),
    });
    const hear = (chunk: Buffer) => (said += chunk.toString());
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('exit', (code) => resolve(`${code}: ${said.trim()}`));
  });
}

test('a folder or a file of somebody else: one sentence with the remedy, and nothing is touched', async () => {
  const databaseFile = join(folder, 'kettlebrand.sqlite');
  copyDemoHouse(databaseFile);
  const closed =
    /^1: Kettlebrand cannot open its database: .* is closed to us\. Give it to the person the server runs as\.$/;
  chmodSync(folder, isRoot ? 0o700 : 0o000);
  expect(await startAs({ KETTLEBRAND_DATA: folder })).toMatch(closed);
  chmodSync(folder, 0o755);
  chmodSync(databaseFile, isRoot ? 0o600 : 0o000);
  expect(await startAs({ KETTLEBRAND_DATA: folder })).toMatch(closed);
  chmodSync(databaseFile, 0o444);
  expect(await startAs({ KETTLEBRAND_DATA: folder })).toMatch(closed);
});

test('a disk that can only be read, and one too full to open on', async () => {
  test.skip(!isRoot, 'Only root can make a disk of its own.');
  const disk = join(folder, 'disk');
  mkdirSync(disk);
  chmodSync(folder, 0o755);
  const mount = (options: string) =>
    spawnSync('mount', ['-t', 'tmpfs', '-o', options, 'tmpfs', disk]).stderr.toString();
  expect(mount('size=8m')).toBe('');
  try {
    const databaseFile = join(disk, 'kettlebrand.sqlite');
    copyDemoHouse(databaseFile);
    for (const path of [disk, databaseFile]) chownSync(path, 65534, 65534);
    expect(mount('remount,ro')).toBe('');
    expect(await startAs({ KETTLEBRAND_DATA: disk })).toMatch(
      /^1: Kettlebrand cannot open its database: .* can only be read\. Let the person/,
    );
    expect(mount('remount,rw')).toBe('');
    writeFileSync(join(disk, 'filler'), '');
    spawnSync('dd', ['if=/dev/zero', `of=${join(disk, 'filler')}`, 'bs=4k']);
    expect(await startAs({ KETTLEBRAND_DATA: disk })).toMatch(
      /^1: Kettlebrand cannot open its database: the disk is full\. Make room/,
    );
  } finally {
    spawnSync('umount', [disk]);
  }
});
