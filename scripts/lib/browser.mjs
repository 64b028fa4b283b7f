/** Debian's Chromium for the browser tests, installed when it is missing. Node alone. */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const CHROMIUM = '/usr/bin/chromium';

export function ensureBrowser() {
  if (existsSync(CHROMIUM)) return;
  process.stderr.write('Installing Chromium for the browser tests.\n');
  const options = {
    stdio: ['ignore', 2, 2],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  };
  const isRoot = process.getuid?.() === 0;
  const apt = (...args) =>
    isRoot ? spawnSync('apt-get', args, options) : spawnSync('sudo', ['apt-get', ...args], options);
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
  if (existsSync(CHROMIUM)) return;
  process.stderr.write(`No ${CHROMIUM}. Install Debian's package chromium, then run this again.\n`);
  process.exit(1);
}
