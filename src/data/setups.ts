/** Setups: a machine, a grinder and a basket that stand together. */
import { z } from 'zod';
import type { Db } from './database';
import { bool, now, optional } from './rows';

const setupRow = z.object({
  id: z.string(),
  name: z.string(),
  rowVersion: z.number(),
  machineName: z.string(),
  settableTemperature: bool,
  fixedTemperatureC: optional(z.number()),
  pressureControl: bool,
  grinderName: z.string(),
  stepSize: z.number(),
  finerIs: z.enum(['lower', 'higher']),
  dialMin: z.number(),
  dialMax: z.number(),
  retentionG: z.number(),
  umPerStep: optional(z.number()),
  basketName: z.string(),
  diameterMm: z.number(),
  ratedG: z.number(),
});
type SetupRow = z.output<typeof setupRow>;

export type SetupFields = Omit<SetupRow, 'id' | 'rowVersion'>;

export interface StoredSetup {
  readonly id: string;
  readonly name: string;
  readonly rowVersion: number;
  readonly machine: {
    readonly name: string;
    readonly settableTemperature: boolean;
    readonly fixedTemperatureC?: number | undefined;
    readonly pressureControl: boolean;
  };
  readonly grinder: {
    readonly name: string;
    readonly stepSize: number;
    readonly finerIs: 'lower' | 'higher';
    readonly min: number;
    readonly max: number;
    readonly retentionG: number;
    readonly umPerStep?: number | undefined;
  };
  readonly basket: { readonly name: string; readonly diameterMm: number; readonly ratedG: number };
}

const SELECT = `
  SELECT s.id, s.name, s.row_version AS rowVersion,
         m.name AS machineName, m.settable_temperature AS settableTemperature,
         m.fixed_temperature_c AS fixedTemperatureC, m.pressure_control AS pressureControl,
         g.name AS grinderName, g.step_size AS stepSize, g.finer_is AS finerIs,
         g.dial_min AS dialMin, g.dial_max AS dialMax, g.retention_g AS retentionG,
         g.um_per_step AS umPerStep,
         b.name AS basketName, b.diameter_mm AS diameterMm, b.rated_g AS ratedG
  FROM setup s
  JOIN machine m ON m.id = s.machine_id
  JOIN grinder g ON g.id = s.grinder_id
  JOIN basket b ON b.id = s.basket_id`;

function toSetup(raw: unknown): StoredSetup {
  const row = setupRow.parse(raw);
  return {
    id: row.id,
    name: row.name,
    rowVersion: row.rowVersion,
    machine: {
      name: row.machineName,
      settableTemperature: row.settableTemperature,
      fixedTemperatureC: row.fixedTemperatureC,
      pressureControl: row.pressureControl,
    },
    grinder: {
      name: row.grinderName,
      stepSize: row.stepSize,
      finerIs: row.finerIs,
      min: row.dialMin,
      max: row.dialMax,
      retentionG: row.retentionG,
      umPerStep: row.umPerStep,
    },
    basket: { name: row.basketName, diameterMm: row.diameterMm, ratedG: row.ratedG },
  };
}

export function listSetups(db: Db): StoredSetup[] {
  return db.prepare(`${SELECT} ORDER BY s.created_at, s.id`).all().map(toSetup);
}

export function findSetup(db: Db, id: string): StoredSetup | null {
  const row = db.prepare(`${SELECT} WHERE s.id = ?`).get(id);
  return row === undefined ? null : toSetup(row);
}

/** SQL parameters: undefined is NULL, booleans are 0 and 1. */
function parametersOf(id: string, fields: SetupFields) {
  return {
    ...fields,
    id,
    settableTemperature: Number(fields.settableTemperature),
    pressureControl: Number(fields.pressureControl),
    fixedTemperatureC: fields.fixedTemperatureC ?? null,
    umPerStep: fields.umPerStep ?? null,
    at: now(),
  };
}

export function insertSetup(db: Db, id: string, fields: SetupFields): void {
  const parameters = parametersOf(id, fields);
  db.prepare(
    `INSERT INTO machine VALUES (@id, @machineName, @settableTemperature, @fixedTemperatureC, @pressureControl)`,
  ).run(parameters);
  db.prepare(
    `INSERT INTO grinder VALUES (@id, @grinderName, @stepSize, @finerIs, @dialMin, @dialMax, @retentionG, @umPerStep)`,
  ).run(parameters);
  db.prepare(`INSERT INTO basket VALUES (@id, @basketName, @diameterMm, @ratedG)`).run(parameters);
  db.prepare(
    `INSERT INTO setup (id, name, machine_id, grinder_id, basket_id, created_at)
     VALUES (@id, @name, @id, @id, @id, @at)`,
  ).run(parameters);
}

/** False when someone else changed the setup since `rowVersion` was read. */
export function updateSetup(
  db: Db,
  id: string,
  rowVersion: number,
  fields: SetupFields,
): boolean {
  const parameters = { ...parametersOf(id, fields), rowVersion };
  const { changes } = db
    .prepare(
      `UPDATE setup SET name = @name, row_version = row_version + 1
       WHERE id = @id AND row_version = @rowVersion`,
    )
    .run(parameters);
  if (changes === 0) return false;
  db.prepare(
    `UPDATE machine SET name = @machineName, settable_temperature = @settableTemperature,
       fixed_temperature_c = @fixedTemperatureC, pressure_control = @pressureControl
     WHERE id = (SELECT machine_id FROM setup WHERE id = @id)`,
  ).run(parameters);
  db.prepare(
    `UPDATE grinder SET name = @grinderName, step_size = @stepSize, finer_is = @finerIs,
       dial_min = @dialMin, dial_max = @dialMax, retention_g = @retentionG, um_per_step = @umPerStep
     WHERE id = (SELECT grinder_id FROM setup WHERE id = @id)`,
  ).run(parameters);
  db.prepare(
    `UPDATE basket SET name = @basketName, diameter_mm = @diameterMm, rated_g = @ratedG
     WHERE id = (SELECT basket_id FROM setup WHERE id = @id)`,
  ).run(parameters);
  return true;
}
