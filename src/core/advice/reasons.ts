/** Every reason the advisor gives, with its figures. */
import { isMostlyRule } from '../grinderMemory/taught';
import { LEAST_TIMED_G } from '../grinder/timeRows';
import type { CodedMessage, Message } from '../message';
import type { Shot } from '../schema/shot';
import type { BeanState, Clock } from '../vocabulary';
import type { PrepSign } from './prep';
import { proofFigures, proofMessage } from './proof';
import type { Kept, Move, Proof } from './types';

const advice = (name: string, values: Message['values'] = {}): Message => ({
  id: `advice.${name}`,
  values,
});

/** Its code is its name, unless several reasons share one. */
const reason = (name: string, values?: Message['values'], code = name): CodedMessage => ({
  code,
  message: advice(name, values),
});

/** A reason without figures. */
type PlainReason =
  | 'firstShot'
  | 'dialInAnew'
  | 'revised'
  | 'gushing'
  | 'chokedFull'
  | 'byVolume'
  | 'otherPeriod'
  | 'unpurged'
  | 'odd'
  | 'uneven'
  | 'tasteFirst'
  | 'firstAfterPause'
  | 'dampDay'
  | 'fastAndBitter'
  | 'slowAndSour'
  | 'slowAndSourLight'
  | 'noBetter';

export const plainReason = (name: PlainReason): CodedMessage =>
  reason(name, undefined, name === 'chokedFull' ? 'choked' : name);

type Window = readonly [number, number];

function offBy(timeS: number, [low, high]: Window): Message {
  if (timeS < low) return advice('off.fast', { missS: low - timeS });
  return timeS > high ? advice('off.slow', { missS: timeS - high }) : advice('off.edge');
}

/** A change by taste, and which way it goes. */
type Way = Pick<Move, 'variable' | 'message'>;

/** What a change by taste does to the strength of the cup. */
const thenMessage = ({ message: { values } }: Way): Message =>
  advice('then', { side: values!.side! });

const nearestTen = (value: number) => 10 * Math.round(value / 10);

export const REASONS = {
  remembered: (dialIns: number) =>
    reason('remembered', { dialIns, weight: isMostlyRule(dialIns) ? 'mostlyRule' : 'own' }),
  newBatch: (dial: string, timeS: number) => reason('newBatch', { dial, timeS }),
  carriesOver: (dial: string, proof: Proof, isLiked: boolean) =>
    reason('carriesOver', { dial, ...proofFigures(proof), cup: isLiked ? 'liked' : 'untasted' }),
  oneMore: (dial: string, proof: Proof) =>
    reason('oneMore', { dial, chance: proofFigures(proof).chance }),
  choked: ({ yieldG, timeS }: Pick<Shot, 'yieldG' | 'timeS'>, targetG: number) =>
    yieldG < LEAST_TIMED_G
      ? reason('choked')
      : reason(
          'nearlyChoked',
          { yieldG, timeS, targetG, atTargetS: nearestTen((timeS * targetG) / yieldG) },
          'choked',
        ),
  doseOff: (doseG: number, aimG: number) => reason('doseOff', { doseG, aimG }),
  yieldOff: (yieldG: number, targetG: number) =>
    yieldG > targetG
      ? reason('yieldOver', { yieldG, targetG, overG: yieldG - targetG }, 'yieldOff')
      : reason('yieldShort', { yieldG, targetG, shortG: targetG - yieldG }, 'yieldOff'),
  noFirstDrip: (clock: Clock) => reason('noFirstDrip', { clock }),
  prepSign: (sign: PrepSign) => reason(`prep.${sign}`),
  knownFar: (timeS: number, [lowS, highS]: Window) => reason('knownFar', { timeS, lowS, highS }),
  otherBeans: (beans: BeanState, usual: BeanState) => reason('otherBeans', { beans, usual }),
  tooFresh: (restDays: number, openDay: number) => reason('tooFresh', { restDays, openDay }),
  timeOff: (timeS: number, window: Window, clock: Clock) =>
    reason(
      'timeOff',
      { timeS, clock, off: offBy(timeS, window), lowS: window[0], highS: window[1] },
      timeS < window[0] ? 'tooFast' : 'tooSlow',
    ),
  /** In the window, but only by its dose or yield. */
  timeByYield: (timeS: number, asRecipeS: number, window: Window, clock: Clock) =>
    reason(
      'timeByYield',
      { timeS, asRecipeS, clock, off: offBy(asRecipeS, window), lowS: window[0], highS: window[1] },
      asRecipeS < window[0] ? 'tooFast' : 'tooSlow',
    ),
  smallMiss: (
    { doseG, yieldG }: Pick<Shot, 'doseG' | 'yieldG'>,
    aim: { readonly aimG: number; readonly targetG: number },
    off: { readonly off: 'dose' | 'yield' | 'both'; readonly ofS: number },
  ) => reason('smallMiss', { doseG, yieldG, ...aim, ...off }),
  /** @param days since the shot before, negative where this bag is younger; `longerS` what they added to its time. */
  aged: (days: number, longerS: number) =>
    reason('aged', {
      days: Math.abs(days),
      age: days < 0 ? 'younger' : 'older',
      seconds: Math.abs(longerS),
      side: longerS > 0 ? 'slower' : 'faster',
    }),
  otherTemperature: (pulledC: number, recipeC: number) =>
    reason('otherTemperature', { pulledC, recipeC }),
  basketFull: (dose: { readonly doseG: number; readonly ratedG: number }, isOver: boolean) =>
    reason('basketFull', { ...dose, by: isOver ? 'dose' : 'screen' }),
  /** Two ways to the same end, and what each does to strength. */
  levers: (first: Way, second: Way) =>
    reason('levers', { first: thenMessage(first), second: thenMessage(second) }),
  likedOutside: ({ timeS: [lowS, highS], yieldG }: Kept) =>
    yieldG === null
      ? reason('likedOutside', { lowS, highS })
      : reason('likedCut', { lowS, highS, yieldG }, 'likedOutside'),
  wonHere: (proof: Proof) => reason('wonHere', { proof: proofMessage(proof) }),
  landed: (proof: Proof) => reason('landed', { proof: proofMessage(proof) }),
  edge: ({ meanS }: Proof, isNearEdge: boolean) =>
    reason('edge', { meanS, where: isNearEdge ? 'edge' : 'middle' }),
  outvoted: (timeS: number) => reason('outvoted', { timeS }),
  jumps: (
    [lowS, highS]: Window,
    [near, far]: readonly [
      { readonly dial: string; readonly meanS: number },
      { readonly dial: string; readonly meanS: number },
    ],
    doseG: number | null,
  ) =>
    reason('jumps', {
      ...{ lowS, highS, near: near.dial, nearS: near.meanS, far: far.dial, farS: far.meanS },
      way: doseG === null ? 'taste' : 'trim',
      doseG: doseG ?? 0,
    }),
  nearest: (proof: Proof) => reason('nearest', { proof: proofMessage(proof) }),
  onTarget: (proof: Proof) => reason('onTarget', { proof: proofMessage(proof) }),
  approved: (proof: Proof) => reason('approved', { proof: proofMessage(proof) }),
};
