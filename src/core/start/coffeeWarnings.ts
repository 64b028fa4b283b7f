/** Coffees that ask for more than a recipe, each with what to do. House heuristic (model.md §2, dark and decaf). */
import { featuresOf, type ReleaseFacts } from '../coffee/features';
import { restSpan } from '../rest/rest';
import { warning, type Warning } from './setupLimits';

/** Roast levels from which oil, and sharpness, are to be expected. */
const OILY_FROM = 1.5;
const SHARP_FROM = -1.5;
/** So many times its fading day, and no recipe brings it back. */
const STALE_TIMES = 2;

export function coffeeWarnings(release: ReleaseFacts): Warning[] {
  const { roastLevel, restDays, processShare } = featuresOf(release);
  const has = (process: keyof typeof processShare) => (processShare[process] ?? 0) > 0;
  const { fades } = restSpan(roastLevel ?? 0, 'byRoast');
  const found: (Warning | false)[] = [
    restDays !== null && restDays > STALE_TIMES * fades && warning('stale', { restDays, fades }),
    has('decaf') && warning('decaf'),
    roastLevel !== null && roastLevel >= OILY_FROM && warning('oily'),
    roastLevel !== null && roastLevel <= SHARP_FROM && warning('veryLight'),
    (has('infused') || has('barrelAged')) && warning('labelling'),
  ];
  return found.filter((one) => one !== false);
}
