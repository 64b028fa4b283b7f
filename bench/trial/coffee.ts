/**
 * A made-up coffee and who tastes it: its best point, how liking falls away from it, and what two people say of a cup.
 * Smooth truths are quadratic; skewed ones fall away three times as fast on one side as on the other. All of it is
 * invented; nothing here is used by the program. Places are absolute coded units (trials/coding.ts).
 */
import { quadratic } from '@/core/linear';
import { chanceFrom } from '@/core/random';
import { type Coded } from '@/core/trials/coding';
import { curvatureParticles } from '@/core/trials/curvature';
import { PRIOR, SIGN_DIRECTION, type Cup } from '@/core/trials/surface';

export type Shape = 'smooth' | 'skewed';

/** What the program does not know of the people who taste. */
export interface Palate {
  /** Signs point where the program thinks, nowhere, or the wrong way about heat. */
  readonly signs: 'true' | 'worthless' | 'heatTurned';
  /** Under less over that the whole house gives a cup at its best. */
  readonly signZero: number;
  /** With each recipe of a session the noise of a cup grows by so much of itself. */
  readonly tiring: number;
  /** With each recipe likings draw so much nearer to the middle. */
  readonly dulling: number;
  /** How much a taster's level moves with each recipe, sd. */
  readonly drift: number;
}

export const USUAL_PALATE: Palate = {
  signs: 'true',
  signZero: 0,
  tiring: 0,
  dulling: 0,
  drift: 0,
};

export const TASTERS = ['first', 'second'] as const;

export interface Coffee {
  /** Points under the best at a place. */
  readonly lossAt: (X: readonly number[]) => number;
  /** What both tasters say of a recipe, the nth of their session. */
  readonly taste: (X: readonly number[], nth: number) => Omit<Cup, 'x'>[];
  /** Under less over a cup at a place deserves. */
  readonly underAt: (X: readonly number[]) => number;
  readonly best: readonly number[];
}

/** A cup sheet goes from 0 to 10: no cup is more points under another. */
const MOST_POINTS = 10;
const within = (least: number, value: number, most: number) =>
  Math.min(most, Math.max(least, value));

const SIDES = { smooth: [1, 1], skewed: [1.5, 0.5] } as const;

export function coffeeAt(
  best: readonly number[],
  { seed, shape, palate }: { seed: number; shape: Shape; palate: Palate },
): Coffee {
  const chance = chanceFrom(seed);
  // The program draws its curvatures from the same family, but never this one.
  const { H, a } = chance.oneOf(curvatureParticles(6000 + (seed % 1000)));
  const top = PRIOR.liking.mean + PRIOR.liking.sd * chance.normal();
  const people = TASTERS.map((taster) => ({
    taster,
    offset: PRIOR.tasterSd * chance.normal(),
    slope: palate.drift * chance.normal(),
  }));
  const signOffset =
    palate.signZero === 0
      ? PRIOR.signOffsetSd * chance.normal()
      : palate.signZero + 0.5 * chance.normal();
  const steep = best.map(() => (chance.isWithin(0.5) ? 1 : -1));
  const direction =
    palate.signs === 'heatTurned'
      ? SIGN_DIRECTION.map((d, j) => (j === 1 ? -d : d))
      : SIGN_DIRECTION;
  const strength = palate.signs === 'worthless' ? 0 : a;
  const lossAt = (X: readonly number[]) => {
    const away = X.map((value, j) => {
      const off = value - best[j]!;
      return off * Math.sqrt(SIDES[shape][off * steep[j]! > 0 ? 0 : 1]);
    });
    return Math.min(MOST_POINTS, 0.5 * quadratic(H, away));
  };
  const underAt = (X: readonly number[]) =>
    -strength * direction.reduce((sum, d, j) => sum + d * (X[j]! - best[j]!), 0);
  return {
    best,
    lossAt,
    underAt,
    taste: (X, nth) =>
      people.map(({ taster, offset, slope }) => {
        const { mean } = PRIOR.liking;
        const felt = mean + (top - lossAt(X) - mean) * (1 - palate.dulling * nth);
        const noise = PRIOR.cupSd * (1 + palate.tiring * nth) * chance.normal();
        return {
          taster,
          liking: within(0, felt + offset + slope * nth + noise, MOST_POINTS),
          u: within(
            -MOST_POINTS,
            underAt(X) + signOffset + PRIOR.signSd * chance.normal(),
            MOST_POINTS,
          ),
        };
      }),
  };
}

/** Places from a centre. */
export const around = (X: readonly number[], centre: readonly number[]): Coded =>
  X.map((value, j) => value - centre[j]!) as unknown as Coded;

export const placed = (x: readonly number[], centre: readonly number[]): number[] =>
  x.map((value, j) => value + centre[j]!);
