/**
 * A second machine with a warm copy: two hosts in network namespaces, joined by a cable. The first makes a
 * backup now and then while shots are logged, the second fetches them by rsync over ssh; then the cable is
 * cut and the second takes over. Says how long that took and what it had not got: what came after the last
 * copy, and nothing else. Needs root, and Debian's iproute2, openssh-server and rsync.
 */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import type { Db } from '@/data/database';
import { newId, openHouse, send, shotInput } from '../tests/support/house';
import type { Counts } from './counts';

const HOSTS = [
  { name: 'kb-first', device: 'kb-1', address: '10.77.0.1' },
  { name: 'kb-second', device: 'kb-2', address: '10.77.0.2' },
] as const;
const [FIRST, SECOND] = HOSTS;
const COPIES = 3;
const SHOTS_BETWEEN = 20;

export interface TakenOver {
  readonly seconds: number;
  /** Shots of the house when the cable was cut, and of them on the second machine. */
  readonly logged: number;
  readonly found: number;
}

export async function takeOver(counts: Counts): Promise<TakenOver> {
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-copy-'));
  const at = (...parts: string[]) => join(folder, ...parts);
  const running: ChildProcess[] = [];
  try {
    joinHosts();
    const ssh = startSsh(folder, running);
    const house = openHouse(at('first', 'kettlebrand.sqlite'));
    const fetch = () =>
      on(SECOND, 'rsync', [
        ...['-a', '--delete', '-e', ssh],
        ...[`root@${FIRST.address}:${at('copies')}/`, at('fetched')],
      ]);
    for (let copy = 0; copy < COPIES; copy++) {
      for (let n = 0; n < SHOTS_BETWEEN; n++)
        send(house.db, 'logShot', shotInput(house.draftId), newId());
      run('node', ['scripts/kb.mjs', 'backup', '--to', at('copies'), '--keep', '3'], {
        KETTLEBRAND_DATA: at('first'),
      });
      await until(() => fetch().status === 0);
    }
    const copied = countShots(house.db);
    send(house.db, 'logShot', shotInput(house.draftId), newId());
    const logged = countShots(house.db);
    house.db.close();

    run('ip', ['-n', FIRST.name, 'link', 'set', FIRST.device, 'down']);
    if (fetch().status === 0) throw new Error('The cable was not cut.');
    const start = performance.now();
    const newest = readdirSync(at('fetched')).sort().at(-1)!;
    const env = { KETTLEBRAND_DATA: at('second'), PORT: '3210', HOST: SECOND.address };
    run('node', ['scripts/kb.mjs', 'restore', at('fetched', newest)], env);
    running.push(
      spawn('ip', ['netns', 'exec', SECOND.name, 'node', 'scripts/serve.mjs', 'house'], {
        env: { ...process.env, ...env },
        stdio: 'ignore',
      }),
    );
    const status = `http://${SECOND.address}:3210/status`;
    await until(() => on(SECOND, 'curl', ['-sf', status]).status === 0);
    const seconds = (performance.now() - start) / 1000;
    const db = new Database(at('second', 'kettlebrand.sqlite'), { readonly: true });
    const found = countShots(db);
    db.close();
    counts.lost += Math.max(0, copied - found);
    return { seconds, logged, found };
  } finally {
    for (const child of running) child.kill('SIGTERM');
    for (const { name } of HOSTS) spawnSync('ip', ['netns', 'delete', name]);
    rmSync(folder, { recursive: true, force: true });
  }
}

function countShots(db: Db): number {
  return db.prepare('SELECT count(*) FROM shot').pluck().get() as number;
}

function run(command: string, args: readonly string[], env: Readonly<Record<string, string>> = {}) {
  const done = spawnSync(command, args, { env: { ...process.env, ...env }, encoding: 'utf8' });
  if (done.status !== 0) throw new Error(`${command} ${args.join(' ')}\n${done.stderr}`);
}

const on = (host: (typeof HOSTS)[number], command: string, args: readonly string[]) =>
  spawnSync('ip', ['netns', 'exec', host.name, command, ...args], { encoding: 'utf8' });

function joinHosts(): void {
  for (const { name } of HOSTS) run('ip', ['netns', 'add', name]);
  const cable = [FIRST.device, 'netns', FIRST.name, 'type', 'veth', 'peer', SECOND.device];
  run('ip', ['link', 'add', ...cable, 'netns', SECOND.name]);
  for (const { name, device, address } of HOSTS) {
    run('ip', ['-n', name, 'address', 'add', `${address}/24`, 'dev', device]);
    for (const link of [device, 'lo']) run('ip', ['-n', name, 'link', 'set', link, 'up']);
  }
}

/** A door on the first host that one key of the second opens; answers how ssh is called with it. */
function startSsh(folder: string, running: ChildProcess[]): string {
  const [host, own] = [join(folder, 'host_key'), join(folder, 'own_key')];
  for (const key of [host, own])
    run('ssh-keygen', ['-q', '-t', 'ed25519', '-N', '', '-C', '', '-f', key]);
  copyFileSync(`${own}.pub`, join(folder, 'authorized'));
  mkdirSync('/run/sshd', { recursive: true });
  const options = [
    `HostKey=${host}`,
    `AuthorizedKeysFile=${join(folder, 'authorized')}`,
    `PidFile=${join(folder, 'sshd.pid')}`,
    `ListenAddress=${FIRST.address}`,
    'PasswordAuthentication=no',
    'PermitRootLogin=prohibit-password',
    'StrictModes=no',
  ];
  const flags = options.flatMap((option) => ['-o', option]);
  const command = ['netns', 'exec', FIRST.name, '/usr/sbin/sshd', '-D', '-f', '/dev/null'];
  running.push(spawn('ip', [...command, ...flags], { stdio: 'ignore' }));
  writeFileSync(join(folder, 'known'), '');
  const known = `-o UserKnownHostsFile=${join(folder, 'known')} -o StrictHostKeyChecking=accept-new`;
  return `ssh -i ${own} ${known} -o ConnectTimeout=3 -o BatchMode=yes`;
}

async function until(isSo: () => boolean): Promise<void> {
  const deadline = Date.now() + 60_000;
  while (Date.now() < deadline) {
    if (isSo()) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('It did not come about within a minute.');
}
