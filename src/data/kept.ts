/**
 * What is worked out and kept in memory: one mechanism for the whole program. Whatever is kept names the
 * topics it rests on; every command raises the epochs of what it changes in its own transaction, so
 * nothing is kept longer than it holds, whoever wrote.
 */
import type { Topic } from '@/core/command/topics';
import { prepared, type Db } from './database';

/** Raises the epochs of what was changed; part of the transaction that changes it. */
export function raiseEpochs(db: Db, topics: readonly Topic[]): void {
  const raise = prepared(
    db,
    `INSERT INTO epoch (topic, n) VALUES (?, 1) ON CONFLICT (topic) DO UPDATE SET n = n + 1`,
  );
  for (const topic of topics) raise.run(topic);
}

/** How often each of these has changed, as one text. */
function epochOf(db: Db, topics: readonly Topic[]): string {
  const rows = prepared(db, 'SELECT topic, n FROM epoch').all() as { topic: Topic; n: number }[];
  const known = new Map(rows.map(({ topic, n }) => [topic, n]));
  return topics.map((topic) => known.get(topic) ?? 0).join(' ');
}

interface Shelf {
  readonly epoch: string;
  readonly byKey: Map<string, unknown>;
}

const shelves = new WeakMap<Db, Map<string, Shelf>>();

/** So many answers of one name are kept, of the same epoch; the oldest goes. */
const MOST_KEYS = 40;

export interface KeptOptions {
  /** What is kept, a name of its own. */
  readonly name: string;
  readonly restsOn: readonly Topic[];
  /** What else the answer depends on: a day, units, an id. */
  readonly key?: string;
}

/** The answer kept for this database, epoch and key, or worked out now. */
export function kept<T>(db: Db, { name, restsOn, key = '' }: KeptOptions, work: () => T): T {
  let ofDb = shelves.get(db);
  if (!ofDb) shelves.set(db, (ofDb = new Map<string, Shelf>()));
  const epoch = epochOf(db, restsOn);
  let shelf = ofDb.get(name);
  if (shelf?.epoch !== epoch) ofDb.set(name, (shelf = { epoch, byKey: new Map() }));
  const { byKey } = shelf;
  if (byKey.has(key)) return byKey.get(key) as T;
  const answer = work();
  byKey.set(key, answer);
  if (byKey.size > MOST_KEYS) byKey.delete(byKey.keys().next().value!);
  return answer;
}
