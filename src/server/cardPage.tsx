/**
 * The public pages as documents of their own: markup and its styles, made from the same components as the
 * house's screens, without any script. Only what was published goes in.
 */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { ServerStyleSheet } from 'styled-components';
import { dayWords } from '@/core/dayWords';
import { facesIn } from '@/formats/paper/scripts';
import { PublicCard } from '@/features/publish/PublicCard';
import { Withdrawn } from '@/features/publish/Withdrawn';
import type { Language } from '@/core/language';
import { LOCALES } from '@/words/figures';
import type { RecipeDocument } from '@/formats/recipe/document';
import type { PublicVersion } from '@/data/publications';
import type { FeedCard } from './feed';

export interface StaticPage {
  readonly html: string;
  readonly policy: string;
}

export const FONT_FOLDER = join(process.cwd(), 'node_modules/@fontsource-variable/archivo/files');
/** Under this path the server gives the shipped fonts. */
export const FONT_PATH = '/fonts/';

const theme = readFileSync(join(process.cwd(), 'src/ui/theme/theme.css'), 'utf8');
const fontFaces = readFileSync(join(FONT_FOLDER, '../wdth.css'), 'utf8').replaceAll(
  './files/',
  FONT_PATH,
);

const plain = (css: string) =>
  css
    .replace(/\/\*.*?\*\//gs, '')
    .replace(/\s+/g, ' ')
    .trim();

export function cardPage(
  document: RecipeDocument,
  { token, language }: { readonly token: string; readonly language: Language },
): StaticPage {
  const { coffee, roastery } = document.body;
  return pageOf(
    `${coffee.name}, ${roastery}`,
    <PublicCard document={document} basePath={`/p/${token}`} language={language} />,
    { language, hasHelpers: true },
  );
}

export function withdrawnPage(document: RecipeDocument, version: PublicVersion): StaticPage {
  const { roastery, coffee } = document.body;
  const { number, withdrawnAt, withdrawnWhy } = version;
  return pageOf(
    `${coffee.name}, ${roastery}`,
    <Withdrawn
      roastery={roastery}
      coffee={coffee.name}
      version={number}
      withdrawnAt={withdrawnAt!}
      why={withdrawnWhy ?? ''}
    />,
  );
}

export function nothingPage(): StaticPage {
  return pageOf(
    'Kettlebrand',
    <main style={{ padding: 24 }}>
      <h1>There is nothing at this address</h1>
      <p>It was mistyped, or nothing was published here.</p>
    </main>,
  );
}

/** The list of a folder of cards. */
export function indexPage(roastery: string, cards: readonly FeedCard[]): StaticPage {
  return pageOf(
    `Recipes of ${roastery}`,
    <main style={{ padding: 24, maxWidth: 720 }}>
      <h1>Recipes of {roastery}</h1>
      <ul>
        {cards.map(({ token, name, number, publishedOn }) => (
          <li key={token}>
            <a href={`/p/${token}/`}>{name}</a>, version {number}, {dayWords(publishedOn)}
          </li>
        ))}
      </ul>
    </main>,
  );
}

/** Faces for signs that Latin letters do not write, only those this page has. */
function scriptFaces(markup: string): string {
  return ([400, 600] as const)
    .flatMap((weight) =>
      facesIn(markup, weight).map(
        ({ file, rangeWords }) =>
          `@font-face{font-family:'Card scripts';font-weight:${weight};font-display:swap;src:url(${FONT_PATH}${file}) format('woff2');unicode-range:${rangeWords.trim()}}`,
      ),
    )
    .join('');
}

/** What a card's page may load on a press: see src/card. */
const HELPERS = <script type="module" src="/card/start.js" async />;

interface Manner {
  readonly language?: Language;
  readonly hasHelpers?: boolean;
}

function pageOf(
  title: string,
  content: ReactElement,
  { language = 'en', hasHelpers = false }: Manner = {},
): StaticPage {
  const sheet = new ServerStyleSheet();
  const markup = renderToStaticMarkup(sheet.collectStyles(content));
  // What the library wraps its styles in is its own affair; only the rules are sent.
  const rules = sheet.getStyleTags().replace(/<[^>]*>/g, '');
  sheet.seal();
  const css = `${plain(fontFaces)}${scriptFaces(markup)}${plain(theme)}${plain(rules)}`;
  const head = renderToStaticMarkup(
    <>
      <meta charSet="utf-8" />
      <meta name="viewport" content="width=device-width, initial-scale=1" />
      <meta name="robots" content="noindex" />
      <title>{title}</title>
      <link rel="icon" href="/icon.svg" />
      {hasHelpers && HELPERS}
      <style dangerouslySetInnerHTML={{ __html: css }} />
    </>,
  );
  return {
    html: `<!DOCTYPE html><html lang="${LOCALES[language]}"><head>${head}</head><body>${markup}</body></html>`,
    policy: policyOf(css, hasHelpers),
  };
}

/** Only these very styles, drawings that place their parts, the shipped fonts, and on a card this server's own helpers. */
function policyOf(css: string, hasHelpers: boolean): string {
  const hash = createHash('sha256').update(css).digest('base64');
  return [
    "default-src 'none'",
    `style-src-elem 'sha256-${hash}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data:",
    "font-src 'self'",
    ...(hasHelpers ? ["script-src 'self'", "connect-src 'self'", "worker-src 'self'"] : []),
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; ');
}
