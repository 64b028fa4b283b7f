/** Every reason the advisor gives, worded in one place. */
import { massWords, type Units } from '../units';
import { CLOCK_LABELS, type BeanState, type Clock } from '../vocabulary';
import type { PrepSign } from './prep';
import type { AdviceStatus, Reason } from './types';

/** What each status asks for, in a few words. */
export const STATUS_WORDS: Record<AdviceStatus, string> = {
  measure: 'Measure again',
  prep: 'Same again, prepared better',
  grind: 'Change the grind',
  dose: 'Change the dose',
  taste: 'Taste decides',
  repeat: 'Pull it unchanged',
  confirmed: 'Confirmed',
};

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

export const REASON_WORDS = {
  firstShot: (): Reason => ({
    code: 'firstShot',
    text: 'Pull the first shot as the recipe says; weigh in and out, and time it.',
  }),
  revised: (): Reason => ({
    code: 'revised',
    text: 'The recipe changed after the last shot: pull it as the plate says now. Earlier shots still teach the grinder.',
  }),
  choked: (): Reason => ({
    code: 'choked',
    text: 'It choked. Wait for the pressure to vent before you loosen the portafilter, then make a large move coarser.',
  }),
  gushing: (): Reason => ({
    code: 'gushing',
    text: 'It gushed through in under 12 s: a large move finer. Mind the spray.',
  }),
  doseOff: (doseG: number, aimG: number, units: Units): Reason => ({
    code: 'doseOff',
    text: `Dose ${massWords(doseG, units)} where ${massWords(aimG, units)} was meant: weigh the basket again before you judge the time.`,
  }),
  yieldOff: (yieldG: number, targetG: number, units: Units): Reason => ({
    code: 'yieldOff',
    text:
      yieldG > targetG
        ? `Yield ${massWords(yieldG, units)} is ${massWords(yieldG - targetG, units)} over: stop earlier, for ${massWords(targetG, units)}, and judge the time then.`
        : `Yield ${massWords(yieldG, units)} is ${massWords(targetG - yieldG, units)} short: let it run to ${massWords(targetG, units)}, and judge the time then.`,
  }),
  byVolume: (): Reason => ({
    code: 'byVolume',
    text: 'Yield read by volume: crema fools the eye. Put the cup on the scale.',
  }),
  noFirstDrip: (clock: Clock): Reason => ({
    code: 'noFirstDrip',
    text: `The recipe's clock starts ${CLOCK_LABELS[clock]}, this shot's does not, and the first drip was not noted. Note the first drip.`,
  }),
  prepSign: (sign: PrepSign): Reason => ({ code: `prep.${sign}`, text: PREP_TEXT[sign] }),
  unpurged: (): Reason => ({
    code: 'unpurged',
    text: 'The dial moved and the grinder was not purged: part of this dose was ground at the old setting, so it is not evidence. That shot has flushed the grinder; pull it again unchanged.',
  }),
  otherBeans: (state: BeanState, usual: BeanState): Reason => ({
    code: 'otherBeans',
    text: `Beans ${BEANS_WORDS[state]}, the other shots ${BEANS_WORDS[usual]}: they grind otherwise, so this shot is not evidence. Keep to one state within a dial-in.`,
  }),
  odd: (): Reason => ({
    code: 'odd',
    text: 'This shot does not fit the others: prep? Pull it again unchanged before you believe it.',
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
    text: `${timeS.toFixed(1)} s ${CLOCK_LABELS[clock]} is ${
      timeS < low
        ? `${(low - timeS).toFixed(1)} s too fast`
        : `${(timeS - high).toFixed(1)} s too slow`
    } for ${low}-${high} s.`,
  }),
  landed: (): Reason => ({
    code: 'landed',
    text: 'On target. Only a repeat counts: pull it again unchanged.',
  }),
  nearest: (): Reason => ({
    code: 'nearest',
    text: 'No setting is clearly better than this one: pull it again unchanged to learn more.',
  }),
  outvoted: (timeS: number): Reason => ({
    code: 'outvoted',
    text: `The shots together say about ${timeS.toFixed(0)} s at this setting, and one shot is one shot: pull it again unchanged before you move.`,
  }),
  confirmed: (): Reason => ({
    code: 'confirmed',
    text: 'Two in a row on target at one setting: confirmed.',
  }),
};
