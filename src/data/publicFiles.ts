/** Files made of a published version: kept as they were made. */
import { prepared, type Db } from './database';

export type PublicFileKind = 'page' | 'paper';

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

/** Addresses under which something public has no file of this kind yet. */
export function listUnmade(db: Db, kind: PublicFileKind): { token: string }[] {
  return prepared(
    db,
    `SELECT b.token FROM publication b
     WHERE b.withdrawn_at IS NULL AND NOT EXISTS (
       SELECT 1 FROM public_file f WHERE f.version_id = b.version_id AND f.kind = ?)`,
  ).all(kind) as { token: string }[];
}
