/**
 * Entries that must not be lost: each is written to the browser's own database before it is sent, and
 * leaves it only when the server has acknowledged or refused it. They go up in order and, because each
 * keeps its id, count once however often they are sent. Outside React; `useOutbox` shows it.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { CommandKind, Commands } from '@/core/command/inputs';
import type { Fault } from '@/core/errors';
import { newId } from './newId';
import { sendCommand, type Answer } from './sendCommand';

/** A command with what it asks for. */
export type SentCommand = {
  [K in CommandKind]: { readonly kind: K; readonly input: Commands[K]['asks'] };
}[CommandKind];

export interface Entry {
  readonly id: string;
  readonly kind: CommandKind;
  readonly input: SentCommand['input'];
  /** Whose it is: another person who signs in on this device must not send it. */
  readonly personId: string;
  /** What it belongs to, so that a screen can show its own. */
  readonly about: string;
  /** What the server had against it, once it refused it after it had waited. */
  readonly faults?: readonly Fault[];
}

interface Stored extends Entry {
  readonly order?: number;
}

interface Schema extends DBSchema {
  entry: { key: number; value: Stored; indexes: { id: string } };
}

/** Why entries wait. */
export type Trouble = 'unreached' | 'signedOut' | 'storage';

export interface OutboxState {
  readonly entries: readonly Entry[];
  /** What hindered the last try; null when it went well. */
  readonly trouble: Trouble | null;
}

const RETRY_MS = 2_000;

let database: Promise<IDBPDatabase<Schema>> | null = null;
let state: OutboxState = { entries: [], trouble: null };
const listeners = new Set<() => void>();
const upListeners = new Set<(entry: Entry) => void>();
const answers = new Map<string, (answer: Answer) => void>();
/** Ids this page has sent: changes with these are its own. */
const own = new Set<string>();
let retry: ReturnType<typeof setTimeout> | null = null;
let draining: Promise<void> | null = null;

function open(): Promise<IDBPDatabase<Schema>> {
  database ??= openDB<Schema>('kettlebrand', 1, {
    upgrade(db) {
      const store = db.createObjectStore('entry', { keyPath: 'order', autoIncrement: true });
      store.createIndex('id', 'id', { unique: true });
    },
  });
  return database;
}

function publish(next: Partial<OutboxState>): void {
  state = { ...state, ...next };
  for (const listener of listeners) listener();
}

export function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Calls back for every entry the server has taken. */
export function onUp(listener: (entry: Entry) => void): () => void {
  upListeners.add(listener);
  return () => upListeners.delete(listener);
}

export const readState = (): OutboxState => state;

export const isOwn = (id: string): boolean => own.has(id);

/** Loads what waits from an earlier page and begins to send it. */
export async function wake(personId: string): Promise<void> {
  const entries = await (await open()).getAll('entry');
  publish({ entries: entries.filter((entry) => entry.personId === personId) });
  await drain();
}

/**
 * Keeps an entry and sends it. Resolves with the server's answer, or with 'waiting' when the server
 * was not reached: it is then kept and goes up by itself. An entry refused at once is not kept.
 */
export async function post(entry: Omit<Entry, 'id'>): Promise<Answer | 'waiting'> {
  const kept: Entry = { ...entry, id: newId() };
  own.add(kept.id);
  await (await open()).add('entry', kept);
  publish({ entries: [...state.entries, kept] });
  const answered = new Promise<Answer>((resolve) => answers.set(kept.id, resolve));
  const away = drain()
    // A drain that was just ending may have missed it.
    .then(() => (isWaiting(kept.id) && !state.trouble ? drain() : undefined))
    .then(() => 'waiting' as const);
  const answer = await Promise.race([answered, away]);
  answers.delete(kept.id);
  return answer;
}

const isWaiting = (id: string) => state.entries.some((entry) => entry.id === id && !entry.faults);

/** Forgets an entry the person gave up. */
export async function discard(id: string): Promise<void> {
  await remove(id);
}

/** Sends a refused entry once more. */
export async function tryAgain(id: string): Promise<void> {
  const db = await open();
  const key = await db.getKeyFromIndex('entry', 'id', id);
  const found = key === undefined ? undefined : await db.get('entry', key);
  if (!found) return;
  const { faults: _, ...fresh } = found;
  await db.put('entry', fresh);
  publish({ entries: state.entries.map((entry) => (entry.id === id ? fresh : entry)) });
  await drain();
}

async function remove(id: string): Promise<void> {
  const db = await open();
  const key = await db.getKeyFromIndex('entry', 'id', id);
  if (key !== undefined) await db.delete('entry', key);
  publish({ entries: state.entries.filter((entry) => entry.id !== id) });
}

/** Sends what waits, oldest first, until all is gone or the server is not reached. */
function drain(): Promise<void> {
  draining ??= sendAll().finally(() => (draining = null));
  return draining;
}

async function sendAll(): Promise<void> {
  for (;;) {
    const next = state.entries.find(({ faults }) => !faults);
    if (!next) return publish({ trouble: null });
    const answer = await sendCommand(next.id, next.kind, next.input as never);
    const trouble = troubleOf(answer);
    if (trouble !== null || answer === 'unreached') {
      publish({ trouble });
      retry ??= setTimeout(() => {
        retry = null;
        void drain();
      }, RETRY_MS);
      return;
    }
    const waiting = answers.get(next.id);
    if (answer.ok || waiting) await remove(next.id);
    else await keepRefused(next, answer.faults);
    waiting?.(answer);
    if (answer.ok) for (const listener of upListeners) listener(next);
  }
}

function troubleOf(answer: Answer | 'unreached'): Trouble | null {
  if (answer === 'unreached') return 'unreached';
  if (answer.ok) return null;
  return answer.code === 'signedOut' || answer.code === 'storage' ? answer.code : null;
}

/** Refused after it had waited, with nobody at the form: it is shown until somebody settles it. */
async function keepRefused(entry: Entry, faults: readonly Fault[]): Promise<void> {
  const db = await open();
  const key = await db.getKeyFromIndex('entry', 'id', entry.id);
  const refused: Stored = { ...entry, faults };
  if (key !== undefined) await db.put('entry', { ...refused, order: key });
  publish({ entries: state.entries.map((other) => (other.id === entry.id ? refused : other)) });
}
