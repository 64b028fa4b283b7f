/** What checks taught, kept so that a restart begins where the house was: alarms, slopes, what was found. */
import { z } from 'zod';
import { ALARM_STATES, type CafeAlarm } from '@/core/cafes/alarms';
import { prepared, type Db } from './database';
import { now } from './rows';

const alarmRow = z.object({
  partnerId: z.string(),
  coffee: z.string().nullable(),
  fromDay: z.number(),
  openedDay: z.number(),
  state: z.enum(ALARM_STATES),
  probability: z.number(),
  size: z.number(),
  sd: z.number(),
});
export type StoredAlarm = z.output<typeof alarmRow>;

/** Oldest first. */
export function listAlarms(db: Db): StoredAlarm[] {
  return prepared(
    db,
    `SELECT a.partner_id AS partnerId, a.release_id AS coffee, a.from_day AS fromDay,
       a.opened_day AS openedDay, a.state, a.probability, a.size, a.sd
     FROM field_alarm a ORDER BY a.opened_day`,
  )
    .all()
    .map((row) => alarmRow.parse(row));
}

export function keepAlarm(db: Db, partnerId: string, alarm: CafeAlarm): void {
  const { coffee, fromDay, openedDay, state, probability, size, sd } = alarm;
  prepared(
    db,
    `INSERT INTO field_alarm (partner_id, release_id, from_day, opened_day, state, probability, size, sd)
     VALUES (@partnerId, @coffee, @fromDay, @openedDay, @state, @probability, @size, @sd)
     ON CONFLICT (partner_id, opened_day) DO UPDATE SET release_id = @coffee, from_day = @fromDay,
       state = @state, probability = @probability, size = @size, sd = @sd`,
  ).run({ partnerId, coffee, fromDay, openedDay, state, probability, size, sd });
}

export interface StoredSlope {
  readonly partnerId: string;
  readonly mean: number;
  readonly sd: number;
  readonly sinceDay: number;
  readonly firstDay: number;
}

export function listSlopes(db: Db): StoredSlope[] {
  return prepared(
    db,
    `SELECT partner_id AS partnerId, mean, sd, since_day AS sinceDay, first_day AS firstDay FROM field_slope`,
  ).all() as StoredSlope[];
}

export function keepSlope(db: Db, slope: StoredSlope): void {
  prepared(
    db,
    `INSERT INTO field_slope (partner_id, mean, sd, since_day, first_day)
     VALUES (@partnerId, @mean, @sd, @sinceDay, @firstDay)
     ON CONFLICT (partner_id) DO UPDATE SET mean = @mean, sd = @sd, since_day = @sinceDay, first_day = @firstDay`,
  ).run(slope);
}

/** Row of the last visit that was judged; 0 before any was. */
export function judgedUpTo(db: Db): number {
  const row = prepared(db, 'SELECT visit FROM field_judged').get();
  return (row as { visit: number } | undefined)?.visit ?? 0;
}

export function setJudgedUpTo(db: Db, visit: number): void {
  prepared(
    db,
    `INSERT INTO field_judged (id, visit) VALUES (1, @visit)
     ON CONFLICT (id) DO UPDATE SET visit = @visit`,
  ).run({ visit });
}

export const SETTLED_CAUSES = [
  'scale',
  'machine',
  'grinder',
  'burrs',
  'habit',
  'batch',
  'weather',
  'none',
  'answered',
] as const;
export type SettledCause = (typeof SETTLED_CAUSES)[number];

export interface Settled {
  readonly signal: string;
  readonly cause: SettledCause;
  readonly note: string;
  readonly settledAt: string;
}

export function listSettled(db: Db): Settled[] {
  return prepared(
    db,
    'SELECT signal, cause, note, settled_at AS settledAt FROM field_settled',
  ).all() as Settled[];
}

export function keepSettled(
  db: Db,
  settled: Pick<Settled, 'signal' | 'cause' | 'note'>,
  personId: string,
): void {
  prepared(
    db,
    `INSERT INTO field_settled (signal, cause, note, settled_at, settled_by)
     VALUES (@signal, @cause, @note, @at, @personId)
     ON CONFLICT (signal) DO UPDATE SET cause = @cause, note = @note, settled_at = @at, settled_by = @personId`,
  ).run({ ...settled, at: now(), personId });
}
