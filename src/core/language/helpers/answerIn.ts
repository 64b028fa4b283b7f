/** The advisor's one change in a language, for whoever's grinder is not known. */
import type { Advice } from '../../advice/types';
import type { CardReaderQuestion } from '../../advice/cardReader';
import { figureIn, type Language } from '../language';
import { heatOf } from '../temperature';
import { stepsIn } from '../stepsIn';
import { grindIn, wordsIn } from '../words';
import { helperWordsIn } from './words';

export interface Answer {
  /** What to do. */
  readonly what: string;
  /** Why, in one or two sentences. */
  readonly why: string;
}

/** From so many shots at two settings on, a step of that grinder is known well enough to be counted. */
const COUNTED_FROM_SHOTS = 2;

export function answerIn(language: Language, advice: Advice, asked: CardReaderQuestion): Answer {
  const words = helperWordsIn(language);
  const isChange = advice.move !== null;
  return {
    what: isChange
      ? `${moveIn(language, advice, asked)} ${words.answer.oneThing}`
      : keepIn(language, advice),
    why: whyIn(language, advice, asked),
  };
}

function keepIn(language: Language, { status }: Advice): string {
  const { keep } = helperWordsIn(language).answer;
  return status === 'grind' || status === 'dose' ? keep.repeat : keep[status];
}

function moveIn(language: Language, { move }: Advice, { shots }: CardReaderQuestion): string {
  const { answer } = helperWordsIn(language);
  const { variable, from, to } = move!;
  const g = (value: number) => `${figureIn(language, value, 1)} g`;
  switch (variable) {
    case 'dial': {
      const steps = from - to;
      const isKnown =
        shots.length >= COUNTED_FROM_SHOTS && shots.some(({ finerSteps }) => finerSteps !== 0);
      if (!isKnown) return answer.grind(grindIn(wordsIn(language), steps)!);
      const shown = stepsIn(language, steps);
      return answer.grind(steps > 0 ? answer.finer(shown) : answer.coarser(shown));
    }
    case 'doseG':
      return answer.dose(g(to));
    case 'yieldG':
      return answer.stopAt(g(to));
    case 'temperatureC':
      return answer.heat(heatOf(language, to));
  }
}

function whyIn(language: Language, { marks }: Advice, { card, shots }: CardReaderQuestion): string {
  const { answer } = helperWordsIn(language);
  const last = shots.at(-1);
  const mark = marks.at(-1);
  if (!last || !mark) return '';
  const ran = ranIn(language, mark, card);
  return last.taste ? `${ran} ${answer.tasted[last.taste]}` : ran;
}

/** Against the window; of a cup that missed its yield, what its time means at the card's own. */
function ranIn(
  language: Language,
  { timeOnTargetClockS: time, side, inYield }: Advice['marks'][number],
  { timeS: [low, high], yieldG }: CardReaderQuestion['card'],
): string {
  const { answer } = helperWordsIn(language);
  const off = (s: number) => `${figureIn(language, Math.max(1, Math.round(s)), 0)} s`;
  const at = `${figureIn(language, yieldG, 1)} g`;
  if (!inYield && side === 'fast') return answer.fastFor(at);
  if (!inYield && side === 'slow') return answer.slowFor(at);
  if (time < low) return answer.fast(off(low - time));
  return time > high ? answer.slow(off(time - high)) : answer.inside;
}
