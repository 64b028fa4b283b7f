/** A real server of the real build on a database of its own. */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface RunningServer {
  readonly url: string;
  readonly databaseFile: string;
  /** Ends the process at once, as a power cut would. */
  readonly kill: () => Promise<void>;
  /** Starts it again on the same port and database. */
  readonly restart: () => Promise<void>;
  readonly close: () => Promise<void>;
}

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, 'localhost', () => {
      const address = probe.address();
      probe.close(() =>
        typeof address === 'object' && address
          ? resolve(address.port)
          : reject(new Error('no port')),
      );
    });
  });
}

async function untilUp(url: string): Promise<void> {
  const deadline = Date.now() + 30_000;
  while (Date.now() < deadline) {
    const isUp = await fetch(`${url}/status`).then(
      (response) => response.ok,
      () => false,
    );
    if (isUp) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`No server at ${url}`);
}

/** Starts a server; `demo` fills its database with the demo house. */
export async function startServer({ demo = false } = {}): Promise<RunningServer> {
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-'));
  const databaseFile = join(folder, 'kettlebrand.sqlite');
  const port = await freePort();
  const url = `http://localhost:${port}`;
  if (demo) {
    const seeded = spawnSync('node_modules/.bin/tsx', ['scripts/seedDemo.ts', databaseFile]);
    if (seeded.status !== 0) throw new Error(seeded.stderr.toString());
  }
  let child: ChildProcess;
  const start = async () => {
    child = spawn(
      process.execPath,
      [
        'node_modules/next/dist/bin/next',
        'start',
        '--port',
        String(port),
        '--hostname',
        'localhost',
      ],
      {
        env: {
          ...process.env,
          NODE_ENV: 'production',
          NEXT_TELEMETRY_DISABLED: '1',
          KETTLEBRAND_DATA: folder,
          KETTLEBRAND_DEMO: demo ? '1' : '0',
        },
        stdio: 'ignore',
      },
    );
    await untilUp(url);
  };
  const end = (signal: NodeJS.Signals) =>
    new Promise<void>((resolve) => {
      if (child.exitCode !== null || child.signalCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill(signal);
    });
  await start();
  return {
    url,
    databaseFile,
    kill: () => end('SIGKILL'),
    restart: start,
    close: async () => {
      await end('SIGTERM');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
