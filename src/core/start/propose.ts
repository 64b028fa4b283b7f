/**
 * The starting recipe of a release: five regressions (model.md §2), then limits, rounding and words.
 * Units at the end of names. A recipe is a place to start: its interval says how far it may be off.
 */
import { RATIO_LIMIT, TEMPERATURE_LIMIT_C } from '../trials/proposalLimits';
import { featuresOf, type Features, type ReleaseFacts } from '../coffee/features';
import { USUAL_FIRST_DRIP_S } from '../extraction/clock';
import { REFERENCE_BASKET, referenceStretch } from '../extraction/basketLaw';
import { Z_80 } from '../grinder/dial';
import { dot } from '../linear';
import { spanOf, type RestSpan } from '../rest/rest';
import type { Recipe } from '../schema/recipe';
import type { Setup } from '../schema/setup';
import {
  STYLE_PROGRAMMES,
  type BrewStyle,
  type Clock,
  type RestSchool,
  type TemperatureSchool,
} from '../vocabulary';
import { designRow } from './design';
import { evidenceOf, type RecipeEvidence } from './evidence';
import {
  averageMean,
  countOf,
  mapOutputs,
  questionRow,
  type HouseModel,
  type PastRelease,
} from './fit';
import { ownParts, ownRecipeOf } from './ownRecipe';
import { learnWithCups, type TaughtModel } from './learnTaste';
import { tastedParts, type TastedPart } from './tasted';
import { predict, TRUST_FROM_N, type Posterior } from './posterior';
import { FACTORS, processSd, type Output, type OwnRule } from './priors';
import { coffeeWarnings } from './coffeeWarnings';
import { dialWarnings, setupWarnings, styleWarnings, warning, type Warning } from './setupLimits';
import { startDialOf, type StartDial } from './startDial';
import {
  PROPOSED_VARIABLES,
  roundTo,
  timeWindowOf,
  type ProposedVariable,
} from './proposedVariables';
import { contributionsOf, type Contribution } from './contributions';

/** What is asked of a house model: a coffee, in a style, on a setup. */
export interface Question {
  readonly release: ReleaseFacts;
  readonly style: BrewStyle;
  readonly setup?: Setup | undefined;
  /** Which of the house's setups that is. */
  readonly setupId?: string | undefined;
  readonly restSchool?: RestSchool | undefined;
  /** The release's own rest span, in place of the school's. */
  readonly span?: RestSpan | undefined;
  /** The clock the window is written on; the pump's when absent. */
  readonly clock?: Clock | undefined;
}

export interface ProposeInput extends Question {
  readonly temperatureSchool: TemperatureSchool;
  readonly history: readonly PastRelease[];
  /** Rules of the house's own, in place of the trade's. */
  readonly rules?: readonly OwnRule[] | undefined;
}

export interface Proposal {
  readonly recipe: Recipe;
  /** Grind in reference steps finer (+) or coarser (−) than the house's reference coffee. */
  readonly grindSteps: number;
  /** That grind on the chosen grinder's dial; null while it is not calibrated or none is chosen. */
  readonly startDial: StartDial | null;
  readonly interval80: Readonly<Record<ProposedVariable, readonly [number, number]>>;
  readonly mean: Readonly<Record<Output, number>>;
  readonly halfWidth80: Readonly<Record<Output, number>>;
  readonly contributions: Readonly<Record<ProposedVariable, readonly Contribution[]>>;
  readonly warnings: readonly Warning[];
  readonly rulesOnly: boolean;
  /** Past releases that count at all. */
  readonly releases: number;
  /** Past cups behind ratio, temperature and time. */
  readonly cups: number;
  /** The coffee's own last recipe, which the figures follow; null for one without. */
  readonly ownRecipe: PastRelease['recipe'] | null;
}

/** Limits of a proposed dose (model.md §2). */
const DOSE_UNDER_RATED_G = 2;
/** A lead may go further over; a proposal does not. */
const DOSE_OVER_RATED_G = 0.5;

/** A first drip nobody noted is a usual one, give or take this sd in s. House heuristic. */
const FIRST_DRIP_SD_S = 1.5;

export interface ProposalWithEvidence extends Proposal {
  /** Past releases behind the ratio, the most influential first; see `evidenceOf` for the others. */
  readonly evidence: readonly RecipeEvidence[];
}

/**
 * Proposes a starting recipe with its uncertainty, what each fact adds and the evidence behind it.
 * Without history it is the rules alone and says so (`rulesOnly`).
 */
export function propose({
  temperatureSchool,
  history,
  rules,
  ...question
}: ProposeInput): ProposalWithEvidence {
  const model = learnWithCups(history, temperatureSchool, rules);
  return withEvidence(proposeFrom(model, question), model, question);
}

/** A proposal of a model with every past release behind its ratio. */
export function withEvidence(
  proposal: Proposal,
  model: HouseModel,
  { release, style }: Question,
): ProposalWithEvidence {
  const [, row] = questionRow(release, style);
  return { ...proposal, evidence: evidenceOf(model.history, row, model.fits.lnRatio) };
}

/** The same, asked of a model that was learnt before; its evidence is another question. */
export function proposeFrom(model: TaughtModel, question: Question): Proposal {
  const { release, style, setup } = question;
  const { fits } = model;
  const features = featuresOf(release);
  const row = designRow(features, style);
  // An unlisted process, and one nobody knows, may be half an intensity off either way.
  const unlisted = (features.processShare.other ?? 0) + features.missingShare.process;
  const roastStep = roastStepOf(features, style);

  const ownRecipe = ownRecipeOf(model, release.id);
  const own = ownParts(model, ownRecipe, question);
  const tasted: Partial<Record<Output, TastedPart>> = tastedParts(model, row, ownRecipe, question);

  const predictions = mapOutputs((output) => {
    const { posteriors } = fits[output];
    const unsaid = (fit: Posterior) =>
      unlistedVariance(fit, output, unlisted) + dot(roastStep, fit.mean) ** 2;
    const part = tasted[output];
    if (!part) return predict(posteriors, row, unsaid, own[output]);
    const extra = posteriors.reduce((sum, fit) => sum + fit.share * unsaid(fit), 0);
    return {
      mean: dot(row, averageMean(fits[output])) + part.cups + part.own,
      halfWidth80: Z_80 * Math.sqrt(part.variance + extra),
    };
  });
  const mean = mapOutputs((output) => predictions[output].mean);
  const halfWidth80 = mapOutputs((output) => predictions[output].halfWidth80);
  const ratedG = setup?.basket?.ratedG ?? REFERENCE_BASKET.ratedG;
  const stretch = referenceStretch(setup?.basket);
  const dripS = question.clock === 'firstDrip' ? USUAL_FIRST_DRIP_S : 0;
  const { values, limited, warnings } = bounded(mean, ratedG, setup);
  const recipe = recipeFrom(values, question);
  const shown = {
    ratio: recipe.ratio,
    temperatureC: recipe.temperatureC,
    timeS: Math.round(values.timeS - dripS),
    grindSteps: roundTo(mean.grindSteps, 0.5),
    doseG: recipe.doseG,
  };
  const contributions = mapPushed((variable) => {
    const output = OUTPUT_OF[variable];
    return contributionsOf({
      row,
      ruleMean: fits[output].rule.map(({ mean: own }) => own),
      learnedMean: averageMean(fits[output]),
      logarithmic: output.startsWith('ln'),
      scale: variable === 'doseG' ? ratedG : 1,
      own: tasted[output]?.own ?? own[output].mean,
      cups: tasted[output]?.cups ?? 0,
      ...(variable === 'timeS' && { moved: movedTime(mean.lnTimeS, stretch, dripS) }),
      proposed: shown[variable],
      limited: limited.has(variable),
    });
  });
  const interval80 = mapPushed((variable): readonly [number, number] => {
    const output = OUTPUT_OF[variable];
    const show = (value: number) =>
      output.startsWith('ln') ? Math.exp(value) * (variable === 'doseG' ? ratedG : 1) : value;
    const ends = [mean[output] - halfWidth80[output], mean[output] + halfWidth80[output]] as const;
    const [low, high] = [show(ends[0]), show(ends[1])];
    return variable === 'timeS'
      ? shownBand([stretch * low, stretch * high], stretch * show(mean.lnTimeS), dripS)
      : [low, high];
  });
  const startDial =
    setup?.grinder === undefined
      ? null
      : startDialOf(setup.grinder, mean.grindSteps, halfWidth80.grindSteps);
  return {
    recipe,
    grindSteps: shown.grindSteps,
    startDial,
    interval80,
    mean,
    halfWidth80,
    contributions,
    warnings: [
      ...coffeeWarnings(question.release),
      ...styleWarnings(style, setup?.machine),
      ...setupWarnings(setup, { temperatureC: recipe.temperatureC }),
      ...dialWarnings(startDial, setup?.grinder),
      ...warnings,
    ],
    rulesOnly: countOf(model) < TRUST_FROM_N,
    releases: countOf(model),
    cups: model.taste?.cups ?? 0,
    ownRecipe: ownRecipe?.recipe ?? null,
  };
}

export const OUTPUT_OF: Record<ProposedVariable, Output> = {
  ratio: 'lnRatio',
  temperatureC: 'temperatureC',
  timeS: 'lnTimeS',
  grindSteps: 'grindSteps',
  doseG: 'lnDose',
};

/** Variance an unlisted process adds: β_I²·.25 + s²V_II·.25 + (process sd)², by its share. */
function unlistedVariance(fit: Posterior, output: Output, share: number): number {
  if (share === 0) return 0;
  const at = FACTORS.indexOf('intensity');
  const slope = fit.mean[at]!;
  const own = 0.25 * slope ** 2 + 0.25 * fit.s2 * fit.inverse.get(at, at) + processSd(output) ** 2;
  return share ** 2 * own;
}

/**
 * Half the change of the row from one sd of roast to the other: what an uncertain roast reading moves.
 * All zero when the roast is known as well as words and colours know it.
 */
function roastStepOf(features: Features, style: BrewStyle): number[] {
  const { roastLevel, roastSd } = features;
  const at = (level: number) => designRow({ ...features, roastLevel: level }, style);
  const [low, high] = [at((roastLevel ?? 0) - roastSd), at((roastLevel ?? 0) + roastSd)];
  return low.map((value, j) => (high[j]! - value) / 2);
}

/** What basket and clock do to a time of the reference basket, s. */
function movedTime(lnTimeS: number, stretch: number, dripS: number): Contribution[] {
  const bars: Contribution[] = [
    {
      factor: 'basket',
      label: 'This basket',
      rule: Math.exp(lnTimeS) * (stretch - 1),
      learned: 0,
    },
    { factor: 'clock', label: 'Counted from the first drip', rule: -dripS, learned: 0 },
  ];
  return bars.filter(({ rule }) => Math.abs(rule) > 1e-9);
}

/** A band from the pump as counted after a usual first drip, wider by what that leaves open, s. */
function shownBand(
  [low, high]: readonly [number, number],
  centre: number,
  dripS: number,
): readonly [number, number] {
  if (dripS === 0) return [low, high];
  const dripHalf = Z_80 * FIRST_DRIP_SD_S;
  return [
    Math.max(1, centre - Math.hypot(centre - low, dripHalf) - dripS),
    centre + Math.hypot(high - centre, dripHalf) - dripS,
  ];
}

/** Raw means held to the limits of the trade and of the setup. */
function bounded(mean: Record<Output, number>, ratedG: number, setup: Setup | undefined) {
  const limited = new Set<ProposedVariable>();
  const warnings: Warning[] = [];
  const hold = (variable: ProposedVariable, value: number, low: number, high: number) => {
    const held = Math.min(high, Math.max(low, value));
    if (held !== value) limited.add(variable);
    return held;
  };
  const machine = setup?.machine;
  let temperatureC = hold('temperatureC', mean.temperatureC, ...TEMPERATURE_LIMIT_C);
  if (machine?.settableTemperature === false) {
    const fixedC = machine.fixedTemperatureC;
    if (fixedC !== undefined && Math.abs(fixedC - temperatureC) >= 0.5) {
      limited.add('temperatureC');
      warnings.push(warning('fixedTemperature', { fixedC, temperatureC }));
    }
    temperatureC = fixedC ?? temperatureC;
  }
  const values = {
    ratio: hold('ratio', Math.exp(mean.lnRatio), ...RATIO_LIMIT),
    temperatureC,
    timeS: referenceStretch(setup?.basket) * Math.exp(mean.lnTimeS),
    doseG: hold(
      'doseG',
      ratedG * Math.exp(mean.lnDose),
      ratedG - DOSE_UNDER_RATED_G,
      ratedG + DOSE_OVER_RATED_G,
    ),
  };
  return { values, limited, warnings };
}

/** Rounded to what a bench can set: .1 g of dose, .5 g of yield, .5 °C, whole seconds. */
function recipeFrom(
  values: { ratio: number; temperatureC: number; timeS: number; doseG: number },
  { style, release, restSchool = 'byRoast', span: ownSpan, clock = 'pump' }: Question,
): Recipe {
  const doseG = roundTo(values.doseG, 0.1);
  const yieldG = roundTo(doseG * values.ratio, 0.5);
  const dripS = clock === 'firstDrip' ? USUAL_FIRST_DRIP_S : 0;
  const span = spanOf({
    roastLevel: featuresOf(release).roastLevel ?? 0,
    school: restSchool,
    span: ownSpan,
  });
  return {
    doseG,
    yieldG,
    ratio: yieldG / doseG,
    temperatureC: roundTo(values.temperatureC, 0.5),
    timeS: timeWindowOf(values.timeS, dripS),
    clock,
    programme: STYLE_PROGRAMMES[style],
    restDays: [Math.round(span.bestFrom), Math.round(span.bestTo)],
  };
}

function mapPushed<T>(make: (variable: ProposedVariable) => T): Record<ProposedVariable, T> {
  return Object.fromEntries(PROPOSED_VARIABLES.map((name) => [name, make(name)])) as Record<
    ProposedVariable,
    T
  >;
}
