/** What a disk or a file has against us, in one sentence with the remedy. */

interface Coded {
  readonly code?: unknown;
  readonly message?: unknown;
}

const WORDS: readonly (readonly [RegExp, (where: string) => string])[] = [
  [
    /^(SQLITE_FULL|SQLITE_IOERR_SHMSIZE|ENOSPC|EDQUOT)/,
    () => 'the disk is full. Make room on it, then try again.',
  ],
  [
    /^(SQLITE_READONLY|EROFS)/,
    (where) => `${where} can only be read. Let the person the server runs as write there.`,
  ],
  [
    /^(SQLITE_(CANTOPEN|PERM|AUTH)|EACCES|EPERM)/,
    (where) =>
      `${where} belongs to somebody else or is closed to us. Give it to the person the server runs as.`,
  ],
  [
    /^(SQLITE_(CORRUPT|NOTADB))/,
    (where) =>
      `${where} is damaged. It was left as it is: put it aside and bring back the last backup (npm run kb -- restore FILE).`,
  ],
  [/^(ENOENT|ENOTDIR)/, (where) => `${where} is not there. Correct the name, or make it.`],
  [/^(SQLITE_BUSY|SQLITE_LOCKED)/, () => 'another program holds it. Close that, then try again.'],
  [
    /^(SQLITE_IOERR|EIO)/,
    () => 'the disk answers with faults. Copy what is on it, and replace it.',
  ],
];

/** The words for an error of the disk or the database; its own message for any other. */
export function wordsOfStorage(error: unknown, where: string): string {
  return knownWords(error, where) ?? String((error as Coded | null)?.message ?? error);
}

/** As above; null where it is no matter of storage. */
export function knownWords(error: unknown, where: string): string | null {
  const code = String((error as Coded | null)?.code ?? '');
  return WORDS.find(([pattern]) => pattern.test(code))?.[1](where) ?? null;
}
