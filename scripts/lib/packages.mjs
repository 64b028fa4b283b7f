/**
 * Programs of installed packages, started by Node itself from the entry point their package names: no
 * shell and no linked command, which other systems make otherwise. Node alone.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, realpathSync } from 'node:fs';
import { delimiter, dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('../../', import.meta.url));

/** Programs that are not called as their package is. */
const PACKAGE_OF = {
  depcruise: 'dependency-cruiser',
  playwright: '@playwright/test',
  stryker: '@stryker-mutator/core',
  tsc: 'typescript',
};

/** The file a program of a package begins at. */
export function entryOf(program) {
  const folder = join(ROOT, 'node_modules', PACKAGE_OF[program] ?? program);
  const { bin } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));
  return join(folder, typeof bin === 'string' ? bin : bin[program]);
}

/** Runs a program with this terminal; answers its exit code. */
export function runProgram(program, args, options = {}) {
  const { status } = spawnSync(process.execPath, [entryOf(program), ...args], {
    cwd: ROOT,
    stdio: 'inherit',
    ...options,
  });
  return status ?? 1;
}

/** The same beside others: its exit code and what it said, once it has ended. */
export function runProgramBeside(program, args) {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [entryOf(program), ...args], { cwd: ROOT });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (part) => {
        said += part;
      });
    child.on('close', (status) => resolve({ status: status ?? 1, said }));
  });
}

/** Where npm's own program is: as it says itself, beside Node, or behind the command of the path. */
export function npmEntry(env = process.env) {
  const beside = dirname(process.execPath);
  const inPath = (env.PATH ?? '').split(delimiter).map((folder) => join(folder, 'npm'));
  const candidates = [
    env.npm_execpath,
    join(beside, 'node_modules/npm/bin/npm-cli.js'),
    join(beside, '../lib/node_modules/npm/bin/npm-cli.js'),
    ...inPath.filter(existsSync).map((command) => realpathSync(command)),
  ];
  return candidates.find((path) => path && /\.[cm]?js$/.test(path) && existsSync(path)) ?? null;
}
