/**
 * How fast this house's coffees run faster as they age (model.md §5b): a slope e of ln time per day at day 14
 * for each batch, drawn around the house's. A batch alone says little: it is always shrunk towards the house.
 * Empirical Bayes by EM; every prior is a house heuristic, prototyped on invented ageing. Not for coffee that
 * truly ages in a straight line.
 */
import { inverse, Matrix } from 'ml-matrix';
import { assert } from '../errors';
import { dot } from '../linear';
import { ageOf, freshVariance } from './ageing';

/** Slope at a medium roast and its change per roast level, per day at day 14. */
const PRIOR = [
  { mean: -0.008, sd: 0.006 },
  { mean: 0, sd: 0.002 },
] as const;
/** sd of the slope between batches, and how many batches that prior is worth. */
const BETWEEN = { sd: 0.002, worth: 10 } as const;
const MOST_PASSES = 15;
const TOLERANCE = 0.005;
/** Variance of ln time that a week adds whatever the coffee: weather, burrs, habits. */
export const DRIFT_PER_WEEK = 0.01 ** 2;
/** The curve itself is believed to this share of the change it foretells. */
const SHAPE_SHARE = 0.15;
const Z_80 = 1.2816;

export interface Estimate {
  readonly mean: number;
  readonly sd: number;
}

export interface AgedShot {
  readonly restDays: number;
  /** At one dial, dose and yield. */
  readonly lnTimeS: number;
}

/** What the shots of one batch say of its slope. */
export interface BatchSlope {
  /** Precision of the slope, and precision times its estimate. */
  readonly J: number;
  readonly g: number;
  /** Weighted mean age and ln time, and the precision of that level. */
  readonly meanAge: number;
  readonly meanLn: number;
  readonly levelPrecision: number;
}

/**
 * Weighted regression of one batch's shots on age, its level free. Shots of one week drift together.
 * @param driftPerWeek variance of that drift; 0 takes the shots as independent.
 */
export function batchSlope(
  shots: readonly AgedShot[],
  noiseSd: number,
  driftPerWeek = DRIFT_PER_WEEK,
): BatchSlope {
  assert(shots.length > 0, 'a batch without a shot has no slope');
  const first = shots[0]?.restDays ?? 0;
  const V = new Matrix(
    shots.map((a, i) =>
      shots.map((b, j) => {
        const drift = (driftPerWeek / 7) * Math.min(a.restDays - first, b.restDays - first);
        return drift + (i === j ? noiseSd ** 2 + freshVariance(a.restDays) : 0);
      }),
    ),
  );
  const W = inverse(V);
  const ages = shots.map(({ restDays }) => ageOf(restDays));
  const lns = shots.map(({ lnTimeS }) => lnTimeS);
  const weigh = (a: readonly number[], b: readonly number[]) =>
    dot(a, W.mmul(column(b)).to1DArray());
  const ones = shots.map(() => 1);
  const levelPrecision = weigh(ones, ones);
  const meanAge = weigh(ones, ages) / levelPrecision;
  const meanLn = weigh(ones, lns) / levelPrecision;
  const x = ages.map((age) => age - meanAge);
  const y = lns.map((ln) => ln - meanLn);
  return { J: weigh(x, x), g: weigh(x, y), meanAge, meanLn, levelPrecision };
}

const column = (values: readonly number[]) => Matrix.columnVector([...values]);

/** What the house's batches teach of ageing. */
export interface HouseAgeing {
  /** Batches whose shots span more than one age. */
  readonly batches: number;
  readonly mean: readonly [number, number];
  readonly covariance: readonly (readonly number[])[];
  readonly betweenSd: number;
}

export interface AgedBatch extends Pick<BatchSlope, 'J' | 'g'> {
  readonly roastLevel: number;
}

/** Learns from batches; those of a single age say nothing. */
export function learnAgeing(batches: readonly AgedBatch[]): HouseAgeing {
  const telling = batches.filter(({ J }) => J > 1e-9);
  const precision = Matrix.diag(PRIOR.map(({ sd }) => 1 / sd ** 2));
  const right = precision.mmul(column(PRIOR.map(({ mean }) => mean)));
  const rowOf = ({ roastLevel }: AgedBatch) => column([1, roastLevel]);
  let variance: number = BETWEEN.sd ** 2;
  let [mean, covariance] = [column([0, 0]), precision];
  for (let n = 0; n < MOST_PASSES; n++) {
    const A = precision.clone();
    const b = right.clone();
    for (const batch of telling) {
      const z = rowOf(batch);
      const scale = 1 + batch.J * variance;
      A.add(z.mmul(z.transpose()).mul(batch.J / scale));
      b.add(z.clone().mul(batch.g / scale));
    }
    covariance = inverse(A);
    mean = covariance.mmul(b);
    const squares = telling.reduce((sum, batch) => {
      const z = rowOf(batch);
      const s = 1 / (batch.J + 1 / variance);
      const deviation = s * (batch.g - batch.J * z.transpose().mmul(mean).get(0, 0));
      const spread = z.transpose().mmul(covariance).mmul(z).get(0, 0);
      return sum + deviation ** 2 + s + s ** 2 * batch.J ** 2 * spread;
    }, 0);
    const next = (BETWEEN.worth * BETWEEN.sd ** 2 + squares) / (BETWEEN.worth + telling.length);
    const change = Math.abs(next / variance - 1);
    variance = next;
    if (change < TOLERANCE) break;
  }
  return {
    batches: telling.length,
    mean: [mean.get(0, 0), mean.get(1, 0)],
    covariance: covariance.to2DArray(),
    betweenSd: Math.sqrt(variance),
  };
}

/** The slope expected of a batch of this roast, before its own shots. */
export function expectedSlope(
  { mean, covariance, betweenSd }: HouseAgeing,
  roastLevel: number,
): Estimate {
  const z = [1, roastLevel];
  const spread = dot(
    z,
    covariance.map((row) => dot(row, z)),
  );
  return { mean: dot(z, mean), sd: Math.sqrt(betweenSd ** 2 + spread) };
}

/** A batch's slope, shrunk towards what was expected; its own where its shots say more than that. */
export function shrunkSlope({ J, g }: Pick<BatchSlope, 'J' | 'g'>, expected: Estimate) {
  const precision = 1 / expected.sd ** 2;
  const s = 1 / (J + precision);
  return { mean: s * (g + precision * expected.mean), sd: Math.sqrt(s), isOwn: J > precision };
}

interface Doubts {
  readonly driftPerWeek?: number;
  readonly shapeShare?: number;
}

/** Change of ln time from one rest day to another. */
export function ageChange(
  slope: Estimate,
  fromDay: number,
  toDay: number,
  { driftPerWeek = DRIFT_PER_WEEK, shapeShare = SHAPE_SHARE }: Doubts = {},
): Estimate {
  const ages = ageOf(toDay) - ageOf(fromDay);
  const mean = slope.mean * ages;
  const weeks = Math.abs(toDay - fromDay) / 7;
  const variance = (slope.sd * ages) ** 2 + driftPerWeek * weeks + (shapeShare * mean) ** 2;
  return { mean, sd: Math.sqrt(variance) };
}

/** ln time of a batch on a rest day, at the dial its shots were pulled at. */
export function levelOn(
  { meanAge, meanLn, levelPrecision }: BatchSlope,
  slope: Estimate,
  toDay: number,
  weeks: number,
  { driftPerWeek = DRIFT_PER_WEEK, shapeShare = SHAPE_SHARE }: Doubts = {},
): Estimate {
  const ages = ageOf(toDay) - meanAge;
  const change = slope.mean * ages;
  const variance =
    1 / levelPrecision + (slope.sd * ages) ** 2 + driftPerWeek * weeks + (shapeShare * change) ** 2;
  return { mean: meanLn + change, sd: Math.sqrt(variance) };
}

/** How many steps finer answer a change of ln time, with the 80 % interval. */
export function stepsFiner(change: Estimate, lnTimePerStep: number) {
  const steps = (ln: number) => -ln / Math.abs(lnTimePerStep);
  return {
    steps: steps(change.mean),
    interval80: [
      steps(change.mean + Z_80 * change.sd),
      steps(change.mean - Z_80 * change.sd),
    ] as const,
  };
}
