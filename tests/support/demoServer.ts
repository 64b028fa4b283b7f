/** One server for many tests, whose database is put back to the demo house as it was made. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { CACHE_TAGS, type CacheTag } from '@/core/command/cacheTags';
import { copyDemoHouse } from './demoHouse';
import { startServer, type RunningServer } from './server';

export interface DemoServer {
  /** The server, running, with the house as it was made. */
  readonly asMade: () => Promise<RunningServer>;
  readonly close: () => Promise<void>;
}

type Versions = ReadonlyMap<string, number>;

function versionsIn(db: Database.Database): Versions {
  const rows = db.prepare('SELECT topic, n FROM epoch').all() as { topic: string; n: number }[];
  return new Map(rows.map(({ topic, n }) => [topic, n]));
}

/** What a server keeps in memory of checks rests on the cafés as well: they are read anew with them. */
const ALSO: Readonly<Record<string, CacheTag>> = { check: 'partner' };

export async function demoServer(): Promise<DemoServer> {
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-made-'));
  const file = join(folder, 'kettlebrand.sqlite');
  copyDemoHouse(file);
  const made = new Database(file);
  const set = made.prepare(
    'INSERT INTO epoch (topic, n) VALUES (?, ?) ON CONFLICT (topic) DO UPDATE SET n = excluded.n',
  );
  const server = await startServer({ demo: true });
  return {
    asMade: async () => {
      if (!server.isRunning()) await server.restart();
      // A version is never used twice: what was cached of a changed house is not taken for the next one.
      const current = new Database(server.databaseFile, { readonly: true });
      const [now, before] = [versionsIn(current), versionsIn(made)];
      current.close();
      const changed = CACHE_TAGS.filter((tag) => now.get(tag) !== before.get(tag));
      for (const tag of new Set([...changed, ...changed.flatMap((one) => ALSO[one] ?? [])]))
        set.run(tag, Math.max(now.get(tag) ?? 0, before.get(tag) ?? 0) + 1);
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
