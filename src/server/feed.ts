/** An Atom feed of what is published (RFC 4287): each card's newest version, what changed in it, and where it stands. */
import type { Db } from '@/data/database';
import { publicAddress } from '@/data/address';
import { findHouse } from '@/data/house';
import { findPublished, listPublicTokens } from '@/data/publications';
import { markupText } from '@/formats/markup';
import { cardLines } from '@/formats/recipe/lines';
import { readDocument } from '@/formats/recipe/readers';

export interface FeedCard {
  readonly token: string;
  readonly name: string;
  readonly number: number;
  /** yyyy-mm-dd. */
  readonly publishedOn: string;
  /** RFC 3339. */
  readonly publishedAt: string;
  /** Dose, yield, time and temperature, and what changed. */
  readonly summary: string;
}

export interface FeedHead {
  readonly roastery: string;
  /** Where the cards stand; empty where no address is known, links then follow the feed's own. */
  readonly address: string;
}

/** What is public now, the newest first. */
export function publicCards(db: Db): FeedCard[] {
  return listPublicTokens(db).flatMap((token) => {
    const version = findPublished(db, token);
    if (!version || version.withdrawnAt !== null) return [];
    const { body } = readDocument(version.document);
    const { Dose, 'In the cup': out, Time, Temperature } = cardLines(body);
    const changed = body.whatChanged === '' ? '' : ` ${body.whatChanged}`;
    return [
      {
        token,
        name: body.coffee.name,
        number: body.version,
        publishedOn: body.publishedOn,
        publishedAt: version.publishedAt,
        summary: `${Dose} → ${out}, ${Time}, ${Temperature}.${changed}`,
      },
    ];
  });
}

export function feedHead(db: Db): FeedHead {
  return { roastery: findHouse(db)?.name ?? '', address: publicAddress(db) };
}

const NEVER = '1970-01-01T00:00:00Z';

export function feedOf({ roastery, address }: FeedHead, cards: readonly FeedCard[]): string {
  const newest =
    cards
      .map(({ publishedAt }) => publishedAt)
      .sort()
      .at(-1) ?? NEVER;
  const entries = cards.map(
    ({ token, name, number, publishedAt, summary }) =>
      `<entry><id>urn:kettlebrand:${token}:${number}</id><title>${markupText(name)}, version ${number}</title>` +
      `<updated>${publishedAt}</updated><link rel="alternate" type="text/html" href="${markupText(address)}/p/${token}/"/>` +
      `<summary>${markupText(summary)}</summary></entry>`,
  );
  return (
    `<?xml version="1.0" encoding="utf-8"?>\n<feed xmlns="http://www.w3.org/2005/Atom">` +
    `<id>urn:kettlebrand:feed</id><title>Recipes of ${markupText(roastery)}</title>` +
    `<author><name>${markupText(roastery)}</name></author>` +
    `<link rel="self" type="application/atom+xml" href="${markupText(address)}/feed.xml"/>` +
    `<updated>${newest}</updated>${entries.join('')}</feed>\n`
  );
}
