/**
 * All published cards as a folder any web host can serve: pages, papers, documents, schemas, fonts, and an
 * index. Addresses are those of the server itself, so that codes on paper lead to either.
 */
import { copyFileSync, existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createHash } from 'node:crypto';
import { userFault } from '@/core/errors';
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { findPublished, listPublicTokens } from '@/data/publications';
import { readDocument, DOCUMENT_SCHEMAS } from '@/formats/recipe/readers';
import { FONT_FOLDER, indexPage } from './cardPage';
import { feedOf } from './feed';
import { fileOf } from './press';
import { schemaFile } from './publicFiles';

export interface Site {
  readonly folder: string;
  readonly cards: number;
  readonly files: number;
}

/** @throws UserFault when the folder has something in it. */
export async function writeSite(db: Db, folder: string): Promise<Site> {
  if (existsSync(folder) && readdirSync(folder).length > 0)
    throw userFault('refused', 'folder', `${folder} is not empty. Name a new folder.`);
  const hashes: Record<string, string> = {};
  const write = (path: string, bytes: Uint8Array | string) => {
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), bytes);
    hashes[path] = createHash('sha256').update(bytes).digest('hex');
  };
  const cards = [];
  for (const token of listPublicTokens(db)) {
    const version = findPublished(db, token);
    if (!version || version.withdrawnAt !== null) continue;
    write(`p/${token}/index.html`, (await fileOf(db, version, token, 'page')).bytes);
    write(`p/${token}/card.pdf`, (await fileOf(db, version, token, 'paper')).bytes);
    write(`p/${token}/recipe.json`, version.document);
    const { coffee, version: number, publishedOn } = readDocument(version.document).body;
    cards.push({ token, name: coffee.name, number, publishedOn });
  }
  for (const version of Object.keys(DOCUMENT_SCHEMAS))
    write(`schema/recipe-document-${version}.json`, schemaFile(Number(version))!.body);
  mkdirSync(join(folder, 'fonts'), { recursive: true });
  for (const name of readdirSync(FONT_FOLDER).filter((file) => /-wdth-normal\.woff2$/.test(file)))
    copyFileSync(join(FONT_FOLDER, name), join(folder, 'fonts', name));
  copyFileSync(join(process.cwd(), 'src/app/icon.svg'), join(folder, 'icon.svg'));
  const roastery = findHouse(db)?.name ?? '';
  write('index.html', indexPage(roastery, cards).html);
  write('feed.xml', feedOf(roastery, cards));
  write('hashes.json', `${JSON.stringify(hashes, null, 2)}\n`);
  return { folder, cards: cards.length, files: Object.keys(hashes).length };
}
