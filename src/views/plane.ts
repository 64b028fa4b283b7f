/** Strength and extraction of every measured shot of a release. Server only. */
import { extraction } from '@/core/extraction/extraction';
import { UserFault } from '@/core/errors';
import type { Db } from '@/data/database';
import { allRows } from '@/data/many';
import { dayOf } from '@/data/today';

export interface PlanePoint {
  readonly shotId: string;
  readonly day: string;
  readonly ratio: number;
  readonly tdsPct: number;
  readonly extractionPct: number;
  /** Mean liking of its straight cups; null where nobody said. */
  readonly liking: number | null;
  /** Its yield was read on a marked cup. */
  readonly isRough: boolean;
}

/** More points than this are no picture; the export has them all. */
const MOST_POINTS = 200;

const MEASURED = `
  SELECT s.id AS shotId, s.dose_g AS doseG, s.yield_g AS yieldG, s.yield_ml AS yieldMl, s.tds_pct AS tdsPct,
    s.pulled_at AS pulledAt,
    (SELECT avg(json_extract(t.scales, '$.liking')) FROM tasting t
     WHERE t.shot_id = s.id AND t.removed_at IS NULL AND t.serving = 'straight') AS liking
  FROM dial_in d JOIN recipe_draft r ON r.dial_in_id = d.id JOIN shot s ON s.recipe_draft_id = r.id
  WHERE d.release_id = ? AND s.removed_at IS NULL AND s.tds_pct IS NOT NULL
  ORDER BY s.pulled_at DESC LIMIT ${MOST_POINTS}`;

interface Row extends Pick<PlanePoint, 'shotId' | 'tdsPct' | 'liking'> {
  readonly doseG: number;
  readonly yieldG: number;
  readonly yieldMl: number | null;
  readonly pulledAt: string;
}

/** The newest first. */
export function readPlane(db: Db, releaseId: string): PlanePoint[] {
  return (allRows(db, MEASURED, releaseId) as Row[]).flatMap((row): PlanePoint[] => {
    const { shotId, doseG, yieldG, yieldMl, tdsPct, pulledAt, liking } = row;
    try {
      const { ratio, extractionPct } = extraction({ doseG, yieldG, tdsPct });
      const day = dayOf(pulledAt);
      return [{ shotId, day, ratio, tdsPct, extractionPct, liking, isRough: yieldMl !== null }];
    } catch (error) {
      // More dissolved than was dosed: a reading of no cup.
      if (error instanceof UserFault) return [];
      throw error;
    }
  });
}
