/** What differs between two published bodies, field by field, in the words of the card. */
import type { RecipeBody } from './document';
import { cardLines, type CardLine } from './lines';

export interface Difference {
  readonly label: string;
  readonly before: string;
  readonly after: string;
}

/** Of each version against the one before it: no difference between two. */
const SAYS_WHAT_CHANGED: CardLine = 'Grind';

/** Lines whose words differ, in the order of the card; empty when the card would say the same. */
export function recipeDiff(before: RecipeBody, after: RecipeBody): Difference[] {
  const [old, now] = [cardLines(before), cardLines(after)];
  return (Object.keys(now) as CardLine[])
    .map((label) => ({ label, before: old[label], after: now[label] }))
    .filter(({ label, before: was, after: is }) => was !== is && label !== SAYS_WHAT_CHANGED);
}
