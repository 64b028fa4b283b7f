/** A real server of the real build on a database of its own. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { copyDemoHouse } from './demoHouse';
import { programArgs } from './program';

export interface RunningServer {
  readonly url: string;
  readonly databaseFile: string;
  readonly isRunning: () => boolean;
  /** What it printed for the first set-up of a house; empty when there is one. */
  readonly setUpCode: () => string;
  /** Ends the process at once, as a power cut would. */
  readonly kill: () => Promise<void>;
  /** Starts it again on the same port and database. */
  readonly restart: () => Promise<void>;
  readonly close: () => Promise<void>;
}

const databaseFiles = new Map<string, string>();

/** The database of a server that was started here. */
export function databaseAt(url: string): string {
  const file = databaseFiles.get(url);
  if (file === undefined) throw new Error(`No server of these tests is at ${url}.`);
  return file;
}

async function untilUp(url: string): Promise<void> {
  const deadline = Date.now() + 30_000;
  while (Date.now() < deadline) {
    const isUp = await fetch(`${url}/health`).then(
      (response) => response.ok,
      () => false,
    );
    if (isUp) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`No server at ${url}`);
}

/**
 * The port a started server says it listens on. A server that ends by itself, then or later, is
 * reported with what it said: otherwise only some later step would fail.
 */
function listeningPort(
  child: ChildProcess,
  isExpectedToEnd: () => boolean,
  hear: (said: string) => void,
): Promise<number> {
  return new Promise((resolve, reject) => {
    let said = '';
    const listen = (chunk: Buffer) => {
      said = (said + chunk.toString()).slice(-4000);
      hear(said);
      const found = /http:\/\/localhost:(\d+)/.exec(said);
      if (found) resolve(Number(found[1]));
    };
    child.stdout!.on('data', listen);
    child.stderr!.on('data', listen);
    child.once('exit', (code, signal) => {
      const words = `The server ended by itself (${code ?? signal}).\n${said}`;
      if (!isExpectedToEnd()) process.stderr.write(`${words}\n`);
      reject(new Error(words));
    });
  });
}

/** Starts a server; `demo` fills its database with the demo house, `prepare` may add to it. */
export async function startServer({
  demo = false,
  prepare,
  databaseFile: given,
  env = {},
}: {
  demo?: boolean;
  prepare?: (databaseFile: string) => void | Promise<void>;
  /** A database that is there already, of another server too. */
  databaseFile?: string;
  env?: Readonly<Record<string, string>>;
} = {}): Promise<RunningServer> {
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-'));
  const databaseFile = given ?? join(folder, 'kettlebrand.sqlite');
  if (demo && !given) copyDemoHouse(databaseFile);
  await prepare?.(databaseFile);
  let child: ChildProcess;
  let isEnding = false;
  let said = '';
  // The first start takes whatever port is free and says which: asking for a free one beforehand and
  // taking it later lets two servers that start at once believe in the same address.
  let port = 0;
  const start = async () => {
    isEnding = false;
    child = spawn(process.execPath, [...programArgs('server')], {
      env: {
        ...process.env,
        PORT: String(port),
        NODE_ENV: 'production',
        NEXT_TELEMETRY_DISABLED: '1',
        KETTLEBRAND_DATA: dirname(databaseFile),
        KETTLEBRAND_DEMO: demo ? '1' : '0',
        ...env,
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    port = await listeningPort(
      child,
      () => isEnding,
      (words) => (said = words),
    );
    await untilUp(`http://localhost:${port}`);
  };
  const end = (signal: NodeJS.Signals) =>
    new Promise<void>((resolve) => {
      isEnding = true;
      if (child.exitCode !== null || child.signalCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill(signal);
    });
  await start();
  const url = `http://localhost:${port}`;
  databaseFiles.set(url, databaseFile);
  return {
    url,
    databaseFile,
    isRunning: () => child.exitCode === null && child.signalCode === null,
    setUpCode: () => /the code ([A-Z0-9-]+)/.exec(said)?.[1] ?? '',
    kill: () => end('SIGKILL'),
    restart: start,
    close: async () => {
      await end('SIGTERM');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
