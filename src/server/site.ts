/**
 * All published cards as a folder any web host can serve: pages, papers, documents, schemas, fonts, and an
 * index. Addresses are those of the server itself, so that codes on paper lead to either.
 */
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { createHash } from 'node:crypto';
import { userFault } from '@/core/errors';
import type { Db } from '@/data/database';
import { LANGUAGES } from '@/core/language';
import { findEarlier, findPublished } from '@/data/publications';
import { DOCUMENT_SCHEMAS } from '@/formats/recipe/readers';
import { pageFile, scriptFamilyOf } from '@/formats/paper/scripts';
import { FONT_FOLDER, indexPage } from './cardPage';
import { feedHead, feedOf, publicCards } from './feed';
import { fileOf, languageOf } from './press';
import { schemaFile } from './publicFiles';

const CARD_SCRIPTS = join(process.cwd(), 'dist/card');

export interface Site {
  readonly folder: string;
  readonly cards: number;
  readonly files: number;
}

const HASHES = 'hashes.json';

/** @throws UserFault when the folder has something in it. */
export async function writeSite(db: Db, folder: string): Promise<Site> {
  if (existsSync(folder) && readdirSync(folder).length > 0)
    throw userFault('refused', 'folder', `${folder} is not empty. Name a new folder.`);
  return putSite(db, folder);
}

/**
 * Puts what is public now into a folder that was made so before, or into a new one: what is no longer public is gone
 * from it.
 * @throws UserFault when something else stands in the folder.
 */
export async function refreshSite(db: Db, folder: string): Promise<Site> {
  const listed = join(folder, HASHES);
  if (!existsSync(listed)) return writeSite(db, folder);
  const before = Object.keys(JSON.parse(readFileSync(listed, 'utf8')) as object);
  const site = await putSite(db, folder);
  const now = new Set(Object.keys(JSON.parse(readFileSync(listed, 'utf8')) as object));
  for (const path of before) if (!now.has(path)) rmSync(join(folder, path), { force: true });
  return site;
}

async function putSite(db: Db, folder: string): Promise<Site> {
  const hashes: Record<string, string> = {};
  const write = (path: string, bytes: Uint8Array | string) => {
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), bytes);
    hashes[path] = createHash('sha256').update(bytes).digest('hex');
  };
  /** Fonts beyond Latin that some page asks for. */
  const scripts = new Set<string>();
  const writePage = (path: string, page: Uint8Array) => {
    write(path, page);
    for (const [, file] of Buffer.from(page)
      .toString()
      .matchAll(/\/fonts\/(noto-[\w-]+\.woff2)/g))
      scripts.add(file!);
  };
  const cards = publicCards(db);
  for (const { token } of cards) {
    const version = findPublished(db, token)!;
    const own = languageOf(version);
    for (const language of LANGUAGES) {
      const place = `p/${token}/${language}`;
      const page = (await fileOf(db, version, token, `page ${language}`)).bytes;
      const paper = (await fileOf(db, version, token, `paper ${language}`)).bytes;
      writePage(`${place}/index.html`, page);
      write(`${place}/card.pdf`, paper);
      if (language !== own) continue;
      writePage(`p/${token}/index.html`, page);
      write(`p/${token}/card.pdf`, paper);
    }
    write(`p/${token}/recipe.json`, version.document);
    for (let number = 1; number < version.number; number++) {
      const earlier = findEarlier(db, token, number);
      if (!earlier) continue;
      const kind = `page ${languageOf(earlier)}` as const;
      writePage(
        `p/${token}/v/${number}/index.html`,
        (await fileOf(db, earlier, token, kind)).bytes,
      );
    }
  }
  for (const name of readdirSync(CARD_SCRIPTS).filter((file) => file.endsWith('.js')))
    write(`card/${name}`, readFileSync(join(CARD_SCRIPTS, name)));
  for (const version of Object.keys(DOCUMENT_SCHEMAS))
    write(`schema/recipe-document-${version}.json`, schemaFile(Number(version))!.body);
  mkdirSync(join(folder, 'fonts'), { recursive: true });
  for (const name of readdirSync(FONT_FOLDER).filter((file) => /-wdth-normal\.woff2$/.test(file)))
    copyFileSync(join(FONT_FOLDER, name), join(folder, 'fonts', name));
  copyFileSync(join(process.cwd(), 'src/app/icon.svg'), join(folder, 'icon.svg'));
  for (const file of scripts)
    copyFileSync(pageFile({ family: scriptFamilyOf(file)!, file }), join(folder, 'fonts', file));
  const head = feedHead(db);
  write('index.html', indexPage(head.roastery, cards).html);
  write('feed.xml', feedOf(head, cards));
  write(HASHES, `${JSON.stringify(hashes, null, 2)}\n`);
  return { folder, cards: cards.length, files: Object.keys(hashes).length };
}
