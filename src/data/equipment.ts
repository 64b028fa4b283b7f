/** Machines, grinders and baskets. Each is described once and may stand in several setups. */
import { z } from 'zod';
import { BOILERS } from '@/core/schema/setup';
import { prepared, type Db } from './database';
import { bool, optional, type Unknowable } from './rows';

const machineRow = z.object({
  id: z.string(),
  rowVersion: z.number(),
  name: z.string(),
  settableTemperature: bool,
  fixedTemperatureC: optional(z.number()),
  displayOffsetC: optional(z.number()),
  pressureControl: bool,
  flowControl: bool,
  preinfusion: bool,
  boiler: optional(z.enum(BOILERS)),
  flushS: optional(z.number()),
  overrunG: optional(z.number()),
});
export type StoredMachine = z.output<typeof machineRow>;
export type MachineFields = Unknowable<Omit<StoredMachine, 'id' | 'rowVersion'>>;

const grinderRow = z.object({
  id: z.string(),
  rowVersion: z.number(),
  name: z.string(),
  stepSize: z.number(),
  finerIs: z.enum(['lower', 'higher']),
  min: z.number(),
  max: z.number(),
  retentionG: z.number(),
  umPerStep: optional(z.number()),
  secondsPerStep: optional(z.number()),
  secondsPerStepHalf80: optional(z.number()),
  referenceDial: optional(z.number()),
  stepless: bool,
  chokesAt: optional(z.number()),
});
export type StoredGrinder = z.output<typeof grinderRow>;
export type GrinderFields = Unknowable<Omit<StoredGrinder, 'id' | 'rowVersion'>>;

const basketRow = z.object({
  id: z.string(),
  rowVersion: z.number(),
  name: z.string(),
  diameterMm: z.number(),
  depthMm: optional(z.number()),
  ratedG: z.number(),
  pressurised: bool,
});
export type StoredBasket = z.output<typeof basketRow>;
export type BasketFields = Unknowable<Omit<StoredBasket, 'id' | 'rowVersion'>>;

export interface PartFields {
  readonly machine: MachineFields;
  readonly grinder: GrinderFields;
  readonly basket: BasketFields;
}
export interface StoredParts {
  readonly machine: StoredMachine;
  readonly grinder: StoredGrinder;
  readonly basket: StoredBasket;
}
export const PARTS = ['machine', 'grinder', 'basket'] as const;
export type Part = (typeof PARTS)[number];

/** Columns of a part's table by our name; the tables and columns are ours, never a person's input. */
const COLUMNS: Record<Part, Readonly<Record<string, string>>> = {
  machine: {
    name: 'name',
    settableTemperature: 'settable_temperature',
    fixedTemperatureC: 'fixed_temperature_c',
    displayOffsetC: 'display_offset_c',
    pressureControl: 'pressure_control',
    flowControl: 'flow_control',
    preinfusion: 'preinfusion',
    boiler: 'boiler',
    flushS: 'flush_s',
    overrunG: 'overrun_g',
  },
  grinder: {
    name: 'name',
    stepSize: 'step_size',
    finerIs: 'finer_is',
    min: 'dial_min',
    max: 'dial_max',
    retentionG: 'retention_g',
    umPerStep: 'um_per_step',
    secondsPerStep: 'seconds_per_step',
    secondsPerStepHalf80: 'seconds_per_step_half80',
    referenceDial: 'reference_dial',
    stepless: 'stepless',
    chokesAt: 'chokes_at',
  },
  basket: {
    name: 'name',
    diameterMm: 'diameter_mm',
    depthMm: 'depth_mm',
    ratedG: 'rated_g',
    pressurised: 'pressurised',
  },
};

const ROWS = { machine: machineRow, grinder: grinderRow, basket: basketRow } as const;

function select(part: Part): string {
  const columns = Object.entries(COLUMNS[part]).map(([name, column]) => `${column} AS ${name}`);
  return `SELECT id, row_version AS rowVersion, ${columns.join(', ')} FROM ${part}`;
}

/** Every part of a kind in use, by name. */
export function listParts<P extends Part>(db: Db, part: P): StoredParts[P][] {
  return prepared(db, `${select(part)} WHERE removed_at IS NULL ORDER BY name, id`)
    .all()
    .map((row) => ROWS[part].parse(row) as StoredParts[P]);
}

/** A part, also one that was taken away: old setups still name it. */
export function findPart<P extends Part>(db: Db, part: P, id: string): StoredParts[P] | null {
  const row = prepared(db, `${select(part)} WHERE id = ?`).get(id);
  return row === undefined ? null : (ROWS[part].parse(row) as StoredParts[P]);
}

/** SQL parameters: undefined is NULL, booleans are 0 and 1. */
function parameters(part: Part, fields: PartFields[Part]): Record<string, string | number | null> {
  const given = fields as unknown as Record<string, string | number | boolean | undefined>;
  return Object.fromEntries(
    Object.keys(COLUMNS[part]).map((name) => {
      const value = given[name];
      return [name, typeof value === 'boolean' ? Number(value) : (value ?? null)];
    }),
  );
}

export function insertPart<P extends Part>(db: Db, part: P, id: string, fields: PartFields[P]): void {
  const names = Object.keys(COLUMNS[part]);
  const columns = names.map((name) => COLUMNS[part][name]);
  prepared(db, `INSERT INTO ${part} (id, ${columns.join(', ')})
     VALUES (@id, ${names.map((name) => `@${name}`).join(', ')})`,
  ).run({ ...parameters(part, fields), id });
}

/** False when someone else changed the part since `rowVersion` was read. */
export function updatePart<P extends Part>(
  db: Db,
  part: P,
  { id, rowVersion }: { id: string; rowVersion: number },
  fields: PartFields[P],
): boolean {
  const sets = Object.entries(COLUMNS[part]).map(([name, column]) => `${column} = @${name}`);
  const { changes } = prepared(db, `UPDATE ${part} SET ${sets.join(', ')}, row_version = row_version + 1
       WHERE id = @id AND row_version = @rowVersion`,
    )
    .run({ ...parameters(part, fields), id, rowVersion });
  return changes === 1;
}
