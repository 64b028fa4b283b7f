/** An Atom feed of what is published. A placeholder: titles, days and addresses alone. */

export interface FeedCard {
  readonly token: string;
  readonly name: string;
  readonly number: number;
  /** yyyy-mm-dd. */
  readonly publishedOn: string;
}

const plain = (text: string) =>
  text.replace(
    /[<>&"]/g,
    (sign) => ({ '<': '&lt;', '>': '&gt;', '&': '&amp;', '"': '&quot;' })[sign]!,
  );

export function feedOf(roastery: string, cards: readonly FeedCard[]): string {
  const newest =
    cards
      .map(({ publishedOn }) => publishedOn)
      .sort()
      .at(-1) ?? '1970-01-01';
  const entries = cards.map(
    ({ token, name, number, publishedOn }) =>
      `<entry><id>urn:kettlebrand:${token}:${number}</id><title>${plain(name)}, version ${number}</title>` +
      `<updated>${publishedOn}T00:00:00Z</updated><link href="/p/${token}/"/></entry>`,
  );
  return (
    `<?xml version="1.0" encoding="utf-8"?><feed xmlns="http://www.w3.org/2005/Atom">` +
    `<id>urn:kettlebrand:feed</id><title>Recipes of ${plain(roastery)}</title>` +
    `<author><name>${plain(roastery)}</name></author>` +
    `<updated>${newest}T00:00:00Z</updated>${entries.join('')}</feed>\n`
  );
}
