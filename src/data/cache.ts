/**
 * What is worked out and kept in memory: one mechanism for the whole program. Whatever is cached names its tags; every
 * command invalidates the tags of what it changes in its own transaction, so nothing is used longer than it holds,
 * whoever wrote.
 */
import { setImmediate } from 'node:timers/promises';
import type { CacheTag } from '@/core/command/cacheTags';
import { prepared, type Db } from './database';

/** Raises the versions of what was changed; part of the transaction that changes it. */
export function invalidate(db: Db, tags: readonly CacheTag[]): void {
  const raise = prepared(
    db,
    `INSERT INTO epoch (topic, n) VALUES (?, 1) ON CONFLICT (topic) DO UPDATE SET n = n + 1`,
  );
  for (const tag of tags) raise.run(tag);
}

/** How often each of these has changed, as one text. */
export function versionOfTags(db: Db, tags: readonly CacheTag[]): string {
  const rows = prepared(db, 'SELECT topic, n FROM epoch').all() as { topic: CacheTag; n: number }[];
  const known = new Map(rows.map(({ topic, n }) => [topic, n]));
  return tags.map((tag) => known.get(tag) ?? 0).join(' ');
}

/** Answers of one name, all of the same version of its tags. */
interface CacheEntries {
  readonly version: string;
  readonly byKey: Map<string, unknown>;
  /** What is being worked out in steps. */
  readonly pending: Map<string, Promise<void>>;
}

const caches = new WeakMap<Db, Map<string, CacheEntries>>();

/** So many answers of one name are cached; the oldest goes. */
const MOST_KEYS = 40;

export interface CacheOptions {
  /** What is cached, a name of its own. */
  readonly name: string;
  readonly tags: readonly CacheTag[];
  /** What else the answer depends on: a day, units, an id. */
  readonly key?: string;
}

/** The answers of this name that hold as its tags stand now. */
function entriesOf(db: Db, { name, tags }: CacheOptions): CacheEntries {
  let ofDb = caches.get(db);
  if (!ofDb) caches.set(db, (ofDb = new Map<string, CacheEntries>()));
  const version = versionOfTags(db, tags);
  let entries = ofDb.get(name);
  if (entries?.version !== version)
    ofDb.set(name, (entries = { version, byKey: new Map(), pending: new Map() }));
  return entries;
}

function store<T>({ byKey }: CacheEntries, key: string, answer: T): T {
  byKey.set(key, answer);
  if (byKey.size > MOST_KEYS) byKey.delete(byKey.keys().next().value!);
  return answer;
}

/** The cached answer for this database, version and key, or worked out now. */
export function cached<T>(db: Db, options: CacheOptions, work: () => T): T {
  const { key = '' } = options;
  const entries = entriesOf(db, options);
  return entries.byKey.has(key) ? (entries.byKey.get(key) as T) : store(entries, key, work());
}

/**
 * Works out in steps what is not cached yet: others are answered in between, and who asks for the same
 * meanwhile waits for it. An answer during which something was changed is not stored.
 */
export async function fillCache<T>(
  db: Db,
  options: CacheOptions,
  work: () => Generator<unknown, T>,
): Promise<void> {
  const { key = '' } = options;
  const entries = entriesOf(db, options);
  if (entries.byKey.has(key)) return;
  let pending = entries.pending.get(key);
  if (!pending) {
    pending = runInSteps(work()).then((answer) => {
      // Others stand in their place when something was changed meanwhile.
      if (entriesOf(db, options) === entries) store(entries, key, answer);
    });
    entries.pending.set(key, pending);
  }
  try {
    await pending;
  } finally {
    entries.pending.delete(key);
  }
}

/** The cached answer, or worked out as part of longer work in steps. */
export function* cachedInSteps<T>(
  db: Db,
  options: CacheOptions,
  work: () => Generator<unknown, T>,
): Generator<unknown, T> {
  const { key = '' } = options;
  const { byKey } = entriesOf(db, options);
  if (byKey.has(key)) return byKey.get(key) as T;
  const answer = yield* work();
  return store(entriesOf(db, options), key, answer);
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
