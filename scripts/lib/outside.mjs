/**
 * Programs of the machine itself that tests and measurements need: a browser, and some of Debian's. Each is
 * looked for first; on Debian, as root, what is missing is installed; elsewhere one sentence says what to
 * install. Node alone.
 */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { delimiter, join } from 'node:path';

const PROGRAMS = {
  nginx: '/usr/sbin/nginx',
  wrk: '/usr/bin/wrk',
  rsync: '/usr/bin/rsync',
  'openssh-server': '/usr/sbin/sshd',
  iproute2: '/usr/sbin/ip',
};

const isRoot = () => process.getuid?.() === 0;
const canInstall = () => isRoot() && process.platform === 'linux' && inPath(['apt-get']) !== null;

/** The first of these commands that the path holds. */
function inPath(names) {
  const folders = (process.env.PATH ?? '').split(delimiter).filter(Boolean);
  const paths = names.flatMap((name) => folders.map((folder) => join(folder, name)));
  return paths.find(existsSync) ?? null;
}

function installed(folders, file) {
  const paths = folders.filter(Boolean).map((folder) => join(folder, file));
  return paths.find(existsSync) ?? null;
}

function aptInstall(names) {
  process.stderr.write(`Installing from Debian: ${names.join(', ')}.\n`);
  const options = {
    stdio: ['ignore', 2, 2],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  };
  spawnSync('apt-get', ['update', '-qq'], options);
  spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...names], options);
}

/** Where a Chromium or Chrome stands by itself on this system; null where none is found. */
export function findBrowser() {
  const { env, platform } = process;
  if (platform === 'darwin') {
    const places = ['/Applications', env.HOME && join(env.HOME, 'Applications')];
    return (
      installed(places, 'Chromium.app/Contents/MacOS/Chromium') ??
      installed(places, 'Google Chrome.app/Contents/MacOS/Google Chrome')
    );
  }
  if (platform === 'win32') {
    const places = [env.PROGRAMFILES, env['PROGRAMFILES(X86)'], env.LOCALAPPDATA];
    return (
      installed(places, join('Chromium', 'Application', 'chrome.exe')) ??
      installed(places, join('Google', 'Chrome', 'Application', 'chrome.exe'))
    );
  }
  return inPath(['chromium', 'google-chrome', 'google-chrome-stable', 'chromium-browser']);
}

/** CHROMIUM_PATH, else an installed browser, else Debian's; ends with a sentence where there is none. */
export function ensureBrowser() {
  const given = process.env.CHROMIUM_PATH;
  if (given !== undefined) {
    if (existsSync(given)) return;
    return endWith(`CHROMIUM_PATH names ${given}, and nothing is there. Correct it.`);
  }
  if (!findBrowser() && canInstall()) aptInstall(['chromium']);
  const found = findBrowser();
  if (!found)
    return endWith(
      'No Chromium or Chrome was found. Install one (on Debian: apt-get install chromium, as root), or set CHROMIUM_PATH to where it is, then run this again.',
    );
  process.env.CHROMIUM_PATH = found;
}

export const isThere = (name) => existsSync(PROGRAMS[name]);

/** Installs what is missing of these packages where that can be done; answers those still missing. */
export function installMissing(...names) {
  const missing = names.filter((name) => !isThere(name));
  if (missing.length > 0 && canInstall()) aptInstall(missing);
  return missing.filter((name) => !isThere(name));
}

/** The same for what cannot be done without. */
export function ensureDebian(...names) {
  const absent = installMissing(...names);
  if (absent.length > 0)
    endWith(
      `This needs Debian's ${absent.join(', ')}: apt-get install ${absent.join(' ')}, as root, then run this again.`,
    );
}

function endWith(words) {
  process.stderr.write(`${words}\n`);
  process.exit(1);
}
