/** What the trial of a release may change, and the cup from elsewhere it aims at. Server only. */
import { aimOf, type AimLiking } from '@/core/trials/aim';
import type { Bounds } from '@/core/trials/bestRecipe';
import type { Likely } from '@/core/trials/surface';
import type { Db } from '@/data/database';
import {
  cupsOf,
  listFlights,
  nameKey,
  sheetsOf,
  tastersOf,
  type StoredFlight,
} from '@/data/flights';
import type { StoredTrial } from '@/data/trials';

/** Ends of each variable, for cups of one dose. */
export function boundsOf(trial: StoredTrial, doseG: number): Bounds {
  const { yieldFromG, yieldToG, temperatureFromC, temperatureToC, timeFromS, timeToS } = trial;
  const ratio = (yieldG: number | undefined) => (yieldG === undefined ? undefined : yieldG / doseG);
  return {
    ratio: [ratio(yieldFromG), ratio(yieldToG)],
    temperatureC: [temperatureFromC, temperatureToC],
    timeS: [timeFromS, timeToS],
  };
}

/** A cup from elsewhere that was scored blind beside ours. */
export interface Aim extends Likely {
  readonly label: string;
  readonly question: string;
  readonly tasters: number;
}

/** The best-liked cup from elsewhere among the revealed flights of a release; null where there is none. */
export function readAim(
  db: Db,
  releaseId: string,
  offsets: Readonly<Record<string, number>>,
): Aim | null {
  const aims = listFlights(db, releaseId).flatMap((flight): Aim[] => {
    if (flight.revealedAt === null) return [];
    return flight.arms.flatMap((arm, at): Aim[] => {
      if (arm.pull) return [];
      const likings = likingsOf(db, flight, at);
      const liked = aimOf(likings, offsets);
      if (!liked) return [];
      const tasters = likings.length;
      return [{ ...liked, label: arm.label, question: flight.question, tasters }];
    });
  });
  return aims.length === 0 ? null : aims.reduce((best, one) => (one.mean > best.mean ? one : best));
}

/** One for each taster, over the moments they scored it at; under the names cups of this coffee go by. */
function likingsOf(db: Db, flight: StoredFlight, arm: number): AimLiking[] {
  const codes = new Set(
    cupsOf(db, flight.id).flatMap((cup) => (cup.arm === arm ? [cup.code] : [])),
  );
  const sheets = sheetsOf(db, flight.id).filter(({ code, isLate }) => !isLate && codes.has(code));
  return tastersOf(db, flight.id).flatMap(({ id, name, personId }): AimLiking[] => {
    const own = sheets.flatMap(({ tasterId, scales: { liking } }) =>
      tasterId === id && liking !== undefined ? [liking] : [],
    );
    if (own.length === 0) return [];
    const liking = own.reduce((sum, value) => sum + value, 0) / own.length;
    return [{ taster: personId ?? `guest ${nameKey(name)}`, liking }];
  });
}
