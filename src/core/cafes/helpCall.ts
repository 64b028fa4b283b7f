/**
 * What a café's call for help is about: which of its coffees, and how it tastes. From its words and from what the same
 * sheet says; nothing where that leaves it open. House heuristic: words of six languages.
 */
import type { CHECK_TASTES } from '../entity/cafeCheck';

type CafeTaste = (typeof CHECK_TASTES)[number];

type OffTaste = Exclude<CafeTaste, 'fine'>;

const TASTE_WORDS: readonly (readonly [OffTaste, RegExp])[] = [
  ['sour', /\bsour(?!ce)|\bacid|sauer|säuer|acide|aigre|[aá]cid[oa]|\bagri?[oa]/i],
  ['bitter', /bitter|harsh|\bam[eè]r(?!i)|\bamar/i],
  ['weak', /weak|\bthin\b|watery|dünn|wässrig|aqueu|léger|acquos|debol|aguad|floj|débil|frac[oa]/i],
  ['uneven', /uneven|unausgewogen|inégal|disugual|desigual/i],
];

interface HelpAsked {
  readonly words: string;
  /** The café's coffees. */
  readonly coffees: readonly { readonly id: string; readonly name: string }[];
  /** What the sheet it came with says of them. */
  readonly checks: readonly {
    readonly releaseId: string;
    readonly taste?: CafeTaste | undefined;
  }[];
}

export interface HelpCall {
  /** Null where it may be one or another. */
  readonly coffee: string | null;
  readonly taste: OffTaste | null;
}

const plain = (text: string) => text.normalize('NFKC').toLowerCase();

export function helpCall({ words, coffees, checks }: HelpAsked): HelpCall {
  const named = coffees.filter(({ name }) => plain(words).includes(plain(name)));
  const off = checks.filter(({ taste }) => taste !== undefined && taste !== 'fine');
  const saidTaste = TASTE_WORDS.find(([, pattern]) => pattern.test(words))?.[0] ?? null;
  const ofTaste = saidTaste ? off.filter(({ taste }) => taste === saidTaste) : off;
  const only = <T>(all: readonly T[]) => (all.length === 1 ? all[0]! : null);
  const coffee =
    only(named)?.id ??
    (named.length > 1 ? null : (only(ofTaste)?.releaseId ?? only(coffees)?.id ?? null));
  const ofSheet = checks.find(({ releaseId }) => releaseId === coffee)?.taste;
  return { coffee, taste: saidTaste ?? (ofSheet && ofSheet !== 'fine' ? ofSheet : null) };
}
