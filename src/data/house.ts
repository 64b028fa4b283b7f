/** The house and how it works: schools, clock, tolerances, money, days off, roast words. */
import { z } from 'zod';
import { CLOCKS, REST_SCHOOLS, STYLES, TEMPERATURE_SCHOOLS } from '@/core/vocabulary';
import { ownRuleSchema } from '@/core/schema/ownRule';
import { prepared, type Db } from './database';
import { bool, json, now, optional, type Unknowable } from './rows';

const roastReading = z.object({
  roastLevel: z.number(),
  colourBean: z.number().optional(),
  colourGround: z.number().optional(),
});

const houseRow = z.object({
  name: z.string(),
  brewStyle: z.enum(STYLES),
  temperatureSchool: z.enum(TEMPERATURE_SCHOOLS),
  restSchool: z.enum(REST_SCHOOLS),
  clock: z.enum(CLOCKS),
  doseToleranceG: z.number(),
  yieldToleranceG: z.number(),
  tasteFirst: bool,
  rowVersion: z.number(),
  currency: z.string(),
  coffeePricePerKg: optional(z.number()),
  closedWeekdays: json(z.array(z.number())),
  closedDates: json(z.array(z.string())),
  roastMap: json(z.array(roastReading)),
  publicAddress: z.string(),
  rules: json(z.array(ownRuleSchema)),
  /** Releases after which a past recipe counts half; undefined when it never fades. */
  halfLife: optional(z.number()),
});
export type House = z.output<typeof houseRow>;

export type HouseFields = Unknowable<Omit<House, 'rowVersion' | 'rules' | 'halfLife'>>;

/** The house, or null before the first-run set-up. */
export function findHouse(db: Db): House | null {
  const row = prepared(
    db,
    `SELECT name, brew_style AS brewStyle, temperature_school AS temperatureSchool,
              rest_school AS restSchool, clock, dose_tolerance_g AS doseToleranceG,
              yield_tolerance_g AS yieldToleranceG, taste_first AS tasteFirst,
              row_version AS rowVersion, currency, coffee_price_per_kg AS coffeePricePerKg,
              closed_weekdays AS closedWeekdays, closed_dates AS closedDates,
              roast_map AS roastMap, public_address AS publicAddress,
              rules, half_life AS halfLife
       FROM house WHERE id = 1`,
  ).get();
  return row === undefined ? null : houseRow.parse(row);
}

export function insertHouse(db: Db, name: string): void {
  prepared(db, 'INSERT INTO house (id, name, created_at) VALUES (1, ?, ?)').run(name, now());
}

/** False when someone else changed the house since `rowVersion` was read. */
export function updateHouse(db: Db, rowVersion: number, house: HouseFields): boolean {
  const { changes } = prepared(
    db,
    `UPDATE house SET name = @name, brew_style = @brewStyle,
         temperature_school = @temperatureSchool, rest_school = @restSchool, clock = @clock,
         dose_tolerance_g = @doseToleranceG, yield_tolerance_g = @yieldToleranceG,
         taste_first = @tasteFirst, currency = @currency, coffee_price_per_kg = @coffeePricePerKg,
         closed_weekdays = @closedWeekdays, closed_dates = @closedDates, roast_map = @roastMap,
         public_address = @publicAddress, row_version = row_version + 1
       WHERE id = 1 AND row_version = @rowVersion`,
  ).run({
    ...house,
    rowVersion,
    tasteFirst: Number(house.tasteFirst),
    coffeePricePerKg: house.coffeePricePerKg ?? null,
    closedWeekdays: JSON.stringify(house.closedWeekdays),
    closedDates: JSON.stringify(house.closedDates),
    roastMap: JSON.stringify(house.roastMap),
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
