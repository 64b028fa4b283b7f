/**
 * Simulated houses: one grinder, and coffee after coffee on it, so that what past dial-ins teach can be
 * tried. How roast and processing move the time, what a step does and where the dial stands are drawn
 * around the rules the program begins with; each coffee departs from its kind.
 */
import type { GrindFeatures } from '@/core/grinderMemory/memory';
import { chanceFrom } from '@/core/random';
import { drawStation } from '@/core/simulator/drawStation';
import type { Station } from '@/core/simulator/station';
import {
  benchOfMean,
  benchOfStation,
  CENTRE_S,
  CLASSIC_ASK,
  drawnGrinder,
  grinderOf,
  RATED_G,
  timedFromDrip,
  type TrueBench,
} from './truths';

/** The rules' own figures (model.md §3b), around which a house's truth is drawn. */
const RULE = { light: -0.15, dark: 0.1, intensity: 0.08 } as const;
const RULE_SD = { light: 0.08, dark: 0.08, intensity: 0.06 } as const;
const LEVEL_SD = 0.22;
const COFFEE_SD = 0.1;
const SLOPE_SHARE_SD = 0.1;
const USUAL_STEP = 0.1;
/** One bench's shots scatter apart from another's, and its coffees from another's. */
const [SEEDS_APART, LOTS_APART] = [1000, 500_000];

export interface HouseBench extends TrueBench {
  readonly features: GrindFeatures;
}

export type HouseOf = (seed: number) => (coffee: number) => HouseBench;

/** What is otherwise with a house. */
export interface HouseKind {
  /** sd of ln time between like shots. */
  readonly noiseSd?: number;
  readonly timesFromDrip?: boolean;
  /** What it believes its grinder keeps, as a share of what it does keep. */
  readonly toldShare?: number;
}

function coffeeOf(seed: number) {
  const chance = chanceFrom(seed);
  const roastLevel = chance.oneOf([-1, 0, 1]);
  const intensity = chance.oneOf([0, 0.5, 1, 1.75]);
  const features = {
    light: Math.max(0, -roastLevel),
    dark: Math.max(0, roastLevel),
    intensity,
  };
  const rule = ruled(features, RULE);
  // Where the rules would begin: so many usual steps from the house's reference coffee.
  return { chance, roastLevel, features, startDial: Math.round(rule / USUAL_STEP) };
}

const ruled = (f: GrindFeatures, rule: GrindFeatures) =>
  f.light * rule.light + f.dark * rule.dark + f.intensity * rule.intensity;

/** ln time straight in dial, dose and yield. */
export const statisticalHouse = ofKind({});

export function ofKind({ noiseSd, timesFromDrip = false, toldShare = 1 }: HouseKind): HouseOf {
  return (seed) => {
    const chance = chanceFrom(seed);
    const { lnPerStep, retentionG } = drawnGrinder(chance);
    const level = LEVEL_SD * chance.normal();
    const truth = {
      light: RULE.light + RULE_SD.light * chance.normal(),
      dark: RULE.dark + RULE_SD.dark * chance.normal(),
      intensity: RULE.intensity + RULE_SD.intensity * chance.normal(),
    };
    return (coffee) => {
      const own = coffeeOf(SEEDS_APART * seed + coffee);
      const lnMean =
        Math.log(CENTRE_S) + level + ruled(own.features, truth) + COFFEE_SD * own.chance.normal();
      const perStep = lnPerStep * Math.exp(SLOPE_SHARE_SD * own.chance.normal());
      const bench = {
        features: own.features,
        ...benchOfMean(own.chance, {
          grinder: grinderOf(retentionG),
          startDial: own.startDial,
          lnMean,
          lnPerStep: perStep,
          doseExponent: 1.4 + 0.25 * own.chance.normal(),
          toldG: toldShare * retentionG,
          ...(noiseSd !== undefined && { noiseSd }),
        }),
      };
      return timesFromDrip ? timedFromDrip(bench, own.chance) : bench;
    };
  };
}

/** The same by the shot simulator: the burrs stay, the coffees change. */
export const simulatedHouse: HouseOf = (seed) => {
  const chance = chanceFrom(seed);
  const { lnPerStep, retentionG } = drawnGrinder(chance);
  const grinder = grinderOf(retentionG);
  const { station } = drawStation({
    coffee: { roastLevel: 0, intensity: 0, restDays: 14 },
    basket: { diameterMm: 58, ratedG: RATED_G },
    grinder,
    recipe: { ...CLASSIC_ASK, centreS: CENTRE_S },
    startDial: 0,
    startSd: LEVEL_SD,
    seed,
    lnPerStep,
  });
  return (coffee) => {
    const own = coffeeOf(SEEDS_APART * seed + coffee);
    const lot = chanceFrom(SEEDS_APART * seed + coffee + LOTS_APART);
    const ofCoffee: Station = {
      ...station,
      coffee: {
        roastLevel: own.roastLevel,
        intensity: own.features.intensity,
        restDays: 14,
        lnResistance: COFFEE_SD * lot.normal(),
        lnEase: COFFEE_SD * lot.normal(),
      },
    };
    return {
      features: own.features,
      ...benchOfStation(own.chance, ofCoffee, { startDial: own.startDial, lnPerStep }),
    };
  };
};
