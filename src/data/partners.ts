/** Cafés that brew by the house's cards, the coffees they serve and the secrets of their links. */
import { randomBytes } from 'node:crypto';
import { PARTNER, type PartnerInput, type PartnerRow } from '@/core/entity/partner';
import { prepared, type Db } from './database';
import { groupedByOwner, IDS } from './many';
import { now } from './rows';
import { tableOf, updateRow, type Seen } from './table';

export interface StoredPartner extends PartnerRow {
  readonly id: string;
  readonly rowVersion: number;
  /** Null where its link was revoked. */
  readonly secret: string | null;
  readonly madeAt: string;
  readonly roundAskedAt: string | null;
  /** Releases it serves now. */
  readonly releaseIds: readonly string[];
}

const TABLE = tableOf('partner', PARTNER);

const SELECT = `
  SELECT p.id, p.row_version AS rowVersion, p.secret, p.made_at AS madeAt,
    p.round_asked_at AS roundAskedAt, ${TABLE.selected('p')},
    (SELECT json_group_array(c.release_id) FROM partner_coffee c JOIN release l ON l.id = c.release_id
     WHERE c.partner_id = p.id AND c.until IS NULL AND l.removed_at IS NULL) AS releaseIds
  FROM partner p WHERE p.removed_at IS NULL`;

function partnerOf(row: unknown): StoredPartner {
  const { id, rowVersion, secret, madeAt, roundAskedAt, releaseIds } = row as Omit<
    StoredPartner,
    'releaseIds'
  > & { releaseIds: string };
  return {
    id,
    rowVersion,
    secret,
    madeAt,
    roundAskedAt,
    releaseIds: JSON.parse(releaseIds) as string[],
    ...TABLE.read(row),
  };
}

export function listPartners(db: Db): StoredPartner[] {
  return prepared(db, `${SELECT} ORDER BY p.name COLLATE NOCASE`).all().map(partnerOf);
}

export function countPartners(db: Db): number {
  const row = prepared(db, 'SELECT count(*) AS n FROM partner WHERE removed_at IS NULL').get();
  return (row as { n: number }).n;
}

export function findPartner(db: Db, id: string): StoredPartner | null {
  const row = prepared(db, `${SELECT} AND p.id = ?`).get(id);
  return row === undefined ? null : partnerOf(row);
}

export function findPartnerBySecret(db: Db, secret: string): StoredPartner | null {
  const row = prepared(db, `${SELECT} AND p.secret = ?`).get(secret);
  return row === undefined ? null : partnerOf(row);
}

/** How many cafés have each of these releases on their sheet. */
export function cafesServing(db: Db, releaseIds: readonly string[]): (releaseId: string) => number {
  const counts = groupedByOwner(
    db,
    `SELECT c.release_id AS owner, c.partner_id AS partnerId
     FROM partner_coffee c JOIN partner p ON p.id = c.partner_id
     WHERE c.release_id IN ${IDS} AND c.until IS NULL AND p.removed_at IS NULL`,
    releaseIds,
    (row) => (row as { partnerId: string }).partnerId,
  );
  return (releaseId) => counts(releaseId).length;
}

/** 128 bits. */
const newSecret = () => randomBytes(16).toString('base64url');

export function insertPartner(db: Db, id: string, fields: PartnerInput, personId: string): void {
  prepared(
    db,
    `INSERT INTO partner (id, secret, made_at, made_by, ${TABLE.columns})
     VALUES (@id, @secret, @at, @personId, ${TABLE.parameters})`,
  ).run({ ...TABLE.write(fields), id, secret: newSecret(), at: now(), personId });
}

/** False when somebody else changed the café meanwhile. */
export function updatePartner(db: Db, seen: Seen, fields: PartnerInput): boolean {
  return updateRow(db, TABLE, seen, fields);
}

/** The coffees it serves from now on; when it stopped serving one is kept. */
export function setPartnerCoffees(db: Db, partnerId: string, releaseIds: readonly string[]): void {
  const at = now();
  prepared(
    db,
    `UPDATE partner_coffee SET until = ? WHERE partner_id = ? AND until IS NULL
     AND release_id NOT IN (SELECT value FROM json_each(?))`,
  ).run(at, partnerId, JSON.stringify(releaseIds));
  const add = prepared(
    db,
    `INSERT INTO partner_coffee (partner_id, release_id, since) VALUES (?, ?, ?)
     ON CONFLICT (partner_id, release_id) DO UPDATE SET until = NULL`,
  );
  for (const releaseId of releaseIds) add.run(partnerId, releaseId, at);
}

/** Ends the link of a café, and makes a new one where asked. */
export function renewLink(db: Db, partnerId: string, isNew: boolean): void {
  const secret = isNew ? newSecret() : null;
  prepared(db, 'UPDATE partner SET secret = ?, row_version = row_version + 1 WHERE id = ?').run(
    secret,
    partnerId,
  );
}

/** A café that is taken away keeps its checks; its link opens nothing any more. */
export function removePartner(db: Db, partnerId: string): void {
  renewLink(db, partnerId, false);
  prepared(db, 'UPDATE partner SET removed_at = ? WHERE id = ?').run(now(), partnerId);
}

/** Asks a whole extra round of a café, or notes that it came. */
export function setRoundAsked(db: Db, partnerId: string, isAsked: boolean): void {
  prepared(db, 'UPDATE partner SET round_asked_at = ? WHERE id = ?').run(
    isAsked ? now() : null,
    partnerId,
  );
}
