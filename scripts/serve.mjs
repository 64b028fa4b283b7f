/**
 * `npm run demo` and `npm start`: install, build if stale, serve. The demo keeps its own database;
 * `npm run dev` serves it from the sources, as they change.
 * PORT and KETTLEBRAND_DATA change the defaults; `npm run demo -- --reset` starts the demo data anew.
 */
import { spawn } from 'node:child_process';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled, ROOT, runBin } from './lib/install.mjs';
import { isPortFree } from './lib/port.mjs';

const [mode, ...flags] = process.argv.slice(2);
const isDev = mode === 'dev';
const isDemo = mode === 'demo' || isDev;
const unknown = flags.find((flag) => !(isDemo && flag === '--reset'));
if (unknown) {
  process.stderr.write(
    `Unknown option ${unknown}. The demo takes --reset; npm start takes none.\n`,
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

ensureInstalled();
if (!isDev) ensureBuilt();

if (isDemo) {
  const file = join(folder, 'kettlebrand.sqlite');
  if (flags.includes('--reset'))
    for (const suffix of ['', '-wal', '-shm']) rmSync(file + suffix, { force: true });
  if (!existsSync(file) && runBin('tsx', ['scripts/seedDemo.ts', file], { env }) !== 0)
    process.exit(1);
}

const check = runBin('tsx', ['scripts/checkDatabase.ts'], { env });
if (check !== 0) process.exit(check);

// This machine alone, unless the house says otherwise.
const host = process.env.HOST ?? 'localhost';
const server = spawn(
  join(ROOT, 'node_modules/.bin/next'),
  [isDev ? 'dev' : 'start', '--port', port, '--hostname', host],
  { cwd: ROOT, env, stdio: ['ignore', isDev ? 'inherit' : 'ignore', 'inherit'] },
);
const stop = (signal) => server.kill(signal);
process.on('SIGINT', () => stop('SIGINT'));
process.on('SIGTERM', () => stop('SIGTERM'));
server.on('exit', (code, signal) => process.exit(signal ? 0 : (code ?? 1)));

const address = `http://localhost:${port}`;
const deadline = Date.now() + 60_000;
while (Date.now() < deadline) {
  const isUp = await fetch(`${address}/status`).then(
    (response) => response.ok,
    () => false,
  );
  if (isUp) break;
  await new Promise((resolve) => setTimeout(resolve, 150));
}
process.stdout.write(`Kettlebrand: ${address}\n`);
if (isDemo)
  process.stdout.write(
    'Demo sign-in: ines with the password "kettle at six"; the sign-in page shows all three people.\n',
  );
