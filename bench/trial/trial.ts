/**
 * `npm run bench -- trial`: how many points under its best a coffee is left, after so many recipes were tasted by
 * two people. Coffees are made up: their best points lie around a simulated house, their curvatures, tasters and
 * signs are drawn afresh. Smooth truths are quadratic, skewed ones fall away twice as fast on one side as on the other.
 */
import { type Matrix } from 'ml-matrix';
import { featuresOf } from '@/core/coffee/features';
import { quadratic } from '@/core/linear';
import { chanceFrom, type Chance } from '@/core/random';
import { designRow } from '@/core/start/design';
import { outputOf } from '@/core/start/fit';
import {
  byJointOutput,
  JOINT_OUTPUTS,
  learnJoint,
  predictJoint,
  siteOfRecipe,
} from '@/core/start/joint';
import { NOISE_SD, priorFor } from '@/core/start/priors';
import { STEP, type Coded } from '@/core/trials/coding';
import { curvatureParticles } from '@/core/trials/curvature';
import { planFlight } from '@/core/trials/plan';
import { BOX, fitSurface, PRIOR, SIGN_DIRECTION, type Cup } from '@/core/trials/surface';
import type { Measure } from '../measure';
import { simulateHouse } from '../start/simulatedHouse';

const CASES = 60;
const TASTERS = ['first', 'second'];
const FLIGHT = 3;
const FLIGHTS = 3;
const KINDS = ['smooth', 'skewed'] as const;
type Kind = (typeof KINDS)[number];
/** Past releases of the house: none, and a year's. */
const HISTORIES = [0, 20] as const;

interface Coffee {
  /** From the proposal, coded. */
  readonly best: readonly number[];
  /** Points under the best at a place. */
  readonly lossAt: (x: readonly number[]) => number;
  readonly cupsAt: (x: Coded) => Cup[];
  readonly prior: Matrix;
}

/** A coffee of a house with so many past releases, and the house's doubt about it. */
function coffeeOf(seed: number, kind: Kind, history: number): Coffee {
  const chance = chanceFrom(seed);
  const house = simulateHouse('rules', seed);
  const sites = Array.from({ length: history }, () => {
    const past = house.next();
    const coded = JOINT_OUTPUTS.map((output) => outputOf(past, output)! / STEP[output]);
    return { ...siteOfRecipe(coded), row: designRow(featuresOf(past.release), past.style) };
  });
  const model = learnJoint({ sites, rules: byJointOutput((output) => priorFor(output, 'both')) });
  const { release, style } = house.next();
  const { mean, covariance } = predictJoint(model, designRow(featuresOf(release), style));
  const truth = house.truth(release, style);
  const best = JOINT_OUTPUTS.map(
    (output, j) => (truth[output] + NOISE_SD[output] * chance.normal()) / STEP[output] - mean[j]!,
  );
  const { H, a } = chance.oneOf(curvatureParticles(1 + seed));
  const top = PRIOR.liking.mean + PRIOR.liking.sd * chance.normal();
  const offsets = TASTERS.map(() => PRIOR.tasterSd * chance.normal());
  const signOffset = PRIOR.signOffsetSd * chance.normal();
  const steep = best.map(() => (chance.isWithin(0.5) ? 1 : -1));
  const lossAt = (x: readonly number[]) => {
    const away = x.map((value, j) => {
      const off = value - best[j]!;
      return kind === 'smooth' ? off : off * (off * steep[j]! > 0 ? Math.SQRT2 : Math.SQRT1_2);
    });
    return 0.5 * quadratic(H, away);
  };
  const signAt = (x: readonly number[]) =>
    -a * SIGN_DIRECTION.reduce((sum, d, j) => sum + d * (x[j]! - best[j]!), 0);
  const scored = (x: Coded, taster: number, of: Chance): Cup => ({
    x,
    taster: TASTERS[taster]!,
    liking: top - lossAt(x) + offsets[taster]! + PRIOR.cupSd * of.normal(),
    u: signAt(x) + signOffset + PRIOR.signSd * of.normal(),
  });
  return {
    best,
    lossAt,
    prior: covariance,
    cupsAt: (x) => TASTERS.map((_, taster) => scored(x, taster, chance)),
  };
}

interface Tried {
  /** Points under the best after 0, 3, 6, 9 recipes. */
  readonly left: readonly number[];
  readonly expected: readonly number[];
  /** Axes whose 80 % interval held the best point, after all. */
  readonly held: number;
}

/** As the program plans it. */
function byPlan(coffee: Coffee, release: number): Tried {
  const cups: Cup[] = [];
  const left: number[] = [];
  const expected: number[] = [];
  for (let flight = 0; ; flight++) {
    const surface = fitSurface({ cups, prior: coffee.prior, release });
    left.push(coffee.lossAt(surface.optimum.map(inBox)));
    expected.push(surface.expectedLeft);
    if (flight === FLIGHTS) {
      const { mean, covariance } = surface;
      const held = mean.filter(
        (value, j) => Math.abs(coffee.best[j]! - value) < 1.2816 * Math.sqrt(covariance.get(j, j)),
      ).length;
      return { left, expected, held };
    }
    for (const { x } of planFlight(surface, { flight: FLIGHT, tasters: TASTERS.length }))
      cups.push(...coffee.cupsAt(x));
  }
}

const inBox = (value: number) => Math.min(BOX, Math.max(-BOX, value));

/** As it is done by hand: one variable up and down, stay at the best cup, the next variable. */
function byLadders(coffee: Coffee): number[] {
  const meanLiking = (x: Coded) =>
    coffee.cupsAt(x).reduce((sum, { liking }) => sum + liking / TASTERS.length, 0);
  let x: Coded = [0, 0, 0];
  const left = [coffee.lossAt(x)];
  for (let axis = 0; axis < 3; axis++) {
    const rungs = [-1, 0, 1].map(
      (by) => x.map((v, j) => (j === axis ? v + by : v)) as unknown as Coded,
    );
    const likings = rungs.map(meanLiking);
    x = rungs[likings.indexOf(Math.max(...likings))]!;
    left.push(coffee.lossAt(x));
  }
  return left;
}

export function benchTrial(): Measure[] {
  return HISTORIES.flatMap((history) => KINDS.flatMap((kind) => measured(kind, history)));
}

function measured(kind: Kind, history: number): Measure[] {
  const planned: Tried[] = [];
  const ladders: number[][] = [];
  for (let i = 0; i < CASES; i++) {
    planned.push(byPlan(coffeeOf(i, kind, history), i));
    ladders.push(byLadders(coffeeOf(i, kind, history)));
  }
  const name = `${kind}, ${history} past`;
  const mean = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value, 0) / values.length;
  const points = (metric: string, values: readonly number[]): Measure => ({
    part: 'trial',
    case: name,
    metric,
    value: mean(values),
    unit: 'points',
  });
  return [
    ...Array.from({ length: FLIGHTS + 1 }, (_, flight) =>
      points(
        `left after ${FLIGHT * flight} recipes, planned`,
        planned.map(({ left }) => left[flight]!),
      ),
    ),
    points(
      `left after ${FLIGHT * FLIGHTS} recipes, ladders by best cup`,
      ladders.map((left) => left.at(-1)!),
    ),
    points(
      `expected left after ${FLIGHT * FLIGHTS} recipes`,
      planned.map(({ expected }) => expected.at(-1)!),
    ),
    {
      part: 'trial',
      case: name,
      metric: '80 % interval holds the best point',
      value: mean(planned.map(({ held }) => held / 3)),
      unit: '',
    },
  ];
}
