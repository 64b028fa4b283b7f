/** Bags of a batch that were set aside. */
import { SAMPLE, type SampleInput, type SampleRow } from '@/core/entity/sample';
import { prepared, type Db } from './database';
import { groupedByOwner, IDS } from './many';
import { now } from './rows';
import { tableOf, updateRow, type Seen } from './table';

export interface StoredSample extends SampleRow {
  readonly id: string;
  readonly rowVersion: number;
  /** Grams its shots and purges took. */
  readonly spentG: number;
}

const TABLE = tableOf('sample', SAMPLE);

/** What a purged shot took, as the advice counts it: what was said, else twice the retention. */
const SPENT = `
  SELECT coalesce(sum(s.dose_g + CASE WHEN s.purged = 0 THEN 0
    ELSE coalesce(s.purge_g, 2 * g.retention_g) END), 0)
  FROM shot s JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN dial_in d ON d.id = r.dial_in_id
  JOIN setup u ON u.id = d.setup_id JOIN grinder g ON g.id = u.grinder_id
  WHERE s.sample_id = x.id AND s.removed_at IS NULL`;

const SELECT = `
  SELECT x.batch_id AS owner, x.id, x.row_version AS rowVersion, (${SPENT}) AS spentG,
    ${TABLE.selected('x')}
  FROM sample x WHERE x.batch_id IN ${IDS} AND x.removed_at IS NULL ORDER BY x.batch_id, x.made_at, x.id`;

/** The bags of these batches, in the order they were noted. */
export function samplesOfBatches(
  db: Db,
  batchIds: readonly string[],
): (batchId: string) => readonly StoredSample[] {
  return groupedByOwner(db, SELECT, batchIds, (row) => {
    const { id, rowVersion, spentG } = row as StoredSample;
    return { id, rowVersion, spentG, ...TABLE.read(row) };
  });
}

export function insertSample(
  db: Db,
  id: string,
  batchId: string,
  fields: SampleInput,
  personId: string,
): void {
  prepared(
    db,
    `INSERT INTO sample (id, batch_id, made_at, made_by, ${TABLE.columns})
     VALUES (@id, @batchId, @at, @personId, ${TABLE.parameters})`,
  ).run({ ...TABLE.write(fields), id, batchId, at: now(), personId });
}

/** False when somebody else changed the bag since it was read, or took it away. */
export function updateSample(db: Db, seen: Seen, fields: SampleInput): boolean {
  return updateRow(db, TABLE, seen, fields);
}

/** The bag in use of a batch; none where null. */
export function openSampleOf(db: Db, batchId: string, sampleId: string | null): void {
  prepared(db, 'UPDATE batch SET open_sample_id = ? WHERE id = ?').run(sampleId, batchId);
}

export interface StoredSpan {
  readonly opens: number;
  readonly bestFrom: number;
  readonly bestTo: number;
  readonly fades: number;
}

/** A release's own span, or the school's again; false when somebody else changed the release meanwhile. */
export function setSpan(db: Db, { id, rowVersion }: Seen, span: StoredSpan | null): boolean {
  const { changes } = prepared(
    db,
    `UPDATE release SET rest_opens = @opens, rest_best_from = @bestFrom, rest_best_to = @bestTo,
       rest_fades = @fades, row_version = row_version + 1 WHERE id = @id AND row_version = @rowVersion`,
  ).run({
    id,
    rowVersion,
    opens: span?.opens ?? null,
    bestFrom: span?.bestFrom ?? null,
    bestTo: span?.bestTo ?? null,
    fades: span?.fades ?? null,
  });
  return changes === 1;
}
