/** Installs packages when those that stand are not the ones of the lock file. Node alone. */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { npmEntry, ROOT } from './packages.mjs';

const packagesIn = (file) => JSON.parse(readFileSync(join(ROOT, file), 'utf8')).packages;

/** What the database driver was compiled for: another Node needs it anew. */
const COMPILED_FOR = join(ROOT, 'node_modules/.compiled-for');

/** Does npm's own record of what it installed hold all the lock file asks for, in its versions? */
function isInstalled(isProduction) {
  if (existsSync(COMPILED_FOR) && readFileSync(COMPILED_FOR, 'utf8') !== process.versions.modules)
    return false;
  let standing;
  try {
    standing = packagesIn('node_modules/.package-lock.json');
  } catch {
    return false;
  }
  return Object.entries(packagesIn('package-lock.json')).every(
    ([path, { version, dev, optional, devOptional }]) =>
      path === '' ||
      standing[path]?.version === version ||
      // Binaries of other systems, and what only developers need, may be absent; another version may not.
      (!standing[path] && (optional || devOptional || (isProduction && dev))),
  );
}

/**
 * Everything the install prints goes to standard error, so that `kb` keeps its output clean. A house that
 * is only run takes no developer packages; an install that has them will do.
 */
export function ensureInstalled({ isProduction = false } = {}) {
  if (isInstalled(isProduction)) return;
  const npm = npmEntry();
  const args = ['ci', '--loglevel=error', isProduction ? '--omit=dev' : '--include=dev'];
  if (!npm) {
    process.stderr.write(`npm was not found beside Node. Run: npm ${args.join(' ')}\n`);
    process.exit(1);
  }
  process.stderr.write(
    'Installing packages. The database driver is compiled here where no binary fits: 3-4 minutes on two cores.\n',
  );
  const { status } = spawnSync(process.execPath, [npm, ...args], {
    cwd: ROOT,
    stdio: ['ignore', 2, 2],
  });
  if (status === 0) return writeFileSync(COMPILED_FOR, process.versions.modules);
  process.stderr.write('The install failed. Check the network and that a C++ compiler is there.\n');
  process.exit(1);
}
