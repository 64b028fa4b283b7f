/**
 * The one next move, in the order of judgement of model.md §3: measure, prep, grind, dose, taste,
 * repeat, confirmed. House heuristic; each reason is given in words. Advice only: the lead decides.
 * Choked and gushing shots are judged first, because their yield is wrong by nature.
 */
import { basketWarnings } from '../start/setupLimits';
import { tasteMove } from '../taste/tasteMove';
import { directionOf, readBench, usualBeans, type Bench } from './bench';
import { prepSigns } from './prep';
import {
  bestSetting,
  expectAt,
  landing,
  moveTo,
  purgeBefore,
  trimmedDose,
  type Setting,
} from './grind';
import type {
  Advice,
  AdviceStatus,
  Alternative,
  Move,
  MovedVariable,
  NextInput,
  Reason,
} from './types';
import { REASON_WORDS } from './words';

/** A move to the end of the dial is not worth making below this landing probability. */
const RANGE_ENDS_BELOW = 0.25;

const ALL_VARIABLES: readonly MovedVariable[] = ['dial', 'doseG', 'yieldG', 'temperatureC'];

interface Judgement {
  readonly status: AdviceStatus;
  readonly move: Move | null;
  readonly reasons: readonly Reason[];
}

/** Judges the last shot in the light of all and says what to do next. */
export function nextMove(input: NextInput): Advice {
  const bench = readBench(input);
  const judgement =
    firstShot(bench) ??
    outOfRange(bench) ??
    measurement(bench) ??
    preparation(bench) ??
    taste(bench) ??
    grind(bench) ??
    repetition(bench);
  const setting = settingAfter(bench, judgement.move);
  return {
    ...judgement,
    hold: ALL_VARIABLES.filter((variable) => !moves(judgement.move, variable)),
    expect: expectAt(bench, setting),
    purgeG: purgeBefore(bench, setting),
    costG: costOf(bench, setting),
    alternatives: alternatives(bench, judgement),
    marks: bench.marks,
    warnings: basketWarnings(input.basket),
  };
}

function lastOf(bench: Bench) {
  const shot = bench.input.shots[bench.input.shots.length - 1]!;
  const mark = bench.marks[bench.marks.length - 1]!;
  return { shot, mark };
}

function firstShot(bench: Bench): Judgement | null {
  if (bench.input.shots.length > 0 && !bench.isRevised) return null;
  const reason = bench.isRevised ? REASON_WORDS.revised() : REASON_WORDS.firstShot();
  return { status: 'repeat', move: null, reasons: [reason] };
}

/** Choked or gushing: a large move, whatever the scale says. */
function outOfRange(bench: Bench): Judgement | null {
  const { mark } = lastOf(bench);
  if (!mark.choked && !mark.gushing) return null;
  const { move, status } = grindMove(bench);
  return {
    status,
    move,
    reasons: [mark.choked ? REASON_WORDS.choked() : REASON_WORDS.gushing()],
  };
}

function measurement(bench: Bench): Judgement | null {
  const { target } = bench.input;
  const { shot, mark } = lastOf(bench);
  const reasons: Reason[] = [];
  if (!mark.inDose) reasons.push(REASON_WORDS.doseOff(shot.doseG, bench.aimDoseG, bench.units));
  if (!mark.inYield) reasons.push(REASON_WORDS.yieldOff(shot.yieldG, target.yieldG, bench.units));
  if (shot.byVolume) reasons.push(REASON_WORDS.byVolume());
  if (mark.timeOnTargetClockS === null) reasons.push(REASON_WORDS.noFirstDrip(target.clock));
  return reasons.length > 0 ? { status: 'measure', move: null, reasons } : null;
}

function preparation(bench: Bench): Judgement | null {
  const { target } = bench.input;
  const { shot, mark } = lastOf(bench);
  const reasons: Reason[] = prepSigns(shot).map((sign) => REASON_WORDS.prepSign(sign));
  if (mark.unpurged) reasons.push(REASON_WORDS.unpurged());
  if (mark.otherBeans)
    reasons.push(REASON_WORDS.otherBeans(shot.beans ?? 'room', usualBeans(bench.input.shots)));
  if (mark.odd) reasons.push(REASON_WORDS.odd());
  if (target.openDay !== undefined && shot.restDays !== undefined && shot.restDays < target.openDay)
    reasons.push(REASON_WORDS.tooFresh(shot.restDays, target.openDay));
  if (directionOf(shot, target.roastLevel)?.verdict === 'uneven')
    reasons.push(REASON_WORDS.uneven());
  return reasons.length > 0 ? { status: 'prep', move: null, reasons } : null;
}

/** Taste speaks when the time is right, or before the time where the house tastes first. */
function taste(bench: Bench): Judgement | null {
  const { target, grinder, machine } = bench.input;
  const { shot, mark } = lastOf(bench);
  if (!mark.inTime && !target.tasteFirst) return null;
  const direction = directionOf(shot, target.roastLevel);
  if (direction === null)
    return target.tasteFirst
      ? { status: 'taste', move: null, reasons: [REASON_WORDS.tasteFirst()] }
      : null;
  const found = tasteMove({
    direction,
    target,
    dial: shot.dial,
    grinder,
    machine,
    units: bench.units,
  });
  if (found === null) return null;
  return {
    status: 'taste',
    move: found,
    reasons: [{ code: `taste.${direction.verdict}`, text: direction.words }],
  };
}

function grind(bench: Bench): Judgement | null {
  const { mark } = lastOf(bench);
  if (mark.landed) return null;
  const { target } = bench.input;
  const { move, status } = grindMove(bench);
  if (move === null) return null;
  return {
    status,
    move,
    reasons: [REASON_WORDS.timeOff(mark.timeOnTargetClockS!, target.timeS, target.clock)],
  };
}

/** The best setting as a move; a dose move where the grinder's range ends. */
function grindMove(bench: Bench): { status: 'grind' | 'dose'; move: Move | null } {
  const best = bestSetting(bench);
  const { grinder } = bench.input;
  const atEnd = best.dial <= grinder.min + 1e-9 || best.dial >= grinder.max - 1e-9;
  if (atEnd && landing(bench, best) < RANGE_ENDS_BELOW && bench.dial === best.dial) {
    const doseG = trimmedDose(bench, bench.dial);
    if (doseG !== null) return { status: 'dose', move: moveTo(bench, { dial: bench.dial, doseG }) };
  }
  const move = moveTo(bench, best);
  return { status: move?.variable === 'doseG' ? 'dose' : 'grind', move };
}

function settingNow(bench: Bench): Setting {
  return { dial: bench.dial, doseG: bench.aimDoseG };
}

function repetition(bench: Bench): Judgement {
  const { shots, targetFrom = 0 } = bench.input;
  const { shot, mark } = lastOf(bench);
  const previous = shots.length - 2 >= targetFrom ? shots[shots.length - 2] : undefined;
  const previousMark = bench.marks[bench.marks.length - 2];
  const sameSetting =
    previous !== undefined &&
    Math.abs(previous.dial - shot.dial) < 1e-9 &&
    previous.aimDoseG === shot.aimDoseG &&
    (previous.temperatureC === undefined ||
      shot.temperatureC === undefined ||
      Math.abs(previous.temperatureC - shot.temperatureC) < 0.25);
  if (mark.landed && previousMark?.landed && sameSetting)
    return { status: 'confirmed', move: null, reasons: [REASON_WORDS.confirmed()] };
  return {
    status: 'repeat',
    move: null,
    reasons: [mark.landed ? REASON_WORDS.landed() : stayReason(bench)],
  };
}

/** Why a shot that missed is pulled again as it was. */
function stayReason(bench: Bench): Reason {
  const { timeS } = expectAt(bench, settingNow(bench));
  const [low, high] = bench.input.target.timeS;
  return timeS >= low && timeS <= high ? REASON_WORDS.outvoted(timeS) : REASON_WORDS.nearest();
}

/** Where the bench stands after a move; recipe moves leave dial and dose alone. */
function settingAfter(bench: Bench, move: Move | null): Setting {
  const here = settingNow(bench);
  if (move?.variable === 'dial') return { dial: move.to, doseG: move.doseTrim?.to ?? here.doseG };
  return move?.variable === 'doseG' ? { ...here, doseG: move.to } : here;
}

/** Purge and dose of a shot at a setting, g. */
function costOf(bench: Bench, setting: Setting): number {
  return setting.doseG + purgeBefore(bench, setting);
}

function moves(move: Move | null, variable: MovedVariable): boolean {
  return move?.variable === variable || (variable === 'doseG' && move?.doseTrim !== undefined);
}

/** What else could be done, with what it would be expected to give: at most two. */
function alternatives(bench: Bench, { status, move }: Judgement): Alternative[] {
  if (bench.input.shots.length === 0 || bench.isRevised) return [];
  const found: Alternative[] = [];
  const add = (setting: Setting, words: (move: Move | null) => string) => {
    const other = moveTo(bench, setting);
    found.push({
      move: other,
      words: words(other),
      expect: expectAt(bench, setting),
      costG: costOf(bench, setting),
    });
  };
  const here = settingNow(bench);
  if (status === 'grind' || status === 'dose' || status === 'taste')
    add(here, () => 'Repeat unchanged');
  if (status === 'grind') {
    const doseG = trimmedDose(bench, bench.dial);
    if (doseG !== null) add({ dial: bench.dial, doseG }, (other) => `${other!.words}, grind stays`);
  }
  if ((status === 'measure' || status === 'prep') && move === null) {
    const best = bestSetting(bench);
    if (best.dial !== bench.dial || best.doseG !== bench.aimDoseG)
      add(best, (other) => `Believe the shot: ${other!.words.toLowerCase()}`);
  }
  return found.slice(0, 2);
}
