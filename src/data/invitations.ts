/** One-time links that let a person into the house. Only a link's hash is kept. */
import { createHash } from 'node:crypto';
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { ROLES, type Role } from '@/core/roles';
import { clock } from './clock';
import { prepared, type Db } from './database';
import { now } from './rows';

const DAYS_OPEN = 7;

const invitationRow = z.object({
  id: z.string(),
  role: z.enum(ROLES),
  forWhom: z.string(),
  personId: z.string().nullable(),
  expiresAt: z.string(),
  usedAt: z.string().nullable(),
  removedAt: z.string().nullable(),
});
export type Invitation = z.output<typeof invitationRow>;

const SELECT = `
  SELECT id, role, for_whom AS forWhom, person_id AS personId, expires_at AS expiresAt, used_at AS usedAt,
         removed_at AS removedAt
  FROM invitation`;

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

export interface NewInvitation {
  readonly role: Role;
  readonly forWhom: string;
  /** Someone who works here and needs a new sign-in; absent for a new person. */
  readonly personId?: string | undefined;
  /** The secret of the link, made by the inviting browser. */
  readonly token: string;
}

/** Keeps an invitation; its token is not kept and cannot be asked for again. */
export function insertInvitation(
  db: Db,
  id: string,
  { role, forWhom, token, personId }: NewInvitation,
  invitedBy: string,
): void {
  const tokenHash = hashOf(token);
  if (prepared(db, 'SELECT 1 FROM invitation WHERE token_hash = ?').get(tokenHash) !== undefined)
    throw userFault('conflict', 'token', 'This link was made before. Make a new one.');
  const expiresAt = new Date(clock.now().getTime() + DAYS_OPEN * 86_400_000).toISOString();
  prepared(
    db,
    `INSERT INTO invitation (id, token_hash, role, for_whom, person_id, created_at, created_by,
       expires_at)
     VALUES (@id, @tokenHash, @role, @forWhom, @personId, @at, @invitedBy, @expiresAt)`,
  ).run({
    id,
    tokenHash,
    role,
    forWhom,
    personId: personId ?? null,
    at: now(),
    invitedBy,
    expiresAt,
  });
}

/** Invitations that can still be used, newest first. */
export function listOpenInvitations(db: Db): Invitation[] {
  return prepared(
    db,
    `${SELECT} WHERE used_at IS NULL AND removed_at IS NULL AND expires_at > ?
       ORDER BY created_at DESC, id`,
  )
    .all(now())
    .map((row) => invitationRow.parse(row));
}

/**
 * The invitation of a link.
 * @throws UserFault when the link is not one of ours, was used, taken back or is too old.
 */
export function openInvitation(db: Db, token: string): Invitation {
  const row = prepared(db, `${SELECT} WHERE token_hash = ?`).get(hashOf(token));
  if (row === undefined)
    throw userFault(
      'notFound',
      '',
      'This invitation is not known. Copy the whole link, or ask the lead for a new one.',
    );
  const invitation = invitationRow.parse(row);
  if (invitation.usedAt)
    throw userFault(
      'gone',
      '',
      'This invitation was used already; a link works once. Sign in, or ask the lead for a new one.',
    );
  if (invitation.removedAt || invitation.expiresAt <= now())
    throw userFault(
      'gone',
      '',
      `This invitation is closed; a link is open for ${DAYS_OPEN} days. Ask the lead for a new one.`,
    );
  return invitation;
}

/** Closes the links that were made for a person. */
export function closeInvitationsFor(db: Db, personId: string): void {
  prepared(
    db,
    `UPDATE invitation SET removed_at = ?
     WHERE person_id = ? AND used_at IS NULL AND removed_at IS NULL`,
  ).run(now(), personId);
}

export function markInvitationUsed(db: Db, id: string): void {
  prepared(db, 'UPDATE invitation SET used_at = ? WHERE id = ?').run(now(), id);
}
