/**
 * What anybody may read, answered before the house's own pages: cards, their files, the schemas and the
 * fonts. Each has an ETag, so that whatever stands in front may keep it; not for long, so that a recipe
 * that is taken back is gone within a minute.
 */
import { existsSync, readFileSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import { createHash, timingSafeEqual } from 'node:crypto';
import { z } from 'zod';
import { findCalendarSecret } from '@/data/calendar';
import { findHouse } from '@/data/house';
import { today } from '@/data/today';
import { calendarOf } from '@/formats/calendar';
import { readCalendar } from '@/views/calendar';
import { publicAddress } from '@/data/address';
import type { Db } from '@/data/database';
import { MOST_COFFEES } from '@/formats/paper/cafeSheet';
import { isLanguage, LANGUAGES, type Language } from '@/core/language';
import type { PUBLIC_FILES } from '@/data/publicFiles';
import { findEarlier, findPublished, type PublicVersion } from '@/data/publications';
import { DOCUMENT_SCHEMAS, readDocument } from '@/formats/recipe/readers';
import { pageFile, scriptFamilyOf } from '@/formats/paper/scripts';
import { FONT_FOLDER, nothingPage, withdrawnPage, type StaticPage } from './cardPage';
import { feedHead, feedOf, publicCards } from './feed';
import { drawn } from './drawing';
import { etagOf, fileOf, languageOf, PAPER_POLICY } from './press';

/** How long a proxy may give a file without asking again. */
const FRESH_S = 30;
const A_YEAR_S = 31_536_000;

interface Answer {
  readonly status?: number;
  readonly type: string;
  readonly body: Uint8Array | string;
  readonly etag?: string;
  readonly policy?: string;
  readonly disposition?: string;
  readonly maxAgeS?: number;
  readonly isPrivate?: boolean;
}

interface Paper {
  readonly name: string;
  readonly made: Exclude<(typeof PUBLIC_FILES)[number], 'page'>;
  readonly type: string;
}

const PAPERS: readonly Paper[] = [
  { name: 'card.pdf', made: 'paper', type: 'application/pdf' },
  { name: 'bag.pdf', made: 'bag', type: 'application/pdf' },
  { name: 'label.pdf', made: 'label', type: 'application/pdf' },
  { name: 'card.png', made: 'picture', type: 'image/png' },
];

type Give = (
  db: Db,
  parts: readonly string[],
  question: URLSearchParams,
) => Answer | null | Promise<Answer | null>;

const IN = `(?:/(${LANGUAGES.join('|')}))?`;
const at = (rest: string) => new RegExp(`^/p/([^/]*)${rest}$`);

const ADDRESSES: readonly (readonly [RegExp, Give])[] = [
  [at(`${IN}/?`), (db, [token, language]) => ofVersion(db, token!, givePage(language), asPage)],
  [
    at(`/v/(\\d{1,5})${IN}/?`),
    (db, [token, number, language]) => ofEarlier(db, token!, Number(number), givePage(language)),
  ],
  ...PAPERS.map(
    ({ name, made, type }) =>
      [
        at(`${IN}/${name.replace('.', '\\.')}`),
        (db: Db, [token, language]: readonly string[]) =>
          ofVersion(db, token!, givePaper({ made, name, type, language }), asJson),
      ] as const,
  ),
  [
    at(`${IN}/sheet\\.pdf`),
    (db, [token, language], question) =>
      giveSheet(db, [token!, ...question.getAll('with')], language),
  ],
  [at('/recipe\\.json'), (db, [token]) => ofVersion(db, token!, giveDocument, asJson)],
  [/^\/schema\/recipe-document-(\d+)\.json$/, (_db, [version]) => schemaFile(Number(version))],
  [/^\/fonts\/(archivo-[a-z-]+-wdth-normal\.woff2)$/, (_db, [name]) => fontFile(name!)],
  [/^\/fonts\/(noto-[\w-]+\.woff2)$/, (_db, [name]) => fontFile(name!)],
  [/^\/card\/([\w-]+\.js)$/, (_db, [name]) => cardScript(name!)],
  [/^\/feed\.xml$/, (db) => giveFeed(db)],
  [/^\/calendar\/([\w-]+)\.ics$/, (db, [secret]) => giveCalendar(db, secret!)],
  [/^\/sw\.js$/, () => serviceWorker()],
  [/^\/(?:p|schema|fonts|card|calendar)\/.*$/, () => asPage(404, nothingPage())],
];

/** Answers a request for something public; false where it asks for something else. */
export async function givePublic(
  db: Db,
  request: IncomingMessage,
  response: ServerResponse,
): Promise<boolean> {
  const [path = '', asked = ''] = (request.url ?? '').split('?');
  const found = ADDRESSES.find(([pattern]) => pattern.test(path));
  if (!found) return false;
  if (request.method !== 'GET' && request.method !== 'HEAD') {
    response.setHeader('allow', 'GET, HEAD');
    send(request, response, refusedAs(405, 'This is only read here.'));
    return true;
  }
  const [pattern, give] = found;
  const parts = pattern
    .exec(path)!
    .slice(1)
    .map((part) => decodeURIComponent(part ?? ''));
  const answer = (await give(db, parts, new URLSearchParams(asked))) ?? asPage(404, nothingPage());
  send(request, response, answer);
  return true;
}

function send(request: IncomingMessage, response: ServerResponse, answer: Answer): void {
  const { status = 200, type, body, etag, policy, disposition, maxAgeS = FRESH_S } = answer;
  const isKeptNowhere = status === 404 || status === 405 || answer.isPrivate === true;
  response.setHeader(
    'cache-control',
    isKeptNowhere
      ? 'no-store'
      : `public, max-age=${maxAgeS}${status === 410 ? '' : ', must-revalidate'}`,
  );
  if (policy) response.setHeader('content-security-policy', policy);
  if (etag) response.setHeader('etag', etag);
  if (etag && isKnown(request.headers['if-none-match'], etag)) {
    response.statusCode = 304;
    response.end();
    return;
  }
  response.statusCode = status;
  response.setHeader('content-type', type);
  if (disposition) response.setHeader('content-disposition', disposition);
  response.setHeader('content-length', Buffer.byteLength(body));
  response.end(request.method === 'HEAD' ? undefined : body);
}

const isKnown = (known: string | undefined, etag: string) =>
  known !== undefined &&
  (known === '*' || known.split(',').some((one) => one.trim().replace(/^W\//, '') === etag));

type GiveVersion = (db: Db, version: PublicVersion, token: string) => Promise<Answer> | Answer;
type Refuse = (status: number, page: StaticPage) => Answer;

function ofVersion(db: Db, token: string, give: GiveVersion, refuse: Refuse) {
  const version = findPublished(db, token);
  if (!version) return refuse(404, nothingPage());
  if (version.withdrawnAt !== null)
    return refuse(410, withdrawnPage(readDocument(version.document), version));
  return give(db, version, token);
}

const asPage = (status: number, { html, policy }: StaticPage): Answer => ({
  status,
  type: 'text/html; charset=utf-8',
  body: html,
  policy,
});

const REFUSED: Readonly<Record<number, string>> = {
  404: 'Nothing is published at this address. Check it.',
  410: 'The recipe at this address was withdrawn. Ask the roastery.',
};

const refusedAs = (status: number, message: string): Answer => ({
  status,
  type: 'application/json; charset=utf-8',
  body: JSON.stringify({ faults: [{ field: '', message }] }),
});

const asJson = (status: number): Answer => refusedAs(status, REFUSED[status]!);

/** In the language of the address; without one, in that of the house's own words. */
const spoken = (version: PublicVersion, language: string | undefined): Language =>
  language && isLanguage(language) ? language : languageOf(version);

const givePage =
  (language: string | undefined): GiveVersion =>
  async (db, version, token) => {
    const kind = `page ${spoken(version, language)}` as const;
    const { bytes, etag, policy } = await fileOf(db, version, token, kind);
    return { type: 'text/html; charset=utf-8', body: bytes, etag, policy };
  };

const givePaper =
  ({
    made,
    name,
    type,
    language,
  }: Paper & { readonly language: string | undefined }): GiveVersion =>
  async (db, version, token) => {
    const kind = `${made} ${spoken(version, language)}` as const;
    const { bytes, etag, policy } = await fileOf(db, version, token, kind);
    const [stem, ending] = name.split('.');
    const disposition = `inline; filename="${stem}-v${version.number}.${ending}"`;
    return { type, body: bytes, etag, policy, disposition };
  };

/** Sheets drawn lately: each is of up to three public cards, and made for whoever asks. */
const sheets = new Map<string, Promise<Buffer>>();
const MOST_SHEETS = 40;

/** The café's sheet of up to three coffees; one that is not public leaves no sheet. */
async function giveSheet(
  db: Db,
  tokens: readonly string[],
  language: string | undefined,
): Promise<Answer> {
  const versions = [...new Set(tokens)].slice(0, MOST_COFFEES).map((token) => ({
    token,
    version: findPublished(db, token),
  }));
  const cards = versions.flatMap(({ token, version }) =>
    version && version.withdrawnAt === null
      ? [{ document: version.document, address: `${publicAddress(db)}/p/${token}` }]
      : [],
  );
  if (cards.length < versions.length) return refusedAs(404, REFUSED[404]!);
  const said = spoken(versions[0]!.version!, language);
  const key = JSON.stringify([said, publicAddress(db), versions.map(({ version }) => version!.id)]);
  let coming = sheets.get(key);
  if (!coming) {
    if (sheets.size >= MOST_SHEETS) sheets.clear();
    coming = drawn({ paper: 'sheet', cards, language: said });
    sheets.set(key, coming);
    coming.catch(() => sheets.delete(key));
  }
  const body = await coming;
  return {
    type: 'application/pdf',
    body,
    etag: etagOf(body),
    policy: PAPER_POLICY,
    disposition: 'inline; filename="sheet.pdf"',
  };
}

/** The version an address showed before; gone like the newest where the recipe was taken back. */
function ofEarlier(db: Db, token: string, number: number, give: GiveVersion) {
  const version = findEarlier(db, token, number);
  if (!version) return asPage(404, nothingPage());
  if (version.withdrawnAt !== null)
    return asPage(410, withdrawnPage(readDocument(version.document), version));
  return give(db, version, token);
}

/** Of the whole house, for whoever has its address: never kept by what stands in front. */
function giveCalendar(db: Db, secret: string): Answer | null {
  const known = findCalendarSecret(db);
  const house = findHouse(db);
  if (known === null || !house || !isSame(known, secret)) return null;
  const events = readCalendar(db, house, today());
  return {
    type: 'text/calendar; charset=utf-8',
    body: calendarOf(`Checks of ${house.name}`, events, Math.floor(Date.now() / 60_000)),
    isPrivate: true,
  };
}

/** Compared in one time, however much of it is right. */
function isSame(known: string, given: string): boolean {
  const [a, b] = [known, given].map((text) => createHash('sha256').update(text).digest());
  return timingSafeEqual(a!, b!);
}

/** The scripts of a card's helpers, built beside the server; a card does without them. */
const scripts = new Map<string, Answer | null>();

function cardScript(name: string): Answer | null {
  const known = scripts.get(name);
  if (known !== undefined) return known;
  const path = join(process.cwd(), 'dist/card', name);
  const body = existsSync(path) ? readFileSync(path) : null;
  const script = body && {
    type: 'text/javascript; charset=utf-8',
    body,
    etag: etagOf(body),
    policy: SCRIPT_POLICY,
  };
  scripts.set(name, script);
  return script;
}

/** A worker among them does arithmetic alone. */
const SCRIPT_POLICY = "default-src 'none'; script-src 'self'";

function giveFeed(db: Db): Answer {
  const body = feedOf(feedHead(db), publicCards(db));
  return { type: 'application/atom+xml; charset=utf-8', body, etag: etagOf(body) };
}

/** Byte for byte as it was stored. */
const giveDocument: GiveVersion = (_db, { document, number }) => ({
  type: 'application/json; charset=utf-8',
  body: document,
  etag: etagOf(document),
  disposition: `attachment; filename="recipe-v${number}.json"`,
});

/** The JSON Schema that recipe documents name, of every version of the format. */
export function schemaFile(version: number): Answer | null {
  const schema = DOCUMENT_SCHEMAS[version];
  if (!schema) return null;
  const body = JSON.stringify(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }));
  return { type: 'application/json; charset=utf-8', body, etag: etagOf(body) };
}

/** Of the house's own font, or of a script beyond Latin. */
const fontPath = (name: string) => {
  const family = scriptFamilyOf(name);
  return family ? pageFile({ family, file: name }) : join(FONT_FOLDER, name);
};

/** Read and hashed once: they come with the program. */
const fonts = new Map<string, Answer>();

function fontFile(name: string): Answer | null {
  const known = fonts.get(name);
  if (known) return known;
  try {
    const body = readFileSync(fontPath(name));
    const font = { type: 'font/woff2', body, etag: etagOf(body), maxAgeS: A_YEAR_S };
    fonts.set(name, font);
    return font;
  } catch {
    return null;
  }
}

/** Built beside the server; asked for anew at each visit, so that a new build is found. */
function serviceWorker(): Answer | null {
  try {
    const body = readFileSync(join(process.cwd(), 'dist/sw.js'));
    return { type: 'text/javascript', body, etag: etagOf(body), policy: WORKER_POLICY, maxAgeS: 0 };
  } catch {
    return null;
  }
}

/** It asks this server and nobody else. */
const WORKER_POLICY = "default-src 'none'; script-src 'self'; connect-src 'self'";
