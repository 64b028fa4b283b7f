/**
 * Whether a grinder keeps more or less than its profile says: its past dial-ins are learnt anew with other
 * retentions, and the one under which they are likeliest is named. A hint, never applied by itself: on
 * simulated grinders it lay within a quarter to a third of the truth in 77 % at thirty dial-ins (model.md §3b).
 */
import { Matrix, determinant, inverse } from 'ml-matrix';
import { dot } from '../linear';
import { runToEnd } from '../runToEnd';
import { converge, mapOf, priorOf, type PastDialIn, type State } from './memory';
import { addRow } from '../grinder/timeModel';
import { ODD_SD, type Slope } from '../grinder/timePrior';

/** Fewer dial-ins say nothing of it. */
export const HINT_FROM_DIAL_INS = 50;
/** What is tried, as shares of the retention the profile has. */
const SHARES = [0.5, 0.75, 1, 1.33, 2];
/** A grinder said to keep nothing is tried with this much, g. House heuristic. */
const LEAST_TRIED_G = 0.5;
/** Likelier by e² before anything is said. House heuristic. */
const LEAST_GAIN = 2;

export interface RetentionHint {
  /** What the past dial-ins say it keeps, g: one of a few values, so a rough figure. */
  readonly retentionG: number;
  /** How much likelier it makes them, ln. */
  readonly lnGain: number;
}

/** @param withRetention the grinder's past dial-ins as rows, were its retention this many grams. */
export function retentionHint(
  withRetention: (retentionG: number) => readonly PastDialIn[],
  slope: Slope,
  retentionG: number,
): RetentionHint | null {
  return runToEnd(seekingRetention(withRetention, slope, retentionG));
}

/** The same in steps. */
export function* seekingRetention(
  withRetention: (retentionG: number) => readonly PastDialIn[],
  slope: Slope,
  retentionG: number,
): Generator<number, RetentionHint | null> {
  const now = withRetention(retentionG);
  if (now.length < HINT_FROM_DIAL_INS) return null;
  const base = Math.max(retentionG, LEAST_TRIED_G);
  const tried: { retentionG: number; lnEvidence: number }[] = [];
  for (const share of SHARES) {
    const triedG = Number((share * base).toFixed(2));
    const { newest, learnt } = yield* converge(withRetention(triedG), slope);
    tried.push({
      retentionG: triedG,
      lnEvidence: lnEvidence(newest, slope, learnt.state, learnt.weights),
    });
  }
  const { newest, learnt } = yield* converge(now, slope);
  const said = lnEvidence(newest, slope, learnt.state, learnt.weights);
  const best = tried.reduce((a, b) => (b.lnEvidence > a.lnEvidence ? b : a));
  const lnGain = best.lnEvidence - said;
  return lnGain < LEAST_GAIN ? null : { retentionG: best.retentionG, lnGain };
}

/** ln likelihood of all rows with the grinder's and each dial-in's coefficients integrated out, less a constant. */
function lnEvidence(
  dialIns: readonly PastDialIn[],
  slope: Slope,
  { between, noiseSd, oddRate }: State,
  weights: readonly (readonly number[])[],
): number {
  const prior = priorOf(slope);
  const precisionT = Matrix.diag(between.map((sd) => 1 / sd ** 2));
  const lnDetT = 2 * between.reduce((sum, sd) => sum + Math.log(sd), 0);
  const total = prior.precision.clone();
  const right = Matrix.zeros(total.rows, 1);
  let twice = 0;
  dialIns.forEach(({ features, rows }, i) => {
    const M = mapOf(features);
    const centre = M.mmul(prior.mean).to1DArray();
    const J = Matrix.zeros(5, 5);
    const q = Matrix.zeros(5, 1);
    rows.forEach((row, r) => {
      const variance = row.fixedVariance ?? noiseSd ** 2 + row.extraVariance;
      const weight = weights[i]![r]!;
      const rest = row.lnTimeS - dot(row.x, centre);
      addRow(J, q, { ...row, lnTimeS: rest }, weight / variance);
      twice += (weight * rest ** 2) / variance + Math.log(variance / weight);
      // An odd shot is paid for by how rare odd shots are.
      const share = variance / (variance + ODD_SD ** 2);
      twice -= (2 * (1 - weight) * Math.log(oddRate / (1 - oddRate))) / (1 - share);
    });
    const S = inverse(J.clone().add(precisionT));
    const JS = J.mmul(S);
    twice += lnDetT - Math.log(determinant(S)) - quadraticOf(S, q);
    total.add(
      M.transpose()
        .mmul(J.clone().sub(JS.mmul(J)))
        .mmul(M),
    );
    right.add(M.transpose().mmul(q.clone().sub(JS.mmul(q))));
  });
  twice += Math.log(determinant(total)) - quadraticOf(inverse(total), right);
  return -twice / 2;
}

const quadraticOf = (A: Matrix, b: Matrix): number => b.transpose().mmul(A).mmul(b).get(0, 0);
