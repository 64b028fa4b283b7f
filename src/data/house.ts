/** The house and how it works: schools, clock, tolerances, money, days off, roast words. */
import { z } from 'zod';
import { HOUSE, type HouseInput, type HouseRow } from '@/core/entity/house';
import { drinkSchema } from '@/core/fits/drinks';
import { DEFAULT_TOLERANCE } from '@/core/tolerance';
import { ownRuleSchema } from '@/core/start/ownRule';
import { prepared, type Db } from './database';
import { json, now, optional } from './rows';
import { tableOf } from './table';

const roastReading = z.object({
  roastLevel: z.number(),
  colourBean: z.number().optional(),
  colourGround: z.number().optional(),
});

const lists = z.object({
  rowVersion: z.number(),
  closedWeekdays: json(z.array(z.number())),
  closedDates: json(z.array(z.string())),
  roastMap: json(z.array(roastReading)),
  rules: json(z.array(ownRuleSchema)),
  /** The cups of its bar, for the table on cards. */
  drinks: json(z.array(drinkSchema)),
  /** Releases after which a past recipe counts half; undefined when it never fades. */
  halfLife: optional(z.number()),
});
export type House = HouseRow & z.output<typeof lists>;

export type HouseFields = HouseInput &
  Pick<House, 'closedWeekdays' | 'closedDates' | 'roastMap' | 'drinks'>;

export const HOUSE_TABLE = tableOf('house', HOUSE);

/** The house, or null before the first-run set-up. */
export function findHouse(db: Db): House | null {
  const row = prepared(
    db,
    `SELECT ${HOUSE_TABLE.selected()}, row_version AS rowVersion, closed_weekdays AS closedWeekdays,
       closed_dates AS closedDates, roast_map AS roastMap, rules, drinks, half_life AS halfLife
     FROM house WHERE id = 1`,
  ).get();
  return row === undefined ? null : { ...HOUSE_TABLE.read(row), ...lists.parse(row) };
}

export function insertHouse(db: Db, name: string): void {
  prepared(
    db,
    'INSERT INTO house (id, name, dose_tolerance_g, created_at) VALUES (1, ?, ?, ?)',
  ).run(name, DEFAULT_TOLERANCE.doseG, now());
}

/** False when someone else changed the house since `rowVersion` was read. */
export function updateHouse(db: Db, rowVersion: number, house: HouseFields): boolean {
  const { changes } = prepared(
    db,
    `UPDATE house SET ${HOUSE_TABLE.sets}, closed_weekdays = @closedWeekdays,
       closed_dates = @closedDates, roast_map = @roastMap, drinks = @drinks, row_version = row_version + 1
     WHERE id = 1 AND row_version = @rowVersion`,
  ).run({
    ...HOUSE_TABLE.write(house),
    rowVersion,
    closedWeekdays: JSON.stringify(house.closedWeekdays),
    closedDates: JSON.stringify(house.closedDates),
    roastMap: JSON.stringify(house.roastMap),
    drinks: JSON.stringify(house.drinks),
  });
  return changes === 1;
}

/** The rules in place of the trade's, and how fast past recipes fade; false as for `updateHouse`. */
export function updateRules(
  db: Db,
  rowVersion: number,
  { rules, halfLife }: Pick<House, 'rules' | 'halfLife'>,
): boolean {
  const { changes } = prepared(
    db,
    `UPDATE house SET rules = ?, half_life = ?, row_version = row_version + 1
     WHERE id = 1 AND row_version = ?`,
  ).run(JSON.stringify(rules), halfLife ?? null, rowVersion);
  return changes === 1;
}
