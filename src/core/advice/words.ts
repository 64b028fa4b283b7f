/** Every reason the advisor gives, worded in one place. */
import { figure } from '../figure';
import { Z_80 } from '../grinder/dial';
import { isMostlyRule } from '../grinder/taught';
import { LEAST_TIMED_G } from '../grinder/timeRows';
import type { Shot } from '../schema/shot';
import { massWords, temperatureWords, type Units } from '../units';
import { CLOCK_LABELS, type BeanState, type Clock } from '../vocabulary';
import type { PrepSign } from './prep';
import { proofWords, surePct } from './proofWords';
import type { Proof, Reason } from './types';

const PREP_TEXT: Record<PrepSign, string> = {
  spurt: 'It spurted: water found a channel. Mend distribution and tamp, and pull it again.',
  oneSided: 'It ran on one side: level the bed and the tamp, and pull it again.',
  holes: 'Holes in the puck: distribute more evenly, and pull it again.',
  coldMetal: 'The portafilter was cold: warm it with a flush, and pull it again.',
};

const BEANS_WORDS: Record<BeanState, string> = {
  room: 'at room temperature',
  warm: 'warmed',
  frozen: 'from the freezer',
  misted: 'misted',
};

function offWords(timeS: number, [low, high]: readonly [number, number]): string {
  if (timeS < low) return `${figure(low - timeS, 1)} s too fast`;
  return timeS > high ? `${figure(timeS - high, 1)} s too slow` : 'at the edge';
}

export const REASON_WORDS = {
  firstShot: (): Reason => ({
    code: 'firstShot',
    text: 'Pull the first shot as the recipe says; weigh in and out, and time it.',
  }),
  remembered: (dialIns: number): Reason => ({
    code: 'remembered',
    text: `${dialIns === 1 ? 'One past dial-in' : `${dialIns} past dial-ins`} of this grinder say so${isMostlyRule(dialIns) ? ', with the trade’s rule, which still weighs more' : ''}: begin there, weigh in and out, and time it.`,
  }),
  newBatch: (dial: string, proof: Proof): Reason => ({
    code: 'newBatch',
    text: `A new batch on the last recipe, its dial moved for age and colour. At ${dial} it should run about ${figure(proof.meanS, 0)} s: one shot usually settles it.`,
  }),
  carriesOver: (dial: string, proof: Proof, isLiked: boolean): Reason => ({
    code: 'carriesOver',
    text: `The recipe carries over at dial ${dial}: this batch runs ${figure(proof.meanS, 1)} ± ${figure(Z_80 * proof.sdS, 1)} s there, ${surePct(proof.inWindow)} % sure that it holds the window. ${isLiked ? 'The cup is liked: approved.' : 'Taste it: one cup guards against gross faults.'}`,
  }),
  oneMore: (dial: string, proof: Proof, goal: number): Reason => ({
    code: 'oneMore',
    text: `Not sure yet: ${surePct(proof.inWindow)} % that dial ${dial} holds the window, ${surePct(goal)} are asked for. One more shot at ${dial}.`,
  }),
  dialInAnew: (): Reason => ({
    code: 'dialInAnew',
    text: 'This batch lies farther off than age, colour and chance explain: dial it in anew.',
  }),
  revised: (): Reason => ({
    code: 'revised',
    text: 'The recipe changed after the last shot: pull it as the plate says now. Earlier shots still teach the grinder.',
  }),
  choked: ({ yieldG, timeS }: Pick<Shot, 'yieldG' | 'timeS'>, targetG: number): Reason => ({
    code: 'choked',
    text: `${
      yieldG < LEAST_TIMED_G
        ? 'It choked.'
        : `Choked, or nearly so: ${massWords(yieldG)} in ${figure(timeS, 0)} s would be about ${nearestTen((timeS * targetG) / yieldG)} s to ${massWords(targetG)}.`
    } Wait for the pressure to vent before you loosen the portafilter, then make a large move coarser.`,
  }),
  gushing: (): Reason => ({
    code: 'gushing',
    text: 'It gushed through in under 12 s: a large move finer. Mind the spray.',
  }),
  doseOff: (doseG: number, aimG: number): Reason => ({
    code: 'doseOff',
    text: `Dose ${massWords(doseG)} where ${massWords(aimG)} was meant: weigh the basket again before you judge the time.`,
  }),
  yieldOff: (yieldG: number, targetG: number): Reason => ({
    code: 'yieldOff',
    text:
      yieldG > targetG
        ? `Yield ${massWords(yieldG)} is ${massWords(yieldG - targetG)} over: stop earlier, for ${massWords(targetG)}, and judge the time then.`
        : `Yield ${massWords(yieldG)} is ${massWords(targetG - yieldG)} short: let it run to ${massWords(targetG)}, and judge the time then.`,
  }),
  byVolume: (): Reason => ({
    code: 'byVolume',
    text: 'Yield read by volume: crema fools the eye. Put the cup on the scale.',
  }),
  noFirstDrip: (clock: Clock): Reason => ({
    code: 'noFirstDrip',
    text: `The recipe's clock starts ${CLOCK_LABELS[clock]}, this shot's does not, and its first drip was not noted: a usual one leaves open whether it hit. Note the first drip, or time it by the recipe's clock.`,
  }),
  prepSign: (sign: PrepSign): Reason => ({ code: `prep.${sign}`, text: PREP_TEXT[sign] }),
  otherPeriod: (): Reason => ({
    code: 'otherPeriod',
    text: 'The grinder has another zero point or new burrs since this shot, and nobody knows by how much its numbers moved: set it by eye and hand, and pull one to see. Older shots of this dial-in no longer count.',
  }),
  unpurged: (): Reason => ({
    code: 'unpurged',
    text: 'The dial moved and the grinder was not purged: part of this dose was ground at the old setting, so it is not evidence. That shot has flushed the grinder; pull it again unchanged.',
  }),
  knownFar: (timeS: number, [low, high]: readonly [number, number]): Reason => ({
    code: 'knownFar',
    text: `Not purged, so this time says little; but past dial-ins of this grinder say about ${figure(timeS, 0)} s here, purged, likely ${figure(low, 0)}-${figure(high, 0)} (8 in 10). No need to pull that to find out.`,
  }),
  otherBeans: (state: BeanState, usual: BeanState): Reason => ({
    code: 'otherBeans',
    text: `Beans ${BEANS_WORDS[state]}, at the shot before ${BEANS_WORDS[usual]}: they grind otherwise${state === 'warm' ? ' and run faster' : state === 'room' ? '' : ' and run slower'}, so the time says nothing of the grind. Keep to one state within a dial-in.`,
  }),
  odd: (): Reason => ({
    code: 'odd',
    text: 'Odd one out: check puck prep, and pull it again unchanged before you believe it.',
  }),
  tooFresh: (restDays: number, openDay: number): Reason => ({
    code: 'tooFresh',
    text: `Rested ${restDays} days, opens at ${openDay}: gas makes shots erratic. Wait, or take this one for practice.`,
  }),
  uneven: (): Reason => ({
    code: 'uneven',
    text: 'Sour and bitter at once: the water ran unevenly. Mend distribution; the recipe stays.',
  }),
  tasteFirst: (): Reason => ({
    code: 'tasteFirst',
    text: 'This house tastes before it judges the time: taste this shot.',
  }),
  timeOff: (timeS: number, [low, high]: readonly [number, number], clock: Clock): Reason => ({
    code: timeS < low ? 'tooFast' : 'tooSlow',
    text: `${figure(timeS, 1)} s ${CLOCK_LABELS[clock]} is ${offWords(timeS, [low, high])} for ${low}-${high} s.`,
  }),
  /** In the window, but only by its dose or yield. */
  timeByYield: (
    timeS: number,
    asRecipeS: number,
    [low, high]: readonly [number, number],
    clock: Clock,
  ): Reason => ({
    code: asRecipeS < low ? 'tooFast' : 'tooSlow',
    text: `${figure(timeS, 1)} s ${CLOCK_LABELS[clock]} lies in ${low}-${high} s, but with the dose and yield of the recipe it would have been about ${figure(asRecipeS, 1)} s: ${offWords(asRecipeS, [low, high])}.`,
  }),
  smallMiss: (
    { doseG, yieldG }: Pick<Shot, 'doseG' | 'yieldG'>,
    aimG: number,
    ofDoseS: number,
  ): Reason => ({
    code: 'smallMiss',
    text: `Dose ${massWords(doseG)} for ${massWords(aimG)}, yield ${massWords(yieldG)}: the dose explains about ${figure(ofDoseS, 1)} s of it, so the time is believed. Weigh both again next time.`,
  }),
  firstAfterPause: (): Reason => ({
    code: 'firstAfterPause',
    text: 'First shot after a pause: group and grinder were not yet warm, and a miss this small can be that. Flush, and pull it again unchanged before you move.',
  }),
  dampDay: (): Reason => ({
    code: 'dampDay',
    text: 'A damp or hot day: beans take up water and burrs warm, and the time moves with them. Part of this may be the weather; it goes with it.',
  }),
  aged: (days: number, seconds: number): Reason => ({
    code: 'aged',
    text: `The coffee is ${days} days older than at the shot before: about ${figure(Math.abs(seconds), 1)} s ${seconds > 0 ? 'faster' : 'slower'} of this is age.`,
  }),
  otherTemperature: (pulledC: number, recipeC: number, units: Units): Reason => ({
    code: 'otherTemperature',
    text: `Pulled at ${temperatureWords(pulledC, units)}, the recipe says ${temperatureWords(recipeC, units)}: the cup speaks for what was pulled.`,
  }),
  fastAndBitter: (): Reason => ({
    code: 'fastAndBitter',
    text: 'Fast, and yet bitter or drying: clock and cup contradict each other. Look at distribution first, then at a group that is too hot; the grind stays.',
  }),
  slowAndSour: (): Reason => ({
    code: 'slowAndSour',
    text: 'Slow, and yet sour: clock and cup contradict each other. Look for a channel first, then at a group that is too cold; the grind stays.',
  }),
  likedOutside: (lowS: number, highS: number): Reason => ({
    code: 'likedOutside',
    text: `Everybody likes this cup: keep it, and move the window to ${lowS}-${highS} s.`,
  }),
  landed: (proof: Proof): Reason => ({
    code: 'landed',
    text: `In the window. Only a repeat counts: pull it again unchanged. ${proofWords(proof)}`,
  }),
  edge: (proof: Proof): Reason => ({
    code: 'edge',
    text: `In the window, but near the edge: the shots together say ${figure(proof.meanS, 1)} s, and a small move holds the window more surely.`,
  }),
  noBetter: (): Reason => ({
    code: 'noBetter',
    text: 'No setting is clearly better than this one: pull it again unchanged to learn more.',
  }),
  outvoted: (timeS: number): Reason => ({
    code: 'outvoted',
    text: `The shots together say about ${figure(timeS, 0)} s at this setting, and one shot is one shot: pull it again unchanged before you move.`,
  }),
  nearest: (proof: Proof): Reason => ({
    code: 'nearest',
    text: `No setting of this grinder holds the window more surely. ${proofWords(proof)} Widen the window, trim the dose, or live with it: this is not on target.`,
  }),
  onTarget: (proof: Proof): Reason => ({
    code: 'onTarget',
    text: `${proofWords(proof)} Taste it: only a liked cup approves a recipe.`,
  }),
  approved: (proof: Proof): Reason => ({
    code: 'approved',
    text: `${proofWords(proof)} The cup is liked: approved.`,
  }),
};

const nearestTen = (value: number) => 10 * Math.round(value / 10);
