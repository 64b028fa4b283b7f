/**
 * The one next move, in the order of judgement of model.md §3: measure, prep, grind, dose, taste,
 * repeat, nearest, on target, approved. House heuristic; each reason is given in words. Advice only: the
 * lead decides. Choked and gushing shots are judged first, because their yield is wrong by nature.
 */
import type { CodedMessage } from '../message';
import { isSameDial, settingLimits } from '../grinder/dial';
import { dialWords } from '../grinder/notation';
import { basketWarnings } from '../start/setupLimits';
import { tasteMove, tasteMoves } from './tasteMove';
import { ageShare } from './age';
import { hasLikedCup } from './approved';
import { carriedOver, type CarriedOver } from './carried';
import { correctedLnTime, directionOf, isByVolume, judge, lastOf, type Judged } from './judge';
import { prepSigns } from './prep';
import { alternatives, offersTrim } from './alternatives';
import { costOf, expectAt, landing, moveTo, purgeBefore, settingNow } from './grind';
import { jumpOf, type Jump } from './jump';
import { doseToCentre, nextSettingOf } from './nextSetting';
import { basketFirst } from './basketFirst';
import type { Judgement } from './judgement';
import { isOnTarget, proofOf, shotsAt } from './onTarget';
import { pulledAfter } from './revise';
import { settingAfter } from './setting';
import { timeReason } from './timeReason';
import {
  isOnTargetStatus,
  type Advice,
  type Move,
  type MovedVariable,
  type NextInput,
  type Setting,
} from './types';
import {
  isKeptOutside,
  isLikedOutside,
  isRightEnough,
  isWonHere,
  keptMessage,
  keptRecipe,
} from './window';
import { plainReason, REASONS } from './reasons';

/** A move to the end of the dial is not worth making below this landing probability. */
const RANGE_ENDS_BELOW = 0.25;
/** A shot this far off the recipe's temperature is no shot of the recipe. */
const OTHER_TEMPERATURE_C = 0.5;

/** A setting known to be off: hardly a chance of landing, and another that has a good one. House heuristic. */
const FAR_OFF = { landing: 0.1, gain: 0.3 } as const;

/** A cold group and grinder move a time by at most about this much in ln time. House heuristic. */
const COLD_START_LN = 0.1;

const ALL_VARIABLES: readonly MovedVariable[] = ['dial', 'doseG', 'yieldG', 'temperatureC'];

/** Judges the last shot in the light of all and says what to do next. */
export function nextMove(input: NextInput): Advice {
  const judged = judge(input);
  const carry = carriedOver(judged);
  if (carry?.verdict === 'dialInAnew') {
    const advice = nextMove({ ...input, carry: undefined });
    return { ...advice, reasons: [plainReason('dialInAnew'), ...advice.reasons] };
  }
  const { beside, ...judgement }: Judgement = basketFirst(
    judged,
    firstShot(judged, carry) ??
      outOfRange(judged) ??
      likedTwice(judged) ??
      measurement(judged) ??
      preparation(judged) ??
      taste(judged) ??
      carried(judged, carry) ??
      settled(judged) ??
      grind(judged),
  );
  const here = settingNow(judged);
  const setting = settingAfter(here, judgement.move);
  const { yieldG, temperatureC, timeS } = input.target;
  // What is settled stands for all its shots: one of them off the window does not move it.
  const kept = isOnTargetStatus(judgement.status) ? null : keptRecipe(judged);
  const pulled =
    judgement.status === 'taste' && judgement.move
      ? pulledAfter(input.target, judgement.move, expectAt(judged, setting).timeS)
      : { yieldG, temperatureC, timeS };
  return {
    ...judgement,
    hold: ALL_VARIABLES.filter((variable) => !moves(judgement.move, variable)),
    setting,
    pulled,
    expect: expectAt(judged, setting, pulled),
    purgeG: purgeBefore(judged, setting),
    costG: costOf(judged, setting),
    alternatives: alternatives(judged, judgement, beside),
    window: kept?.timeS ?? null,
    keptYieldG: kept?.yieldG ?? null,
    offersTrim: offersTrim(judged, judgement.status),
    proof:
      input.shots.length === 0 || judged.isRevised ? null : (carry?.proof ?? proofOf(judged, here)),
    marks: judged.marks,
    warnings: basketWarnings(input.basket, input.target.doseG),
  };
}

const dialNamed = ({ input }: Judged, { dial }: Setting) => dialWords(input.grinder, dial);

function firstShot(judged: Judged, carry: CarriedOver | null): Judgement | null {
  if (judged.input.shots.length > 0 && !judged.isRevised) return null;
  if (carry) {
    const move = moveTo(judged, carry.setting);
    // The same seconds that are expected of this shot.
    const { timeS } = expectAt(judged, settingAfter(settingNow(judged), move));
    return {
      status: move ? 'grind' : 'repeat',
      move,
      reasons: [REASONS.newBatch(dialNamed(judged, carry.setting), timeS)],
    };
  }
  const { memory } = judged.input;
  const move =
    !judged.isRevised && memory && memory.dialIns > 0
      ? moveTo(judged, nextSettingOf(judged).setting)
      : null;
  if (move && memory)
    return { status: 'grind', move, reasons: [REASONS.remembered(memory.dialIns)] };
  const reason = judged.isRevised ? plainReason('revised') : plainReason('firstShot');
  return { status: 'repeat', move: null, reasons: [reason] };
}

/** Choked or gushing: a large move, whatever the scale says. */
function outOfRange(judged: Judged): Judgement | null {
  const { shot, mark } = lastOf(judged);
  if (!mark.choked && !mark.gushing) return null;
  const reason = mark.choked
    ? REASONS.choked(shot, judged.input.target.yieldG)
    : plainReason('gushing');
  return { ...grindMove(judged), reasons: [reason] };
}

/** Liked twice though its time or yield is another: the recipe follows the cup. */
function likedTwice(judged: Judged): Judgement | null {
  return isKeptOutside(judged)
    ? { status: 'taste', move: null, reasons: [keptMessage(judged)] }
    : null;
}

/** A shot of the wrong dose, yield or clock, where that leaves open on which side of the window it is. */
function measurement(judged: Judged): Judgement | null {
  const { target } = judged.input;
  const { shot, mark } = lastOf(judged);
  if (mark.side !== 'unsure') return null;
  const reasons: CodedMessage[] = [];
  if (!mark.inDose) reasons.push(REASONS.doseOff(shot.doseG, judged.aimDoseG));
  if (!mark.inYield) reasons.push(REASONS.yieldOff(shot.yieldG, target.yieldG));
  if (isByVolume(shot)) reasons.push(plainReason('byVolume'));
  if (mark.isConverted) reasons.push(REASONS.noFirstDrip(target.clock));
  return { status: 'measure', move: null, reasons };
}

function preparation(judged: Judged): Judgement | null {
  const { target, shots } = judged.input;
  const { shot, mark } = lastOf(judged);
  const reasons: CodedMessage[] = prepSigns(shot).map((sign) => REASONS.prepSign(sign));
  if (shot.onOldScale) reasons.unshift(plainReason('otherPeriod'));
  if (mark.otherBeans)
    reasons.unshift(REASONS.otherBeans(shot.beans ?? 'room', shots.at(-2)?.beans ?? 'room'));
  if (mark.unpurged) reasons.push(plainReason('unpurged'));
  if (mark.outlier && !mark.unpurged) reasons.push(plainReason('odd'));
  if (target.openDay !== undefined && shot.restDays !== undefined && shot.restDays < target.openDay)
    reasons.push(REASONS.tooFresh(shot.restDays, target.openDay));
  if (isColdStart(judged)) reasons.push(plainReason('firstAfterPause'));
  const direction = directionOf(shot, target.roastLevel, mark.side);
  if (direction?.verdict === 'uneven') reasons.push(plainReason('uneven'));
  if (mark.side === 'fast' && direction?.verdict === 'over')
    reasons.push(plainReason('fastAndBitter'));
  // A light coffee may be both: it resists, and is sour until it is hotter or longer.
  if (mark.side === 'slow' && direction?.verdict === 'under' && target.roastLevel >= 0)
    reasons.push(plainReason('slowAndSour'));
  if (reasons.length === 0) return null;
  return farOff(judged, reasons) ?? { status: 'prep', move: null, reasons };
}

/** A small miss of the first shot after a pause, where the dial is known from shots before it. */
function isColdStart({ input: { shots, target }, marks, dial }: Judged): boolean {
  const [shot, mark] = [shots.at(-1)!, marks.at(-1)!];
  if (!shot.isFirst || mark.side === 'inside' || mark.side === 'unsure') return false;
  const [low, high] = target.timeS;
  const miss = Math.log(mark.timeOnTargetClockS / (mark.side === 'fast' ? low : high));
  const isKnown = shots.slice(0, -1).some((other) => isSameDial(other.dial, dial));
  return isKnown && Math.abs(miss) < COLD_START_LN;
}

/** Where the grinder's past knows a setting to be far off, an unpurged shot need not be pulled again to learn it. */
function farOff(judged: Judged, reasons: readonly CodedMessage[]): Judgement | null {
  const isOnlyUnpurged = reasons.every(({ code }) => code === 'unpurged');
  if (!isOnlyUnpurged || !judged.input.memory) return null;
  const here = settingNow(judged);
  const { setting } = nextSettingOf(judged);
  const gain = landing(judged, setting) - landing(judged, here);
  const move = moveTo(judged, setting);
  if (move === null || landing(judged, here) > FAR_OFF.landing || gain < FAR_OFF.gain) return null;
  const { timeS, interval80 } = expectAt(judged, here);
  return { status: 'grind', move, reasons: [REASONS.knownFar(timeS, interval80)] };
}

/** What the scales of a liked cup would ask for, were it not liked. */
function worthTrying(judged: Judged): Pick<Judgement, 'beside'> {
  const { target, grinder, machine, levers } = judged.input;
  const { shot } = lastOf(judged);
  const direction = directionOf(shot, target.roastLevel)?.worthTrying;
  const { roastLevel } = target;
  const beside =
    direction &&
    tasteMove({ direction, target, roastLevel, dial: shot.dial, grinder, machine, levers });
  return beside ? { beside } : {};
}

/** Taste speaks when the time is right, or before the time where the house tastes first. */
function taste(judged: Judged): Judgement | null {
  const { target, grinder, machine, levers } = judged.input;
  const { shot, mark } = lastOf(judged);
  const direction = directionOf(shot, target.roastLevel, mark.side);
  if (direction === null)
    return target.tasteFirst
      ? { status: 'taste', move: null, reasons: [plainReason('tasteFirst')] }
      : null;
  if (mark.side !== 'inside') {
    if (!target.tasteFirst) return null;
    if (isLikedOutside(judged) || isRightEnough(judged))
      return { status: 'taste', move: null, reasons: [keptMessage(judged)] };
    // Too slow and bitter, too fast and sour: clock and cup agree, and the grind answers both.
    if (direction.verdict === 'under' || direction.verdict === 'over') return null;
  }
  const reasons = [{ code: `taste.${direction.verdict}`, message: direction.message }];
  const pulledC = shot.temperatureC;
  const isOther =
    pulledC !== undefined &&
    target.temperatureC !== undefined &&
    Math.abs(pulledC - target.temperatureC) > OTHER_TEMPERATURE_C;
  if (isOther) reasons.unshift(REASONS.otherTemperature(pulledC, target.temperatureC!));
  const [found, other] = tasteMoves({
    direction,
    target: isOther ? { ...target, temperatureC: pulledC } : target,
    roastLevel: target.roastLevel,
    dial: shot.dial,
    ...{ grinder, machine, levers },
  });
  if (!found) return null;
  if (other) reasons.push(REASONS.levers(found, other));
  return { status: 'taste', move: found, reasons, ...(other && { beside: other }) };
}

/** Does the recipe of the batch before hold for this one? Where it does, even at a dial nobody pulled. */
function carried(judged: Judged, carry: CarriedOver | null): Judgement | null {
  if (!carry || !judged.marks.at(-1)?.valid) return null;
  const { setting, proof, verdict } = carry;
  const move = moveTo(judged, setting);
  if (verdict === 'oneMore')
    return {
      status: move ? 'grind' : 'repeat',
      move,
      reasons: [REASONS.oneMore(dialNamed(judged, setting), proof)],
    };
  const all = judged.input.shots.map((shot, i) => ({ shot, mark: judged.marks[i]! }));
  const isLiked = hasLikedCup(judged, all);
  return {
    status: isLiked ? 'approved' : 'onTarget',
    move,
    reasons: [REASONS.carriesOver(dialNamed(judged, setting), proof, isLiked)],
  };
}

/** On target, with or without a liked cup; or as near as this grinder comes. */
function settled(judged: Judged): Judgement | null {
  const here = settingNow(judged);
  if (!isOnTarget(judged, here)) return null;
  const proof = proofOf(judged, here);
  return hasLikedCup(judged, shotsAt(judged, here).here)
    ? { status: 'approved', move: null, reasons: [REASONS.approved(proof)], ...worthTrying(judged) }
    : { status: 'onTarget', move: null, reasons: [REASONS.onTarget(proof)] };
}

function grind(judged: Judged): Judgement {
  const { target } = judged.input;
  const { shot, mark } = lastOf(judged);
  const { move, status, isNearest } = grindMove(judged);
  const jump = judged.input.doseSchool === 'trim' ? null : jumpOf(judged);
  if (jump !== null) return { status: 'nearest', move: null, reasons: [jumpReason(judged, jump)] };
  if (move === null && isNearest)
    return {
      status: 'nearest',
      move,
      reasons: [REASONS.nearest(proofOf(judged, settingNow(judged)))],
    };
  if (move === null) return { status: 'repeat', move, reasons: [stayReason(judged)] };
  if (mark.landed && isWonHere(judged))
    return {
      status: 'repeat',
      move: null,
      reasons: [REASONS.wonHere(proofOf(judged, settingNow(judged)))],
    };
  if (mark.landed)
    return {
      status,
      move,
      reasons: [REASONS.edge(proofOf(judged, settingNow(judged)), isNearEdge(judged))],
    };
  const reasons = [
    timeReason(judged),
    ...ageShare(judged),
    ...(shot.seen.includes('dampDay') ? [plainReason('dampDay')] : []),
    ...(mark.side === 'slow' && directionOf(shot, target.roastLevel, mark.side)?.verdict === 'under'
      ? [plainReason('slowAndSourLight')]
      : []),
  ];
  if (!mark.inDose || !mark.inYield) {
    const timeS = mark.timeOnTargetClockS;
    const asRecipeS = Math.exp(correctedLnTime(shot, target, timeS).lnTimeS);
    reasons.push(
      REASONS.smallMiss(
        shot,
        { aimG: judged.aimDoseG, targetG: target.yieldG },
        {
          off: mark.inYield ? 'dose' : mark.inDose ? 'yield' : 'both',
          ofS: Math.abs(timeS - asRecipeS),
        },
      ),
    );
  }
  return { status, move, reasons };
}

function jumpReason(
  { input: { grinder, target } }: Judged,
  { sides, trimmed }: Jump,
): CodedMessage {
  const [near, far] = sides.map(({ dial, meanS }) => ({ dial: dialWords(grinder, dial), meanS }));
  return REASONS.jumps(target.timeS, [near!, far!], trimmed?.doseG ?? null);
}

/** Is the last shot in the outer quarter of its window, on either side? */
function isNearEdge(judged: Judged): boolean {
  const [low, high] = judged.input.target.timeS;
  const { timeOnTargetClockS } = lastOf(judged).mark;
  return Math.abs(timeOnTargetClockS - (low + high) / 2) > (high - low) / 4;
}

/** The planned setting as a move; a dose move where the grinder's range ends. */
function grindMove(judged: Judged): {
  status: 'grind' | 'dose' | 'repeat';
  move: Move | null;
  isNearest: boolean;
} {
  const { setting, isNearest } = nextSettingOf(judged);
  const { min, max } = settingLimits(judged.input.grinder);
  const atEnd = setting.dial <= min + 1e-9 || setting.dial >= max - 1e-9;
  if (atEnd && setting.dial === judged.dial && landing(judged, setting) < RANGE_ENDS_BELOW) {
    const doseG = doseToCentre(judged, judged.dial);
    if (doseG !== null)
      return {
        status: 'dose',
        move: moveTo(judged, { dial: judged.dial, doseG }),
        isNearest: false,
      };
  }
  const move = moveTo(judged, setting);
  const status = move === null ? 'repeat' : move.variable === 'doseG' ? 'dose' : 'grind';
  return { status, move, isNearest };
}

/** Why a shot is pulled again as it was. */
function stayReason(judged: Judged): CodedMessage {
  const { mark } = lastOf(judged);
  const proof = proofOf(judged, settingNow(judged));
  if (mark.landed) return REASONS.landed(proof);
  const [low, high] = judged.input.target.timeS;
  return proof.meanS >= low && proof.meanS <= high
    ? REASONS.outvoted(proof.meanS)
    : plainReason('noBetter');
}

function moves(move: Move | null, variable: MovedVariable): boolean {
  return move?.variable === variable || (variable === 'doseG' && move?.doseTrim !== undefined);
}
