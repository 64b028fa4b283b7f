/**
 * A made-up house: its truth is drawn around the trade's rules, its coffees from a plausible list, its
 * published recipes are truth plus noise. Seeded; nothing here is used by the program.
 */
import { featuresOf, type ReleaseFacts } from '@/core/coffee/features';
import { dot } from '@/core/linear';
import { designRow } from '@/core/start/design';
import type { PastRelease } from '@/core/start/fit';
import { NOISE_SD, OUTPUTS, priorFor, type Output } from '@/core/start/priors';
import { STYLES, type BrewStyle, type Process, type VarietyClass } from '@/core/vocabulary';
import { chanceFrom, type Chance } from '@/core/random';

/** How a house's truth stands to the rules. */
export const KINDS = ['rules', 'wide', 'opposite'] as const;
export type HouseKind = (typeof KINDS)[number];

export interface SimulatedHouse {
  /** The next release as it would be published in the end. */
  readonly next: () => PastRelease;
  /** What the house would find best for a coffee, without noise. */
  readonly truth: (release: ReleaseFacts, style: BrewStyle) => Record<Output, number>;
}

/** Truths: from the priors, from 1.6 × the priors, and with every rule but the base turned round. */
export function simulateHouse(kind: HouseKind, seed: number): SimulatedHouse {
  const chance = chanceFrom(seed);
  const spread = kind === 'wide' ? 1.6 : 1;
  const coefficients = Object.fromEntries(
    OUTPUTS.map((output) => [
      output,
      priorFor(output, 'both').map(({ factor, mean, sd }) => {
        const isTurned = kind === 'opposite' && !isStyle(factor) && factor !== 'base';
        return (isTurned ? -mean : mean) + spread * sd * chance.normal();
      }),
    ]),
  ) as Record<Output, number[]>;
  const truth: SimulatedHouse['truth'] = (release, style) => {
    const row = designRow(featuresOf(release), style);
    return Object.fromEntries(
      OUTPUTS.map((output) => [output, dot(row, coefficients[output])]),
    ) as Record<Output, number>;
  };
  return {
    truth,
    next: () => {
      const { release, style } = anyCoffee(chance);
      const best = truth(release, style);
      const noisy = (output: Output) => best[output] + NOISE_SD[output] * chance.normal();
      const timeS = Math.exp(noisy('lnTimeS'));
      return {
        release,
        style,
        recipe: {
          doseG: 18 * Math.exp(noisy('lnDose')),
          ratio: Math.exp(noisy('lnRatio')),
          temperatureC: noisy('temperatureC'),
          timeS: [timeS, timeS],
          clock: 'pump',
        },
        ratedG: 18,
        grindSteps: noisy('grindSteps'),
      };
    },
  };
}

const isStyle = (factor: string) => STYLES.some((style) => factor.startsWith(style));

const PROCESS_SHARES: readonly (readonly [Process, number])[] = [
  ['washed', 0.45],
  ['natural', 0.22],
  ['honey', 0.12],
  ['anaerobicNatural', 0.06],
  ['anaerobicWashed', 0.04],
  ['carbonicMaceration', 0.03],
  ['decaf', 0.05],
  ['wetHulled', 0.03],
];
const VARIETY_SHARES: readonly (readonly [VarietyClass, number])[] = [
  ['ordinary', 0.7],
  ['landrace', 0.15],
  ['bigBean', 0.1],
  ['robusta', 0.05],
];
const STYLE_SHARES: readonly (readonly [BrewStyle, number])[] = [
  ['classic', 0.7],
  ['longQuick', 0.08],
  ['fastCoarse', 0.06],
  ['soakFirst', 0.06],
  ['shortDense', 0.05],
  ['declining', 0.05],
];

function drawn<T>(shares: readonly (readonly [T, number])[], chance: Chance): T {
  let left = chance.uniform();
  for (const [value, share] of shares) {
    left -= share;
    if (left < 0) return value;
  }
  return shares[0]![0];
}

/** A coffee as roasteries sell them: mostly washed and light to medium, mostly pulled classic. */
function anyCoffee(chance: Chance): { release: ReleaseFacts; style: BrewStyle } {
  const roastLevel = chance.oneOf([-2, -1, -1, -1, -0.5, -0.5, 0, 0, 0, 0.5, 0.5, 1, 1, 2]);
  const isMeasured = chance.isWithin(0.5);
  return {
    release: {
      roastLevel,
      process: drawn(PROCESS_SHARES, chance),
      varietyClass: drawn(VARIETY_SHARES, chance),
      ...(isMeasured
        ? { densityGPerL: 700 + 30 * chance.normal() }
        : { altitudeM: 1600 + 300 * chance.normal() }),
      restDays: Math.round(14 + 6 * chance.normal()),
    },
    style: drawn(STYLE_SHARES, chance),
  };
}
