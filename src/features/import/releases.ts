/** Taking in releases and batches: rows of one name make one release. */
import type { BatchEntry } from '@/core/schema/releaseEntry';
import { personOf } from '@/data/command';
import type { Db } from '@/data/database';
import { findReleaseNamed, insertBatch, insertRelease, type StoredRelease } from '@/data/releases';
import type { CsvTable } from '@/formats/sheets/csv';
import { readReleases, type ReadRelease } from '@/formats/sheets/releaseSheet';
import type { ReadOptions } from '@/formats/sheets/rows';
import { countWords, type Prepared } from './prepared';

interface Planned extends ReadRelease {
  readonly existing: StoredRelease | null;
  readonly fresh: readonly BatchEntry[];
}

export function* prepareReleases(
  db: Db,
  table: CsvTable,
  options: ReadOptions,
): Generator<number, Prepared> {
  const { releases, faults } = yield* readReleases(table, options);
  const planned = releases.map((read): Planned => {
    const existing = findReleaseNamed(db, read.release.name);
    return {
      ...read,
      existing,
      fresh: read.batches.filter((batch) => !hasBatch(existing, batch)),
    };
  });
  const fresh = planned.reduce((sum, release) => sum + release.fresh.length, 0);
  const all = planned.reduce((sum, release) => sum + release.batches.length, 0);
  const newReleases = planned.filter(({ existing }) => existing === null).length;
  return {
    faults,
    news: `${countWords(newReleases, 'new release', 'new releases')}, ${countWords(fresh, 'new batch', 'new batches')}`,
    known: all - fresh,
    apply: (context) =>
      planned.forEach(({ release, existing, fresh: batches }, i) => {
        const releaseId = existing?.id ?? `${context.id}r${i}`;
        if (!existing) insertRelease(db, releaseId, release, personOf(context).id);
        batches.forEach((batch, j) => insertBatch(db, `${context.id}r${i}b${j}`, releaseId, batch));
      }),
  };
}

function hasBatch(release: StoredRelease | null, batch: BatchEntry): boolean {
  return (
    release?.batches.some(
      ({ roastDate, label }) =>
        roastDate === batch.roastDate && label.toLowerCase() === batch.label.toLowerCase(),
    ) ?? false
  );
}
