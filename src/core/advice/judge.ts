/**
 * What the bench knows: every shot judged against the target, and the time model fitted to them.
 * House heuristic where a threshold stands (model.md §3, order of judgement).
 */
import {
  fromPumpSeconds,
  pumpSeconds,
  toPumpSeconds,
  USUAL_FIRST_DRIP_S,
} from '../extraction/clock';
import { isSameDial, middleSetting, slopePrior } from '../grinder/dial';
import { isSpoilt, PURGE_TIMES_RETENTION } from '../grinder/retention';
import { fitTimeModel, NOISE_SD, ODD_WEIGHT, type TimeModel } from '../grinder/timeModel';
import { CHOKED } from '../choked';
import type { Shot } from '../schema/shot';
import { tasteDirection, type Direction } from '../taste/direction';
import { METRIC, type Units } from '../units';
import { prepSigns } from './prep';
import { doseInForce } from './setting';
import type { BeanState } from '../vocabulary';
import type { NextInput, ShotMark } from './types';

/** All in the cup before this, it gushed. */
const GUSHING_UNDER_S = 12;
/** Two odd shots that agree within this many sd are not odd: they are news. */
const CORROBORATED_SDS = 2.5;

export interface Judged {
  readonly input: NextInput;
  readonly model: TimeModel;
  readonly marks: readonly ShotMark[];
  /** Delay between pump and first drip used to convert windows, s. */
  readonly firstDripS: number;
  /** The time window on the pump's clock. */
  readonly pumpWindowS: readonly [number, number];
  readonly restDays: number;
  readonly dial: number;
  readonly aimDoseG: number;
  readonly units: Units;
  /** The recipe was revised after the last shot, so that shot is not judged by it. */
  readonly isRevised: boolean;
}

/** Fits and judges all shots of a dial-in. Needs at least a start dial or one shot. */
export function judge(input: NextInput): Judged {
  const { target, grinder, shots, targetFrom = 0 } = input;
  const isRevised = shots.length > 0 && targetFrom >= shots.length;
  const firstDripS = usualFirstDrip(shots);
  const drip = target.clock === 'firstDrip' ? firstDripS : 0;
  const pumpWindowS = [target.timeS[0] + drip, target.timeS[1] + drip] as const;
  const last = shots[shots.length - 1];
  const startDial = target.startDial ?? shots[0]?.dial ?? middleSetting(grinder);
  const restDays = lastRestDays(shots);
  const chokes = shots.map((shot) => isChoked(shot, target.yieldG));
  const beans = usualBeans(shots);
  const model = fitTimeModel({
    shots: shots.map((shot, i) => ({
      dial: shot.dial,
      doseG: shot.doseG,
      yieldG: shot.yieldG,
      timeS:
        shot.byVolume || beansOf(shot) !== beans
          ? null
          : toPumpSeconds(shot.timeS, shot.clock, shot.firstDripS),
      purgeG: purgeOf(shot, grinder.retentionG),
      restDays: shot.restDays ?? null,
      choked: chokes[i]!,
    })),
    reference: {
      dial: startDial,
      doseG: target.doseG,
      yieldG: target.yieldG,
      restDays: shots.find((shot) => shot.restDays !== undefined)?.restDays ?? 0,
    },
    expectedTimeS: pumpSeconds((pumpWindowS[0] + pumpWindowS[1]) / 2),
    slope: slopePrior(grinder),
    retentionG: grinder.retentionG,
  });
  const marks = shots.map((_, index) =>
    markOf(input, model, { index, choked: chokes[index]!, beans }),
  );
  return {
    input,
    model,
    marks,
    units: input.units ?? METRIC,
    firstDripS,
    pumpWindowS,
    restDays,
    isRevised,
    dial: isRevised ? startDial : (last?.dial ?? startDial),
    aimDoseG: isRevised ? target.doseG : doseInForce(last, target),
  };
}

const beansOf = (shot: Pick<Shot, 'beans'>): BeanState => shot.beans ?? 'room';

/** The state most shots of the dial-in were ground from; of two equal ones, the newer. */
export function usualBeans(shots: readonly Pick<Shot, 'beans'>[]): BeanState {
  const count = (state: BeanState) => shots.filter((shot) => beansOf(shot) === state).length;
  return [...shots]
    .reverse()
    .map(beansOf)
    .reduce<BeanState>(
      (best, state) => (count(state) > count(best) ? state : best),
      shots.length > 0 ? beansOf(shots.at(-1)!) : 'room',
    );
}

function usualFirstDrip(shots: readonly Shot[]): number {
  const noted = shots.flatMap((shot) => shot.firstDripS ?? []);
  if (noted.length === 0) return USUAL_FIRST_DRIP_S;
  return noted.reduce((sum, drip) => sum + drip, 0) / noted.length;
}

function lastRestDays(shots: readonly Shot[]): number {
  return shots.reduce<number>((days, shot) => shot.restDays ?? days, 0);
}

/** Grams purged: the figure noted, else twice the retention for a tick. */
export function purgeOf(shot: Pick<Shot, 'purged' | 'purgeG'>, retentionG: number): number {
  if (shot.purgeG !== undefined) return shot.purgeG;
  return shot.purged ? PURGE_TIMES_RETENTION * retentionG : 0;
}

export function isChoked(shot: Shot, targetYieldG: number): boolean {
  const stalled = shot.yieldG < CHOKED.underG && shot.timeS >= CHOKED.afterS;
  return stalled || (shot.seen.includes('choke') && shot.yieldG < targetYieldG / 2);
}

/** The taste direction of a shot, null when it was not tasted. */
export function directionOf(shot: Shot, roastLevel: number): Direction | null {
  return shot.taste ? tasteDirection(shot.taste, roastLevel) : null;
}

function markOf(
  { target, grinder, shots }: NextInput,
  model: TimeModel,
  { index, choked, beans }: { index: number; choked: boolean; beans: BeanState },
): ShotMark {
  const shot = shots[index]!;
  const previous = shots[index - 1];
  const weight = model.weights[index]!;
  const purgeG = purgeOf(shot, grinder.retentionG);
  const moved = previous !== undefined && !isSameDial(shot.dial, previous.dial);
  const carriedLnTime = model.coefficients[1] * (shot.dial - model.effectiveDials[index]!);
  const unpurged =
    moved && isSpoilt(carriedLnTime) && purgeG < PURGE_TIMES_RETENTION * grinder.retentionG - 1e-9;
  const odd = weight !== null && weight < ODD_WEIGHT && !corroborated(shots, index);
  const otherBeans = beansOf(shot) !== beans;
  const { isSound, isRight, ...measured } = measuredOf(shot, target);
  const valid = isSound && !odd && !unpurged && !otherBeans && !choked;
  return {
    weight,
    odd,
    unpurged,
    otherBeans,
    choked,
    gushing: !choked && shot.timeS < GUSHING_UNDER_S && shot.yieldG >= target.yieldG / 2,
    ...measured,
    valid,
    landed: valid && isRight,
  };
}

/** What a shot says by itself, whatever was pulled before it. */
function measuredOf(shot: Shot, target: NextInput['target']) {
  const onClock = timeOnClock(shot, target.clock);
  const [low, high] = target.timeS;
  const inTime = onClock !== null && onClock >= low && onClock <= high;
  const inDose = Math.abs(shot.doseG - doseInForce(shot, target)) <= target.doseToleranceG + 1e-9;
  const inYield = Math.abs(shot.yieldG - target.yieldG) <= target.yieldToleranceG + 1e-9;
  const rested =
    target.openDay === undefined || shot.restDays === undefined || shot.restDays >= target.openDay;
  const measured = inDose && inYield && !shot.byVolume && onClock !== null;
  const tastesRight =
    target.tasteFirst && directionOf(shot, target.roastLevel)?.verdict === 'right';
  return {
    inDose,
    inYield,
    timeOnTargetClockS: onClock,
    inTime,
    isSound: measured && rested && prepSigns(shot).length === 0,
    isRight: inTime || tastesRight,
  };
}

/** A shot that cannot land whatever the others were: it need not be judged with them. */
export function cannotLand(shot: Shot, target: NextInput['target']): boolean {
  const { isSound, isRight } = measuredOf(shot, target);
  return !isSound || !isRight;
}

/** The shot's time on the target's clock; null when the first drip is needed and missing. */
function timeOnClock(shot: Shot, clock: Shot['clock']): number | null {
  if (shot.clock === clock) return shot.timeS;
  const pump = toPumpSeconds(shot.timeS, shot.clock, shot.firstDripS);
  if (pump === null || shot.firstDripS === undefined) return null;
  return fromPumpSeconds(pump, clock, shot.firstDripS);
}

/** A neighbour at the same setting with the same time: the pair is believed, odd or not. */
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
