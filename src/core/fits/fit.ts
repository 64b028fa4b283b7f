/**
 * The same recipe on another setup (model.md §8): what is kept, what changes, and what cannot be had. Grams, °C, s.
 * Sources: Darcy's law for the bed (basketLaw.ts); all else a house heuristic, tried on the simulated shot
 * (`npm run bench -- fits`). A fit is where to begin: the taste decides.
 */
import { fromPump, USUAL_FIRST_DRIP_S } from '../extraction/clock';
import { volumeOfMass } from '../extraction/volume';
import type { Recipe } from '../schema/recipe';
import { NEAREST_STYLE } from '../start/setupLimits';
import { styleShift } from '../start/priors';
import type { BrewStyle, Clock } from '../vocabulary';
import { basketLaw, type BasketSize } from '../extraction/basketLaw';
import { RULE_FACTORS, type FitFactors } from './factors';

/** A setup as far as a recipe has to be changed for it. */
export interface FitPlace extends BasketSize {
  /** °C at the group where it cannot be set. */
  readonly fixedTemperatureC?: number | undefined;
  /** Stands above brewing heat until its group is flushed. */
  readonly runsHot?: boolean | undefined;
  /** False where it has neither pressure nor flow control. */
  readonly canShape: boolean;
  /** Wets the puck by hand before the pull, as small levers do. */
  readonly soaksByHand?: boolean | undefined;
  readonly hasScale: boolean;
  readonly isPressurised: boolean;
  readonly clock: Clock;
}

export const FIT_CODES = [
  'same',
  'pressurised',
  'basket',
  'coarser',
  'finer',
  'soak',
  'ratioForHeat',
  'heatOutOfReach',
  'flush',
  'style',
  'noScale',
  'clock',
] as const;
export type FitCode = (typeof FIT_CODES)[number];

export interface FitNote {
  readonly code: FitCode;
  /** Figures its words name, by their units: `steps`, `s`, `c`, `ml`, `share`. */
  readonly figures?: Readonly<Record<string, number>> | undefined;
}

export interface FittedRecipe {
  readonly doseG: number;
  readonly yieldG: number;
  readonly ratio: number;
  readonly temperatureC: number;
  readonly timeS: readonly [number, number];
  readonly clock: Clock;
  /** What the cup shows where nothing is weighed, rough. */
  readonly yieldMl?: number | undefined;
}

export interface Fit {
  /** Null where no recipe can be brewed there. */
  readonly recipe: FittedRecipe | null;
  readonly style: BrewStyle;
  /** Middle of the time, s on `recipe.clock`. */
  readonly centreS: number;
  /** Reference steps (.10 in ln time) coarser than the same dial would be; finer where negative. */
  readonly coarserSteps: number;
  readonly notes: readonly FitNote[];
  /** What the factors acted on: ln law of the bed, and °C that the ratio answers. */
  readonly lnLaw: number;
  readonly missingC: number;
}

export interface FitInput {
  readonly recipe: Pick<Recipe, 'doseG' | 'yieldG' | 'temperatureC' | 'timeS' | 'clock'>;
  readonly style: BrewStyle;
  readonly from: BasketSize;
  readonly to: FitPlace;
  /** g per visible ml. */
  readonly cremaGPerMl: number;
  /** As the house's cafés refined them; the rules' own otherwise. */
  readonly factors?: FitFactors | undefined;
}

const LN_PER_STEP = 0.1;
/** Half width of the time on another basket. House heuristic. */
const HALF_WIDTH = 0.2;
/** Wetting by hand on a small lever, s. House heuristic. */
const HAND_SOAK_S = 10;
/** Less than this off needs no answer: a machine is set by half a degree. */
const HEAT_COUNTS_FROM_C = 0.75;
/** More than this off is not answered by ratio alone. House heuristic: beyond what was tried. */
const HEAT_ANSWERED_TO_C = 5;
/** Never more than this over what another basket is rated for, g. House heuristic (model.md §8). */
const MOST_OVER_RATING_G = 0.5;
/** So much more or less in a basket of the same width leaves the window as it is, g. House heuristic (model.md §8). */
const SAME_TIME_WITHIN_G = 2;
/** Under this change of the law two baskets count as one. */
const LAW_COUNTS_FROM = 0.02;

/** The recipe for another place; with no recipe where none can be brewed. */
export function fitRecipe(input: FitInput): Fit {
  const { recipe, style, from, to, factors = RULE_FACTORS } = input;
  const centre = (recipe.timeS[0] + recipe.timeS[1]) / 2;
  if (to.isPressurised)
    return {
      recipe: null,
      style,
      centreS: centre,
      coarserSteps: 0,
      notes: [{ code: 'pressurised' }],
      lnLaw: 0,
      missingC: 0,
    };
  const made = styleFor(style, to);
  const isOwnBasket = from.diameterMm === to.diameterMm && from.ratedG === to.ratedG;
  const likeHere = to.ratedG * (recipe.doseG / from.ratedG);
  const doseG = roundTo(
    0.1,
    isOwnBasket ? likeHere : Math.min(to.ratedG + MOST_OVER_RATING_G, likeHere),
  );
  const law = basketLaw({ ...from, ratedG: recipe.doseG }, { ...to, ratedG: doseG });
  const heat = heatAnswer({ recipe, to, factors });
  const ratio = (recipe.yieldG / recipe.doseG) * Math.exp(heat.lnRatio + made.lnRatio);
  const yieldG = roundTo(0.5, doseG * ratio);
  const soakS = to.soaksByHand ? HAND_SOAK_S : 0;
  const isOther = Math.abs(Math.log(law)) > LAW_COUNTS_FROM || made.style !== style;
  // A little more or less in a basket as wide is brewed in the same time: the grind answers all of it.
  const keepsTime =
    made.style === style &&
    from.diameterMm === to.diameterMm &&
    Math.abs(doseG - recipe.doseG) <= SAME_TIME_WITHIN_G + 1e-9;
  const timeShare = keepsTime ? 0 : factors.timeShare;
  const stretch = law ** timeShare * Math.exp(made.lnTimeS);
  const onPump = (s: number) => fromPump(s, recipe.clock) * stretch + soakS;
  const centreS = onClock(onPump(centre), to.clock);
  const timeS: [number, number] =
    isOther && !keepsTime
      ? [centreS * (1 - HALF_WIDTH), centreS * (1 + HALF_WIDTH)]
      : [onClock(onPump(recipe.timeS[0]), to.clock), onClock(onPump(recipe.timeS[1]), to.clock)];
  const coarserSteps = isOther
    ? ((1 - timeShare) * Math.log(law)) / LN_PER_STEP + made.coarserSteps
    : 0;
  const yieldMl = to.hasScale ? undefined : volumeOfMass(yieldG, input.cremaGPerMl);
  const notes: FitNote[] = [
    ...made.notes,
    ...basketNotes({ isOther, hasOtherTime: isOther && !keepsTime, law, coarserSteps }),
    ...(soakS > 0 ? [{ code: 'soak' as const, figures: { s: soakS } }] : []),
    ...heat.notes,
    ...(to.runsHot ? [{ code: 'flush' as const }] : []),
    ...(yieldMl === undefined ? [] : [{ code: 'noScale' as const, figures: { ml: yieldMl } }]),
    ...(to.clock === recipe.clock
      ? []
      : [{ code: 'clock' as const, figures: { s: USUAL_FIRST_DRIP_S } }]),
  ];
  return {
    recipe: {
      doseG,
      yieldG,
      ratio: yieldG / doseG,
      temperatureC: heat.temperatureC,
      timeS: [Math.round(timeS[0]), Math.round(timeS[1])],
      clock: to.clock,
      ...(yieldMl !== undefined && { yieldMl }),
    },
    style: made.style,
    centreS,
    coarserSteps,
    notes: notes.length === 0 ? [{ code: 'same' }] : notes,
    lnLaw: keepsTime ? 0 : Math.log(law),
    missingC: heat.answeredC,
  };
}

const onClock = (pumpS: number, clock: Clock) =>
  clock === 'pump' ? pumpS : pumpS - USUAL_FIRST_DRIP_S;

const roundTo = (step: number, value: number) =>
  Number((Math.round(value / step) * step).toFixed(1));

function basketNotes({
  isOther,
  hasOtherTime,
  law,
  coarserSteps,
}: {
  isOther: boolean;
  hasOtherTime: boolean;
  law: number;
  coarserSteps: number;
}): FitNote[] {
  if (!isOther) return [];
  const share = Math.round(100 * HALF_WIDTH);
  const steps = Math.abs(coarserSteps);
  const isOtherBasket = hasOtherTime && Math.abs(Math.log(law)) > LAW_COUNTS_FROM;
  return [
    ...(isOtherBasket ? [{ code: 'basket' as const, figures: { share } }] : []),
    ...(steps >= 0.5
      ? [{ code: coarserSteps > 0 ? ('coarser' as const) : ('finer' as const), figures: { steps } }]
      : []),
  ];
}

/** What a machine without control makes of the style, and how the rules' figures of the two differ. */
function styleFor(style: BrewStyle, { canShape }: FitPlace) {
  const nearest = canShape ? undefined : NEAREST_STYLE[style];
  if (nearest === undefined)
    return { style, lnRatio: 0, lnTimeS: 0, coarserSteps: 0, notes: [] as FitNote[] };
  const [own, other] = [styleShift(style), styleShift(nearest)];
  return {
    style: nearest,
    lnRatio: other.lnRatio - own.lnRatio,
    lnTimeS: other.lnTimeS - own.lnTimeS,
    coarserSteps: own.grindSteps - other.grindSteps,
    notes: [{ code: 'style' as const }],
  };
}

/** A machine that cannot be set: its heat as it is, and the ratio that answers the difference. */
function heatAnswer({
  recipe,
  to,
  factors,
}: Pick<FitInput, 'recipe' | 'to'> & { readonly factors: FitFactors }): {
  readonly temperatureC: number;
  readonly answeredC: number;
  readonly lnRatio: number;
  readonly notes: FitNote[];
} {
  const temperatureC = to.fixedTemperatureC ?? recipe.temperatureC;
  const missing = recipe.temperatureC - temperatureC;
  if (Math.abs(missing) < HEAT_COUNTS_FROM_C)
    return { temperatureC, answeredC: 0, lnRatio: 0, notes: [] };
  const answeredC = Math.min(HEAT_ANSWERED_TO_C, Math.max(-HEAT_ANSWERED_TO_C, missing));
  return {
    temperatureC,
    answeredC,
    lnRatio: answeredC * (missing > 0 ? factors.lnRatioPerCooler : factors.lnRatioPerHotter),
    notes: [
      { code: 'ratioForHeat', figures: { c: missing } },
      ...(answeredC === missing
        ? []
        : [{ code: 'heatOutOfReach' as const, figures: { c: missing } }]),
    ],
  };
}
