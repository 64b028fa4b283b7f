/** Debian's programs that tests and benchmarks need, installed when they are missing. Node alone. */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const PROGRAMS = {
  chromium: '/usr/bin/chromium',
  nginx: '/usr/sbin/nginx',
  wrk: '/usr/bin/wrk',
  rsync: '/usr/bin/rsync',
  'openssh-server': '/usr/sbin/sshd',
  iproute2: '/usr/sbin/ip',
};

/** @param {...keyof typeof PROGRAMS} names of packages; ends with a sentence where one cannot be had. */
export function ensureDebian(...names) {
  const missing = names.filter((name) => !existsSync(PROGRAMS[name]));
  if (missing.length === 0) return;
  process.stderr.write(`Installing from Debian: ${missing.join(', ')}.\n`);
  const options = {
    stdio: ['ignore', 2, 2],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  };
  const isRoot = process.getuid?.() === 0;
  const apt = (...args) =>
    isRoot ? spawnSync('apt-get', args, options) : spawnSync('sudo', ['apt-get', ...args], options);
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', ...missing);
  const absent = missing.filter((name) => !existsSync(PROGRAMS[name]));
  if (absent.length === 0) return;
  process.stderr.write(`Install Debian's ${absent.join(', ')}, then run this again.\n`);
  process.exit(1);
}
