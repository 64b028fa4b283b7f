/**
 * The house model: five regressions over a house's past releases (model.md §2). It is learnt once and
 * asked many times; nothing in it depends on the coffee that is asked about.
 */
import { featuresOf, type Features, type ReleaseFacts } from '../coffee/features';
import { USUAL_FIRST_DRIP_S } from '../extraction/clock';
import { referenceStretch } from '../extraction/basketLaw';
import type { Recipe } from '../schema/recipe';
import type { ScoredCup } from '../trials/bestRecipe';
import type { SignMessage } from '../trials/signs';
import type { TasteEvidence } from '../trials/tasteEvidence';
import type { BrewStyle, TemperatureSchool } from '../vocabulary';
import { designRow } from './design';
import { posteriors, type Posterior } from './posterior';
import { NOISE_SD, OUTPUTS, priorFor, type Output, type OwnRule, type PriorRule } from './priors';

/** The parts of a recipe that teach; a house's old records may lack some. */
export type PastRecipe = Pick<Recipe, 'doseG' | 'ratio'> & {
  readonly [K in keyof Recipe]?: Recipe[K] | undefined;
};

export interface PastRelease {
  readonly release: ReleaseFacts;
  readonly style: BrewStyle;
  readonly recipe: PastRecipe;
  /** Rating of the basket the recipe was made for. */
  readonly ratedG?: number | undefined;
  /** Its diameter; the reference basket's when absent. */
  readonly diameterMm?: number | undefined;
  /** The setup it was made on; where neither is named a question is taken to be asked of the same. */
  readonly setupId?: string | undefined;
  /** Final grind, in reference steps finer than the reference coffee; unknown when absent. */
  readonly grindSteps?: number | undefined;
  /** How much it counts, 0-1; 1 when absent. See `recencyWeight`. */
  readonly weight?: number | undefined;
  /** Its scored cups, at places of the reference basket. */
  readonly cups?: readonly ScoredCup[] | undefined;
  /** What they teach of its best point, where that was worked out already. */
  readonly site?: CupSite | undefined;
}

/** What the cups of a past release taught, and how many they were. */
export interface CupSite extends TasteEvidence {
  readonly cups: number;
  /** What they said of the place of "under" and "over" in this house. */
  readonly signs?: SignMessage | undefined;
}

export interface OutputFit {
  readonly rule: readonly PriorRule[];
  readonly rows: readonly (readonly number[])[];
  readonly outputs: readonly number[];
  readonly weights: readonly number[];
  /** Which past release each row is, as its place in the history. */
  readonly places: readonly number[];
  readonly posteriors: readonly Posterior[];
}

export interface HouseModel {
  readonly history: readonly PastRelease[];
  readonly school: TemperatureSchool;
  readonly fits: Readonly<Record<Output, OutputFit>>;
}

/**
 * Learns from a history; releases that lack an output are left out of its fit. The order of the
 * history does not matter: how recent a release is stands in its weight.
 */
export function learn(
  history: readonly PastRelease[],
  school: TemperatureSchool,
  own: readonly OwnRule[] = [],
): HouseModel {
  const designs = history.map(rowOfPast);
  const fits = mapOutputs((output): OutputFit => {
    const rule = priorFor(output, school, own);
    const known = history.flatMap((past, place) => {
      const value = outputOf(past, output);
      const weight = past.weight ?? 1;
      return value === null || weight === 0 ? [] : [{ place, value, weight }];
    });
    const rows = known.map(({ place }) => designs[place]!);
    const outputs = known.map(({ value }) => value);
    const weights = known.map(({ weight }) => weight);
    return {
      rule,
      rows,
      outputs,
      weights,
      places: known.map(({ place }) => place),
      posteriors: posteriors({
        rows,
        outputs,
        weights,
        priorMean: rule.map(({ mean }) => mean),
        priorSd: rule.map(({ sd }) => sd),
        noiseSd: NOISE_SD[output],
      }),
    };
  });
  return { history, school, fits };
}

const pastRows = new WeakMap<PastRelease, number[]>();

/** The row of a past release, worked out once: it is asked for by every question. */
export function rowOfPast(past: PastRelease): number[] {
  let row = pastRows.get(past);
  if (!row) pastRows.set(past, (row = designRow(featuresOf(past.release), past.style)));
  return row;
}

/** What a recipe says of one output on the model's scale; null when it does not say. */
export function outputOf(
  {
    recipe,
    ratedG,
    diameterMm,
    grindSteps,
  }: Pick<PastRelease, 'recipe' | 'ratedG' | 'diameterMm' | 'grindSteps'>,
  output: Output,
): number | null {
  switch (output) {
    case 'lnRatio':
      return Math.log(recipe.ratio);
    case 'temperatureC':
      return recipe.temperatureC ?? null;
    case 'lnTimeS':
      return timeOf(recipe, { ratedG, diameterMm });
    case 'grindSteps':
      return grindSteps ?? null;
    case 'lnDose':
      return ratedG === undefined ? null : Math.log(recipe.doseG / ratedG);
  }
}

/** ln time of a window's middle, from the pump and in the reference basket. A drip nobody noted is a usual one. */
function timeOf(
  { timeS, clock }: PastRecipe,
  basket: Pick<PastRelease, 'ratedG' | 'diameterMm'>,
): number | null {
  if (!timeS || !clock) return null;
  const dripS = clock === 'firstDrip' ? USUAL_FIRST_DRIP_S : 0;
  return Math.log((timeS[0] + timeS[1]) / 2 + dripS) - Math.log(referenceStretch(basket));
}

/** The row a question asks about. */
export function questionRow(release: ReleaseFacts, style: BrewStyle): [Features, number[]] {
  const features = featuresOf(release);
  return [features, designRow(features, style)];
}

/** κ-averaged coefficients of a fit. */
export function averageMean({ posteriors: fits }: OutputFit): number[] {
  return fits[0]!.mean.map((_, j) => fits.reduce((sum, fit) => sum + fit.share * fit.mean[j]!, 0));
}

/** Releases behind a model: how many count at all. */
export function countOf({ history }: HouseModel): number {
  return history.filter(({ weight = 1 }) => weight > 0).length;
}

export function mapOutputs<T>(make: (output: Output) => T): Record<Output, T> {
  return Object.fromEntries(OUTPUTS.map((output) => [output, make(output)])) as Record<Output, T>;
}
