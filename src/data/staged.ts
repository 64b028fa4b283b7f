/** Shots that were caught in several cups. */
import type { Likeness, StagedCup } from '@/core/taste/staged';
import { prepared, type Db } from './database';
import { allRows, IDS } from './many';
import { now } from './rows';

interface StagedInput {
  readonly cups: readonly StagedCup[];
  readonly likeness: Likeness | null;
}

export interface StagedShot extends StagedInput {
  readonly notedAt: string;
}

/** By shot. */
export function stagedOf(db: Db, shotIds: readonly string[]): ReadonlyMap<string, StagedShot> {
  const rows = allRows(
    db,
    `SELECT shot_id AS shotId, cups, likeness, noted_at AS notedAt FROM staged_shot WHERE shot_id IN ${IDS}`,
    JSON.stringify(shotIds),
  ) as { shotId: string }[];
  return new Map(rows.map((row) => [row.shotId, stagedFrom(row)]));
}

/** Of a row with its cups, likeness and moment. */
export function stagedFrom(row: unknown): StagedShot {
  const { cups, ...rest } = row as Omit<StagedShot, 'cups'> & { readonly cups: string };
  return { ...rest, cups: JSON.parse(cups) as StagedCup[] };
}

/** What was noted before is replaced; no cups is none noted. */
export function noteStaged(db: Db, shotId: string, staged: StagedInput, personId: string): void {
  if (staged.cups.length === 0) {
    prepared(db, 'DELETE FROM staged_shot WHERE shot_id = ?').run(shotId);
    return;
  }
  prepared(
    db,
    `INSERT INTO staged_shot (shot_id, cups, likeness, noted_at, noted_by)
     VALUES (@shotId, @cups, @likeness, @at, @personId)
     ON CONFLICT (shot_id) DO UPDATE SET cups = excluded.cups, likeness = excluded.likeness,
       noted_at = excluded.noted_at, noted_by = excluded.noted_by`,
  ).run({
    shotId,
    cups: JSON.stringify(staged.cups),
    likeness: staged.likeness,
    at: now(),
    personId,
  });
}
