/**
 * When a coffee tastes best (model.md §5b): liking rises to the first good day f, stays until the last good day t, and
 * falls after it. f and t are looked for on a grid of whole days, starting from the house's school; how steeply it falls
 * is averaged over. A printed day moves only when its 80 % interval leaves the school's out: days are slow to learn.
 * Source: Bayesian grid (published, textbook); the shape, its widths and its priors are house heuristics.
 * Units: rest days, points of liking 0-10.
 */
import { CUP_SD } from '../taste/cupNoise';
import type { RestSpan } from './rest';

/** Cups of one rest day. */
export interface TastedDay {
  readonly restDays: number;
  /** Mean liking, and of how many cups. */
  readonly liking: number;
  readonly cups: number;
}

/** Days of one batch are off together by so much. */
const DAY_SD = 0.3;
/** Best liking of a batch: integrated out. */
const LEVEL = { mean: 7, sd: 1 } as const;
const STEEPNESS = [
  { kappa: 0.5, weight: 0.3 },
  { kappa: 1, weight: 0.4 },
  { kappa: 2, weight: 0.3 },
] as const;
const POWERS = [
  { power: 1, weight: 0.4 },
  { power: 2, weight: 0.6 },
] as const;
/** A coffee is good for at least so many days. */
const LEAST_DAYS = 3;
const REACH_SD = 3;
/** What a batch taught is believed of the next one to this share. */
const CARRIED = 0.9;

export interface Learnt {
  readonly mean: number;
  readonly interval80: readonly [number, number];
  /** The school's own day. */
  readonly school: number;
  /** The interval leaves it out: a printed day may move. */
  readonly differs: boolean;
}

export interface BestDays {
  readonly from: Learnt;
  readonly to: Learnt;
}

/** One place of the grid, with the logarithm of its weight. */
interface Place {
  readonly from: number;
  readonly to: number;
  readonly ln: number;
}

/**
 * Best days from the batches of one release, oldest first.
 * @param span the school's, for the roast of this release.
 */
export function bestDays(batches: readonly (readonly TastedDay[])[], span: RestSpan): BestDays {
  const school = schoolGrid(span);
  const posterior = batches.reduce<readonly Place[]>(
    (before, days, i) =>
      school.map((place, k) => ({
        ...place,
        ln:
          (i === 0 ? place.ln : CARRIED * before[k]!.ln + (1 - CARRIED) * place.ln) +
          lnEvidence(place, days, span),
      })),
    school,
  );
  const top = Math.max(...posterior.map(({ ln }) => ln));
  const weighted = posterior.map((place) => ({ ...place, share: Math.exp(place.ln - top) }));
  return {
    from: learnt(weighted, 'from', Math.round(span.bestFrom)),
    to: learnt(weighted, 'to', Math.round(span.bestTo)),
  };
}

/** f ~ N(school, max(2, .3f₀)), t ~ N(school, max(4, .3t₀)), t ≥ f + 3. */
function schoolGrid({ bestFrom, bestTo }: RestSpan): Place[] {
  const fromSd = Math.max(2, 0.3 * bestFrom);
  const toSd = Math.max(4, 0.3 * bestTo);
  return wholeDays(bestFrom, fromSd).flatMap((from) =>
    wholeDays(bestTo, toSd)
      .filter((to) => to >= from + LEAST_DAYS)
      .map((to) => ({
        from,
        to,
        ln: -0.5 * (((from - bestFrom) / fromSd) ** 2 + ((to - bestTo) / toSd) ** 2),
      })),
  );
}

function wholeDays(middle: number, sd: number): number[] {
  const first = Math.max(0, Math.ceil(middle - REACH_SD * sd));
  const last = Math.floor(middle + REACH_SD * sd);
  return Array.from({ length: last - first + 1 }, (_, i) => first + i);
}

/** ln likelihood of a batch's days, averaged over how steeply liking falls, its level integrated out. */
function lnEvidence(
  { from, to }: Place,
  days: readonly TastedDay[],
  { opens, bestFrom, bestTo, fades }: RestSpan,
): number {
  if (days.length === 0) return 0;
  const widthFrom = Math.max(4, bestFrom - opens);
  const widthTo = Math.max(6, fades - bestTo);
  const shares = STEEPNESS.flatMap(({ kappa, weight }) =>
    POWERS.map(({ power, weight: of }) => {
      let [precision, sum, squares] = [0, 0, 0];
      for (const { restDays, liking, cups } of days) {
        const early = Math.max(0, from - restDays) / widthFrom;
        const late = Math.max(0, restDays - to) / widthTo;
        const rest = liking - LEVEL.mean + kappa * (early ** power + late ** power);
        const w = 1 / (DAY_SD ** 2 + CUP_SD ** 2 / cups);
        precision += w;
        sum += w * rest;
        squares += w * rest ** 2;
      }
      const levelled = sum ** 2 / (precision + LEVEL.sd ** -2);
      return Math.log(weight * of) - 0.5 * (squares - levelled);
    }),
  );
  const top = Math.max(...shares);
  return top + Math.log(shares.reduce((sum, ln) => sum + Math.exp(ln - top), 0));
}

function learnt(
  places: readonly (Place & { readonly share: number })[],
  end: 'from' | 'to',
  school: number,
): Learnt {
  const byDay = new Map<number, number>();
  for (const place of places) byDay.set(place[end], (byDay.get(place[end]) ?? 0) + place.share);
  const days = [...byDay].sort(([a], [b]) => a - b);
  const total = days.reduce((sum, [, share]) => sum + share, 0);
  const quantile = (q: number) => {
    let passed = 0;
    for (const [day, share] of days) {
      passed += share / total;
      if (passed >= q) return day;
    }
    return days.at(-1)![0];
  };
  const interval80 = [quantile(0.1), quantile(0.9)] as const;
  return {
    mean: days.reduce((sum, [day, share]) => sum + (day * share) / total, 0),
    interval80,
    school,
    differs: school < interval80[0] || school > interval80[1],
  };
}
