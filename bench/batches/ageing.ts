/**
 * How well a batch's time is foretold some days after its last shot: by a line of its own, a line learnt by the
 * house, and the curve of the core. Invented truth: ψ with a slope of its own for each batch, drift, fresh gas.
 */
import { chanceFrom, type Chance } from '@/core/random';
import { ageOf, freshVariance } from '@/core/rest/ageing';
import {
  batchSlope,
  expectedSlope,
  learnAgeing,
  levelOn,
  shrunkSlope,
  type AgedShot,
} from '@/core/rest/houseAgeing';
import type { Measure } from '../measure';

const NOISE_SD = 0.045;
const DRIFT_PER_WEEK = 0.01;
const PAST_BATCHES = 40;
const HOUSES = 40;
const DAYS_AHEAD = [7, 14, 21] as const;
const LAST_DAY = 14;

interface TrueBatch {
  readonly shots: readonly AgedShot[];
  /** ln mean on a day after the last shot. */
  readonly meanOn: (day: number) => number;
}

function drawBatch(chance: Chance): TrueBatch {
  const level = Math.log(28) + 0.1 * chance.normal();
  const slope = -0.009 + 0.002 * chance.normal();
  const days = [6, 9, 12, LAST_DAY].flatMap((day) => [day, day]);
  let [drift, before] = [0, days[0]!];
  const shots = days.map((restDays) => {
    drift += DRIFT_PER_WEEK * Math.sqrt((restDays - before) / 7) * chance.normal();
    before = restDays;
    const sd = Math.sqrt(NOISE_SD ** 2 + freshVariance(restDays));
    return { restDays, lnTimeS: level + slope * ageOf(restDays) + drift + sd * chance.normal() };
  });
  const last = drift;
  const meanOn = (day: number) =>
    level +
    slope * ageOf(day) +
    last +
    DRIFT_PER_WEEK * Math.sqrt((day - LAST_DAY) / 7) * chance.normal();
  return { shots, meanOn };
}

/** A straight line through the shots; its slope averaged with the house's by their precisions. */
function line(shots: readonly AgedShot[], house: { mean: number; sd: number } | null) {
  const n = shots.length;
  const day = shots.reduce((sum, { restDays }) => sum + restDays, 0) / n;
  const ln = shots.reduce((sum, { lnTimeS }) => sum + lnTimeS, 0) / n;
  const xx = shots.reduce((sum, { restDays }) => sum + (restDays - day) ** 2, 0);
  const xy = shots.reduce(
    (sum, { restDays, lnTimeS }) => sum + (restDays - day) * (lnTimeS - ln),
    0,
  );
  const own = NOISE_SD ** -2 * xx;
  const known = house === null ? 0 : house.sd ** -2;
  const slope = (NOISE_SD ** -2 * xy + known * (house?.mean ?? 0)) / (own + known);
  return { slope, at: (on: number) => ln + slope * (on - day) };
}

export function benchAgeing(houses = HOUSES): Measure[] {
  const tally = new Map<string, { squares: number; hits: number; n: number }>();
  const add = (key: string, error: number, isIn: boolean) => {
    const entry = tally.get(key) ?? { squares: 0, hits: 0, n: 0 };
    tally.set(key, {
      squares: entry.squares + error ** 2,
      hits: entry.hits + Number(isIn),
      n: entry.n + 1,
    });
  };
  for (let house = 0; house < houses; house++) {
    const chance = chanceFrom(7000 + house);
    const past = Array.from({ length: PAST_BATCHES }, () => drawBatch(chance));
    const ageing = learnAgeing(
      past.map(({ shots }) => ({ ...batchSlope(shots, NOISE_SD), roastLevel: 0 })),
    );
    const slopes = past.map(({ shots }) => line(shots, null).slope);
    const mean = slopes.reduce((sum, slope) => sum + slope, 0) / slopes.length;
    const sd = 0.002;
    for (let i = 0; i < PAST_BATCHES; i++) {
      const { shots, meanOn } = drawBatch(chance);
      const batch = batchSlope(shots, NOISE_SD);
      const slope = shrunkSlope(batch, expectedSlope(ageing, 0));
      for (const ahead of DAYS_AHEAD) {
        const day = LAST_DAY + ahead;
        const truth = meanOn(day);
        const foretold = levelOn(batch, slope, day, ahead / 7);
        const isIn = Math.abs(truth - foretold.mean) <= 1.2816 * foretold.sd;
        add(`${ahead} days, the curve learnt by the house`, truth - foretold.mean, isIn);
        add(`${ahead} days, a line of its own`, truth - line(shots, null).at(day), false);
        add(
          `${ahead} days, a line learnt by the house`,
          truth - line(shots, { mean, sd }).at(day),
          false,
        );
      }
    }
  }
  return [...tally].flatMap(([name, { squares, hits, n }]): Measure[] => {
    const row = { part: 'batches', case: name };
    const error = { ...row, metric: 'error', value: Math.sqrt(squares / n), unit: 'ln' };
    return name.includes('curve')
      ? [error, { ...row, metric: 'held by the 80 % interval', value: (100 * hits) / n, unit: '%' }]
      : [error];
  });
}
