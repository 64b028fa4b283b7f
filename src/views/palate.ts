/** What each taster had on a day. Server only. */
import { addDays } from '@/core/rest/day';
import { caffeineMg, caffeinePct, type Palate } from '@/core/taste/palate';
import type { Db } from '@/data/database';
import { cached } from '@/data/cache';
import { allRows } from '@/data/many';
import { findReleases } from '@/data/releases';
import { TASTER_COLUMNS } from '@/data/tastings';
import { momentOf } from '@/data/today';

export interface TasterToday extends Palate {
  readonly personId: string;
  readonly name: string;
}

interface Row {
  readonly tastedById: string;
  readonly tastedBy: string;
  readonly shotId: string;
  readonly doseG: number;
  readonly releaseId: string;
}

/** A sheet for each cup somebody tasted between two moments; several of one shot by one person are one cup. */
const CUPS = `
  SELECT DISTINCT ${TASTER_COLUMNS}, s.id AS shotId, s.dose_g AS doseG, d.release_id AS releaseId
  FROM tasting t JOIN shot s ON s.id = t.shot_id JOIN recipe_draft r ON r.id = s.recipe_draft_id
  JOIN dial_in d ON d.id = r.dial_in_id JOIN person p ON p.id = t.tasted_by
  WHERE t.removed_at IS NULL AND t.tasted_at >= ? AND t.tasted_at < ?`;

/** Everybody who tasted on this day of the house, who had most first. */
export function readPalates(db: Db, day: string): readonly TasterToday[] {
  const options = { name: 'palates', tags: ['tasting', 'shot', 'release'], key: day } as const;
  return cached(db, options, () => {
    const midnight = '00:00';
    const rows = allRows(
      db,
      CUPS,
      momentOf(day, midnight),
      momentOf(addDays(day, 1), midnight),
    ) as Row[];
    const releases = new Map(
      findReleases(db, [...new Set(rows.map(({ releaseId }) => releaseId))]).map((release) => [
        release.id,
        caffeinePct(release.components),
      ]),
    );
    const sharers = new Map<string, number>();
    for (const { shotId } of rows) sharers.set(shotId, (sharers.get(shotId) ?? 0) + 1);
    const people = new Map<string, TasterToday>();
    for (const { tastedById: personId, tastedBy: name, shotId, doseG, releaseId } of rows) {
      const before = people.get(personId) ?? { personId, name, cups: 0, caffeineMg: 0 };
      const mg = caffeineMg(
        doseG,
        releases.get(releaseId) ?? caffeinePct([]),
        sharers.get(shotId)!,
      );
      people.set(personId, {
        ...before,
        cups: before.cups + 1,
        caffeineMg: before.caffeineMg + mg,
      });
    }
    return [...people.values()].sort((a, b) => b.caffeineMg - a.caffeineMg);
  });
}
