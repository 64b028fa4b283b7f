/**
 * What past dial-ins teach of one grinder (model.md §3b). Each dial-in has its own time model,
 *   ln timeS = a + b·(effective dial − D) + c·ln(dose/dose₀) + d·ln(yield/yield₀) + e·age + noise,
 * whose coefficients are drawn around the grinder's: θ ~ N(Mμ, T), μ = (α, γ light, γ dark, γ intensity,
 * b, c, d, e, a level for each style). Empirical Bayes by EM, with a share of odd shots whose noise is wider. The form is the
 * trade's; every prior is a house heuristic, prototyped on simulated grinders. Valid within one period: a new
 * zero point or new burrs begin another. Caveat: histories it was tuned on had one person and one recipe.
 */
import { inverse, Matrix } from 'ml-matrix';
import { dot, quadratic } from '../linear';
import { runToEnd } from '../runToEnd';
import { ALTERED_STYLES, styleAtOneSetting } from '../start/priors';
import { LN_TIME_PER_STEP } from '../start/startDial';
import type { BrewStyle } from '../vocabulary';
import { addRow } from '../grinder/timeModel';
import { ODD_RATE, weightOf, type Slope, type TimePrior } from '../grinder/timePrior';
import {
  AGE_SLOPE,
  DOSE_EXPONENT,
  NOISE_SD,
  YIELD_EXPONENT,
  type TimeRow,
} from '../grinder/timeRows';

/** How a coffee's roast and processing move its time at one setting: max(0, −ρ), max(0, ρ), I. */
export interface GrindFeatures {
  readonly light: number;
  readonly dark: number;
  readonly intensity: number;
  /** How the water came; the classic way where nobody says. */
  readonly style?: BrewStyle | undefined;
}

export interface PastDialIn {
  readonly features: GrindFeatures;
  /** In the order they were pulled, with dials counted from the memory's reference dial. */
  readonly rows: readonly TimeRow[];
  /** Who pulled each row, where that is known. */
  readonly people?: readonly (string | undefined)[];
}

/** How one person's like shots scatter. */
export interface PersonNoise {
  readonly sd: number;
  readonly shots: number;
}

export interface GrinderMemory {
  /** How many dial-ins it rests on. */
  readonly dialIns: number;
  /** D: the dial the level stands for. */
  readonly referenceDial: number;
  /** α, γ light, γ dark, γ intensity, b, c, d, e, then what each style but the classic changes. */
  readonly mean: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** sd of a, b, c, d, e between dial-ins. */
  readonly between: readonly number[];
  /** sd of ln time between like shots. */
  readonly noiseSd: number;
  /** Share of shots that do not fit, 0-1. */
  readonly oddRate: number;
  /** sd of ln time between like shots of each person, by who they are. */
  readonly people?: Readonly<Record<string, PersonNoise>> | undefined;
}

/** ln time of the trade's usual shot at the reference dial. */
const LEVEL = { mean: Math.log(28), sd: 0.22 };
/** −.10 per reference step of the start model's grind rules (model.md §2). */
const LIGHT = { mean: -0.15, sd: 0.08 };
const DARK = { mean: 0.1, sd: 0.08 };
const INTENSITY = { mean: 0.08, sd: 0.06 };
/** α, three of the coffee, b, c, d, e; then a figure for each style. */
const OF_COEFFICIENTS = 8;
export const MEMORY_SIZE = OF_COEFFICIENTS + ALTERED_STYLES.length;

/** The memory is surer of dose and yield than a single dial-in is. */
const DOSE_SD = 0.4;
const YIELD_SD = 0.15;

/** Prior sd of a, b (relative to its mean), c, d between dial-ins, and what they are worth in dial-ins. */
const BETWEEN = { level: 0.1, slopeShare: 0.1, dose: 0.25, yield: 0.1, age: 1e-6 };
const BETWEEN_WORTH = [4, 4, 10, 20, Infinity];
const NOISE_WORTH = 12;
/** Shots the prior rate of odd shots is worth. */
const ODD_WORTH = 25;

/** Shots the grinder's own noise is worth where a person's is learnt (model.md §3b; unmeasured there). */
const PERSON_WORTH = 20;

const MOST_PASSES = 12;
const TOLERANCE = 0.005;
/** Older dial-ins tell of another grinder. */
export const REMEMBERED_DIAL_INS = 100;
/** From here on the learnt noise is believed, with an allowance tuned on the simulator. */
const NOISE_BELIEVED_FROM = 30;
const NOISE_ALLOWANCE = 1.1;

export interface State {
  readonly between: readonly number[];
  readonly noiseSd: number;
  readonly oddRate: number;
}

/** M: which of the grinder's coefficients a dial-in's own are centred on. */
export function mapOf({ light, dark, intensity, style = 'classic' }: GrindFeatures): Matrix {
  const map = Matrix.zeros(5, MEMORY_SIZE);
  const altered = ALTERED_STYLES.findIndex((one) => one === style);
  if (altered >= 0) map.set(0, OF_COEFFICIENTS + altered, 1);
  [1, light, dark, intensity].forEach((value, j) => map.set(0, j, value));
  for (let k = 1; k < 5; k++) map.set(k, k + 3, 1);
  return map;
}

export function priorOf(slope: Slope) {
  const all = [
    LEVEL,
    LIGHT,
    DARK,
    INTENSITY,
    slope,
    { mean: DOSE_EXPONENT.mean, sd: DOSE_SD },
    { mean: YIELD_EXPONENT.mean, sd: YIELD_SD },
    AGE_SLOPE,
    ...ALTERED_STYLES.map((style) =>
      styleAtOneSetting(style, { perStep: LN_TIME_PER_STEP, yieldExponent: YIELD_EXPONENT.mean }),
    ),
  ];
  return {
    mean: Matrix.columnVector(all.map(({ mean }) => mean)),
    precision: Matrix.diag(all.map(({ sd }) => 1 / sd ** 2)),
  };
}

function firstState({ mean }: Pick<Slope, 'mean'>): State {
  const { level, slopeShare, dose, yield: ofYield, age } = BETWEEN;
  return {
    between: [level, slopeShare * Math.abs(mean), dose, ofYield, age],
    noiseSd: NOISE_SD,
    oddRate: ODD_RATE,
  };
}

/**
 * Learns a grinder from its past dial-ins, the newest hundred.
 * @param start where an earlier memory stood: it only saves passes.
 */
export function learnGrinder(
  dialIns: readonly PastDialIn[],
  slope: Slope,
  referenceDial: number,
  start?: State,
): GrinderMemory {
  return runToEnd(learningGrinder(dialIns, slope, referenceDial, start));
}

/** The same in steps: a pass each, with others answered in between. */
export function* learningGrinder(
  dialIns: readonly PastDialIn[],
  slope: Slope,
  referenceDial: number,
  start?: State,
): Generator<number, GrinderMemory> {
  const { newest, learnt } = yield* converge(dialIns, slope, start);
  return {
    dialIns: newest.length,
    referenceDial,
    mean: learnt.mean.to1DArray(),
    covariance: learnt.covariance.to2DArray(),
    ...learnt.state,
    people: learnt.people,
  };
}

/** Passes until the state stands, at most a dozen; what the last of them learnt and from which dial-ins. */
export function* converge(dialIns: readonly PastDialIn[], slope: Slope, start?: State) {
  const newest = dialIns.slice(-REMEMBERED_DIAL_INS).filter(({ rows }) => rows.length > 0);
  let state: State = start ?? firstState(slope);
  let weights: readonly (readonly number[])[] = newest.map(({ rows }) => rows.map(() => 1));
  let learnt = pass(newest, slope, state, weights);
  for (let n = 1; n < MOST_PASSES; n++) {
    yield n;
    const change = changeOf(state, learnt.state);
    ({ state, weights } = learnt);
    if (change < TOLERANCE) break;
    learnt = pass(newest, slope, state, weights);
  }
  return { newest, learnt };
}

const changeOf = (before: State, after: State) =>
  Math.abs(after.noiseSd / before.noiseSd - 1) +
  Math.abs((after.between[0]! / before.between[0]!) ** 2 - 1) +
  Math.abs((after.between[1]! / before.between[1]!) ** 2 - 1);

/** One step of EM: the grinder and the dial-ins as the state has them, then the state as they have it. */
function pass(
  dialIns: readonly PastDialIn[],
  slope: Slope,
  state: State,
  weights: readonly (readonly number[])[],
) {
  const { noiseSd, oddRate, between } = state;
  const precisionT = Matrix.diag(between.map((sd) => 1 / sd ** 2));
  const varianceOf = (row: TimeRow) => row.fixedVariance ?? noiseSd ** 2 + row.extraVariance;
  const prior = priorOf(slope);
  const total = prior.precision.clone();
  const right = prior.precision.mmul(prior.mean);
  const parts = dialIns.map(({ features, rows, people = [] }, i) => {
    const J = Matrix.zeros(5, 5);
    const q = Matrix.zeros(5, 1);
    rows.forEach((row, r) => addRow(J, q, row, weights[i]![r]! / varianceOf(row)));
    const S = inverse(J.clone().add(precisionT));
    const JS = J.mmul(S);
    const G = J.clone().sub(JS.mmul(J));
    const g = q.clone().sub(JS.mmul(q));
    const M = mapOf(features);
    total.add(M.transpose().mmul(G).mmul(M));
    right.add(M.transpose().mmul(g));
    return { J, q, S, M, rows, people };
  });
  const covariance = inverse(total);
  const mean = covariance.mmul(right);

  const squares = [0, 0, 0, 0, 0];
  let [noiseSum, goodSum, oddSum, shots] = [0, 0, 0, 0];
  const ofPeople = new Map<string, { squares: number; shots: number }>();
  const nextWeights = parts.map(({ J, q, S, M, rows, people }) => {
    const centre = M.mmul(mean);
    const deviation = S.mmul(q.clone().sub(J.mmul(centre)));
    const spread = M.mmul(covariance).mmul(M.transpose());
    const SJ = S.mmul(J);
    const carried = SJ.mmul(spread).mmul(SJ.transpose());
    for (let k = 0; k < 5; k++)
      squares[k]! += deviation.get(k, 0) ** 2 + S.get(k, k) + carried.get(k, k);
    const theta = centre.add(deviation).to1DArray();
    const rest = Matrix.eye(5).sub(SJ);
    const C = S.clone().add(rest.mmul(spread).mmul(rest.transpose()));
    return rows.map((row, r) => {
      const variance = varianceOf(row);
      const squared = (row.lnTimeS - dot(row.x, theta)) ** 2 + quadratic(C, row.x);
      if (row.fixedVariance !== null) return 1;
      const { good, weight } = weightOf(squared, variance, oddRate);
      const noise = (good * squared * noiseSd ** 2) / variance;
      noiseSum += noise;
      addPerson(ofPeople, people[r], { squares: noise, shots: good });
      goodSum += good;
      oddSum += 1 - good;
      shots += 1;
      return weight;
    });
  });
  // The slope's own spread is a share of the slope as it is known by now.
  const first = firstState({ mean: mean.get(4, 0) });
  const nextNoise = Math.sqrt((NOISE_WORTH * NOISE_SD ** 2 + noiseSum) / (NOISE_WORTH + goodSum));
  return {
    mean,
    covariance,
    weights: nextWeights,
    people: peopleNoise(ofPeople, nextNoise),
    state: {
      between: first.between.map((sd, k) => {
        const worth = BETWEEN_WORTH[k]!;
        if (worth === Infinity) return sd;
        return Math.sqrt((worth * sd ** 2 + squares[k]!) / (worth + dialIns.length));
      }),
      noiseSd: nextNoise,
      oddRate: (ODD_WORTH * ODD_RATE + oddSum) / (ODD_WORTH + shots),
    },
  };
}

type Scatter = Map<string, { squares: number; shots: number }>;

function addPerson(
  people: Scatter,
  who: string | undefined,
  { squares, shots }: { squares: number; shots: number },
): void {
  if (who === undefined) return;
  const before = people.get(who) ?? { squares: 0, shots: 0 };
  people.set(who, { squares: before.squares + squares, shots: before.shots + shots });
}

/** Each person's noise, drawn towards the grinder's while there are few shots of them. */
function peopleNoise(people: Scatter, noiseSd: number): Record<string, PersonNoise> {
  return Object.fromEntries(
    [...people].map(([who, { squares, shots }]) => [
      who,
      {
        sd: Math.sqrt((PERSON_WORTH * noiseSd ** 2 + squares) / (PERSON_WORTH + shots)),
        shots: Math.round(shots),
      },
    ]),
  );
}

/** The prior a memory gives for a coffee: a is the level at the memory's reference dial. */
export function priorFromMemory(memory: GrinderMemory, features: GrindFeatures): TimePrior {
  const M = mapOf(features);
  const spread = M.mmul(new Matrix(memory.covariance.map((row) => [...row]))).mmul(M.transpose());
  const isBelieved = memory.dialIns >= NOISE_BELIEVED_FROM;
  return {
    mean: M.mmul(Matrix.columnVector([...memory.mean])).to1DArray(),
    covariance: spread.add(Matrix.diag(memory.between.map((sd) => sd ** 2))),
    noiseSd: isBelieved ? NOISE_ALLOWANCE * memory.noiseSd : memory.noiseSd,
    oddRate: memory.oddRate,
  };
}
