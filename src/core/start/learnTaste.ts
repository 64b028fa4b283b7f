/**
 * The joint start model over a house's past releases: each counts by what its cups say of its best point, and by its
 * recipe in the directions they leave open (model.md §4b). A release's cups are fitted around what all others say of it,
 * and that is taken out of its site again: proposals do not confirm themselves.
 * House heuristic: where its cups leave a direction open the recipe speaks for it: an ordinary dial-in tells little of
 * ratio and temperature, a ladder of yields nothing of temperature.
 */
import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { symmetric } from '../linear';
import { runToEnd } from '../runToEnd';
import { codedFrom, placeAt, STEP } from '../trials/coding';
import { countRecipes, type ScoredCup } from '../trials/bestRecipe';
import { houseSigns, signMessageOf } from '../trials/signs';
import { tasteEvidenceOf, type TasteEvidence } from '../trials/tasteEvidence';
import { fitSurface, type SignOffset } from '../trials/surface';
import type { TemperatureSchool } from '../vocabulary';
import { learn, outputOf, rowOfPast, type CupSite, type HouseModel, type PastRelease } from './fit';
import {
  byJointOutput,
  JOINT_OUTPUTS,
  learningJoint,
  predictJoint,
  evidenceOfRecipe,
  type JointModel,
  type JointPrediction,
  type ReleaseEvidence,
} from './joint';
import { priorFor, type OwnRule } from './priors';

export interface TasteModel {
  readonly model: JointModel;
  /** By past release; those whose ratio, temperature or time nobody knows are missing. */
  readonly sites: ReadonlyMap<PastRelease, ReleaseEvidence>;
  /** Cups behind it, and the coffees they were of. */
  readonly cups: number;
  readonly coffees: number;
}

/** Learns from recipes and from the sites that the past releases carry. */
export const learnTaste = (...asked: Parameters<typeof learningTaste>): TasteModel =>
  runToEnd(learningTaste(...asked));

/** The same in steps, with room for others between two of them. */
export function* learningTaste(
  history: readonly PastRelease[],
  school: TemperatureSchool,
  own: readonly OwnRule[] = [],
): Generator<void, TasteModel> {
  const sites = new Map<PastRelease, ReleaseEvidence>();
  for (const past of history) {
    const site = past.site ?? recipeSiteOf(past);
    if (site) sites.set(past, { ...site, row: rowOfPast(past), weight: past.weight ?? 1 });
  }
  const rules = byJointOutput((output) => priorFor(output, school, own));
  const tasted = history.flatMap(({ site, weight = 1 }) => (site && weight > 0 ? [site] : []));
  return {
    model: yield* learningJoint({ sites: [...sites.values()], rules }),
    sites,
    cups: tasted.reduce((sum, site) => sum + site.cups, 0),
    coffees: tasted.length,
  };
}

/** A recipe in absolute coded units; null where it lacks one of the three. */
function codedRecipe(past: PastRelease): readonly number[] | null {
  const values = JOINT_OUTPUTS.map((output) => {
    const value = outputOf(past, output);
    return value === null ? null : value / STEP[output];
  });
  return values.every((value) => value !== null) ? values : null;
}

function recipeSiteOf(past: PastRelease): TasteEvidence | null {
  const coded = codedRecipe(past);
  return coded === null ? null : evidenceOfRecipe(coded);
}

/** Fewer recipes than this tell no direction. House heuristic. */
const LEAST_RECIPES = 3;
/** Where cups know less than this of a direction, coded (sd 1.4 steps), the recipe speaks for it. House heuristic. */
const LEAST_PRECISION = 0.5;

/**
 * What cups know where they know enough, and the recipe in the directions they leave open: E_s P E_s + E_w P_r E_w, with
 * E_s and E_w the projections on both. Null where cups leave all of them open.
 * @param recipe absolute coded; null where it lacks one of the three.
 */
export function withRecipe(
  { P, h }: TasteEvidence,
  recipe: readonly number[] | null,
): TasteEvidence | null {
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(P, {
    assumeSymmetric: true,
  });
  const isKnown = realEigenvalues.map((value) => value >= LEAST_PRECISION);
  if (!isKnown.includes(true)) return null;
  const onto = (some: readonly boolean[]) =>
    eigenvectorMatrix.mmul(Matrix.diag(some.map(Number))).mmul(eigenvectorMatrix.transpose());
  const known = onto(isKnown);
  const cups = { P: known.mmul(P).mmul(known), h: known.mmul(Matrix.columnVector([...h])) };
  if (recipe === null) return { P: symmetric(cups.P), h: cups.h.to1DArray() };
  const open = onto(isKnown.map((one) => !one));
  const spoken = open.mmul(evidenceOfRecipe(recipe).P).mmul(open);
  return {
    P: symmetric(Matrix.add(cups.P, spoken)),
    h: Matrix.add(cups.h, spoken.mmul(Matrix.columnVector([...recipe]))).to1DArray(),
  };
}

/** What the house's other releases expect of a coffee: its best point, and where its signs stand. */
export interface Expected extends JointPrediction {
  readonly signs?: SignOffset | undefined;
}

/**
 * What a release's cups teach beside its recipe, or null where they teach no direction.
 * @param past the release, for its recipe.
 * @param cups at places of the reference basket.
 * @param expected what the other releases say of this one.
 * @param release its number, for the particles of its surface.
 */
export function siteOfCups(
  past: PastRelease,
  cups: readonly ScoredCup[],
  expected: Expected,
  release?: number,
): CupSite | null {
  const centre = placeAt({ ratio: 1, temperatureC: 0, timeS: 1 }, expected.mean);
  const coded = cups.map((cup) => ({ ...cup, x: codedFrom(centre, cup) }));
  if (countRecipes(coded.map(({ x }) => x)) < LEAST_RECIPES) return null;
  const { covariance, mean, signs } = expected;
  const surface = fitSurface({ cups: coded, prior: covariance, release, signOffset: signs });
  const site = withRecipe(tasteEvidenceOf(surface, covariance, mean), codedRecipe(past));
  const message = signMessageOf(surface, signs);
  return site && { ...site, cups: cups.length, ...(message && { signs: message }) };
}

/** What the others say of a past release of the model, itself left out. */
export function expectedWithout({ model, sites }: TasteModel, past: PastRelease): JointPrediction {
  return predictJoint(model, rowOfPast(past), sites.get(past));
}

/** Where the signs of the next release stand, or of a past one that is left out. */
export function expectedSigns(history: readonly PastRelease[], without?: PastRelease): SignOffset {
  return houseSigns(
    history.flatMap((past) => {
      const { site, weight = 1 } = past;
      return site?.signs && weight > 0 && past !== without ? [site.signs] : [];
    }),
  );
}

/** A history whose releases carry what their cups teach, fitted around what their recipes say together. */
function withCupSites(
  history: readonly PastRelease[],
  school: TemperatureSchool,
  own: readonly OwnRule[] = [],
): PastRelease[] {
  if (!history.some(({ cups = [] }) => cups.length > 0)) return [...history];
  const recipes = learnTaste(history, school, own);
  const tasted: PastRelease[] = [];
  for (const [i, past] of history.entries()) {
    const { cups = [] } = past;
    const expected = { ...expectedWithout(recipes, past), signs: expectedSigns(tasted) };
    const site = cups.length === 0 ? null : siteOfCups(past, cups, expected, i);
    tasted.push(site ? { ...past, site } : past);
  }
  return tasted;
}

/** A house model that has tasted: its ratio, temperature and time go by recipes and cups together. */
export interface TaughtModel extends HouseModel {
  /** Absent where no past cups teach more than the recipes. */
  readonly taste?: TasteModel | undefined;
}

/** Learns from recipes, and from cups where there are any. */
export function learnWithCups(
  history: readonly PastRelease[],
  school: TemperatureSchool,
  own: readonly OwnRule[] = [],
): TaughtModel {
  const tasted = withCupSites(history, school, own);
  const model = learn(tasted, school, own);
  const hasCups = tasted.some(({ site, weight = 1 }) => site && weight > 0);
  return hasCups ? { ...model, taste: learnTaste(tasted, school, own) } : model;
}
