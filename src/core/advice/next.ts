/**
 * The one next move, in the order of judgement of model.md §3: measure, prep, grind, dose, taste,
 * repeat, confirmed. House heuristic; each reason is given in words. Advice only: the lead decides.
 * Choked and gushing shots are judged first, because their yield is wrong by nature.
 */
import { isSameDial } from '../grinder/dial';
import { basketWarnings } from '../start/setupLimits';
import { tasteMove } from '../taste/tasteMove';
import { directionOf, judge, usualBeans, type Judged } from './judge';
import { prepSigns } from './prep';
import { bestSetting, expectAt, landing, moveTo, purgeBefore, trimmedDose } from './grind';
import { doseInForce, settingAfter } from './setting';
import type {
  Advice,
  AdviceStatus,
  Alternative,
  Move,
  MovedVariable,
  NextInput,
  Reason,
  Setting,
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
  const judged = judge(input);
  const judgement =
    firstShot(judged) ??
    outOfRange(judged) ??
    measurement(judged) ??
    preparation(judged) ??
    taste(judged) ??
    grind(judged) ??
    repetition(judged);
  const setting = settingAfter(settingNow(judged), judgement.move);
  return {
    ...judgement,
    hold: ALL_VARIABLES.filter((variable) => !moves(judgement.move, variable)),
    setting,
    expect: expectAt(judged, setting),
    purgeG: purgeBefore(judged, setting),
    costG: costOf(judged, setting),
    alternatives: alternatives(judged, judgement),
    marks: judged.marks,
    warnings: basketWarnings(input.basket),
  };
}

function lastOf(judged: Judged) {
  const shot = judged.input.shots[judged.input.shots.length - 1]!;
  const mark = judged.marks[judged.marks.length - 1]!;
  return { shot, mark };
}

function firstShot(judged: Judged): Judgement | null {
  if (judged.input.shots.length > 0 && !judged.isRevised) return null;
  const reason = judged.isRevised ? REASON_WORDS.revised() : REASON_WORDS.firstShot();
  return { status: 'repeat', move: null, reasons: [reason] };
}

/** Choked or gushing: a large move, whatever the scale says. */
function outOfRange(judged: Judged): Judgement | null {
  const { mark } = lastOf(judged);
  if (!mark.choked && !mark.gushing) return null;
  const { move, status } = grindMove(judged);
  return {
    status,
    move,
    reasons: [mark.choked ? REASON_WORDS.choked() : REASON_WORDS.gushing()],
  };
}

function measurement(judged: Judged): Judgement | null {
  const { target } = judged.input;
  const { shot, mark } = lastOf(judged);
  const reasons: Reason[] = [];
  if (!mark.inDose) reasons.push(REASON_WORDS.doseOff(shot.doseG, judged.aimDoseG, judged.units));
  if (!mark.inYield) reasons.push(REASON_WORDS.yieldOff(shot.yieldG, target.yieldG, judged.units));
  if (shot.byVolume) reasons.push(REASON_WORDS.byVolume());
  if (mark.timeOnTargetClockS === null) reasons.push(REASON_WORDS.noFirstDrip(target.clock));
  return reasons.length > 0 ? { status: 'measure', move: null, reasons } : null;
}

function preparation(judged: Judged): Judgement | null {
  const { target } = judged.input;
  const { shot, mark } = lastOf(judged);
  const reasons: Reason[] = prepSigns(shot).map((sign) => REASON_WORDS.prepSign(sign));
  if (mark.unpurged) reasons.push(REASON_WORDS.unpurged());
  if (mark.otherBeans)
    reasons.push(REASON_WORDS.otherBeans(shot.beans ?? 'room', usualBeans(judged.input.shots)));
  if (mark.odd) reasons.push(REASON_WORDS.odd());
  if (target.openDay !== undefined && shot.restDays !== undefined && shot.restDays < target.openDay)
    reasons.push(REASON_WORDS.tooFresh(shot.restDays, target.openDay));
  if (directionOf(shot, target.roastLevel)?.verdict === 'uneven')
    reasons.push(REASON_WORDS.uneven());
  return reasons.length > 0 ? { status: 'prep', move: null, reasons } : null;
}

/** Taste speaks when the time is right, or before the time where the house tastes first. */
function taste(judged: Judged): Judgement | null {
  const { target, grinder, machine } = judged.input;
  const { shot, mark } = lastOf(judged);
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
    units: judged.units,
  });
  if (found === null) return null;
  return {
    status: 'taste',
    move: found,
    reasons: [{ code: `taste.${direction.verdict}`, text: direction.words }],
  };
}

function grind(judged: Judged): Judgement | null {
  const { mark } = lastOf(judged);
  if (mark.landed) return null;
  const { target } = judged.input;
  const { move, status } = grindMove(judged);
  if (move === null) return null;
  return {
    status,
    move,
    reasons: [REASON_WORDS.timeOff(mark.timeOnTargetClockS!, target.timeS, target.clock)],
  };
}

/** The best setting as a move; a dose move where the grinder's range ends. */
function grindMove(judged: Judged): { status: 'grind' | 'dose'; move: Move | null } {
  const best = bestSetting(judged);
  const { grinder } = judged.input;
  const atEnd = best.dial <= grinder.min + 1e-9 || best.dial >= grinder.max - 1e-9;
  if (atEnd && landing(judged, best) < RANGE_ENDS_BELOW && judged.dial === best.dial) {
    const doseG = trimmedDose(judged, judged.dial);
    if (doseG !== null)
      return { status: 'dose', move: moveTo(judged, { dial: judged.dial, doseG }) };
  }
  const move = moveTo(judged, best);
  return { status: move?.variable === 'doseG' ? 'dose' : 'grind', move };
}

function settingNow(judged: Judged): Setting {
  return { dial: judged.dial, doseG: judged.aimDoseG };
}

function repetition(judged: Judged): Judgement {
  const { shots, target, targetFrom = 0 } = judged.input;
  const { shot, mark } = lastOf(judged);
  const previous = shots.length - 2 >= targetFrom ? shots[shots.length - 2] : undefined;
  const previousMark = judged.marks[judged.marks.length - 2];
  const sameSetting =
    previous !== undefined &&
    isSameDial(previous.dial, shot.dial) &&
    doseInForce(previous, target) === doseInForce(shot, target) &&
    (previous.temperatureC === undefined ||
      shot.temperatureC === undefined ||
      Math.abs(previous.temperatureC - shot.temperatureC) < 0.25);
  if (mark.landed && previousMark?.landed && sameSetting)
    return { status: 'confirmed', move: null, reasons: [REASON_WORDS.confirmed()] };
  return {
    status: 'repeat',
    move: null,
    reasons: [mark.landed ? REASON_WORDS.landed() : stayReason(judged)],
  };
}

/** Why a shot that missed is pulled again as it was. */
function stayReason(judged: Judged): Reason {
  const { timeS } = expectAt(judged, settingNow(judged));
  const [low, high] = judged.input.target.timeS;
  return timeS >= low && timeS <= high ? REASON_WORDS.outvoted(timeS) : REASON_WORDS.nearest();
}

/** Purge and dose of a shot at a setting, g. */
function costOf(judged: Judged, setting: Setting): number {
  return setting.doseG + purgeBefore(judged, setting);
}

function moves(move: Move | null, variable: MovedVariable): boolean {
  return move?.variable === variable || (variable === 'doseG' && move?.doseTrim !== undefined);
}

/** What else could be done, with what it would be expected to give: at most two. */
function alternatives(judged: Judged, { status, move }: Judgement): Alternative[] {
  if (judged.input.shots.length === 0 || judged.isRevised) return [];
  const found: Alternative[] = [];
  const add = (setting: Setting, words: (move: Move | null) => string) => {
    const other = moveTo(judged, setting);
    found.push({
      move: other,
      words: words(other),
      expect: expectAt(judged, setting),
      costG: costOf(judged, setting),
    });
  };
  const here = settingNow(judged);
  if (status === 'grind' || status === 'dose' || status === 'taste')
    add(here, () => 'Repeat unchanged');
  if (status === 'grind') {
    const doseG = trimmedDose(judged, judged.dial);
    if (doseG !== null)
      add({ dial: judged.dial, doseG }, (other) => `${other!.words}, grind stays`);
  }
  if ((status === 'measure' || status === 'prep') && move === null) {
    const best = bestSetting(judged);
    if (best.dial !== judged.dial || best.doseG !== judged.aimDoseG)
      add(best, (other) => `Believe the shot: ${other!.words.toLowerCase()}`);
  }
  return found.slice(0, 2);
}
