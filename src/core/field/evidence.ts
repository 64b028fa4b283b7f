/**
 * Has something at one café changed and stayed? Every visit of the last days is tried as the start of a lasting step,
 * of all its coffees or of one, against what the whole field says; sizes are N(0, .09²) in ln time. Published form
 * (a score test with a normal prior of the size); the chances before any check are house heuristics, set so that a
 * café gives about three false alarms in a hundred weeks.
 */
import type { CafeBlock } from './block';
import { quadraticForm, timesVector, type Dense } from './dense';
import { FIELD } from './fieldRules';
import type { CafeRows } from './rows';

export interface StepSignal {
  /** Null: all coffees of the café. */
  readonly coffee: string | null;
  readonly probability: number;
  /** The likeliest start: the moment of its first visit. */
  readonly fromDay: number;
  /** Of the step from that start, ln time. */
  readonly size: number;
  readonly sd: number;
}

const RULES = {
  lookBackDays: 12,
  /** Chance of a step at any one visit, where a café is checked three times a day. */
  chance: { all: 0.01, coffee: 0.0003 },
  checksADay: 3,
} as const;

export interface StepQuestion {
  readonly rows: CafeRows;
  readonly block: CafeBlock;
  /** y less what is fitted, row by row. */
  readonly residuals: readonly (readonly number[])[];
  /** Joint covariance of the shared columns; null where nothing is shared. */
  readonly sharedCovariance: Dense | null;
  readonly checksADay: number;
}

interface Candidate {
  readonly lnBayes: number;
  readonly fromDay: number;
  readonly size: number;
  readonly sd: number;
}

/** Signals by kind, the likeliest first. */
export function stepSignals(question: StepQuestion): StepSignal[] {
  const { rows, checksADay } = question;
  const all = { coffee: null, candidates: candidatesOf(question, null) };
  const each = rows.coffees.map((coffee, at) => ({
    coffee,
    candidates: candidatesOf(question, at),
  }));
  return weighed([all, ...each], checksADay);
}

/** Probabilities of the kinds against no step at all; kinds without a start fall away. */
export function weighed(
  kinds: readonly { coffee: string | null; candidates: readonly Candidate[] }[],
  checksADay: number,
): StepSignal[] {
  const rate = RULES.checksADay / checksADay;
  const scored = kinds.flatMap(({ coffee, candidates }) => {
    if (candidates.length === 0) return [];
    const chance = coffee === null ? RULES.chance.all : RULES.chance.coffee;
    const odds =
      chance * rate * candidates.reduce((sum, { lnBayes }) => sum + Math.exp(lnBayes), 0);
    const best = candidates.reduce((best, one) => (one.lnBayes > best.lnBayes ? one : best));
    return [{ coffee, odds, best }];
  });
  const total = scored.reduce((sum, { odds }) => sum + odds, 0);
  return scored
    .map(({ coffee, odds, best: { fromDay, size, sd } }) => ({
      coffee,
      probability: odds / (1 + total),
      fromDay,
      size,
      sd,
    }))
    .sort((a, b) => b.probability - a.probability);
}

/** The starts of one kind, from the newest visit back; `coffeeAt` null is all coffees. */
export function candidatesOf(question: StepQuestion, coffeeAt: number | null): Candidate[] {
  const { rows, block, residuals } = question;
  const { visits, localSize } = rows;
  const newest = visits.at(-1)?.[0]?.check.atDay ?? 0;
  const q = new Float64Array(localSize + rows.sharedKeys.length);
  const candidates: Candidate[] = [];
  let S = 0;
  let I0 = 0;
  for (let v = visits.length - 1; v >= 0; v--) {
    const visit = visits[v]!;
    const { atDay } = visit[0]!.check;
    if (atDay < newest - RULES.lookBackDays) break;
    const weights = block.weights[v]!;
    const share = block.visitShare[v]!;
    const hasKind = visit.map((row) => coffeeAt === null || row.coffeeAt === coffeeAt);
    // u is 1 where the step would be; sums of u and of r over the visit, weighted.
    let ofKind = 0;
    let sumR = 0;
    visit.forEach((_, i) => {
      const { w } = weights[i]!;
      if (hasKind[i]) ofKind += w;
      sumR += w * residuals[v]![i]!;
    });
    if (ofKind === 0) continue;
    I0 += ofKind - share * ofKind * ofKind;
    visit.forEach((row, i) => {
      const { w } = weights[i]!;
      const u = hasKind[i] ? 1 : 0;
      const weight = w * (u - share * ofKind);
      if (u === 1) S += w * (residuals[v]![i]! - share * sumR);
      row.columns.forEach((at, k) => (q[at]! += weight * row.values[k]!));
    });
    const I = I0 - explained(question, q);
    candidates.push({ ...sizeOf(S, I), fromDay: atDay });
  }
  return candidates;
}

/** How much of a step the café's own columns and the shared ones could take up. */
function explained({ rows, block, sharedCovariance }: StepQuestion, q: Float64Array): number {
  const { localSize } = rows;
  const { inverseLocal, cross } = block;
  const own = q.subarray(0, localSize);
  const solved = timesVector(inverseLocal, own);
  const ofLocal = solved.reduce((sum, value, i) => sum + value * own[i]!, 0);
  if (sharedCovariance === null) return ofLocal;
  const z = q.slice(localSize);
  for (let i = 0; i < localSize; i++)
    for (let j = 0, k = i * z.length; j < z.length; j++, k++)
      z[j]! -= cross.values[k]! * solved[i]!;
  return ofLocal + quadraticForm(sharedCovariance, z);
}

/** Bayes factor and size of a step with score S and information I. */
function sizeOf(S: number, I: number) {
  const prior = FIELD.stepSd ** 2;
  const precision = Math.max(0, I) + 1 / prior;
  return {
    lnBayes: -0.5 * Math.log(prior * precision) + (0.5 * S * S) / precision,
    size: S / precision,
    sd: 1 / Math.sqrt(precision),
  };
}
