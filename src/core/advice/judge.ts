/**
 * What the bench knows: every shot judged against the target, and the time model fitted to them.
 * House heuristic where a threshold stands (model.md §3, order of judgement).
 */
import { Matrix } from 'ml-matrix';
import { pumpSeconds, USUAL_FIRST_DRIP_S } from '../extraction/clock';
import { VOLUME_LN_SD } from '../extraction/volume';
import { isSameDial, middleSetting, slopePrior } from '../grinder/dial';
import { priorFromMemory } from '../grinderMemory/memory';
import { isSpoilt, PURGE_TIMES_RETENTION } from '../grinder/retention';
import { fitTimeModel, ODD_WEIGHT, type TimeModel } from '../grinder/timeModel';
import { plainPrior, type TimePrior } from '../grinder/timePrior';
import {
  DOSE_EXPONENT,
  NOISE_SD,
  YIELD_DOUBT,
  YIELD_EXPONENT,
  type Reference,
  type TimedShot,
} from '../grinder/timeRows';
import { CHOKED, GUSHING_UNDER_S } from '../choked';
import type { Shot } from '../schema/shot';
import { tasteDirection, type Direction } from '../taste/direction';
import { prepSigns } from './prep';
import { between } from './proofCost';
import { doseInForce } from './setting';
import type { BeanState } from '../vocabulary';
import {
  USUAL_JUDGING,
  type CarryExpectation,
  type NextInput,
  type ShotMark,
  type Side,
} from './types';

/** Under this share of its yield at the top of the window a shot is choked, or nearly so. */
const CHOKED_UNDER_SHARE = 0.6;
/** Two outliers that agree within this many sd are none: they are news. */
const CORROBORATED_SDS = 2.5;
/** sd of a time converted between the clocks by a usual first drip, s. */
const USUAL_DRIP_SD_S = 1.5;
/** So sure the verdict must be before a shot of the wrong dose or yield is believed. */
const SURE = 0.9;

export interface Judged {
  readonly input: NextInput;
  readonly model: TimeModel;
  readonly marks: readonly ShotMark[];
  /** Seconds between the pump's clock and the target's: 0 on the pump's. */
  readonly offsetS: number;
  /** The time window on the pump's clock. */
  readonly pumpWindowS: readonly [number, number];
  /** Of the newest shot that says; null where none does: the coffee is then taken as of the reference's age. */
  readonly restDays: number | null;
  readonly dial: number;
  readonly aimDoseG: number;
  /** Of the last shot; undefined where it was not noted. */
  readonly temperatureC: number | undefined;
  readonly goal: number;
  /** The recipe was revised after the last shot, so that shot is not judged by it. */
  readonly isRevised: boolean;
}

/** The day ageing counts from. */
const MEMORY_REST_DAYS = 14;

/**
 * What a grinder's memory counts from, whatever the recipes were: a 1:2 of the basket's rating on day 14 at
 * the memory's reference dial.
 */
export function memoryReference({ ratedG }: NextInput['basket'], dial: number): Reference {
  return { dial, doseG: ratedG, yieldG: 2 * ratedG, restDays: MEMORY_REST_DAYS };
}

/** The shots on the pump's clock, what they are counted from, and the window they are meant for. */
export function timedShots(input: Pick<NextInput, 'target' | 'grinder' | 'shots' | 'memory'>) {
  const { target, grinder, shots } = input;
  const dripS = usualFirstDrip(shots);
  const offsetS = target.clock === 'firstDrip' ? dripS : 0;
  const beans = beansInForce(shots);
  const startDial = target.startDial ?? shots[0]?.dial ?? middleSetting(grinder);
  return {
    dripS,
    offsetS,
    beans,
    pumpWindowS: [target.timeS[0] + offsetS, target.timeS[1] + offsetS] as const,
    reference: {
      dial: startDial,
      doseG: target.doseG,
      yieldG: target.yieldG,
      restDays: shots.find((shot) => shot.restDays !== undefined)?.restDays ?? 0,
    },
    shots: shots.map((shot) => timedOf(shot, input, { dripS, offsetS, beans })),
  };
}

/** Fits and judges all shots of a dial-in. Needs at least a start dial or one shot. */
export function judge(input: NextInput): Judged {
  const { target, grinder, shots, targetFrom = 0 } = input;
  const isRevised = shots.length > 0 && targetFrom >= shots.length;
  const timed = timedShots(input);
  const { dripS, offsetS, beans, pumpWindowS, reference } = timed;
  const last = shots[shots.length - 1];
  const model = fitTimeModel({
    shots: timed.shots,
    reference: referenceOf(input, reference),
    prior: priorOf(input, (pumpWindowS[0] + pumpWindowS[1]) / 2),
    retentionG: grinder.retentionG,
  });
  return {
    input,
    model,
    marks: shots.map((_, index) => markOf(input, model, { index, dripS, beans })),
    offsetS,
    pumpWindowS,
    restDays: lastRestDays(shots),
    isRevised,
    dial: isRevised ? reference.dial : (last?.dial ?? reference.dial),
    aimDoseG: isRevised ? target.doseG : doseInForce(last, target),
    temperatureC: last?.temperatureC,
    goal: input.proofGoal ?? USUAL_JUDGING.proofGoal,
  };
}

/** What the model counts from: where the expectation of a new batch or the grinder's memory stands. */
function referenceOf({ carry, memory, target, basket }: NextInput, own: Reference): Reference {
  if (carry) {
    const { doseG, yieldG } = target;
    return { dial: carry.dial, doseG, yieldG, restDays: carry.restDays };
  }
  return memory ? memoryReference(basket, memory.referenceDial) : own;
}

function priorOf(input: NextInput, expectedTimeS: number): TimePrior {
  const { grinder, memory, coffee, carry } = input;
  if (carry) return carriedPrior(carry, priorOf({ ...input, carry: undefined }, expectedTimeS));
  if (memory) return priorFromMemory(memory, coffee ?? { light: 0, dark: 0, intensity: 0 });
  return plainPrior(pumpSeconds(expectedTimeS), slopePrior(grinder));
}

/** The level as expected of the batch; how dial, dose, yield and age act as known before. */
function carriedPrior({ mean, sd }: CarryExpectation, known: TimePrior): TimePrior {
  const variances = known.covariance.diag().map((variance, k) => (k === 0 ? sd ** 2 : variance));
  return { ...known, mean: [mean, ...known.mean.slice(1)], covariance: Matrix.diag(variances) };
}

interface Clocks {
  readonly dripS: number;
  readonly offsetS: number;
}

function timedOf(
  shot: Shot,
  { target, grinder, memory }: Pick<NextInput, 'target' | 'grinder' | 'memory'>,
  { dripS, offsetS, beans }: Clocks & { beans: BeanState },
): TimedShot {
  const { timeS, sdS } = timeOnClock(shot, target.clock, dripS);
  return {
    dial: shot.dial,
    doseG: shot.doseG,
    yieldG: shot.yieldG,
    aimYieldG: target.yieldG,
    timeS: beansOf(shot) === beans && !shot.onOldScale ? pumpSeconds(timeS + offsetS) : null,
    lnSd: Math.hypot(sdS / timeS, isByVolume(shot) ? VOLUME_LN_SD : 0),
    purgeG: purgeOf(shot, grinder.retentionG),
    restDays: shot.restDays ?? null,
    choked: isChoked(shot, target, timeS),
    noiseShare: noiseShareOf(shot, memory),
  };
}

/** How much more or less than the grinder's shots in general those of its barista scatter. */
function noiseShareOf({ pulledBy }: Shot, memory: NextInput['memory']): number | undefined {
  const person = pulledBy === undefined ? undefined : memory?.people?.[pulledBy];
  return person && memory && person.sd / memory.noiseSd;
}

/** Read on a cup's marks: too rough to judge a time by, unless the time is far off anyway. */
export const isByVolume = (shot: Pick<Shot, 'yieldMl'>) => shot.yieldMl !== undefined;

const beansOf = (shot: Pick<Shot, 'beans'>): BeanState => shot.beans ?? 'room';

/** The state whose shots tell of each other: that of the shot before the last, which the last must share. */
function beansInForce(shots: readonly Pick<Shot, 'beans'>[]): BeanState {
  return shots.slice(-2).map(beansOf)[0] ?? 'room';
}

function usualFirstDrip(shots: readonly Shot[]): number {
  const noted = shots.flatMap((shot) => shot.firstDripS ?? []);
  if (noted.length === 0) return USUAL_FIRST_DRIP_S;
  return noted.reduce((sum, drip) => sum + drip, 0) / noted.length;
}

function lastRestDays(shots: readonly Shot[]): number | null {
  return shots.findLast(({ restDays }) => restDays !== undefined)?.restDays ?? null;
}

/** Grams purged: the figure noted, else twice the retention for a tick. */
export function purgeOf(shot: Pick<Shot, 'purged' | 'purgeG'>, retentionG: number): number {
  if (shot.purgeG !== undefined) return shot.purgeG;
  return shot.purged ? PURGE_TIMES_RETENTION * retentionG : 0;
}

function isChoked(shot: Shot, target: NextInput['target'], timeS: number): boolean {
  const stalled = shot.yieldG < CHOKED.underG && shot.timeS >= CHOKED.afterS;
  const crawled = shot.yieldG < CHOKED_UNDER_SHARE * target.yieldG && timeS >= target.timeS[1];
  return stalled || crawled || (shot.seen.includes('choke') && shot.yieldG < target.yieldG / 2);
}

/** The taste direction of a shot, null when it was not tasted. */
export function directionOf(
  shot: Shot,
  roastLevel: number,
  side: Side = 'inside',
): Direction | null {
  return shot.taste ? tasteDirection(shot.taste, roastLevel, side === 'fast') : null;
}

function markOf(
  { target, grinder, shots }: NextInput,
  model: TimeModel,
  { index, dripS, beans }: { index: number; dripS: number; beans: BeanState },
): ShotMark {
  const shot = shots[index]!;
  const previous = shots[index - 1];
  const weight = model.weights[index]!;
  const purgeG = purgeOf(shot, grinder.retentionG);
  const moved = previous !== undefined && !isSameDial(shot.dial, previous.dial);
  const carriedLnTime = model.coefficients[1] * (shot.dial - model.effectiveDials[index]!);
  const unpurged =
    moved && isSpoilt(carriedLnTime) && purgeG < PURGE_TIMES_RETENTION * grinder.retentionG - 1e-9;
  const { isSound, isRight, ...measured } = measuredOf(shot, target, dripS);
  const choked = isChoked(shot, target, measured.timeOnTargetClockS);
  const outlier = weight !== null && weight < ODD_WEIGHT && !choked && !corroborated(shots, index);
  const otherBeans = beansOf(shot) !== beans;
  const valid = isSound && !outlier && !unpurged && !otherBeans && !choked && !shot.onOldScale;
  return {
    weight,
    outlier,
    unpurged,
    otherBeans,
    choked,
    gushing: !choked && shot.timeS < GUSHING_UNDER_S && shot.yieldG >= target.yieldG / 2,
    ...measured,
    ...(choked && { side: 'slow' as const }),
    valid,
    landed: valid && isRight,
  };
}

/** What a shot says by itself, whatever was pulled before it. */
function measuredOf(shot: Shot, target: NextInput['target'], dripS: number) {
  const { timeS, sdS } = timeOnClock(shot, target.clock, dripS);
  const [low, high] = target.timeS;
  const inTime = timeS >= low && timeS <= high;
  const inDose = Math.abs(shot.doseG - doseInForce(shot, target)) <= target.doseToleranceG + 1e-9;
  const inYield = Math.abs(shot.yieldG - target.yieldG) <= target.yieldToleranceG + 1e-9;
  const rested =
    target.openDay === undefined || shot.restDays === undefined || shot.restDays >= target.openDay;
  const measured = inDose && inYield && !isByVolume(shot) && sdS === 0;
  const tastesRight =
    target.tasteFirst && directionOf(shot, target.roastLevel)?.verdict === 'right';
  return {
    inDose,
    inYield,
    timeOnTargetClockS: timeS,
    isConverted: sdS > 0,
    inTime,
    side: measured ? sideOf(timeS, target.timeS) : sureSide(shot, target, { timeS, sdS }),
    isSound: measured && rested && prepSigns(shot).length === 0,
    isRight: inTime || tastesRight,
  };
}

/** A shot that proves nothing whatever the others were: it need not be judged with them. */
export function isUnsound(shot: Shot, target: NextInput['target']): boolean {
  return !measuredOf(shot, target, USUAL_FIRST_DRIP_S).isSound;
}

const sideOf = (timeS: number, [low, high]: readonly [number, number]): Side =>
  timeS < low ? 'fast' : timeS > high ? 'slow' : 'inside';

/** Which side a shot of the wrong dose or yield is on for sure, once its time is corrected for them. */
function sureSide(
  shot: Shot,
  target: NextInput['target'],
  { timeS, sdS }: { timeS: number; sdS: number },
): Side {
  const { lnTimeS, sd } = correctedLnTime(shot, target, timeS);
  const sdAll = Math.hypot(sd, sdS / timeS, isByVolume(shot) ? VOLUME_LN_SD : 0);
  const [low, high] = target.timeS;
  const fast = between(lnTimeS, sdAll, -Infinity, Math.log(low));
  const slow = between(lnTimeS, sdAll, Math.log(high), Infinity);
  return fast >= SURE ? 'fast' : slow >= SURE ? 'slow' : 'unsure';
}

/** ln time the shot would have had at the target's dose and yield, and how sure that is. */
export function correctedLnTime(shot: Shot, target: NextInput['target'], timeS: number) {
  const dose = Math.log(shot.doseG / doseInForce(shot, target));
  const ofYield = Math.log(Math.max(shot.yieldG, 0.1) / target.yieldG);
  return {
    lnTimeS: Math.log(timeS) - DOSE_EXPONENT.mean * dose - YIELD_EXPONENT.mean * ofYield,
    /** Change of ln time the wrong dose alone made. */
    ofDose: DOSE_EXPONENT.mean * dose,
    sd: Math.hypot(DOSE_EXPONENT.sd * dose, YIELD_EXPONENT.sd * ofYield, YIELD_DOUBT * ofYield),
  };
}

/** The shot's time on the target's clock, and its sd where a usual first drip stands in for its own. */
function timeOnClock(shot: Shot, clock: Shot['clock'], usualDripS: number) {
  if (shot.clock === clock) return { timeS: shot.timeS, sdS: 0 };
  const dripS = shot.firstDripS ?? usualDripS;
  const timeS = clock === 'pump' ? shot.timeS + dripS : shot.timeS - dripS;
  return {
    timeS: Math.max(LEAST_TIME_S, timeS),
    sdS: shot.firstDripS === undefined ? USUAL_DRIP_SD_S : 0,
  };
}

/** A time converted by more than all of it is still a time. */
const LEAST_TIME_S = 1;

/** A neighbour at the same setting with the same time: the pair is believed, outlier or not. */
function corroborated(shots: readonly Shot[], index: number): boolean {
  const shot = shots[index]!;
  return [shots[index - 1], shots[index + 1]].some(
    (other) =>
      other !== undefined &&
      isSameDial(other.dial, shot.dial) &&
      other.clock === shot.clock &&
      Math.abs(Math.log(other.timeS / shot.timeS)) < CORROBORATED_SDS * NOISE_SD,
  );
}

/** The newest shot and what the advisor makes of it; there is one. */
export function lastOf(judged: Judged) {
  const shot = judged.input.shots[judged.input.shots.length - 1]!;
  const mark = judged.marks[judged.marks.length - 1]!;
  return { shot, mark };
}
