/** What a fit says, in the words of a language. */
import type { Fit, FitNote } from '@/core/fits/fit';
import { F_PER_C, fluidOuncesOf } from '@/core/units';
import type { BrewStyle } from '@/core/vocabulary';
import type { Language } from '@/core/language';
import { amountIn, cardWords } from './cardWords';
import type { Values } from './catalogue';
import { figureIn } from './figures';

/** A difference of temperature in both units: "3 °C (5 °F)". */
export const heatIn = (language: Language, c: number) =>
  `${figureIn(language, c, 1)} °C (${figureIn(language, F_PER_C * c, 1)} °F)`;

/** A volume in both units: "48 ml (1.6 fl oz)". */
export const volumeIn = (language: Language, ml: number) =>
  `${figureIn(language, ml, 0)} ml (${figureIn(language, fluidOuncesOf(ml), 1)} fl oz)`;

/** One sentence for each note of a fit. */
export function fitSentences(
  language: Language,
  { notes, style }: Pick<Fit, 'notes' | 'style'>,
  from: BrewStyle,
): string[] {
  const say = cardWords(language);
  return notes.map((note) => {
    const sentence = say(`fits.notes.${note.code}`, {
      ...figuresOf(language, note),
      style: say(`style.${from}`),
      nearest: say(`style.${style}`),
    });
    // Some languages begin with how much.
    return sentence.charAt(0).toUpperCase() + sentence.slice(1);
  });
}

function figuresOf(language: Language, { figures = {} }: FitNote): Values {
  const { steps = 0, s = 0, c = 0, ml = 0, share = 0 } = figures;
  return {
    steps: amountIn(cardWords(language), steps),
    s: figureIn(language, s, 0),
    c: heatIn(language, Math.abs(c)),
    // What was missing stands under nought where the machine is hotter.
    side: c < 0 ? 'hotter' : 'cooler',
    ml: volumeIn(language, ml),
    share: figureIn(language, share, 0),
  };
}
