/**
 * What is worked out and kept in memory: one mechanism for the whole program. Whatever is kept names the
 * topics it rests on; every command raises the epochs of what it changes in its own transaction, so
 * nothing is kept longer than it holds, whoever wrote.
 */
import { setImmediate } from 'node:timers/promises';
import type { CacheTag } from '@/core/command/cacheTags';
import { prepared, type Db } from './database';

/** Raises the epochs of what was changed; part of the transaction that changes it. */
export function invalidate(db: Db, topics: readonly CacheTag[]): void {
  const raise = prepared(
    db,
    `INSERT INTO epoch (topic, n) VALUES (?, 1) ON CONFLICT (topic) DO UPDATE SET n = n + 1`,
  );
  for (const topic of topics) raise.run(topic);
}

/** How often each of these has changed, as one text. */
export function versionOfTags(db: Db, topics: readonly CacheTag[]): string {
  const rows = prepared(db, 'SELECT topic, n FROM epoch').all() as { topic: CacheTag; n: number }[];
  const known = new Map(rows.map(({ topic, n }) => [topic, n]));
  return topics.map((topic) => known.get(topic) ?? 0).join(' ');
}

interface CacheEntries {
  readonly version: string;
  readonly byKey: Map<string, unknown>;
  /** What is being worked out in steps. */
  readonly pending: Map<string, Promise<void>>;
}

const caches = new WeakMap<Db, Map<string, CacheEntries>>();

/** So many answers of one name are kept, of the same epoch; the oldest goes. */
const MOST_KEYS = 40;

export interface CacheOptions {
  /** What is kept, a name of its own. */
  readonly name: string;
  readonly tags: readonly CacheTag[];
  /** What else the answer depends on: a day, units, an id. */
  readonly key?: string;
}

/** Where an answer of this name is kept as long as what it rests on stands as it does now. */
function entriesOf(db: Db, { name, tags: restsOn }: CacheOptions): CacheEntries {
  let ofDb = caches.get(db);
  if (!ofDb) caches.set(db, (ofDb = new Map<string, CacheEntries>()));
  const epoch = versionOfTags(db, restsOn);
  let shelf = ofDb.get(name);
  if (shelf?.version !== epoch)
    ofDb.set(name, (shelf = { version: epoch, byKey: new Map(), pending: new Map() }));
  return shelf;
}

function store<T>({ byKey }: CacheEntries, key: string, answer: T): T {
  byKey.set(key, answer);
  if (byKey.size > MOST_KEYS) byKey.delete(byKey.keys().next().value!);
  return answer;
}

/** The answer kept for this database, epoch and key, or worked out now. */
export function cached<T>(db: Db, options: CacheOptions, work: () => T): T {
  const { key = '' } = options;
  const shelf = entriesOf(db, options);
  return shelf.byKey.has(key) ? (shelf.byKey.get(key) as T) : store(shelf, key, work());
}

/**
 * Works out in steps what is not kept yet: others are answered in between, and who asks for the same
 * meanwhile waits for it. An answer during which something was changed is not kept.
 */
export async function fillCache<T>(
  db: Db,
  options: CacheOptions,
  work: () => Generator<unknown, T>,
): Promise<void> {
  const { key = '' } = options;
  const shelf = entriesOf(db, options);
  if (shelf.byKey.has(key)) return;
  let coming = shelf.pending.get(key);
  if (!coming) {
    coming = runInSteps(work()).then((answer) => {
      // A shelf of another epoch stands in its place when something was changed meanwhile.
      if (entriesOf(db, options) === shelf) store(shelf, key, answer);
    });
    shelf.pending.set(key, coming);
  }
  try {
    await coming;
  } finally {
    shelf.pending.delete(key);
  }
}

/** What work that is done in steps gives, with room for others between two steps. */
export async function runInSteps<T>(work: Generator<unknown, T>): Promise<T> {
  let step = work.next();
  while (!step.done) {
    await setImmediate();
    step = work.next();
  }
  return step.value;
}
