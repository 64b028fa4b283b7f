/**
 * The code that lets somebody set up a house that has none: printed where the server was started, so that
 * only who can read that may claim it. Kept in memory; a restart makes another one.
 */
import { randomInt, timingSafeEqual } from 'node:crypto';

/** Without letters and digits that are taken for each other. */
const SIGNS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const GROUPS = 3;
const GROUP_LENGTH = 4;

/** The framework's code and the server's own are two copies of this module in one process. */
const shared = globalThis as { kettlebrandSetUpCode?: string };

/** Makes the code, to be printed. */
export function openSetUp(): string {
  const group = () =>
    Array.from({ length: GROUP_LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');
  const code = Array.from({ length: GROUPS }, group).join('-');
  shared.kettlebrandSetUpCode = code;
  return code;
}

/** Is it the code, however it was typed? False where none was made. */
export function isSetUpCode(typed: string): boolean {
  const plain = (text: string) => Buffer.from(text.toUpperCase().replace(/[^A-Z0-9]/g, ''));
  const code = shared.kettlebrandSetUpCode;
  if (code === undefined) return false;
  const [wanted, given] = [plain(code), plain(typed)];
  return wanted.length === given.length && timingSafeEqual(wanted, given);
}
