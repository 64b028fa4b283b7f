/** Cafés that serve a published coffee of a house in memory, and their sheets over days. */
import { chanceFrom } from '@/core/random';
import { clock } from '@/data/clock';
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { findPartner } from '@/data/partners';
import { readCheckSheet } from '@/views/checkSheet';
import { newId, send, WORDS } from './house';
import { houseWith, type ViewedHouse } from './view';

export interface HouseOfCafes extends ViewedHouse {
  readonly ids: readonly string[];
}

/** A published coffee and who serves it, each as what differs from a café like the house. */
export function houseWithCafes(...cafes: Record<string, unknown>[]): HouseOfCafes {
  const house = houseWith({});
  const { db, releaseId, draftId } = house;
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  const ids = cafes.map((cafe, i) =>
    String(
      send(db, 'savePartner', {
        partner: { name: `Café ${i + 1}`, town: 'Ostrel', timeZone: 'UTC', ...cafe },
        releaseIds: [releaseId],
      }).partnerId,
    ),
  );
  return { ...house, ids };
}

export const targetOf = (db: Db, id: string) =>
  readCheckSheet(db, findHouse(db)!, findPartner(db, id)!).coffees[0]!.target;

interface Sent {
  /** ln of time off the middle of the window. */
  readonly offLn?: number;
  readonly roastDate?: string;
  readonly check?: Record<string, unknown>;
}

/** Hours of the rounds, as a café that is not asked otherwise checks. */
const HOURS = [7, 11, 14];

/**
 * So many days of three rounds at every café up to the end of 20 May 2026, at dial 11, with the scatter of a
 * machine; the clock stays at the last round.
 * @param sentBy what a café sends on a day, counted from the first; null for a day without a check.
 */
export function sendDays(
  { db, releaseId, ids }: HouseOfCafes,
  days: number,
  sentBy: (cafe: number, day: number) => Sent | null = () => ({}),
): void {
  const chance = chanceFrom(5);
  const end = Date.parse('2026-05-20T00:05:00Z');
  for (let day = 0; day < days; day++)
    for (const hour of HOURS) {
      const at = new Date(end - (days - 1 - day) * 86_400_000 + hour * 3_600_000);
      clock.now = () => at;
      for (const [nth, id] of ids.entries()) {
        const scatter = 0.03 * chance.normal();
        const sent = sentBy(nth, day);
        if (sent === null) continue;
        const { offLn = 0, roastDate = '2026-04-20', check = {} } = sent;
        const { doseG, yieldG, timeS } = targetOf(db, id);
        const middle = (timeS[0] + timeS[1]) / 2;
        const time = Number((middle * Math.exp(offLn + scatter)).toFixed(1));
        const shot = { doseG, yieldG, timeS: time, dial: 11, ...check };
        const { secret } = findPartner(db, id)!;
        const checks = [{ releaseId, roastDate, check: shot }];
        send(db, 'sendChecks', { secret, checks, help: '' }, newId(), null);
      }
    }
}
