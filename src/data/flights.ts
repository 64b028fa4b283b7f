/** Blind flights: what is compared, their cups, who tastes them and what they said. */
import { createHash, randomInt } from 'node:crypto';
import { z } from 'zod';
import { armSchema, type Arm } from '@/core/panel/arm';
import { type BlindCup } from '@/core/panel/flight';
import { FLIGHT_TESTS, type FlightTest } from '@/core/panel/flightTests';
import type { Taste } from '@/core/schema/shot';
import { LIKENESSES, type Likeness } from '@/core/taste/staged';
import { MOMENTS } from '@/core/vocabulary';
import { clock } from './clock';
import { prepared, type Db } from './database';
import { bool, json, now } from './rows';

const flightRow = z.object({
  id: z.string(),
  releaseId: z.string(),
  test: z.enum(FLIGHT_TESTS),
  question: z.string(),
  arms: json(z.array(armSchema)),
  places: z.number(),
  seed: z.number(),
  asksLikeness: bool,
  code: z.string(),
  expiresAt: z.string(),
  madeAt: z.string(),
  madeBy: z.string(),
  revealedAt: z.string().nullable(),
  chosenArm: z.number().nullable(),
  decision: z.string().nullable(),
});
export type StoredFlight = z.output<typeof flightRow>;

const SELECT = `
  SELECT f.id, f.release_id AS releaseId, f.test, f.question, f.arms, f.places, f.seed,
    f.asks_likeness AS asksLikeness, f.code, f.expires_at AS expiresAt, f.made_at AS madeAt,
    p.name AS madeBy, f.revealed_at AS revealedAt, f.chosen_arm AS chosenArm, f.decision
  FROM flight f JOIN person p ON p.id = f.made_by`;

/** Without letters and digits that are taken for each other. */
const SIGNS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 8;

const newCode = () =>
  Array.from({ length: CODE_LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');

/** A code as it is kept, however it was typed. */
export const plainCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');

const HOUR_MS = 3_600_000;
const inHours = (hours: number) => new Date(clock.now().getTime() + hours * HOUR_MS).toISOString();

export interface NewFlight {
  readonly releaseId: string;
  readonly test: FlightTest;
  readonly question: string;
  readonly arms: readonly Arm[];
  readonly places: number;
  readonly hours: number;
  readonly asksLikeness: boolean;
}

/** Chance of a flight, drawn once: it decides codes and orders. */
export const newSeed = (): number => randomInt(2 ** 31 - 1);

/** Keeps a flight with its cups; answers the code of its cup sheets. */
export function insertFlight(
  db: Db,
  id: string,
  { arms, hours, asksLikeness, ...fields }: NewFlight,
  { seed, cups, personId }: { seed: number; cups: readonly BlindCup[]; personId: string },
): string {
  const code = newCode();
  prepared(
    db,
    `INSERT INTO flight (id, release_id, test, question, arms, places, seed, asks_likeness, code,
       expires_at, made_at, made_by)
     VALUES (@id, @releaseId, @test, @question, @arms, @places, @seed, @asksLikeness, @code,
       @expiresAt, @at, @personId)`,
  ).run({
    ...fields,
    id,
    arms: JSON.stringify(arms),
    asksLikeness: Number(asksLikeness),
    seed,
    code,
    expiresAt: inHours(hours),
    at: now(),
    personId,
  });
  const insertCup = prepared(
    db,
    'INSERT INTO flight_cup (flight_id, code, arm, position) VALUES (?, ?, ?, ?)',
  );
  for (const [position, cup] of cups.entries()) insertCup.run(id, cup.code, cup.arm, position);
  return code;
}

export function findFlight(db: Db, id: string): StoredFlight | null {
  const row = prepared(db, `${SELECT} WHERE f.id = ? AND f.removed_at IS NULL`).get(id);
  return row === undefined ? null : flightRow.parse(row);
}

export function findFlightByCode(db: Db, code: string): StoredFlight | null {
  const row = prepared(db, `${SELECT} WHERE f.code = ? AND f.removed_at IS NULL`).get(
    plainCode(code),
  );
  return row === undefined ? null : flightRow.parse(row);
}

/** Flights of a release, the newest first. */
export function listFlights(db: Db, releaseId: string): StoredFlight[] {
  return prepared(
    db,
    `${SELECT} WHERE f.release_id = ? AND f.removed_at IS NULL ORDER BY f.made_at DESC, f.rowid DESC`,
  )
    .all(releaseId)
    .map((row) => flightRow.parse(row));
}

export interface TableCup extends BlindCup {
  readonly shotId: string | null;
  readonly pouredAt: string | null;
}

/** The cups of a flight in the order they are poured. */
export function cupsOf(db: Db, flightId: string): TableCup[] {
  return prepared(
    db,
    `SELECT code, arm, shot_id AS shotId, poured_at AS pouredAt
     FROM flight_cup WHERE flight_id = ? ORDER BY position`,
  ).all(flightId) as TableCup[];
}

/** A cup stands on the table; again, where it was poured anew. */
export function setPoured(
  db: Db,
  { flightId, code, shotId }: { flightId: string; code: string; shotId: string | null },
): boolean {
  const { changes } = prepared(
    db,
    'UPDATE flight_cup SET shot_id = ?, poured_at = ? WHERE flight_id = ? AND code = ?',
  ).run(shotId, now(), flightId, code);
  return changes === 1;
}

const tasterRow = z.object({
  id: z.string(),
  flightId: z.string(),
  name: z.string(),
  personId: z.string().nullable(),
  place: z.number(),
  deviceHash: z.string().nullable(),
  answer: json(z.array(z.string())).nullable(),
});
export type Taster = z.output<typeof tasterRow>;

const SELECT_TASTER = `
  SELECT id, flight_id AS flightId, name, person_id AS personId, place, device_hash AS deviceHash, answer
  FROM flight_taster`;

export function tastersOf(db: Db, flightId: string): Taster[] {
  return prepared(db, `${SELECT_TASTER} WHERE flight_id = ? ORDER BY place`)
    .all(flightId)
    .map((row) => tasterRow.parse(row));
}

export function findTaster(db: Db, id: string): Taster | null {
  const row = prepared(db, `${SELECT_TASTER} WHERE id = ?`).get(id);
  return row === undefined ? null : tasterRow.parse(row);
}

/** Names are told apart as people do. */
export const nameKey = (name: string): string => name.normalize('NFKC').toLowerCase();

const hashOf = (device: string) => createHash('sha256').update(device).digest('hex');

export const isDeviceOf = ({ deviceHash }: Taster, device: string): boolean =>
  deviceHash !== null && deviceHash === hashOf(device);

export function insertTaster(
  db: Db,
  id: string,
  taster: {
    flightId: string;
    name: string;
    personId: string | null;
    place: number;
    device: string;
  },
): void {
  const { device, ...fields } = taster;
  prepared(
    db,
    `INSERT INTO flight_taster (id, flight_id, name, name_key, person_id, place, device_hash, joined_at)
     VALUES (@id, @flightId, @name, @nameKey, @personId, @place, @deviceHash, @at)`,
  ).run({ ...fields, id, nameKey: nameKey(taster.name), deviceHash: hashOf(device), at: now() });
}

/** Gives a place to a phone, or frees it. */
export function setDevice(db: Db, tasterId: string, device: string | null): void {
  prepared(db, 'UPDATE flight_taster SET device_hash = ? WHERE id = ?').run(
    device === null ? null : hashOf(device),
    tasterId,
  );
}

export function setAnswer(db: Db, tasterId: string, codes: readonly string[]): void {
  prepared(db, 'UPDATE flight_taster SET answer = ?, answered_at = ? WHERE id = ?').run(
    JSON.stringify(codes),
    now(),
    tasterId,
  );
}

const sheetRow = z.object({
  id: z.string(),
  tasterId: z.string(),
  code: z.string(),
  moment: z.enum(MOMENTS),
  scales: z.string().transform((text) => JSON.parse(text) as Taste),
  notesFound: json(z.array(z.string())),
  remark: z.string(),
  likeness: z.enum(LIKENESSES).nullable(),
  isLate: bool,
});
export type BlindSheet = z.output<typeof sheetRow>;

export function sheetsOf(db: Db, flightId: string): BlindSheet[] {
  return prepared(
    db,
    `SELECT s.id, s.taster_id AS tasterId, s.code, s.moment, s.scales, s.notes_found AS notesFound,
       s.remark, s.likeness, s.is_late AS isLate
     FROM flight_sheet s JOIN flight_taster t ON t.id = s.taster_id
     WHERE t.flight_id = ? ORDER BY t.place, s.tasted_at`,
  )
    .all(flightId)
    .map((row) => sheetRow.parse(row));
}

export interface NewSheet {
  readonly tasterId: string;
  readonly code: string;
  readonly moment: string;
  readonly scales: Taste;
  readonly notesFound: readonly string[];
  readonly remark: string;
  readonly likeness: Likeness | null;
  readonly tastedAt: string;
  readonly isLate: boolean;
}

/** Keeps a sheet; one of the same taster, cup and moment takes the place of the one before. */
export function insertSheet(db: Db, id: string, sheet: NewSheet): void {
  prepared(
    db,
    `INSERT INTO flight_sheet (id, taster_id, code, moment, scales, notes_found, remark, likeness, tasted_at, is_late)
     VALUES (@id, @tasterId, @code, @moment, @scales, @notesFound, @remark, @likeness, @tastedAt, @isLate)
     ON CONFLICT (taster_id, code, moment, is_late) DO UPDATE SET scales = excluded.scales,
       notes_found = excluded.notes_found, remark = excluded.remark, likeness = excluded.likeness,
       tasted_at = excluded.tasted_at`,
  ).run({
    ...sheet,
    id,
    scales: JSON.stringify(sheet.scales),
    notesFound: JSON.stringify(sheet.notesFound),
    isLate: Number(sheet.isLate),
  });
}

/** A sheet as a cup of the shot it was tasted from. */
export interface RevealedCup {
  readonly sheet: BlindSheet;
  readonly shotId: string;
  readonly serving: string;
}

/** Ends the blind part. A guest's cup stands under whoever reveals, with the guest's name. */
export function setRevealed(
  db: Db,
  flightId: string,
  { cups, personId }: { readonly cups: readonly RevealedCup[]; readonly personId: string },
): void {
  prepared(db, 'UPDATE flight SET revealed_at = ? WHERE id = ?').run(now(), flightId);
  const insert = prepared(
    db,
    `INSERT INTO tasting (id, shot_id, tasted_at, tasted_by, moment, serving, scales, notes_found,
       remark, flight_id, guest)
     SELECT s.id, @shotId, s.tasted_at, COALESCE(t.person_id, @personId), s.moment, @serving, s.scales,
       s.notes_found, s.remark, t.flight_id, CASE WHEN t.person_id IS NULL THEN t.name END
     FROM flight_sheet s JOIN flight_taster t ON t.id = s.taster_id WHERE s.id = @sheetId`,
  );
  for (const { sheet, shotId, serving } of cups)
    insert.run({ sheetId: sheet.id, shotId, serving, personId });
}

export function setDecision(
  db: Db,
  id: string,
  { chosenArm, decision }: { chosenArm: number | null; decision: string },
): void {
  prepared(db, 'UPDATE flight SET chosen_arm = ?, decision = ? WHERE id = ?').run(
    chosenArm,
    decision,
    id,
  );
}

/** More places, or open for longer from now. */
export function setOpen(db: Db, id: string, { places, hours }: { places: number; hours: number }) {
  prepared(db, 'UPDATE flight SET places = ?, expires_at = ? WHERE id = ?').run(
    places,
    inHours(hours),
    id,
  );
}

/** The house's words for what it finds in cups, the most used first. */
export function noteVocabulary(db: Db, most: number): string[] {
  return prepared(
    db,
    `SELECT min(n.value) FROM tasting t, json_each(t.notes_found) n WHERE t.removed_at IS NULL
     GROUP BY lower(n.value) ORDER BY count(*) DESC, lower(n.value) LIMIT ?`,
  )
    .pluck()
    .all(most) as string[];
}
