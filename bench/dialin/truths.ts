/** Simulated benches: what a shot really does, by the statistical model or by the shot simulator. */
import { chamberAfter, effectiveDial } from '@/core/grinder/retention';
import { chanceFrom, type Chance } from '@/core/random';
import type { Grinder } from '@/core/schema/setup';
import type { Shot } from '@/core/schema/shot';
import type { Clock } from '@/core/vocabulary';
import { drawStation, type DrawnStation } from '@/core/simulator/drawStation';
import { pullAt, type Station } from '@/core/simulator/station';

export const TARGET = { doseG: 18, yieldG: 36, timeS: [26.5, 29.5] as [number, number] };
export const RATED_G = 18;
export const CENTRE_S = 28;
export const CLASSIC_ASK = {
  doseG: TARGET.doseG,
  yieldG: TARGET.yieldG,
  temperatureC: 93,
  programme: [{ drive: 'pressure' as const, level: 9, seconds: 30, ramp: false }],
};

export interface Asked {
  readonly dial: number;
  readonly doseG: number;
  readonly purgeG: number;
  /** What the advisor expects of it on the target's clock: eight in ten, s. */
  readonly interval80?: readonly [number, number];
}

export interface TrueBench {
  /** What the house knows of the grinder; the slope is not among it. */
  readonly grinder: Grinder;
  readonly startDial: number;
  /** Change of ln time per step finer, and the dial that gives the centre of the window. */
  readonly lnPerStep: number;
  readonly idealDial: number;
  /** The clock the house times by; the pump's when absent. */
  readonly clock?: Clock;
  readonly pull: (asked: Asked) => Shot;
  /** What a setting gives without the noise of a shot, once the grinder has settled on it, s. */
  readonly meanS: (setting: Pick<Asked, 'dial' | 'doseG'>) => number;
}

export interface Case {
  readonly seed: number;
  /** sd of the start error in ln time. */
  readonly startSd: number;
}

const BAD_PREP_SHARE = 0.04;

/** What a step does and what the grinder keeps: the same for both truths and every strategy. */
export function drawnGrinder(chance: Chance) {
  return { lnPerStep: 0.02 + 0.22 * chance.uniform(), retentionG: 0.3 + 5.7 * chance.uniform() };
}

export function grinderOf(retentionG: number): Grinder {
  return { stepSize: 1, finerIs: 'lower', min: -80, max: 80, retentionG };
}

/** ln time straight in dial, dose and yield: the advisor's own form (model.md §3). */
export function statisticalBench({ seed, startSd }: Case): TrueBench {
  const chance = chanceFrom(seed);
  const { lnPerStep, retentionG } = drawnGrinder(chance);
  const startError = startSd * chance.normal();
  return benchOfMean(chance, {
    grinder: grinderOf(retentionG),
    startDial: 0,
    lnMean: Math.log(CENTRE_S) + startError,
    lnPerStep,
    doseExponent: 1 + 0.2 * chance.normal(),
  });
}

/** A bench whose ln time is straight: `lnMean` at dial 0 and the recipe's dose. */
export function benchOfMean(
  chance: Chance,
  {
    grinder,
    startDial,
    lnMean,
    lnPerStep,
    doseExponent,
    noiseSd = 0.045,
    toldG = grinder.retentionG,
  }: {
    readonly grinder: Grinder;
    readonly startDial: number;
    readonly lnMean: number;
    readonly lnPerStep: number;
    readonly doseExponent: number;
    /** sd of ln time between like shots. */
    readonly noiseSd?: number;
    /** What the house believes the grinder keeps, where that is not so. */
    readonly toldG?: number;
  },
): TrueBench {
  let chamber: number | null = null;
  const meanAt = (dial: number, doseG: number) =>
    lnMean - lnPerStep * dial + doseExponent * Math.log(doseG / TARGET.doseG);
  return {
    grinder: { ...grinder, retentionG: toldG },
    startDial,
    lnPerStep,
    idealDial: (lnMean - Math.log(CENTRE_S)) / lnPerStep,
    meanS: ({ dial, doseG }) => Math.exp(meanAt(dial, doseG)),
    pull: ({ dial, doseG, purgeG }) => {
      const passage = { retentionG: grinder.retentionG, doseG, purgeG };
      const stood = chamber ?? dial;
      const ground = effectiveDial(dial, stood, passage);
      chamber = chamberAfter(dial, stood, passage);
      const doseIn = doseG + 0.05 * chance.normal();
      const yieldG = TARGET.yieldG + 0.3 * chance.normal();
      const badPrep = chance.isWithin(BAD_PREP_SHARE) ? -0.35 + 0.1 * chance.normal() : 0;
      const lnTime =
        meanAt(ground, doseIn) +
        Math.log(yieldG / TARGET.yieldG) +
        noiseSd * chance.normal() +
        badPrep;
      return shotOf({ dial, doseG, purgeG, yieldG, timeS: Math.exp(lnTime), firstDripS: 6 });
    },
  };
}

/** Seconds to the first drip a first-drip house never notes, and how they scatter. */
const DRIP_S = { mean: 6, sd: 1 } as const;

/** The same window on either clock. */
export function windowOf(clock: Clock): [number, number] {
  const offS = clock === 'pump' ? 0 : DRIP_S.mean;
  return [TARGET.timeS[0] - offS, TARGET.timeS[1] - offS];
}

/** A house that starts its clock at the first drip, and notes no drip. */
export function timedFromDrip<B extends TrueBench>(bench: B, chance: Chance): B {
  return {
    ...bench,
    clock: 'firstDrip',
    pull: (asked) => {
      const { firstDripS: _unnoted, ...shot } = bench.pull(asked);
      const dripS = DRIP_S.mean + DRIP_S.sd * chance.normal();
      const timeS = Math.max(1, Math.round(10 * (shot.timeS - dripS)) / 10);
      return { ...shot, clock: 'firstDrip', timeS };
    },
  };
}

/** The coarsest step that gives the same shot: it halves the time of the benchmark. */
const COARSE_STEP_S = 0.1;

/** By seed and start: every way is tried on the same bench. */
const known = new Map<string, DrawnStation>();

/** Three roasts, their processes, and the same grinders with the burr travel that gives their step. */
export function simulatedBench({ seed, startSd }: Case): TrueBench {
  const chance = chanceFrom(seed);
  const { lnPerStep, retentionG } = drawnGrinder(chance);
  chance.normal();
  const grinder = grinderOf(retentionG);
  // Drawn also where the bench is known, so that the shots are the same for every way.
  const coffee = {
    roastLevel: chance.oneOf([-1, 0, 1]),
    intensity: chance.oneOf([0, 0.5, 1, 1.75]),
    restDays: 14,
  };
  const { station, idealDial } =
    known.get(`${seed} ${startSd}`) ??
    drawStation({
      coffee,
      basket: { diameterMm: 58, ratedG: RATED_G },
      grinder,
      recipe: { ...CLASSIC_ASK, centreS: CENTRE_S },
      startDial: 0,
      startSd,
      seed: seed + 1,
      lnPerStep,
    });
  known.set(`${seed} ${startSd}`, { station, idealDial });
  return { ...benchOfStation(chance, station, { startDial: 0, lnPerStep }), idealDial };
}

/** A bench of the shot simulator; its ideal dial is not known. */
export function benchOfStation(
  chance: Chance,
  station: Station,
  { startDial, lnPerStep }: { readonly startDial: number; readonly lnPerStep: number },
): TrueBench {
  let chamber: number | null = null;
  return {
    grinder: { ...grinderOf(station.grinder.retentionG) },
    startDial,
    lnPerStep,
    idealDial: NaN,
    meanS: (setting) =>
      pullAt(station, null, { ...CLASSIC_ASK, ...setting, purgeG: 0, mostS: 75, prep: 0.8 }, null)
        .result.timeS,
    pull: ({ dial, doseG, purgeG }) => {
      const isBad = chance.isWithin(BAD_PREP_SHARE);
      const shotSeed = Math.floor(chance.uniform() * 2 ** 31);
      const { result, chamberDial } = pullAt(
        station,
        chamber,
        { ...CLASSIC_ASK, dial, doseG, purgeG, mostS: 75, prep: isBad ? 0.2 : 0.8 },
        shotSeed,
        COARSE_STEP_S,
      );
      chamber = chamberDial;
      const { timeS, yieldG, firstDripS } = result;
      return shotOf({ dial, doseG, purgeG, yieldG, timeS, firstDripS: firstDripS ?? undefined });
    },
  };
}

function shotOf(shot: {
  dial: number;
  doseG: number;
  purgeG: number;
  yieldG: number;
  timeS: number;
  firstDripS: number | undefined;
}): Shot {
  const tenth = (value: number) => Math.round(value * 10) / 10;
  return {
    ...shot,
    yieldG: tenth(shot.yieldG),
    timeS: tenth(Math.max(1, shot.timeS)),
    firstDripS: shot.firstDripS === undefined ? undefined : tenth(shot.firstDripS),
    clock: 'pump',
    purged: shot.purgeG > 0,
    restDays: 14,
    seen: shot.yieldG < 2 ? ['choke'] : [],
  };
}
