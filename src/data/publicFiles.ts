/** Files made of a published version: kept as they were made. */
import type { Language } from '@/core/language';
import { prepared, type Db } from './database';

/** What is made of a version, each in every language of cards. */
export const PUBLIC_FILES = ['page', 'paper', 'bag', 'label', 'picture'] as const;
export type PublicFileKind = `${(typeof PUBLIC_FILES)[number]} ${Language}`;

export interface PublicFile {
  readonly bytes: Buffer;
  /** Quoted, as the header has it. */
  readonly etag: string;
  /** Content-Security-Policy it is sent with. */
  readonly policy: string;
}

/** The file of a version that leads to this address; null before it was made. */
export function findPublicFile(
  db: Db,
  versionId: string,
  kind: PublicFileKind,
  address: string,
): PublicFile | null {
  const row = prepared(
    db,
    `SELECT bytes, etag, policy FROM public_file
     WHERE version_id = ? AND kind = ? AND address = ?`,
  ).get(versionId, kind, address);
  return (row as PublicFile | undefined) ?? null;
}

/** A file made for another address gives way. */
export function keepPublicFile(
  db: Db,
  { versionId, kind, address }: { versionId: string; kind: PublicFileKind; address: string },
  { bytes, etag, policy }: PublicFile,
): void {
  prepared(
    db,
    `INSERT INTO public_file (version_id, kind, address, bytes, etag, policy)
     VALUES (@versionId, @kind, @address, @bytes, @etag, @policy)
     ON CONFLICT (version_id, kind) DO UPDATE
       SET address = @address, bytes = @bytes, etag = @etag, policy = @policy`,
  ).run({ versionId, kind, address, bytes, etag, policy });
}

/** Addresses under which something public has no page yet, in whatever language. */
export function listUnmade(db: Db): { token: string }[] {
  return prepared(
    db,
    `SELECT b.token FROM publication b
     WHERE b.withdrawn_at IS NULL AND NOT EXISTS (
       SELECT 1 FROM public_file f WHERE f.version_id = b.version_id AND f.kind LIKE 'page %')`,
  ).all() as { token: string }[];
}
