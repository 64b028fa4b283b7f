/** The advisor's one change in a language, for whoever's grinder is not known. */
import type { Advice } from '@/core/advice/types';
import type { CardReaderQuestion } from '@/core/advice/cardReader';
import type { Language } from '@/core/language';
import { cardWords, grindIn } from './cardWords';
import { figureIn } from './figures';
import { helperWords } from './helperWords';
import { grindMoveIn, ranIn } from './grindMoveIn';
import { heatOf } from './temperature';

export interface Answer {
  /** What to do. */
  readonly what: string;
  /** Why, in one or two sentences. */
  readonly why: string;
}

/** From so many shots at two settings on, a step of that grinder is known well enough to be counted. */
const COUNTED_FROM_SHOTS = 2;

export function answerIn(language: Language, advice: Advice, asked: CardReaderQuestion): Answer {
  const say = helperWords(language);
  const isChange = advice.move !== null;
  return {
    what: isChange
      ? `${moveIn(language, advice, asked)} ${say('answer.oneThing')}`
      : keepIn(language, advice),
    why: whyIn(language, advice, asked),
  };
}

function keepIn(language: Language, { status }: Advice): string {
  return helperWords(language)(
    `answer.keep.${status === 'grind' || status === 'dose' ? 'repeat' : status}`,
  );
}

function moveIn(language: Language, { move }: Advice, { shots }: CardReaderQuestion): string {
  const say = helperWords(language);
  const { variable, from, to } = move!;
  const g = (value: number) => `${figureIn(language, value, 1)} g`;
  switch (variable) {
    case 'dial': {
      const steps = from - to;
      const isKnown =
        shots.length >= COUNTED_FROM_SHOTS && shots.some(({ finerSteps }) => finerSteps !== 0);
      if (!isKnown) return say('answer.grind', { amount: grindIn(cardWords(language), steps)! });
      return say('answer.grind', { amount: grindMoveIn(language, steps) });
    }
    case 'doseG':
      return say('answer.dose', { g: g(to) });
    case 'yieldG':
      return say('answer.stopAt', { g: g(to) });
    case 'temperatureC':
      return say('answer.heat', { c: heatOf(language, to) });
  }
}

function whyIn(language: Language, { marks }: Advice, { card, shots }: CardReaderQuestion): string {
  const say = helperWords(language);
  const last = shots.at(-1);
  const mark = marks.at(-1);
  if (!last || !mark) return '';
  const ran = ranForCardIn(language, mark, card);
  return last.taste ? `${ran} ${say(`answer.tasted.${last.taste}`)}` : ran;
}

/** Against the window; of a cup that missed its yield, what its time means at the card's own. */
function ranForCardIn(
  language: Language,
  { timeOnTargetClockS: time, side, inYield }: Advice['marks'][number],
  { timeS: [low, high], yieldG }: CardReaderQuestion['card'],
): string {
  const say = helperWords(language);
  const at = `${figureIn(language, yieldG, 1)} g`;
  if (!inYield && side === 'fast') return say('answer.fastFor', { g: at });
  if (!inYield && side === 'slow') return say('answer.slowFor', { g: at });
  return ranIn(language, time < low ? time - low : Math.max(0, time - high));
}
