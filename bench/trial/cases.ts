/** The made-up houses and palates a trial is measured in, and what is counted of each. */
import { Matrix } from 'ml-matrix';
import { chanceFrom } from '@/core/random';
import { JOINT_OUTPUTS } from '@/core/start/joint';
import { NOISE_SD } from '@/core/start/priors';
import { STEP } from '@/core/trials/coding';
import { simulateHouse, type HouseKind } from '../start/simulatedHouse';
import { coffeeAt, USUAL_PALATE, type Palate, type Shape } from './coffee';
import { tallyCafes, type Published } from './cafes';
import { byFixedPrior } from './fixedPrior';
import {
  bestOf,
  knowingOf,
  modelOf,
  rowOf,
  sweptAgain,
  taughtBy,
  type Past,
  type TrialLessons,
} from './taught';
import { byLadders, byPlan, LOOKS, type Knowing, type Tried } from './ways';

export interface Case {
  readonly name: string;
  readonly shape: Shape;
  readonly house: HouseKind;
  readonly palate: Palate;
  /** Past releases, each tasted in nine recipes. */
  readonly histories: readonly number[];
  readonly houses: number;
  /** Beside the program: fixed prior, ladders, perfect knowledge, recipes alone, a second sweep. */
  readonly isCompared: boolean;
  /** Whether cafés then say their word. */
  readonly hasCafes: boolean;
}

/** With so many past releases it is also measured what cups add, and a second sweep. */
const LOOKED_INTO = 20;

/** Houses whose cafés are listened to. */
const CAFE_HOUSES = 10;

/** Coffees tasted anew in each house. */
export const COFFEES = 20;

const usual = {
  house: 'rules',
  palate: USUAL_PALATE,
  histories: [20],
  isCompared: false,
  hasCafes: false,
} as const;
const main = {
  ...usual,
  histories: [0, 5, 20, 60],
  houses: 25,
  isCompared: true,
  hasCafes: true,
} as const;
const side = { ...usual, shape: 'smooth', houses: 10 } as const;
const palate = (part: Partial<Palate>): Palate => ({ ...USUAL_PALATE, ...part });

export const CASES: readonly Case[] = [
  { ...main, name: 'smooth', shape: 'smooth' },
  { ...main, name: 'skewed', shape: 'skewed' },
  { ...side, name: 'house 1.6 x as spread', house: 'wide' },
  { ...side, name: 'house opposite to the rules', house: 'opposite' },
  { ...side, name: 'signs worthless', palate: palate({ signs: 'worthless' }), hasCafes: true },
  {
    ...side,
    name: 'signs turned for heat',
    palate: palate({ signs: 'heatTurned' }),
    hasCafes: true,
  },
  { ...side, name: 'sign zero 1.5 off', palate: palate({ signZero: 1.5 }) },
  { ...side, name: 'palate tires', palate: palate({ tiring: 0.1, dulling: 0.03 }) },
  { ...side, name: 'palate drifts', palate: palate({ drift: 0.1 }) },
];

/** A figure added up over coffees. */
export interface Tally {
  readonly case: string;
  readonly metric: string;
  sum: number;
  count: number;
}

/** Adds up one house of a case. */
export function tallyHouse(one: Case, house: number): Tally[] {
  const tallies = new Map<string, Tally>();
  const add = (history: number, metric: string, value: number) => {
    const name = `${one.name}, ${history} past`;
    const key = `${name} ${metric}`;
    const tally = tallies.get(key) ?? { case: name, metric, sum: 0, count: 0 };
    tally.sum += value;
    tally.count++;
    tallies.set(key, tally);
  };
  const { pasts, coffees } = madeUp(one, house);
  const taught = taughtBy(pasts);
  for (const history of one.histories) {
    const first = firstOf(taught, history);
    const model = modelOf(first.sites);
    const isLookedInto = one.isCompared && history === LOOKED_INTO;
    const swept = isLookedInto && modelOf(sweptAgain(pasts.slice(0, history), first));
    const bare = isLookedInto && modelOf(first.bare);
    const alone = one.isCompared && modelOf(first.recipes);
    const published: Published[] = [];
    for (const { row, coffee, release, truth } of coffees) {
      const known = knowingOf(model, row, first.signs);
      const trial = { release, recipes: LOOKS.at(-1)!, isJudged: true };
      const tried = byPlan(coffee(), known, trial);
      addTried(tried, (metric, value) => add(history, metric, value));
      published.push({ coffee: coffee(), known, release, tried });
      if (!one.isCompared) continue;
      const short = { release, recipes: 9, isJudged: false };
      const addLeft = (way: string, left: readonly number[]) =>
        left.forEach((value, i) => add(history, `left after ${LOOKS[i]}, ${way}`, value));
      if (swept)
        addLeft(
          'sites swept twice',
          byPlan(coffee(), knowingOf(swept, row, first.signs), short).left,
        );
      if (bare)
        addLeft(
          'sites without recipes',
          byPlan(coffee(), knowingOf(bare, row, first.signs), short).left,
        );
      const plain = alone ? knowingOf(alone, row, []) : known;
      if (isLookedInto) addLeft('cups never counted', byPlan(coffee(), plain, short).left);
      addLeft('fixed prior', byFixedPrior(coffee(), plain.mean, release));
      addLeft('ladders', byLadders(coffee(), known.mean));
      if (history === 0) addLeft('perfect knowledge', byPlan(coffee(), perfect(truth), short).left);
    }
    if (one.hasCafes && history === LOOKED_INTO && house < CAFE_HOUSES)
      tallyCafes(published, 500 + house, (metric, value) => add(history, metric, value));
  }
  return [...tallies.values()];
}

function addTried(tried: Tried, add: (metric: string, value: number) => void): void {
  LOOKS.forEach((look, i) => {
    add(`left after ${look}, planned`, tried.left[i]!);
    add(`expected left after ${look}`, tried.expected[i]!);
    add(`80 % interval holds after ${look}`, tried.held[i]! / 3);
    add(`tolerance safe after ${look}`, tried.safe[i]! / 3);
  });
}

/** Whoever knows what the house finds best for each kind of coffee knows all but its own surprise. */
function perfect(truth: readonly number[]): Knowing {
  const spread = JOINT_OUTPUTS.map((output) => (NOISE_SD[output] / STEP[output]) ** 2);
  return { mean: truth, covariance: Matrix.diag(spread) };
}

function firstOf(taught: TrialLessons, history: number): TrialLessons {
  return {
    sites: taught.sites.slice(0, history),
    bare: taught.bare.slice(0, history),
    signs: taught.signs.slice(0, history),
    recipes: taught.recipes.slice(0, history),
    tried: taught.tried.slice(0, history),
  };
}

function madeUp({ shape, house: kind, palate: whose, histories }: Case, house: number) {
  const simulated = simulateHouse(kind, 1 + house);
  const chance = chanceFrom(9000 + house);
  const next = (release: number) => {
    const past = simulated.next();
    const seed = Math.floor(chance.uniform() * 1e9);
    const made = () => coffeeAt(bestOf(past), { seed, shape, palate: whose });
    const truth = simulated.truth(past.release, past.style);
    return {
      row: rowOf(past),
      coffee: made,
      release,
      truth: JOINT_OUTPUTS.map((output) => truth[output] / STEP[output]),
    };
  };
  const pasts = Array.from({ length: Math.max(...histories) }, (_, i): Past => {
    const { coffee, ...rest } = next(100 * house + i);
    return { ...rest, coffee: coffee() };
  });
  const coffees = Array.from({ length: COFFEES }, (_, i) => next(100 * house + pasts.length + i));
  return { pasts, coffees };
}
