/**
 * Has something at one café changed and stayed? Every visit of the last days is tried as the start of a lasting step,
 * of all its coffees or of one, against what the whole field says; sizes are N(0, .09²) in ln time. Published form
 * (a score test with a normal prior of the size); the chances before any check are house heuristics, set so that a
 * café gives about three false alarms in a hundred weeks.
 */
import type { CafeBlock } from './block';
import type { Dense } from './dense';
import { CAFE_RULES } from './cafeRules';
import type { CafeRows } from './rows';
import { jointCovariance } from './uncertainty';

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
  const joint = jointOf(question);
  const all = { coffee: null, candidates: candidatesOf(question, null, joint) };
  const each = rows.coffees.map((coffee, at) => ({
    coffee,
    candidates: candidatesOf(question, at, joint),
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
export function candidatesOf(
  question: StepQuestion,
  coffeeAt: number | null,
  joint = jointOf(question),
): Candidate[] {
  const { rows, block, residuals } = question;
  const { visits } = rows;
  const newest = visits.at(-1)?.[0]?.check.atDay ?? 0;
  const taken = new Explained(joint);
  const candidates: Candidate[] = [];
  let S = 0;
  let I0 = 0;
  for (let v = visits.length - 1; v >= 0; v--) {
    const visit = visits[v]!;
    const { atDay } = visit[0]!.check;
    if (atDay < newest - RULES.lookBackDays) break;
    const weights = block.weights[v]!;
    const share = block.visitShare[v]!;
    // u is 1 where the step would be; sums of u and of r over the visit, weighted.
    let ofKind = 0;
    let sumR = 0;
    for (let i = 0; i < visit.length; i++) {
      const { w } = weights[i]!;
      if (coffeeAt === null || visit[i]!.coffeeAt === coffeeAt) ofKind += w;
      sumR += w * residuals[v]![i]!;
    }
    if (ofKind === 0) continue;
    I0 += ofKind - share * ofKind * ofKind;
    for (let i = 0; i < visit.length; i++) {
      const row = visit[i]!;
      const { w } = weights[i]!;
      const u = coffeeAt === null || row.coffeeAt === coffeeAt ? 1 : 0;
      const weight = w * (u - share * ofKind);
      if (u === 1) S += w * (residuals[v]![i]! - share * sumR);
      for (let k = 0; k < row.columns.length; k++)
        taken.add(row.columns[k]!, weight * row.values[k]!);
    }
    candidates.push({ ...sizeOf(S, I0 - taken.settle()), fromDay: atDay });
  }
  return candidates;
}

/** How much of a step the café's own columns and the shared ones could take up: qᵀΣq, kept as q grows visit by visit. */
class Explained {
  private readonly moved: Float64Array;
  private readonly touched: number[] = [];
  /** Σq. */
  private readonly solved: Float64Array;
  private sum = 0;

  constructor(private readonly joint: Dense) {
    this.moved = new Float64Array(joint.rows);
    this.solved = new Float64Array(joint.rows);
  }

  add(column: number, value: number): void {
    if (this.moved[column] === 0) this.touched.push(column);
    this.moved[column]! += value;
  }

  settle(): number {
    const { moved, touched, solved } = this;
    const { columns, values } = this.joint;
    for (const at of touched) {
      const value = moved[at]!;
      moved[at] = 0;
      const from = at * columns;
      // One column after the other: Σq is up to date before the next.
      this.sum += value * (2 * solved[at]! + value * values[from + at]!);
      for (let j = 0; j < columns; j++) solved[j]! += value * values[from + j]!;
    }
    touched.length = 0;
    return this.sum;
  }
}

function jointOf({ block, sharedCovariance }: StepQuestion): Dense {
  return jointCovariance(block, sharedCovariance);
}

/** Bayes factor and size of a step with score S and information I. */
function sizeOf(S: number, I: number) {
  const prior = CAFE_RULES.stepSd ** 2;
  const precision = Math.max(0, I) + 1 / prior;
  return {
    lnBayes: -0.5 * Math.log(prior * precision) + (0.5 * S * S) / precision,
    size: S / precision,
    sd: 1 / Math.sqrt(precision),
  };
}
