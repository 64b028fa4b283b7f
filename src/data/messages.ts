/** Remarks of readers, and messages that were written: an outbox that files and shows, and never sends. */
import { z } from 'zod';
import { prepared, type Db } from './database';
import { now } from './rows';

const remarkRow = z.object({
  id: z.string(),
  releaseId: z.string(),
  release: z.string(),
  versionNumber: z.number(),
  language: z.string(),
  words: z.string(),
  saidAt: z.string(),
  settledAt: z.string().nullable(),
});
export type Remark = z.output<typeof remarkRow>;

const MOST_SHOWN = 100;

/** Remarks not settled yet, then the newest others. */
export function listRemarks(db: Db): Remark[] {
  return prepared(
    db,
    `SELECT m.id, m.release_id AS releaseId, l.name AS release, m.version_number AS versionNumber, m.language,
       m.words, m.said_at AS saidAt, m.settled_at AS settledAt
     FROM reader_remark m JOIN release l ON l.id = m.release_id AND l.removed_at IS NULL
     ORDER BY m.settled_at IS NOT NULL, m.said_at DESC LIMIT ${MOST_SHOWN}`,
  )
    .all()
    .map((row) => remarkRow.parse(row));
}

/** Remarks on a release since a moment. */
export function countRemarksSince(db: Db, releaseId: string, moment: string): number {
  const row = prepared(
    db,
    'SELECT count(*) AS n FROM reader_remark WHERE release_id = ? AND said_at >= ?',
  ).get(releaseId, moment);
  return (row as { n: number }).n;
}

export function insertRemark(
  db: Db,
  remark: Pick<Remark, 'id' | 'releaseId' | 'versionNumber' | 'language' | 'words'>,
): void {
  prepared(
    db,
    `INSERT INTO reader_remark (id, release_id, version_number, language, words, said_at)
     VALUES (@id, @releaseId, @versionNumber, @language, @words, @at)`,
  ).run({ ...remark, at: now() });
}

/** The release a remark is about; null where it is settled already or was never made. */
export function settleRemark(db: Db, id: string, personId: string): string | null {
  const row = prepared(
    db,
    `UPDATE reader_remark SET settled_at = ?, settled_by = ?
     WHERE id = ? AND settled_at IS NULL RETURNING release_id AS releaseId`,
  ).get(now(), personId, id) as { releaseId: string } | undefined;
  return row?.releaseId ?? null;
}

export const MESSAGE_AUDIENCES = ['partners', 'team', 'partner'] as const;
export type MessageAudience = (typeof MESSAGE_AUDIENCES)[number];

const messageRow = z.object({
  id: z.string(),
  rowVersion: z.number(),
  releaseId: z.string(),
  release: z.string(),
  versionNumber: z.number(),
  audience: z.enum(MESSAGE_AUDIENCES),
  /** The café it is for, where it is for one. */
  partner: z.string().nullable(),
  partnerId: z.string().nullable(),
  subject: z.string(),
  body: z.string(),
  madeAt: z.string(),
  madeBy: z.string(),
  filedAt: z.string().nullable(),
});
export type Message = z.output<typeof messageRow>;

const SELECT_MESSAGE = `SELECT o.id, o.row_version AS rowVersion, o.release_id AS releaseId, l.name AS release,
       o.version_number AS versionNumber, o.audience, o.subject, o.body, o.made_at AS madeAt,
       p.name AS madeBy, o.filed_at AS filedAt, o.partner_id AS partnerId, t.name AS partner
     FROM outbox_message o JOIN release l ON l.id = o.release_id AND l.removed_at IS NULL
     JOIN person p ON p.id = o.made_by LEFT JOIN partner t ON t.id = o.partner_id`;

/** Messages still to go out by somebody's hand, then the newest filed ones. */
export function listMessages(db: Db): Message[] {
  return prepared(
    db,
    `${SELECT_MESSAGE}
     ORDER BY o.filed_at IS NOT NULL, o.made_at DESC, o.rowid DESC LIMIT ${MOST_SHOWN}`,
  )
    .all()
    .map((row) => messageRow.parse(row));
}

/** What was written to one café, the newest first. */
export function messagesToPartner(db: Db, partnerId: string): Message[] {
  return prepared(
    db,
    `${SELECT_MESSAGE} WHERE o.partner_id = ? ORDER BY o.made_at DESC, o.rowid DESC LIMIT ${MOST_SHOWN}`,
  )
    .all(partnerId)
    .map((row) => messageRow.parse(row));
}

export function insertMessage(
  db: Db,
  message: Pick<Message, 'id' | 'releaseId' | 'versionNumber' | 'audience' | 'subject' | 'body'> & {
    readonly partnerId?: string;
  },
  personId: string,
): void {
  prepared(
    db,
    `INSERT INTO outbox_message (id, release_id, version_number, audience, partner_id, subject, body, made_at, made_by)
     VALUES (@id, @releaseId, @versionNumber, @audience, @partnerId, @subject, @body, @at, @personId)`,
  ).run({ partnerId: null, ...message, at: now(), personId });
}

/** The release of a message that was changed; null when it was filed or changed meanwhile. */
export function updateMessage(
  db: Db,
  { id, rowVersion, subject, body }: Pick<Message, 'id' | 'rowVersion' | 'subject' | 'body'>,
): string | null {
  const row = prepared(
    db,
    `UPDATE outbox_message SET subject = @subject, body = @body, row_version = row_version + 1
     WHERE id = @id AND row_version = @rowVersion AND filed_at IS NULL RETURNING release_id AS releaseId`,
  ).get({ id, rowVersion, subject, body }) as { releaseId: string } | undefined;
  return row?.releaseId ?? null;
}

/** The release of a message that was filed; null when it was already. */
export function fileMessage(db: Db, id: string, personId: string): string | null {
  const row = prepared(
    db,
    `UPDATE outbox_message SET filed_at = ?, filed_by = ?, row_version = row_version + 1
     WHERE id = ? AND filed_at IS NULL RETURNING release_id AS releaseId`,
  ).get(now(), personId, id) as { releaseId: string } | undefined;
  return row?.releaseId ?? null;
}
