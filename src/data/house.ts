/** The house and its people. */
import { z } from 'zod';
import { CLOCKS, REST_SCHOOLS, STYLES, TEMPERATURE_SCHOOLS } from '@/core/vocabulary';
import type { Db } from './database';
import { bool, now } from './rows';

const houseRow = z.object({
  name: z.string(),
  brewStyle: z.enum(STYLES),
  temperatureSchool: z.enum(TEMPERATURE_SCHOOLS),
  restSchool: z.enum(REST_SCHOOLS),
  clock: z.enum(CLOCKS),
  doseToleranceG: z.number(),
  yieldToleranceG: z.number(),
  tasteFirst: bool,
});
export type House = z.output<typeof houseRow>;

/** The house, or null before the first-run set-up. */
export function findHouse(db: Db): House | null {
  const row = db
    .prepare(
      `SELECT name, brew_style AS brewStyle, temperature_school AS temperatureSchool,
              rest_school AS restSchool, clock, dose_tolerance_g AS doseToleranceG,
              yield_tolerance_g AS yieldToleranceG, taste_first AS tasteFirst
       FROM house WHERE id = 1`,
    )
    .get();
  return row === undefined ? null : houseRow.parse(row);
}

export function insertHouse(db: Db, name: string): void {
  db.prepare('INSERT INTO house (id, name, created_at) VALUES (1, ?, ?)').run(name, now());
}

const personRow = z.object({ id: z.string(), name: z.string(), role: z.enum(['lead', 'bench', 'reader']) });
export type Person = z.output<typeof personRow>;

/** The house's lead; everyone at this machine acts as the lead until people can sign in. */
export function findLead(db: Db): Person | null {
  const row = db.prepare(`SELECT id, name, role FROM person WHERE role = 'lead' ORDER BY created_at LIMIT 1`).get();
  return row === undefined ? null : personRow.parse(row);
}

export function insertPerson(db: Db, person: Person): void {
  db.prepare('INSERT INTO person (id, name, role, created_at) VALUES (@id, @name, @role, @at)').run({
    ...person,
    at: now(),
  });
}
