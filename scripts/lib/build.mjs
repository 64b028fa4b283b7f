/** Builds when a source is newer than the last build. */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, runBin } from './install.mjs';

const STAMP = join(ROOT, '.next/kettlebrand-build');
const SOURCES = ['src', 'next.config.ts', 'tsconfig.json', 'package-lock.json'];

function filesOf(path) {
  const full = join(ROOT, path);
  try {
    return readdirSync(full, { withFileTypes: true }).flatMap((entry) =>
      filesOf(join(path, entry.name)),
    );
  } catch {
    return [path];
  }
}

function sourceHash() {
  const hash = createHash('sha256');
  const isBuilt = (path) => !/\.test\.tsx?$/.test(path);
  for (const path of SOURCES.flatMap(filesOf).filter(isBuilt).sort())
    hash.update(path).update(readFileSync(join(ROOT, path)));
  return hash.digest('hex');
}

/** Leaves a build of exactly these sources in .next; a build that stands is kept. */
export function ensureBuilt() {
  const wanted = sourceHash();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
  process.stderr.write('Building. This takes about a minute.\n');
  rmSync(join(ROOT, '.next'), { recursive: true, force: true });
  const code = runBin('next', ['build'], {
    stdio: ['ignore', 2, 2],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
  });
  if (code !== 0) {
    process.stderr.write('The build failed; what it printed says why.\n');
    process.exit(code);
  }
  writeFileSync(STAMP, wanted);
}
