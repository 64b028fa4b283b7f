/**
 * The server: opens the database, lets requests through the gate, hands them to the pages, and ends
 * cleanly. PORT, HOST and KETTLEBRAND_DATA as in the README; `--dev` serves the sources as they change.
 */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import next from 'next';
import { UserFault, userFault } from '@/core/errors';
import { closeDatabase, damageOf, database, databaseFile } from '@/data/database';
import { findHouse } from '@/data/house';
import { hasSignIns } from '@/data/people';
import { log, logLevelFault } from '@/data/log';
import { openSetUp } from '@/data/setUpCode';
import { liveIn } from '@/data/timeZone';
import { faultWords } from '@/words/faults';
import { version } from '../../package.json';
import { brokenVersions } from './versions';
import { listener } from './listener';
import { startNightly } from './nightly';

const isDev = process.argv.includes('--dev');
const port = Number(process.env.PORT ?? 3210);
const host = process.env.HOST ?? 'localhost';

/** A request is whole within this, its headers sooner: slow ones hold nothing for long. */
const [REQUEST_MS, HEADERS_MS] = [60_000, 10_000];
/** Longer than browsers and proxies keep a quiet connection, so that none sends into one that is just closed. */
const KEEP_ALIVE_MS = 75_000;
/** Whoever is still being answered has this long when the server is told to end. */
const LAST_WORDS_MS = 3_000;

async function main(): Promise<void> {
  if (logLevelFault) return explain(logLevelFault);
  const db = openOrExplain();
  if (!db) return;
  liveIn(findHouse(db)?.timeZone ?? '');
  const app = next({ dev: isDev, dir: process.cwd(), hostname: host, port });
  await app.prepare();
  const server = createServer(
    {
      requestTimeout: REQUEST_MS,
      headersTimeout: HEADERS_MS,
      keepAliveTimeout: KEEP_ALIVE_MS,
      connectionsCheckingInterval: 5_000,
    },
    listener(db, app.getRequestHandler()),
  );
  server.on('upgrade', (request, socket, head) =>
    isDev ? void app.getUpgradeHandler()(request, socket, head) : socket.destroy(),
  );
  server.on('error', (error: NodeJS.ErrnoException) => {
    process.stderr.write(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is in use. Set PORT to another one.\n`
        : `The server cannot listen on ${host}:${port}: ${error.message}\n`,
    );
    process.exit(1);
  });
  server.listen(port, host, () => {
    const at = (server.address() as AddressInfo).port;
    process.env.PORT = String(at);
    process.stdout.write(`Kettlebrand: http://localhost:${at}\n`);
    log.info({ version, port: at }, 'started');
    startNightly(db);
    if (!hasSignIns(db))
      process.stdout.write(
        `This house is not set up yet. Open the address and enter the code ${openSetUp()}\n`,
      );
  });
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => {
      server.close(() => end());
      server.closeIdleConnections();
      setTimeout(() => {
        server.closeAllConnections();
        end();
      }, LAST_WORDS_MS).unref();
    });
}

let hasEnded = false;

function end(): void {
  if (hasEnded) return;
  hasEnded = true;
  closeDatabase();
  log.info('ended');
  process.exit(0);
}

/** Why it cannot start, in one sentence. */
function explain(words: string): void {
  process.stderr.write(`${words}\n`);
  process.exitCode = 1;
}

/** The database, or one sentence why there is none. */
function openOrExplain() {
  // Nobody else of this machine reads what is made from here on.
  process.umask(0o077);
  try {
    const db = database();
    const damage = damageOf(db, databaseFile());
    if (damage) throw userFault('storage', 'database', damage);
    const broken = brokenVersions(db);
    if (broken.length > 0)
      process.stderr.write(
        `${broken.join(', ')}: what was published is not what its hash says. Bring back the last backup (npm run kb -- restore FILE).\n`,
      );
    return db;
  } catch (error) {
    if (!(error instanceof UserFault)) throw error;
    explain(faultWords(error));
    return null;
  }
}

void main();
