/**
 * What the words of cafés say of a coffee's best point: one sign for each café, at the mean place of its cups. A café that
 * calls everything sour says nothing by it: what it says of its other coffees is taken out first.
 * Source: a normal mean with a random effect for each café (published, textbook); all spreads and the points of a word are
 * house heuristics, tried on made-up coffees (`npm run bench -- trial`).
 * Units: points of under less over, as in the cup sheet.
 */
import { groupBy } from '../groupBy';
import type { TrialPoint } from '../trials/coding';

/** How many cups were called so; other words say nothing of the side. */
export interface Words {
  readonly fine: number;
  readonly sour: number;
  readonly bitter: number;
}

/** Words of one café for one coffee at one place. */
export interface TastedAt extends Words, TrialPoint {
  readonly cafe: string;
  readonly coffee: string;
}

/** The side a café's cups of a coffee lean to. */
export interface CafeSign extends TrialPoint {
  readonly cafe: string;
  /** Positive where they taste under. */
  readonly u: number;
  readonly sd: number;
  /** Cups behind it. */
  readonly cups: number;
}

export const CAFE_TASTE = {
  /** Points of a cup that is called sour or bitter. */
  wordPoints: 4,
  /** How far one word strays from what the cup deserves. */
  wordSd: 2.5,
  /** Where cafés set their "fine", and what their water and machine do to every cup. */
  zeroSd: 0.8,
  /** How far a published recipe really is from its coffee's best point, in points of the sign. */
  coffeeSd: 0.6,
  /** The heat of a machine nobody measured, for one coffee. */
  ownSd: 0.4,
  /** Fewer cups of a coffee say nothing. */
  leastCups: 5,
  /** More cafés weigh no more than so many: where signs point the wrong way, all are wrong together. */
  mostCafes: 6,
} as const;

/** The signs that cafés give of a coffee, against what each says of its others; none where too few cups were tasted. */
export function cafeSigns(coffee: string, tasted: readonly TastedAt[]): CafeSign[] {
  const signs = [...groupBy(tasted, ({ cafe }) => cafe)].flatMap(([cafe, own]) => {
    const asked = own.filter((one) => one.coffee === coffee);
    const lean = leanOf(together(asked));
    if (lean === null) return [];
    const zero = zeroOf(own.filter((one) => one.coffee !== coffee));
    return [
      {
        ...middleOf(asked),
        cafe,
        u: lean.u - zero.mean,
        sd: Math.sqrt(lean.variance + zero.variance + CAFE_TASTE.ownSd ** 2),
        cups: cupsOf(together(asked)),
      },
    ];
  });
  const widened = Math.sqrt(Math.max(1, signs.length / CAFE_TASTE.mostCafes));
  return signs.map((sign) => ({ ...sign, sd: widened * sign.sd }));
}

const cupsOf = ({ fine, sour, bitter }: Words) => fine + sour + bitter;

const together = (all: readonly Words[]): Words =>
  all.reduce(
    (sum, { fine, sour, bitter }) => ({
      fine: sum.fine + fine,
      sour: sum.sour + sour,
      bitter: sum.bitter + bitter,
    }),
    { fine: 0, sour: 0, bitter: 0 },
  );

/** The side that words lean to, and how surely; null where they are too few. */
export function leanOf(words: Words): { readonly u: number; readonly variance: number } | null {
  const cups = cupsOf(words);
  if (cups < CAFE_TASTE.leastCups) return null;
  return {
    u: (CAFE_TASTE.wordPoints * (words.sour - words.bitter)) / cups,
    variance: CAFE_TASTE.wordSd ** 2 / cups,
  };
}

function middleOf(asked: readonly TastedAt[]): TrialPoint {
  const cups = cupsOf(together(asked));
  const mean = (of: (one: TastedAt) => number) =>
    asked.reduce((sum, one) => sum + of(one) * cupsOf(one), 0) / cups;
  return {
    ratio: Math.exp(mean(({ ratio }) => Math.log(ratio))),
    temperatureC: mean(({ temperatureC }) => temperatureC),
    timeS: Math.exp(mean(({ timeS }) => Math.log(timeS))),
  };
}

/** Where a café's "fine" stands: its other coffees' recipes are off to either side alike. */
function zeroOf(others: readonly TastedAt[]): { readonly mean: number; readonly variance: number } {
  let precision = CAFE_TASTE.zeroSd ** -2;
  let weighted = 0;
  for (const same of groupBy(others, ({ coffee }) => coffee).values()) {
    const lean = leanOf(together(same));
    if (lean === null) continue;
    const weight = 1 / (lean.variance + CAFE_TASTE.coffeeSd ** 2);
    precision += weight;
    weighted += weight * lean.u;
  }
  return { mean: weighted / precision, variance: 1 / precision };
}
