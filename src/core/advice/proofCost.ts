/**
 * When a setting is on target, and what it costs to prove one (model.md §3b). A setting holds the window when
 * its own mean time lies inside, which two landings alone do not show. House heuristic: the form and the
 * weights of the cost were prototyped on simulated coffees. All in ln time.
 */
import jStat from 'jstat';

/** Probability that a value of this mean and sd lies between two others, 0-1. */
export function between(mean: number, sd: number, low: number, high: number): number {
  return jStat.normal.cdf(high, mean, sd) - jStat.normal.cdf(low, mean, sd);
}

const MOST_STEPS = 20;
const STEP_TOLERANCE = 1e-10;

/**
 * The largest offset from the window's centre at which a mean of this variance would still be believed
 * inside with probability `goal`; null when not even the centre would. Newton's steps down from where the
 * near edge alone would put it, within 1e-10.
 */
export function reach(variance: number, halfWindow: number, goal: number): number | null {
  const sd = Math.sqrt(variance);
  const inside = (offset: number) => between(offset, sd, -halfWindow, halfWindow);
  if (inside(0) < goal) return null;
  const density = (distance: number) => jStat.normal.pdf(distance, 0, sd);
  let offset = Math.max(0, halfWindow - sd * jStat.normal.inv(goal, 0, 1));
  for (let i = 0; i < MOST_STEPS; i++) {
    const slope = density(halfWindow + offset) - density(halfWindow - offset);
    const step = slope === 0 ? 0 : (inside(offset) - goal) / slope;
    offset = Math.max(0, offset - step);
    if (Math.abs(step) < STEP_TOLERANCE) break;
  }
  return offset;
}

export interface ProofCost {
  /** Expected shots until the setting is on target, another being tried at two shots when it fails. */
  readonly cost: number;
  readonly feasible: boolean;
}

/** At least so many shots at a setting prove it. */
export const LEAST_SHOTS = 2;
const MOST_AHEAD = 6;
/** Shots a failure costs, beside those that showed it. */
const FAILURE_SHOTS = 2;
const NEVER = 1e7;
const NEVER_SLOPE = 1e6;

/** What proving a setting is expected to cost in shots. */
export function proofCost({
  offset,
  variance,
  noiseSd,
  have,
  halfWindow,
  goal,
  landing,
}: {
  /** Mean of the setting from the window's centre, and the variance of that mean. */
  readonly offset: number;
  readonly variance: number;
  readonly noiseSd: number;
  /** Valid shots at it already. */
  readonly have: number;
  readonly halfWindow: number;
  readonly goal: number;
  /** Probability that one more shot lands: it ranks settings none of which can be brought on target. */
  readonly landing: number;
}): ProofCost {
  let best = Infinity;
  for (let n = 1; n <= MOST_AHEAD; n++) {
    if (n >= best) break;
    if (have + n < LEAST_SHOTS) continue;
    const after = 1 / (1 / variance + n / noiseSd ** 2);
    const far = reach(after, halfWindow, goal);
    if (far === null) continue;
    const success = between(offset, Math.sqrt(variance - after), -far, far);
    if (success > 0) best = Math.min(best, n + (FAILURE_SHOTS * (1 - success)) / success);
  }
  return Number.isFinite(best) && best < NEVER - NEVER_SLOPE
    ? { cost: best, feasible: true }
    : { cost: NEVER - NEVER_SLOPE * landing, feasible: false };
}
