/**
 * What the field says today, from the model and from what cafés weigh and send: who is off, and whether it is the café,
 * the batch or the weather. Every signal has its probability; which cause inside a café is asked, never named from times.
 */
import type { CafeAlarm } from './alarms';
import type { CafeCheck } from './check';
import { CAFE_RULES } from './cafeRules';
import { HABIT, habitSignal } from './habits';
import type { CafesModel } from './model';
import { dueChecks, type CheckPlan } from './schedule';
import { missedShare, SILENCE, silenceOdds } from './silence';
import { BATCH, batchContrast, WEATHER, weatherContrast } from './acrossCafes';

export interface CafeFacts {
  readonly id: string;
  readonly region: string;
  /** Null: it has no times to check at, and is never called silent. */
  readonly plan: CheckPlan | null;
  /** Of the window, oldest first. */
  readonly checks: readonly CafeCheck[];
  /** The first day it was expected to check, or checked. */
  readonly firstDay: number;
  /** By its own clock. */
  readonly nowDay: number;
}

export interface CoffeeFacts {
  readonly coffee: string;
  /** By roast date, the oldest first. */
  readonly batches: readonly string[];
  /** Yield of the recipe before the one in force, as a share of today's. */
  readonly formerYieldShare?: number;
}

interface Weighed {
  readonly cafe: string;
  readonly sizeG: number;
  readonly sdG: number;
  readonly fromDay: number;
}

export type CafeSignal = { readonly probability: number } & (
  | ({ readonly kind: 'step'; readonly cafe: string } & Pick<
      CafeAlarm,
      'coffee' | 'fromDay' | 'openedDay' | 'state' | 'size' | 'sd'
    >)
  | ({ readonly kind: 'dose' } & Weighed)
  | ({ readonly kind: 'yield'; readonly coffee: string; readonly isFormer: boolean } & Weighed)
  | {
      readonly kind: 'silence';
      readonly cafe: string;
      readonly missed: number;
      readonly fromDay: number;
    }
  | {
      readonly kind: 'batch';
      readonly coffee: string;
      readonly batch: string;
      readonly before: string;
      readonly size: number;
      readonly sd: number;
      readonly cafes: readonly string[];
      readonly fromDay: number;
    }
  | {
      readonly kind: 'weather';
      readonly region: string;
      readonly size: number;
      readonly sd: number;
    }
);

const HABIT_CHANCE = HABIT.opensAt / (1 + HABIT.opensAt);
const SILENCE_CHANCE = SILENCE.opensAt / (1 + SILENCE.opensAt);
/** A café is learnt for so long before its habits can have changed. */
const LEARNING_DAYS = 14;
/** Weather of a day is the cafés' together. */
const LEAST_CAFES_FOR_WEATHER = 3;

export function cafeSignals(
  model: CafesModel,
  cafes: readonly CafeFacts[],
  coffees: readonly CoffeeFacts[],
): CafeSignal[] {
  const signals: CafeSignal[] = [
    ...cafes.flatMap((cafe) => [
      ...stepsOf(model, cafe),
      ...habitsOf(cafe, coffees),
      ...silenceOf(cafe),
    ]),
    ...coffees.flatMap((coffee) => batchesOf(model, coffee, cafes)),
    ...weatherOf(model, cafes),
  ];
  return signals.sort((a, b) => b.probability - a.probability);
}

function stepsOf(model: CafesModel, { id, nowDay }: CafeFacts): CafeSignal[] {
  return model
    .alarms(id)
    .filter(
      ({ state, fromDay }) => state !== 'withdrawn' && fromDay >= nowDay - CAFE_RULES.windowDays,
    )
    .map((alarm) => ({ kind: 'step', cafe: id, ...alarm }));
}

function habitsOf(
  { id, checks, nowDay, firstDay }: CafeFacts,
  coffees: readonly CoffeeFacts[],
): CafeSignal[] {
  if (nowDay - firstDay < LEARNING_DAYS) return [];
  const dose = habitSignal(
    checks.map(({ doseG, target }) => doseG - target.doseG),
    'dose',
  );
  const ofDose: CafeSignal[] =
    dose !== null && dose.probability >= HABIT_CHANCE
      ? [{ kind: 'dose', cafe: id, ...dose, fromDay: checks[dose.from]!.atDay }]
      : [];
  const ofYield = coffees.flatMap(({ coffee, formerYieldShare }): CafeSignal[] => {
    const own = checks.filter((check) => check.coffee === coffee);
    const last = own.at(-1);
    if (last === undefined) return [];
    // On its own basket: cafés pull one recipe to several yields.
    const formerOffG =
      formerYieldShare === undefined ? undefined : (formerYieldShare - 1) * last.target.yieldG;
    const signal = habitSignal(
      own.map(({ yieldG, target }) => yieldG - target.yieldG),
      'yield',
      formerOffG,
    );
    if (signal === null || signal.probability < HABIT_CHANCE) return [];
    const isFormer =
      formerOffG !== undefined && Math.abs(signal.sizeG - formerOffG) < 2 * signal.sdG;
    const fromDay = own[signal.from]!.atDay;
    return [{ kind: 'yield', cafe: id, coffee, isFormer, ...signal, fromDay }];
  });
  return [...ofDose, ...ofYield];
}

/** Checks missed in a row until now, and what the café's own past makes of it. */
export function silenceAt({ plan, checks, firstDay, nowDay }: CafeFacts) {
  if (plan === null || plan.times.length === 0)
    return { missed: 0, probability: 0, fromDay: nowDay };
  const visits = [...new Set(checks.map(({ atDay }) => atDay))];
  const fromDay = Math.max(firstDay, nowDay - CAFE_RULES.windowDays);
  const due = dueChecks(plan, visits, fromDay, nowDay);
  const lastMade = due.findLastIndex(({ isMade }) => isMade);
  const missed = due.length - 1 - lastMade;
  const usual = missedShare(due.slice(0, lastMade + 1).map(({ isMade }) => isMade));
  const odds = silenceOdds(missed, usual);
  return { missed, probability: odds / (1 + odds), fromDay: due[lastMade + 1]?.atDay ?? nowDay };
}

function silenceOf(cafe: CafeFacts): CafeSignal[] {
  const { missed, probability, fromDay } = silenceAt(cafe);
  if (probability < SILENCE_CHANCE) return [];
  return [{ kind: 'silence', cafe: cafe.id, missed, probability, fromDay }];
}

function batchesOf(
  model: CafesModel,
  { coffee, batches }: CoffeeFacts,
  cafes: readonly CafeFacts[],
): CafeSignal[] {
  return batches.slice(1).flatMap((batch, i): CafeSignal[] => {
    const before = batches[i]!;
    const contrast = batchContrast(model, coffee, batch, before);
    if (contrast === null || contrast.probability < BATCH.opensAt) return [];
    const withIt = cafes.flatMap(({ id, checks }) => {
      const first = checks.find((check) => check.coffee === coffee && check.batch === batch);
      return first === undefined ? [] : [{ id, atDay: first.atDay }];
    });
    if (withIt.length === 0) return [];
    return [
      {
        kind: 'batch',
        coffee,
        batch,
        before,
        ...contrast,
        cafes: withIt.map(({ id }) => id),
        fromDay: Math.min(...withIt.map(({ atDay }) => atDay)),
      },
    ];
  });
}

function weatherOf(model: CafesModel, cafes: readonly CafeFacts[]): CafeSignal[] {
  return [...new Set(cafes.map(({ region }) => region))].flatMap((region): CafeSignal[] => {
    const sending = cafes.filter((cafe) => cafe.region === region && cafe.checks.length > 0);
    const contrast = weatherContrast(model, region);
    if (sending.length < LEAST_CAFES_FOR_WEATHER || contrast === null) return [];
    if (contrast.probability < WEATHER.opensAt) return [];
    return [{ kind: 'weather', region, ...contrast }];
  });
}
