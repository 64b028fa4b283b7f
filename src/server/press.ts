/** Makes the files of what is published, each once, and keeps them. */
import { createHash } from 'node:crypto';
import { Worker } from 'node:worker_threads';
import { publicAddress } from '@/data/address';
import type { Db } from '@/data/database';
import {
  findPublicFile,
  keepPublicFile,
  listUnmade,
  type PublicFile,
  type PublicFileKind,
} from '@/data/publicFiles';
import { findPublished, type PublicVersion } from '@/data/publications';
import { readDocument } from '@/formats/recipe/readers';
import { cardPage } from './cardPage';

export const etagOf = (bytes: Uint8Array | string): string =>
  `"${createHash('sha256').update(bytes).digest('base64url')}"`;

type Make = (version: PublicVersion, token: string, address: string) => Promise<PublicFile>;

const MAKE: Readonly<Record<PublicFileKind, Make>> = {
  page: async ({ document }, token) => {
    const { html, policy } = cardPage(readDocument(document), token);
    const bytes = Buffer.from(html);
    return { bytes, etag: etagOf(bytes), policy };
  },
  paper: async ({ document }, _token, address) => {
    const bytes = await drawn(document, address);
    return { bytes, etag: etagOf(bytes), policy: "default-src 'none'; frame-ancestors 'none'" };
  },
};

/** What is being made: who asks for the same meanwhile waits for it. */
const coming = new Map<string, Promise<PublicFile>>();

/** The file of a version as it was made when it was published; made now where it never was. */
export function fileOf(
  db: Db,
  version: PublicVersion,
  token: string,
  kind: PublicFileKind,
): Promise<PublicFile> {
  // A page says nothing of the address it stands at, so it stays what it is when that changes.
  const address = kind === 'page' ? '' : `${publicAddress(db)}/p/${token}`;
  const kept = findPublicFile(db, version.id, kind, address);
  if (kept) return Promise.resolve(kept);
  const key = `${version.id} ${kind} ${address}`;
  let making = coming.get(key);
  if (!making) {
    making = MAKE[kind](version, token, address)
      .then((file) => {
        keepPublicFile(db, { versionId: version.id, kind, address }, file);
        return file;
      })
      .finally(() => coming.delete(key));
    coming.set(key, making);
  }
  return making;
}

/** Makes what was published and has no file yet. */
export async function pressNew(db: Db): Promise<void> {
  for (const kind of ['page', 'paper'] as const)
    for (const { token } of listUnmade(db, kind)) {
      const version = findPublished(db, token);
      if (version) await fileOf(db, version, token, kind);
    }
}

function drawn(document: string, address: string): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./paper.mjs', import.meta.url), {
      execArgv: [],
      workerData: { document, address },
    });
    worker.once('message', (bytes: Uint8Array) => resolve(Buffer.from(bytes)));
    worker.once('error', reject);
    worker.once('exit', (code) => reject(new Error(`the paper worker ended with ${code}`)));
  });
}
