/** What a fit says, in the words of a language. */
import type { Fit, FitNote } from '../fits/fit';
import { F_PER_C, fluidOuncesOf } from '../units';
import type { BrewStyle } from '../vocabulary';
import type { FitFigures } from './cardWords';
import { figureIn, type Language } from './language';
import { amountIn, wordsIn } from './words';

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
  const words = wordsIn(language);
  return notes.map((note) => {
    const figures = figuresOf(language, note);
    const sentence = words.fits.notes[note.code]({
      ...figures,
      style: words.style[from],
      nearest: words.style[style],
    });
    // Some languages begin with how much.
    return sentence.charAt(0).toUpperCase() + sentence.slice(1);
  });
}

function figuresOf(
  language: Language,
  { figures = {} }: FitNote,
): Omit<FitFigures, 'style' | 'nearest'> {
  const { steps = 0, s = 0, c = 0, ml = 0, share = 0 } = figures;
  return {
    steps: amountIn(wordsIn(language), steps),
    s: figureIn(language, s, 0),
    c: heatIn(language, Math.abs(c)),
    isHotter: c < 0,
    ml: volumeIn(language, ml),
    share: figureIn(language, share, 0),
  };
}
