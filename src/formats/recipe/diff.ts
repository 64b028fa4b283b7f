/** What differs between two published bodies, field by field, in the words of the card. */
import type { RecipeBody } from './document';
import { cardWords } from '@/words/cardWords';
import { cardLines, type CardLine } from './lines';
import { drinksIn, fitsIn, milkIn, phasesIn } from './sections';

export interface Difference {
  readonly label: string;
  readonly before: string;
  readonly after: string;
}

/** Of each version against the one before it: no difference between two. */
const SAYS_WHAT_CHANGED: CardLine = 'Grind';

/** Parts of a card beside its lines, each as one text. */
function partsOf(body: RecipeBody): Readonly<Record<string, string>> {
  const say = cardWords('en');
  return {
    [say('phases.title')]: (phasesIn(body, 'en')?.rows ?? [])
      .map(({ days, grind }) => `${days}: ${grind}`)
      .join('; '),
    [say('card.inMilk')]: milkIn(body, 'en'),
    // Their figures follow from the recipe, whose own lines say what changed.
    [say('drinks.title')]: drinksIn(body, 'en')
      .map(({ name }) => name)
      .join(', '),
    [say('fits.title')]: fitsIn(body, 'en')
      .map(({ title, mark }) => (mark === '' ? title : `${title} (${mark})`))
      .join('; '),
  };
}

/** Lines whose words differ, in the order of the card; empty when the card would say the same. */
export function recipeDiff(before: RecipeBody, after: RecipeBody): Difference[] {
  const textsOf = (body: RecipeBody): Readonly<Record<string, string>> => ({
    ...cardLines(body),
    ...partsOf(body),
  });
  const [old, now] = [textsOf(before), textsOf(after)];
  return Object.keys(now)
    .map((label) => ({ label, before: old[label]!, after: now[label]! }))
    .filter(({ label, before: was, after: is }) => was !== is && label !== SAYS_WHAT_CHANGED);
}
