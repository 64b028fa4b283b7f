/**
 * Hashes of passwords: scrypt (Node's own) at the figures OWASP's Password Storage Cheat Sheet gives
 * (published: N 2^17, r 8, p 1: 128 MiB and about half a second each). At most two are worked out at
 * once, off the main thread; a hash of older figures is told, so that it can be made anew.
 */
import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { promisify } from 'node:util';
import { userFault } from '@/core/errors';

const scryptAsync = promisify<string, Buffer, number, ScryptOptions, Buffer>(scrypt);

/** N is two to this. */
const COST = 17;
/** Of hashes made before the cost was written into them. */
const OLD_COST = 15;
const [BLOCK, LANES] = [8, 1];
const KEY_BYTES = 32;
const SALT_BYTES = 16;

/** "scrypt$cost$salt$key", salt and key in base64url. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES);
  const key = await keyOf(password, salt, COST);
  return ['scrypt', COST, salt.toString('base64url'), key.toString('base64url')].join('$');
}

export interface Comparison {
  readonly isRight: boolean;
  /** Made at lower figures than today's: to be made anew while the password is at hand. */
  readonly isOld: boolean;
}

/** Compared in constant time; a hash that is not ours fits no password. */
export async function comparePassword(password: string, hash: string): Promise<Comparison> {
  const parts = hash.split('$');
  if (parts.length === 3) parts.splice(1, 0, String(OLD_COST));
  const [kind, cost, salt, key] = parts;
  if (kind !== 'scrypt' || !salt || !key) return { isRight: false, isOld: false };
  const wanted = Buffer.from(key, 'base64url');
  const found = await keyOf(password, Buffer.from(salt, 'base64url'), Number(cost));
  const isRight = wanted.length === found.length && timingSafeEqual(wanted, found);
  return { isRight, isOld: Number(cost) < COST };
}

/** A name nobody has costs as much time as a wrong password, so that names cannot be probed. */
let nobodysHash: Promise<string> | undefined;

export function hashOfNobody(): Promise<string> {
  return (nobodysHash ??= hashPassword(randomBytes(SALT_BYTES).toString('base64url')));
}

const MOST_AT_ONCE = 2;
/** More than this many in line are turned away: the last would wait for ten seconds. */
const MOST_WAITING = 40;

let running = 0;
const waiting: (() => void)[] = [];

async function keyOf(password: string, salt: Buffer, cost: number): Promise<Buffer> {
  if (running >= MOST_AT_ONCE) {
    if (waiting.length >= MOST_WAITING)
      throw userFault(
        'tooMany',
        'password',
        'Very many people sign in just now. Wait some seconds, then try again.',
      );
    // Whoever ends hands its place on, so that the count stays right.
    await new Promise<void>((resolve) => waiting.push(resolve));
  } else running++;
  try {
    return await scryptAsync(password.normalize('NFKC'), salt, KEY_BYTES, {
      N: 2 ** cost,
      r: BLOCK,
      p: LANES,
      maxmem: 2 * 128 * BLOCK * 2 ** cost,
    });
  } finally {
    const next = waiting.shift();
    if (next) next();
    else running--;
  }
}
