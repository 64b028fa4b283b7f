/** Builds the pages and the program in front of them when a source is newer than what stands. Node alone. */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT, runProgram } from './packages.mjs';

/** What is started by Node: each a file of its own in `dist`, so that no start compiles anything. */
const PROGRAMS = {
  server: 'src/server/main.ts',
  paper: 'src/server/paper.ts',
  kb: 'cli/kb.ts',
  seedDemo: 'scripts/seedDemo.ts',
  writeSchema: 'scripts/writeSchema.ts',
};
/** Run in a reader's browser; parts they share are files of their own. */
const CARD_SCRIPTS = ['src/card/start.ts', 'src/card/advise.ts'];
const OUT = 'dist';

const CONFIGURATION = [
  'tsconfig.json',
  'tsconfig.server.json',
  'package-lock.json',
  'scripts/lib/build.mjs',
  'scripts/lib/compileMessages.mjs',
];

const PAGES = {
  stamp: join(ROOT, '.next/kettlebrand-build'),
  sources: ['src', 'next.config.ts', ...CONFIGURATION],
};
/** What the program that stands was built from. */
export const BUILT = join(ROOT, OUT, 'build');
const PROGRAM = {
  stamp: BUILT,
  sources: [
    'src',
    'cli',
    'scripts/demo',
    'scripts/seedDemo.ts',
    'scripts/writeSchema.ts',
    ...CONFIGURATION,
  ],
};

/** The file a built program begins at, for Node to run. */
export const programFile = (name) => join(ROOT, OUT, `${name}.mjs`);

/** How Node runs a built program: its faults name the lines of the sources. */
export const programArgs = (name) => ['--enable-source-maps', programFile(name)];

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

function hashOf(sources) {
  const hash = createHash('sha256');
  const isBuilt = (path) => !/\.test\.tsx?$/.test(path);
  for (const path of sources.flatMap(filesOf).filter(isBuilt).sort())
    hash.update(path).update(readFileSync(join(ROOT, path)));
  return hash.digest('hex');
}

/** Runs `build`, told what they are, unless it stands for exactly these sources. */
async function keepBuilt({ stamp, sources }, build) {
  const wanted = hashOf(sources);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  await build(wanted);
  writeFileSync(stamp, wanted);
}

/** Leaves the server, its paper, `kb` and the service worker of exactly these sources in `dist`: under a second. */
export async function ensureProgram() {
  await keepBuilt(PROGRAM, async (sources) => {
    // Packages may be installed only now.
    const { build, buildSync } = createRequire(import.meta.url)('esbuild');
    const { compileMessages } = await import('./compileMessages.mjs');
    rmSync(join(ROOT, OUT), { recursive: true, force: true });
    mkdirSync(join(ROOT, OUT));
    buildSync({
      absWorkingDir: ROOT,
      entryPoints: PROGRAMS,
      outdir: OUT,
      outExtension: { '.js': '.mjs' },
      bundle: true,
      splitting: true,
      packages: 'external',
      format: 'esm',
      platform: 'node',
      target: 'node20.9',
      tsconfig: 'tsconfig.server.json',
      sourcemap: true,
      logLevel: 'warning',
    });
    // What a card's page fetches when one of its helpers is opened.
    await build({
      absWorkingDir: ROOT,
      entryPoints: CARD_SCRIPTS,
      outdir: join(OUT, 'card'),
      entryNames: '[name]',
      chunkNames: '[hash]',
      bundle: true,
      splitting: true,
      minify: true,
      format: 'esm',
      target: 'es2022',
      tsconfig: 'tsconfig.server.json',
      define: { 'process.env.NODE_ENV': '"production"' },
      plugins: [compileMessages],
      logLevel: 'warning',
    });
    // Browsers take a service worker for new when a byte of it differs: each build has its own.
    buildSync({
      absWorkingDir: ROOT,
      entryPoints: ['src/workers/sw.ts'],
      outfile: join(OUT, 'sw.js'),
      bundle: true,
      minify: true,
      format: 'iife',
      target: 'es2022',
      define: { 'process.env.NODE_ENV': '"production"' },
      banner: { js: `/* ${sources} */` },
      logLevel: 'warning',
    });
  });
}

/** Leaves all of it built: the program, and the pages in `.next`. */
export async function ensureBuilt() {
  await ensureProgram();
  await keepBuilt(PAGES, () => {
    process.stderr.write('Building. This takes about a minute.\n');
    rmSync(join(ROOT, '.next'), { recursive: true, force: true });
    const code = runProgram('next', ['build'], {
      stdio: ['ignore', 2, 2],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
    });
    if (code !== 0) {
      process.stderr.write('The build failed; what it printed says why.\n');
      process.exit(code);
    }
  });
}
