/** A whole field read from its checks alone, visit by visit in order of time, as it would have been told day by day. */
import type { CafeAlarm } from './alarms';
import type { CafeCheck } from './check';
import { CafesModel, type ModelCafe } from './model';
import { groupBy } from '../groupBy';

export interface Told {
  readonly cafe: string;
  readonly alarm: CafeAlarm;
}

/** @returns the model after the last check, and what was opened, withdrawn or kept on the way */
export function readChecks(
  cafes: readonly ModelCafe[],
  checksOf: ReadonlyMap<string, readonly CafeCheck[]>,
): { model: CafesModel; told: Told[] } {
  const model = new CafesModel();
  for (const cafe of cafes) model.addCafe(cafe);
  const visits = cafes
    .flatMap(({ id }) =>
      [...groupBy(checksOf.get(id) ?? [], ({ visit }) => visit).values()].map((checks) => ({
        cafe: id,
        checks,
        atDay: checks[0]!.atDay,
      })),
    )
    .sort((a, b) => a.atDay - b.atDay);
  const told: Told[] = [];
  let day: number | null = null;
  for (const { cafe, checks, atDay } of visits) {
    if (day !== null && Math.floor(atDay) !== day) model.refit(atDay);
    day = Math.floor(atDay);
    for (const alarm of model.addVisit(cafe, checks)) told.push({ cafe, alarm });
  }
  if (day !== null) model.refit(visits.at(-1)!.atDay);
  return { model, told };
}
