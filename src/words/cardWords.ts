/** The words of a card in a language. */
import { ROAST_WORDS, roastWord } from '@/core/vocabulary';
import { catalogue, type Say } from './catalogue';
import de from './messages/de/card.json' with { type: 'json' };
import en from './messages/en/card.json' with { type: 'json' };
import es from './messages/es/card.json' with { type: 'json' };
import fr from './messages/fr/card.json' with { type: 'json' };
import it from './messages/it/card.json' with { type: 'json' };
import pt from './messages/pt/card.json' with { type: 'json' };

export const cardWords = catalogue(en, { de, fr, it, es, pt });

type CardMessage = keyof typeof en;
export type CardSay = Say<CardMessage>;

type AfterLabels<Id> = Id extends `labels.${infer Line}` ? Line : never;
/** What stands on a card, by its English name. */
export type CardLine = AfterLabels<CardMessage>;

/** A roast by its nearest named level. */
export function roastIn(say: CardSay, level: number): string {
  const nearest = ROAST_WORDS.find(({ label }) => label === roastWord(level))!;
  return say(`roast.${nearest.level}` as CardMessage);
}

/** Under this a hint is none. Reference steps. */
export const NOTHING_STEPS = 0.25;

/** Sizes of a change of grind, up to so many reference steps. House heuristic. */
const AMOUNTS = [
  [0.75, 'little'],
  [1.25, 'one'],
  [2.25, 'oneOrTwo'],
  [3.5, 'twoOrThree'],
  [Infinity, 'several'],
] as const;

/** How much, for whoever's grinder is not known: "one or two steps". A step is taken as .10 in ln time. */
export function amountIn(say: CardSay, steps: number): string {
  const [, name] = AMOUNTS.find(([most]) => Math.abs(steps) < most)!;
  return say(`grind.${name}`);
}

/**
 * A change of grind in words: "one or two steps finer"; null where nothing is to be done.
 * @param steps reference steps finer; coarser where negative.
 */
export function grindIn(say: CardSay, steps: number): string | null {
  if (Math.abs(steps) < NOTHING_STEPS) return null;
  const amount = amountIn(say, steps);
  return say(steps > 0 ? 'grind.finer' : 'grind.coarser', { amount });
}
