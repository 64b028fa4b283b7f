/**
 * The level of a release over its batches (model.md §5b): ln time at one dial, dose and yield, with age and
 * colour taken off. Each batch lies off the release's own level by τ_B; the level drifts slowly. From it
 * follows what a new batch is expected to do before its first shot. House heuristic, prototyped. ln s, weeks.
 */
import { ageOf } from './ageing';
import { DRIFT_PER_WEEK, type Estimate } from './houseAgeing';

/** Change of ln time at one setting for each roast level darker. Fixed: a house's few batches cannot teach it. */
export const COLOUR_EFFECT = 0.12;
/** sd between batches of one release, and how many batches that prior is worth. */
const BETWEEN = { sd: 0.05, worth: 6 } as const;
const PASSES = 6;
/** A batch this many sd off is another coffee, and teaches the level nothing. */
const SKIPPED_FROM_SDS = 3;
/** In the learning of τ_B no batch counts for more than this many sd. */
const CLIPPED_AT_SDS = 4;

/** What one batch's shots say of the level. */
export interface BatchEvidence {
  /** When they were pulled, in weeks from any one day. */
  readonly week: number;
  readonly roastLevel: number;
  /** At the reference dial, dose and yield; sound shots only. */
  readonly shots: readonly { readonly lnTimeS: number; readonly restDays: number }[];
}

export interface ReleaseLevel {
  /** ln time at the reference setting, as of `age` and `roastLevel`. */
  readonly level: number;
  readonly variance: number;
  readonly age: number;
  readonly roastLevel: number;
  readonly week: number;
  readonly batches: number;
}

export interface LevelRules {
  readonly slope: Estimate;
  readonly noiseSd: number;
  /** sd between batches of one release. */
  readonly batchSd: number;
}

/** A batch's mean, brought to the age and roast the level stands for. */
function meanOf({ shots, roastLevel }: BatchEvidence) {
  const n = shots.length;
  return {
    n,
    ln: shots.reduce((sum, { lnTimeS }) => sum + lnTimeS, 0) / n,
    age: shots.reduce((sum, { restDays }) => sum + ageOf(restDays), 0) / n,
    roastLevel,
  };
}

interface Step {
  readonly state: ReleaseLevel;
  /** How far the batch lay from what was expected, and the variance of that beside τ_B²; null for the first. */
  readonly surprise: { readonly miss: number; readonly otherVariance: number } | null;
}

function withBatch(
  state: ReleaseLevel | null,
  batch: BatchEvidence,
  { slope, noiseSd, batchSd }: LevelRules,
): Step {
  const { n, ln, age, roastLevel } = meanOf(batch);
  const ofNoise = noiseSd ** 2 / n;
  const { week } = batch;
  if (state === null) {
    const variance = batchSd ** 2 + ofNoise;
    return { state: { level: ln, variance, age, roastLevel, week, batches: 1 }, surprise: null };
  }
  const drifted = state.variance + DRIFT_PER_WEEK * Math.max(0, week - state.week);
  const ages = age - state.age;
  const z = ln - slope.mean * ages - COLOUR_EFFECT * (roastLevel - state.roastLevel);
  const otherVariance = drifted + (slope.sd * ages) ** 2 + ofNoise;
  const all = otherVariance + batchSd ** 2;
  const miss = z - state.level;
  const gain = Math.abs(miss) > SKIPPED_FROM_SDS * Math.sqrt(all) ? 0 : drifted / all;
  return {
    state: {
      level: state.level + gain * miss,
      variance: (1 - gain) * drifted,
      // The level stands for the age its evidence had, so that a slope in doubt is not counted twice.
      age: state.age,
      roastLevel: state.roastLevel,
      week: Math.max(week, state.week),
      batches: state.batches + 1,
    },
    surprise: { miss, otherVariance },
  };
}

/** The level after some batches, oldest first; null without a sound shot. */
export function levelAfter(
  batches: readonly BatchEvidence[],
  rules: LevelRules,
): ReleaseLevel | null {
  return batches
    .filter(({ shots }) => shots.length > 0)
    .reduce<ReleaseLevel | null>((state, batch) => withBatch(state, batch, rules).state, null);
}

/** What a batch is expected to do at the reference setting: mean and sd of ln time. */
export function expectBatch(
  state: ReleaseLevel,
  { week, roastLevel, restDays }: { week: number; roastLevel: number; restDays: number },
  { slope, batchSd }: LevelRules,
): Estimate {
  const ages = ageOf(restDays) - state.age;
  const variance =
    state.variance +
    DRIFT_PER_WEEK * Math.max(0, week - state.week) +
    batchSd ** 2 +
    (slope.sd * ages) ** 2;
  return {
    mean: state.level + slope.mean * ages + COLOUR_EFFECT * (roastLevel - state.roastLevel),
    sd: Math.sqrt(variance),
  };
}

/** How far batches of one release lie apart in this house, learnt from all its releases. */
export function learnBatchSd(
  releases: readonly (readonly BatchEvidence[])[],
  rules: Omit<LevelRules, 'batchSd'>,
): number {
  let batchSd: number = BETWEEN.sd;
  for (let pass = 0; pass < PASSES; pass++) {
    let [sum, count] = [0, 0];
    for (const batches of releases) {
      let state: ReleaseLevel | null = null;
      for (const batch of batches) {
        if (batch.shots.length === 0) continue;
        const step: Step = withBatch(state, batch, { ...rules, batchSd });
        ({ state } = step);
        if (step.surprise === null) continue;
        const { miss, otherVariance: o } = step.surprise;
        const all = batchSd ** 2 + o;
        const squared = Math.min(miss ** 2, CLIPPED_AT_SDS ** 2 * all);
        sum += (batchSd ** 4 * squared) / all ** 2 + (batchSd ** 2 * o) / all;
        count += 1;
      }
    }
    batchSd = Math.sqrt((BETWEEN.worth * BETWEEN.sd ** 2 + sum) / (BETWEEN.worth + count));
  }
  return batchSd;
}
