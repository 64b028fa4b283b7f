/** Makes the files of what is published, each once, and keeps them. */
import { createHash } from 'node:crypto';
import { publicAddress } from '@/data/address';
import type { Db } from '@/data/database';
import type { Language } from '@/core/language';
import {
  findPublicFile,
  keepPublicFile,
  listUnmade,
  type PUBLIC_FILES,
  type PublicFile,
  type PublicFileKind,
} from '@/data/publicFiles';
import { findPublished, type PublicVersion } from '@/data/publications';
import { readDocument } from '@/formats/recipe/readers';
import { cardPage } from './cardPage';
import { drawn, type ToDraw } from './drawing';

export const etagOf = (bytes: Uint8Array | string): string =>
  `"${createHash('sha256').update(bytes).digest('base64url')}"`;

type Make = (version: PublicVersion, at: MadeAt) => Promise<PublicFile>;

interface MadeAt {
  readonly token: string;
  readonly address: string;
  readonly language: Language;
}

export const PAPER_POLICY = "default-src 'none'; frame-ancestors 'none'";

const drawnAs =
  (paper: ToDraw['paper']): Make =>
  async ({ document }, { address, language }) => {
    const bytes = await drawn({ paper, cards: [{ document, address }], language });
    return { bytes, etag: etagOf(bytes), policy: PAPER_POLICY };
  };

const MAKE: Readonly<Record<(typeof PUBLIC_FILES)[number], Make>> = {
  page: async ({ document }, { token, language }) => {
    const { html, policy } = cardPage(readDocument(document), { token, language });
    const bytes = Buffer.from(html);
    return { bytes, etag: etagOf(bytes), policy };
  },
  paper: drawnAs('paper'),
  bag: drawnAs('bag'),
  label: drawnAs('label'),
  picture: drawnAs('picture'),
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
  const [made, language] = kind.split(' ') as [(typeof PUBLIC_FILES)[number], Language];
  const address = made === 'page' ? '' : `${publicAddress(db)}/p/${token}`;
  const kept = findPublicFile(db, version.id, kind, address);
  if (kept) return Promise.resolve(kept);
  const key = `${version.id} ${kind} ${address}`;
  let making = coming.get(key);
  if (!making) {
    making = MAKE[made](version, { token, address, language })
      .then((file) => {
        keepPublicFile(db, { versionId: version.id, kind, address }, file);
        return file;
      })
      .finally(() => coming.delete(key));
    coming.set(key, making);
  }
  return making;
}

/** The language a version's own words are in: its page without a language in its address. */
export const languageOf = ({ document }: PublicVersion): Language =>
  readDocument(document).body.language ?? 'en';

/** Makes page and card of what was published and has none yet; other files are made for their first reader. */
export async function pressNew(db: Db): Promise<void> {
  for (const { token } of listUnmade(db)) {
    const version = findPublished(db, token);
    if (!version) continue;
    const language = languageOf(version);
    for (const made of ['page', 'paper'] as const)
      await fileOf(db, version, token, `${made} ${language}`);
  }
}
