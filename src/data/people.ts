/** The people of a house: who they are, what they may do, their units. */
import { z } from 'zod';
import { ROLES, type Role } from '@/core/roles';
import { TEMPERATURE_UNITS, VOLUME_UNITS, type Units } from '@/core/units';
import { prepared, type Db } from './database';
import { now } from './rows';

const personRow = z
  .object({
    id: z.string(),
    name: z.string(),
    role: z.enum(ROLES),
    signInName: z.string().nullable(),
    volume: z.enum(VOLUME_UNITS),
    temperature: z.enum(TEMPERATURE_UNITS),
  })
  .transform(({ volume, temperature, ...row }) => ({ ...row, units: { volume, temperature } }));
export type Person = z.output<typeof personRow>;

const SELECT = `
  SELECT id, name, role, sign_in_name AS signInName, volume_unit AS volume,
         temperature_unit AS temperature
  FROM person`;

/** A person who still works here. */
export function findPerson(db: Db, id: string): Person | null {
  const row = prepared(db, `${SELECT} WHERE id = ? AND removed_at IS NULL`).get(id);
  return row === undefined ? null : personRow.parse(row);
}

/** Everyone who still works here, lead first, then by name. */
export function listPeople(db: Db): Person[] {
  return prepared(db, `${SELECT} WHERE removed_at IS NULL ORDER BY role <> 'lead', role, name`)
    .all()
    .map((row) => personRow.parse(row));
}

/** The house's first lead, also one of an older database who has no sign-in yet. */
export function findLead(db: Db): Person | null {
  const row = prepared(
    db,
    `${SELECT} WHERE role = 'lead' AND removed_at IS NULL ORDER BY created_at LIMIT 1`,
  ).get();
  return row === undefined ? null : personRow.parse(row);
}

const keyRow = z.object({ id: z.string(), passwordHash: z.string() });

/** Who signs in by this name, with the hash to check; names are matched without case. */
export function findSignIn(db: Db, signInName: string): z.output<typeof keyRow> | null {
  const row = prepared(
    db,
    `SELECT id, password_hash AS passwordHash FROM person
       WHERE sign_in_name = ? COLLATE NOCASE AND password_hash IS NOT NULL AND removed_at IS NULL`,
  ).get(signInName);
  return row === undefined ? null : keyRow.parse(row);
}

export function isSignInNameTaken(db: Db, signInName: string): boolean {
  return (
    prepared(db, 'SELECT 1 FROM person WHERE sign_in_name = ? COLLATE NOCASE').get(signInName) !==
    undefined
  );
}

/** Somebody else of the house who is called so; names are matched without case. */
export function isNameTaken(db: Db, name: string, exceptId: string | null): boolean {
  return (
    prepared(
      db,
      'SELECT 1 FROM person WHERE name = ? COLLATE NOCASE AND removed_at IS NULL AND id IS NOT ?',
    ).get(name, exceptId) !== undefined
  );
}

/** Can anyone sign in yet? False in an empty house and in one made before there was a sign-in. */
export function hasSignIns(db: Db): boolean {
  return (
    prepared(db, 'SELECT 1 FROM person WHERE password_hash IS NOT NULL LIMIT 1').get() !== undefined
  );
}

export interface NewPerson {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly signInName: string;
  readonly passwordHash: string;
}

export function insertPerson(db: Db, person: NewPerson): void {
  prepared(
    db,
    `INSERT INTO person (id, name, role, sign_in_name, password_hash, created_at)
     VALUES (@id, @name, @role, @signInName, @passwordHash, @at)`,
  ).run({ ...person, at: now() });
}

/** Gives a person a sign-in, or a new one. */
export function setSignIn(
  db: Db,
  id: string,
  { name, signInName, passwordHash }: Omit<NewPerson, 'id' | 'role'>,
): void {
  prepared(db, 'UPDATE person SET name = ?, sign_in_name = ?, password_hash = ? WHERE id = ?').run(
    name,
    signInName,
    passwordHash,
    id,
  );
}

export function setUnits(db: Db, id: string, { volume, temperature }: Units): void {
  prepared(db, 'UPDATE person SET volume_unit = ?, temperature_unit = ? WHERE id = ?').run(
    volume,
    temperature,
    id,
  );
}

export function keepPasswordHash(db: Db, id: string, passwordHash: string): void {
  prepared(db, 'UPDATE person SET password_hash = ? WHERE id = ?').run(passwordHash, id);
}

export function setRole(db: Db, id: string, role: Role): void {
  prepared(db, 'UPDATE person SET role = ? WHERE id = ?').run(role, id);
}

/** Leads who can still sign in: the last one can be neither removed nor demoted. */
export function countLeads(db: Db): number {
  const row = prepared(
    db,
    `SELECT count(*) AS n FROM person
       WHERE role = 'lead' AND removed_at IS NULL AND password_hash IS NOT NULL`,
  ).get() as { n: number };
  return row.n;
}
