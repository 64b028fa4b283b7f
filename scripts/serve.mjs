/**
 * `npm run demo` and `npm start`: install, build if stale, serve. The demo keeps its own database;
 * `npm run dev` serves it from the sources, as they change.
 * PORT and KETTLEBRAND_DATA change the defaults; `npm run demo -- --reset` starts the demo data anew,
 * `npm start -- --new` makes a new house in a folder named by KETTLEBRAND_DATA.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt, ensureProgram, programArgs } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ROOT } from './lib/packages.mjs';
import { isPortFree } from './lib/port.mjs';

const [mode, ...flags] = process.argv.slice(2);
const isDev = mode === 'dev';
const isDemo = mode === 'demo' || isDev;
const own = isDemo ? '--reset' : '--new';
const unknown = flags.find((flag) => flag !== own);
if (unknown) {
  process.stderr.write(
    `Unknown option ${unknown}. The demo takes --reset, npm start takes --new.\n`,
  );
  process.exit(2);
}

const port = process.env.PORT ?? '3210';
const isPort = /^\d{1,5}$/.test(port) && Number(port) >= 1 && Number(port) <= 65535;
if (!isPort || !(await isPortFree(Number(port)))) {
  const what = isPort ? `Port ${port} is in use` : `PORT ${port} is not a port, 1-65535`;
  process.stderr.write(`${what}. Set PORT to another one.\n`);
  process.exit(1);
}

const folder = process.env.KETTLEBRAND_DATA ?? join(ROOT, 'data', isDemo ? 'demo' : 'house');
const env = {
  ...process.env,
  KETTLEBRAND_DATA: folder,
  // The sign-in page shows the demo's people only where the demo runs.
  KETTLEBRAND_DEMO: isDemo ? '1' : '0',
  NEXT_TELEMETRY_DISABLED: '1',
  NODE_ENV: isDev ? 'development' : 'production',
};

const file = join(folder, 'kettlebrand.sqlite');
// A mistyped name must not become a new house that anybody could claim.
if (!isDemo && process.env.KETTLEBRAND_DATA && !existsSync(file) && !flags.includes('--new')) {
  process.stderr.write(
    `There is no house in ${folder}. Correct KETTLEBRAND_DATA, or make a new house there: npm start -- --new\n`,
  );
  process.exit(1);
}

ensureInstalled({ isProduction: !isDemo });
if (isDev) await ensureProgram();
else await ensureBuilt();

if (isDemo) {
  if (flags.includes('--reset'))
    for (const suffix of ['', '-wal', '-shm']) rmSync(file + suffix, { force: true });
  if (!existsSync(file)) {
    process.stderr.write(
      'Making the demo house: three years of an invented roastery, some seconds.\n',
    );
    const made = spawnSync(process.execPath, [...programArgs('seedDemo'), file], {
      cwd: ROOT,
      env,
      stdio: 'inherit',
    });
    if (made.status !== 0) process.exit(1);
  }
}

// HOST: this machine alone, unless the house says otherwise.
const server = spawn(process.execPath, [...programArgs('server'), ...(isDev ? ['--dev'] : [])], {
  cwd: ROOT,
  env,
  stdio: ['ignore', 'inherit', 'inherit'],
});
const stop = (signal) => server.kill(signal);
process.on('SIGINT', () => stop('SIGINT'));
process.on('SIGTERM', () => stop('SIGTERM'));
server.on('exit', (code, signal) => process.exit(signal ? 0 : (code ?? 1)));

if (isDemo)
  process.stdout.write(
    'Demo sign-in: ines with the password "kettle at six"; the sign-in page shows all three people.\n',
  );
