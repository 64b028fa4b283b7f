/**
 * Is a recipe worth carrying over to a new batch? Releases of nine batches on one grinder, each batch off its
 * release's level by τ_B, ageing between its shots; what each way costs until a setting is settled on, and how
 * often that setting's own mean lies outside the window. The truth is invented: ageing by ψ, odd shots 4 %.
 */
import { nextMove } from '@/core/advice/next';
import { isOnTargetStatus, type NextInput } from '@/core/advice/types';
import { chanceFrom, type Chance } from '@/core/random';
import { ageOf, freshVariance } from '@/core/rest/ageing';
import {
  COLOUR_EFFECT,
  expectBatch,
  learnBatchSd,
  levelAfter,
  type BatchEvidence,
  type LevelRules,
} from '@/core/rest/batchLevels';
import { batchSlope, expectedSlope, learnAgeing, type AgedBatch } from '@/core/rest/houseAgeing';
import { targetSchema } from '@/core/schema/target';
import type { Shot } from '@/core/schema/shot';
import type { Measure } from '../measure';

const WINDOW: [number, number] = [26.5, 29.5];
const CENTRE_S = 28;
const NOISE_SD = 0.045;
const ODD = { rate: 0.04, sd: 0.3 } as const;
const STEP = 0.05;
const GRINDER = {
  stepSize: 1,
  finerIs: 'lower',
  min: -60,
  max: 60,
  retentionG: 1,
  secondsPerStep: CENTRE_S * (Math.exp(STEP) - 1),
} as const;
const BASKET = { ratedG: 18 };
const RELEASES = 12;
const BATCHES = 9;
/** Batches the house knows before any is judged. */
const WARM_UP = 3;
const DAYS_BETWEEN = 14;
const MOST_SHOTS = 25;
/** By the rule of thumb a batch is accepted when its first shot is this near the middle, s. */
const WITHIN_S = 2;

interface TrueBatch {
  readonly week: number;
  readonly roastLevel: number;
  readonly restDays: number;
  /** ln time at dial 0, dose and yield of the recipe, on its rest day. */
  readonly level: number;
  readonly chance: Chance;
}

function lnMeanAt({ level }: TrueBatch, dial: number): number {
  return level - STEP * dial;
}

function pullAt(batch: TrueBatch, dial: number): Shot {
  const { chance, restDays } = batch;
  const isOdd = chance.uniform() < ODD.rate;
  const sd = Math.sqrt(NOISE_SD ** 2 + freshVariance(restDays) + (isOdd ? ODD.sd ** 2 : 0));
  return {
    dial,
    doseG: 18,
    yieldG: 36,
    timeS: Math.exp(lnMeanAt(batch, dial) + sd * chance.normal()),
    clock: 'pump',
    purged: true,
    restDays,
    seen: [],
  };
}

function drawBatches(seed: number, batchSd: number): TrueBatch[] {
  const chance = chanceFrom(seed);
  const slope = -0.009 + 0.003 * chance.normal();
  let level = Math.log(CENTRE_S) + 0.15 * chance.normal();
  return Array.from({ length: BATCHES }, (_, i) => {
    const weeks = (i * DAYS_BETWEEN) / 7;
    level += i === 0 ? 0 : 0.01 * Math.sqrt(DAYS_BETWEEN / 7) * chance.normal();
    const restDays = 7 + Math.round(10 * chance.uniform());
    const roastLevel = 0.15 * chance.normal();
    return {
      week: weeks,
      roastLevel,
      restDays,
      level:
        level + batchSd * chance.normal() + slope * ageOf(restDays) + COLOUR_EFFECT * roastLevel,
      chance: chanceFrom(1000 * seed + i),
    };
  });
}

interface Settled {
  readonly shots: number;
  readonly grams: number;
  readonly isWrong: boolean;
  readonly pulled: readonly Shot[];
  readonly dial: number;
}

type Way = (batch: TrueBatch, lastDial: number, carry: NextInput['carry']) => Settled;

const TARGET = { doseG: 18, yieldG: 36, timeS: WINDOW, clock: 'pump' as const };

function settledAt(
  batch: TrueBatch,
  dial: number,
  pulled: readonly Shot[],
  grams: number,
): Settled {
  const meanS = Math.exp(lnMeanAt(batch, dial));
  const isWrong = meanS < WINDOW[0] || meanS > WINDOW[1];
  return { shots: pulled.length, grams, isWrong, pulled, dial };
}

/** Follows the advice until it calls a setting on target or the nearest there is. */
function follow(
  batch: TrueBatch,
  startDial: number,
  also: Partial<NextInput>,
  before: readonly Shot[] = [],
): Settled {
  const pulled = [...before];
  let grams = pulled.length * 18;
  while (pulled.length < MOST_SHOTS) {
    const advice = nextMove({
      target: targetSchema.parse({ ...TARGET, startDial }),
      grinder: GRINDER,
      basket: BASKET,
      shots: pulled,
      ...also,
    });
    const isDone = isOnTargetStatus(advice.status) || advice.status === 'nearest';
    if (isDone) return settledAt(batch, advice.setting.dial, pulled, grams);
    pulled.push(pullAt(batch, advice.setting.dial));
    grams += 18 + advice.purgeG;
  }
  return settledAt(batch, pulled.at(-1)!.dial, pulled, grams);
}

const WAYS: Readonly<Record<string, Way>> = {
  'always dialled in anew': (batch, lastDial) => follow(batch, lastDial, {}),
  'never checked': (batch, lastDial) => settledAt(batch, lastDial, [], 0),
  'accepted within 2 s': (batch, lastDial) => {
    const first = pullAt(batch, lastDial);
    return Math.abs(first.timeS - CENTRE_S) <= WITHIN_S
      ? settledAt(batch, lastDial, [first], 18)
      : follow(batch, lastDial, {}, [first]);
  },
  'carried over, .80': (batch, lastDial, carry) =>
    follow(batch, lastDial, { carry, proofGoal: 0.8 }),
  'carried over, .85': (batch, lastDial, carry) =>
    follow(batch, lastDial, { carry, proofGoal: 0.85 }),
};

/** What a house learns from its batches so far. */
function rulesOf(known: readonly (readonly BatchEvidence[])[]): LevelRules {
  const aged: AgedBatch[] = known
    .flat()
    .filter(({ shots }) => shots.length > 0)
    .map(({ shots, roastLevel }) => ({ ...batchSlope(shots, NOISE_SD), roastLevel }));
  const slope = expectedSlope(learnAgeing(aged), 0);
  return { slope, noiseSd: NOISE_SD, batchSd: learnBatchSd(known, { slope, noiseSd: NOISE_SD }) };
}

/** Every batch after the first few of many releases, each way for itself. */
function judge(way: Way, batchSd: number, houses: number) {
  const all: Settled[] = [];
  for (let house = 0; house < houses; house++) {
    const releases = Array.from({ length: RELEASES }, (_, i) =>
      drawBatches(1 + house * RELEASES + i, batchSd),
    );
    const known: BatchEvidence[][] = releases.map(() => []);
    const dials = releases.map(() => 0);
    for (let b = 0; b < BATCHES; b++) {
      const rules = rulesOf(known);
      releases.forEach((batches, r) => {
        const batch = batches[b]!;
        const state = levelAfter(known[r]!, rules);
        const carry = state && {
          dial: 0,
          restDays: batch.restDays,
          ...expectBatch(state, batch, rules),
        };
        const settled =
          state === null ? follow(batch, 0, {}) : way(batch, dials[r]!, carry ?? undefined);
        if (b >= WARM_UP) all.push(settled);
        dials[r] = settled.dial;
        known[r]!.push(evidenceOf(batch, settled));
      });
    }
  }
  const mean = (of: (settled: Settled) => number) =>
    all.reduce((sum, settled) => sum + of(settled), 0) / all.length;
  return {
    shots: mean(({ shots }) => shots),
    grams: mean(({ grams }) => grams),
    wrong: mean(({ isWrong }) => Number(isWrong)),
  };
}

/** Its sound shots at dial 0; a shot far from the others was odd. */
function evidenceOf({ week, roastLevel }: TrueBatch, { pulled }: Settled): BatchEvidence {
  const shots = pulled.map(({ dial, timeS, restDays }) => ({
    lnTimeS: Math.log(timeS) + STEP * dial,
    restDays: restDays!,
  }));
  const sorted = shots.map(({ lnTimeS }) => lnTimeS).sort((a, b) => a - b);
  const middle = sorted[Math.floor(sorted.length / 2)] ?? 0;
  return {
    week,
    roastLevel,
    shots: shots.filter(({ lnTimeS }) => Math.abs(lnTimeS - middle) < 6 * NOISE_SD),
  };
}

const BATCH_SDS = [0.03, 0.05, 0.1] as const;

/** @param houses how many are simulated for each way and each spread of batches. */
export function benchNewBatches(houses = 12, sds: readonly number[] = BATCH_SDS): Measure[] {
  return sds.flatMap((batchSd) =>
    Object.entries(WAYS).flatMap(([name, way]): Measure[] => {
      const { shots, grams, wrong } = judge(way, batchSd, houses);
      const row = { part: 'batches', case: `τ ${batchSd}, ${name}` };
      return [
        { ...row, metric: 'shots', value: shots, unit: '' },
        { ...row, metric: 'grams', value: grams, unit: 'g' },
        { ...row, metric: 'wrong', value: 100 * wrong, unit: '%' },
      ];
    }),
  );
}
