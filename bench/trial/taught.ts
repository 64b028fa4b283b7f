/** What a made-up house's past releases teach: each was tasted in nine recipes before it was published. */
import { featuresOf } from '@/core/coffee/features';
import { designRow } from '@/core/start/design';
import { outputOf, type PastRelease } from '@/core/start/fit';
import {
  byJointOutput,
  JOINT_OUTPUTS,
  learnJoint,
  predictJoint,
  evidenceOfRecipe,
  type JointModel,
  type ReleaseEvidence,
} from '@/core/start/joint';
import { withRecipe } from '@/core/start/learnTaste';
import { priorFor } from '@/core/start/priors';
import { STEP } from '@/core/trials/coding';
import { houseSigns, signMessageOf, type SignMessage } from '@/core/trials/signs';
import { tasteEvidenceOf } from '@/core/trials/tasteEvidence';
import { fitSurface } from '@/core/trials/surface';
import { around, type Coffee } from './coffee';
import { byPlan, type Knowing, type Tried } from './ways';

const RULES = byJointOutput((output) => priorFor(output, 'both'));
const RECIPES = 9;

export interface Past {
  readonly row: readonly number[];
  readonly coffee: Coffee;
  /** Its number, for the particles of its surface. */
  readonly release: number;
}

export const rowOf = ({ release, style }: PastRelease) => designRow(featuresOf(release), style);

/** A release's best point, absolute coded. */
export const bestOf = (past: PastRelease): number[] =>
  JOINT_OUTPUTS.map((output) => outputOf(past, output)! / STEP[output]);

export interface TrialLessons {
  /** From cups, each release fitted around what the earlier ones say, as the program takes them. */
  readonly sites: readonly ReleaseEvidence[];
  /** The same where nothing of the recipe is put in, however little the cups know. */
  readonly bare: readonly ReleaseEvidence[];
  readonly signs: readonly SignMessage[];
  /** The recipe each was published with, without its cups. */
  readonly recipes: readonly ReleaseEvidence[];
  readonly tried: readonly Tried[];
}

export function taughtBy(pasts: readonly Past[]): TrialLessons {
  const sites: ReleaseEvidence[] = [];
  const bare: ReleaseEvidence[] = [];
  const signs: SignMessage[] = [];
  const recipes: ReleaseEvidence[] = [];
  const tried: Tried[] = [];
  for (const { row, coffee, release } of pasts) {
    const known = knowingOf(modelOf(sites), row, signs);
    const trial = byPlan(coffee, known, { release, recipes: RECIPES, isJudged: false });
    const { site, message, optimum } = refitted(trial, known, release);
    bare.push({ ...site, row });
    sites.push({ ...(withRecipe(site, optimum) ?? evidenceOfRecipe(optimum)), row });
    if (message) signs.push(message);
    recipes.push({ ...evidenceOfRecipe(optimum), row });
    tried.push(trial);
  }
  return { sites, bare, signs, recipes, tried };
}

export const modelOf = (sites: readonly ReleaseEvidence[]): JointModel =>
  learnJoint({ sites, rules: RULES });

export const knowingOf = (
  model: JointModel,
  row: readonly number[],
  signs: readonly SignMessage[],
  without?: ReleaseEvidence,
): Knowing => ({ ...predictJoint(model, row, without), signs: houseSigns(signs) });

/** A trial's cups fitted around what is known, and what they teach beyond it. */
function refitted(trial: Tried, { mean, covariance, signs }: Knowing, release: number) {
  const surface = fitSurface({
    cups: trial.cups.map(({ X, ...cup }) => ({ ...cup, x: around(X, mean) })),
    prior: covariance,
    release,
    signOffset: signs,
  });
  return {
    site: tasteEvidenceOf(surface, covariance, mean),
    message: signMessageOf(surface, signs),
    optimum: surface.optimum.map((value, j) => value + mean[j]!),
  };
}

/** The second sweep: each release fitted again around what all others say. */
export function sweptAgain(
  pasts: readonly Past[],
  { sites, signs, tried }: TrialLessons,
): ReleaseEvidence[] {
  const model = modelOf(sites);
  return pasts.map(({ row, release }, i) => {
    const others = signs.filter((_, k) => k !== i);
    const known = knowingOf(model, row, others, sites[i]);
    const { site, optimum } = refitted(tried[i]!, known, release);
    return { ...(withRecipe(site, optimum) ?? evidenceOfRecipe(optimum)), row };
  });
}
