/** One server for many tests, whose database is put back to the demo house as it was made. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { CACHE_TAGS } from '@/core/command/cacheTags';
import { copyDemoHouse } from './demoHouse';
import { startServer, type RunningServer } from './server';

export interface DemoServer {
  /** The server, running, with the house as it was made. */
  readonly asMade: () => Promise<RunningServer>;
  readonly close: () => Promise<void>;
}

/** Far above what a test changes: what a server keeps in memory of one house is never taken for the next. */
const EPOCHS_A_HOUSE = 1_000_000;

export async function demoServer(): Promise<DemoServer> {
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-made-'));
  const file = join(folder, 'kettlebrand.sqlite');
  copyDemoHouse(file);
  const made = new Database(file);
  const raise = made.prepare(
    `INSERT INTO epoch (topic, n) VALUES (?, ?) ON CONFLICT (topic) DO UPDATE SET n = n + excluded.n`,
  );
  const server = await startServer({ demo: true });
  return {
    asMade: async () => {
      if (!server.isRunning()) await server.restart();
      for (const topic of CACHE_TAGS) raise.run(topic, EPOCHS_A_HOUSE);
      await made.backup(server.databaseFile);
      return server;
    },
    close: async () => {
      made.close();
      await server.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
