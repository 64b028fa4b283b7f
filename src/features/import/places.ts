/** Finds the dial-in a row speaks of in the house, with words for what is missing. */
import { daysBetween } from '@/core/rest/day';
import type { Db } from '@/data/database';
import { findDialIn } from '@/data/dialIns';
import { findReleaseNamed, type StoredBatch, type StoredRelease } from '@/data/releases';
import { listSetups, type StoredSetup } from '@/data/setups';
import { plain } from '@/formats/sheets/columns';
import type { Where } from '@/formats/sheets/where';

export interface ImportTarget {
  readonly release: StoredRelease;
  readonly batch: StoredBatch;
  readonly setup: StoredSetup;
  /** Dial-ins are told apart by this. */
  readonly key: { releaseId: string; batchId: string; setupId: string; style: string };
}

interface Missing {
  readonly column: 'release' | 'roastDate' | 'setup';
  readonly message: string;
}

/**
 * A finder that remembers: sheets name one release a hundred times. Where a row names no batch it is the
 * newest roasted by then; with `ofDialIn`, the newest of them that was dialled in on that setup and style.
 */
export function placeFinder(
  db: Db,
  { ofDialIn = false } = {},
): (where: Where, on: string) => ImportTarget | Missing {
  const releases = new Map<string, StoredRelease | null>();
  const setups = listSetups(db);
  const releaseNamed = (name: string) => {
    const key = plain(name);
    if (!releases.has(key)) releases.set(key, findReleaseNamed(db, name.trim()));
    return releases.get(key) ?? null;
  };
  return (where, on) => {
    const release = releaseNamed(where.release);
    if (!release)
      return {
        column: 'release',
        message: `There is no release “${where.release}” in the house. Import releases and batches first, or correct the name.`,
      };
    const setup = setupNamed(setups, where.setup);
    if (!setup)
      return {
        column: 'setup',
        message:
          where.setup === ''
            ? 'The house has several setups and this row names none. Name one of: ' +
              `${setups.map(({ name }) => name).join('; ') || 'none yet, describe one in Equipment'}.`
            : `There is no setup “${where.setup}”. Describe it in Equipment first, or write one of: ${setups.map(({ name }) => name).join('; ')}.`,
      };
    const keyOf = (batch: StoredBatch) => ({
      releaseId: release.id,
      batchId: batch.id,
      setupId: setup.id,
      style: where.style,
    });
    const batches = batchesOf(release, where.roastDate, on);
    const dialled = ofDialIn
      ? batches.find((one) => findDialIn(db, keyOf(one)) !== null)
      : undefined;
    const batch = dialled ?? batches[0];
    if (!batch)
      return {
        column: 'roastDate',
        message: where.roastDate
          ? `${release.name} has no batch roasted on ${where.roastDate}. Import the batch first, or correct the day.`
          : `${release.name} has no batch roasted by ${on}. Import the batch first, or say which it was.`,
      };
    return { release, batch, setup, key: keyOf(batch) };
  };
}

/** The batch of a roast day, or all that were roasted by then, newest first. */
function batchesOf({ batches }: StoredRelease, roastDate: string | undefined, on: string) {
  return batches.filter((batch) =>
    roastDate === undefined ? daysBetween(batch.roastDate, on) >= 0 : batch.roastDate === roastDate,
  );
}

/** The setup a row names; the only one where it names none. */
export function setupNamed(setups: readonly StoredSetup[], name: string): StoredSetup | undefined {
  if (name === '') return setups.length === 1 ? setups[0] : undefined;
  return setups.find((setup) => plain(setup.name) === plain(name));
}
