/** Installs packages when the lock file has changed since the last install. Node alone. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('../../', import.meta.url));
const STAMP = `${ROOT}node_modules/.kettlebrand-lock`;

function lockHash() {
  return createHash('sha256')
    .update(readFileSync(`${ROOT}package-lock.json`))
    .digest('hex');
}

/**
 * Everything the install prints goes to standard error, so that `kb` keeps its output clean. A house that
 * is only run takes no developer packages; an install that has them will do.
 */
export function ensureInstalled({ isProduction = false } = {}) {
  const installed = existsSync(STAMP) ? readFileSync(STAMP, 'utf8') : '';
  const [wanted, withoutDev] = [lockHash(), `${lockHash()} without developer packages`];
  if (installed === wanted || (isProduction && installed === withoutDev)) return;
  process.stderr.write(
    'Installing packages. The database driver is compiled here: 3-4 minutes on two cores.\n',
  );
  const before = readFileSync(`${ROOT}package-lock.json`);
  const { status } = spawnSync(
    'npm',
    ['install', '--loglevel=error', isProduction ? '--omit=dev' : '--include=dev'],
    {
      cwd: ROOT,
      stdio: ['ignore', 2, 2],
    },
  );
  // npm adds entries of this system's own; the lock file stays as it was committed.
  writeFileSync(`${ROOT}package-lock.json`, before);
  if (status !== 0) {
    process.stderr.write(
      'The install failed. Check the network and that a C++ compiler is there.\n',
    );
    process.exit(1);
  }
  writeFileSync(STAMP, isProduction ? withoutDev : wanted);
}

/** Runs a program of node_modules/.bin with this terminal; answers its exit code. */
/** The same beside others: its exit code and what it said, once it has ended. */
export function runBinBeside(name, args) {
  return new Promise((resolve) => {
    const child = spawn(`${ROOT}node_modules/.bin/${name}`, args, { cwd: ROOT });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (part) => {
        said += part;
      });
    child.on('close', (status) => resolve({ status: status ?? 1, said }));
  });
}

export function runBin(name, args, options = {}) {
  const { status } = spawnSync(`${ROOT}node_modules/.bin/${name}`, args, {
    cwd: ROOT,
    stdio: 'inherit',
    ...options,
  });
  return status ?? 1;
}
